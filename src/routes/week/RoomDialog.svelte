<script lang="ts">
  import type { Bench, Shop, Workroom } from '$lib/core/documents/shop';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import { Plus, X } from '@lucide/svelte';
  import { addDays, format } from 'date-fns';
  import BenchHours from '../orders/[id]/BenchHours.svelte';

  /** Hours of the workroom, single days that are different, and machines that are away. */
  interface Props {
    shop: Shop;
    room: { bench: Bench; people: number };
    onchange: (workroom: Workroom) => void;
    onclose: () => void;
  }
  let { shop, room, onchange, onclose }: Props = $props();

  const workroom = $derived<Workroom>(shop.workroom ?? { daysOff: [], otherHours: [], away: [] });
  const today = format(new Date(), 'yyyy-MM-dd');
  let day = $state(format(addDays(new Date(), 1), 'yyyy-MM-dd'));
  let machineId = $state('');
  let away = $state({
    from: format(new Date(), "yyyy-MM-dd'T'HH:mm"),
    to: format(addDays(new Date(), 2), "yyyy-MM-dd'T'HH:mm")
  });
  const machine = $derived(shop.machines.find(({ id }) => id === machineId) ?? shop.machines[0]);
  const say = (date: string): string => format(new Date(`${date}T00:00`), 'EEE d MMM');
  const sayWall = (wall: string): string => format(new Date(wall), 'EEE d MMM, HH:mm');
  const minutes = (text: string): number | null =>
    /^\d{2}:\d{2}$/.test(text) ? Number(text.slice(0, 2)) * 60 + Number(text.slice(3)) : null;
  const clock = (at: number): string =>
    `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;

  function hours(which: string, change: { from?: number | null; to?: number | null }): void {
    onchange({
      ...workroom,
      otherHours: workroom.otherHours.map((each) => {
        if (each.day !== which) return each;
        const next = { ...each, from: change.from ?? each.from, to: change.to ?? each.to };
        return next.to > next.from ? next : each;
      })
    });
  }
</script>

<DialogFrame open title="Hours of the workroom" {onclose}>
  <div class="flex flex-wrap gap-8">
    <BenchHours bench={room.bench} onchange={(bench) => onchange({ ...workroom, bench })} />
    <NumberField
      label="People who work"
      value={room.people}
      onchange={(people) =>
        people !== null && people >= 1 && people <= 8 && onchange({ ...workroom, people })}
    />
  </div>

  <h3 class="mt-5 text-lg">Days that are different</h3>
  <ul class="mt-1 border-t border-rule">
    {#each workroom.daysOff.toSorted() as date (date)}
      <li class="flex min-h-11 items-center gap-3 border-b border-rule">
        <span class="flex-1 {date < today ? 'text-soft' : ''}">{say(date)}: closed</span>
        <button
          type="button"
          class="button button-quiet"
          aria-label="{say(date)} as usual"
          onclick={() => onchange({ ...workroom, daysOff: workroom.daysOff.filter((each) => each !== date) })}
          ><X size={18} aria-hidden="true" /></button
        >
      </li>
    {/each}
    {#each workroom.otherHours as other (other.day)}
      <li class="flex min-h-11 flex-wrap items-center gap-2 border-b border-rule py-1">
        <span class="flex-1">{say(other.day)}</span>
        <input
          type="time"
          class="field w-32"
          aria-label="{say(other.day)}, opens"
          value={clock(other.from)}
          onchange={({ currentTarget }) => hours(other.day, { from: minutes(currentTarget.value) })}
        />
        to
        <input
          type="time"
          class="field w-32"
          aria-label="{say(other.day)}, closes"
          value={clock(other.to)}
          onchange={({ currentTarget }) => hours(other.day, { to: minutes(currentTarget.value) })}
        />
        <button
          type="button"
          class="button button-quiet"
          aria-label="{say(other.day)} as usual"
          onclick={() =>
            onchange({
              ...workroom,
              otherHours: workroom.otherHours.filter((each) => each.day !== other.day)
            })}><X size={18} aria-hidden="true" /></button
        >
      </li>
    {/each}
  </ul>
  <div class="mt-2 flex flex-wrap items-end gap-3">
    <label class="flex flex-col gap-1"
      ><span class="label">Day</span><input type="date" class="field" bind:value={day} /></label
    >
    <button
      type="button"
      class="button"
      disabled={!day || workroom.daysOff.includes(day)}
      onclick={() =>
        onchange({
          ...workroom,
          daysOff: [...workroom.daysOff, day],
          otherHours: workroom.otherHours.filter((each) => each.day !== day)
        })}><Plus size={18} aria-hidden="true" />Day off</button
    >
    <button
      type="button"
      class="button"
      disabled={!day || workroom.otherHours.some((each) => each.day === day)}
      onclick={() =>
        onchange({
          ...workroom,
          daysOff: workroom.daysOff.filter((each) => each !== day),
          otherHours: [...workroom.otherHours, { day, from: room.bench.from, to: room.bench.to }]
        })}><Plus size={18} aria-hidden="true" />Other hours</button
    >
  </div>

  <h3 class="mt-5 text-lg">Machines that are away</h3>
  <ul class="mt-1 border-t border-rule">
    {#each workroom.away as each, at (`${each.machineId} ${each.from} ${at}`)}
      {@const name =
        shop.machines.find(({ id }) => id === each.machineId)?.name ?? 'A machine no longer here'}
      <li class="flex min-h-11 items-center gap-3 border-b border-rule">
        <span class="flex-1">{name}: {sayWall(each.from)} to {sayWall(each.to)}</span>
        <button
          type="button"
          class="button button-quiet"
          aria-label="{name} is not away"
          onclick={() => onchange({ ...workroom, away: workroom.away.filter((_, index) => index !== at) })}
          ><X size={18} aria-hidden="true" /></button
        >
      </li>
    {/each}
  </ul>
  <div class="mt-2 flex flex-wrap items-end gap-3">
    <label class="flex flex-col gap-1"
      ><span class="label">Machine</span><select
        class="field"
        value={machine?.id}
        onchange={({ currentTarget }) => (machineId = currentTarget.value)}
        >{#each shop.machines as { id, name } (id)}<option value={id}>{name}</option>{/each}</select
      ></label
    >
    <label class="flex flex-col gap-1"
      ><span class="label">From</span><input
        type="datetime-local"
        class="field"
        bind:value={away.from}
      /></label
    >
    <label class="flex flex-col gap-1"
      ><span class="label">Back</span><input
        type="datetime-local"
        class="field"
        bind:value={away.to}
      /></label
    >
    <button
      type="button"
      class="button"
      disabled={!machine || !away.from || !(away.to > away.from)}
      onclick={() =>
        machine && onchange({ ...workroom, away: [...workroom.away, { machineId: machine.id, ...away }] })}
      ><Plus size={18} aria-hidden="true" />Away</button
    >
  </div>
  <div class="mt-5 flex justify-end">
    <button type="button" class="button button-main" onclick={onclose}>Done</button>
  </div>
</DialogFrame>
