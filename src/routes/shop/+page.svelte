<script lang="ts">
  import { changeShop, freshId, getShop, isKept, live } from '$lib/data';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import { formatDuration } from '$lib/core/base/units';
  import {
    DEFAULT_HAND_TIMES,
    HAND_TIME_KEYS,
    handTimeLabel,
    type Hoop,
    type Machine,
    Shop
  } from '$lib/core/documents/shop';
  import { Plus } from '@lucide/svelte';
  import AsidePanel from '../AsidePanel.svelte';
  import BackupPanel from '../BackupPanel.svelte';
  import UndoBar from '../UndoBar.svelte';
  import { keepEdit } from '../undo';
  import { FIELDS } from './fields';
  import HoopRow from './HoopRow.svelte';
  import MachineRow from './MachineRow.svelte';

  const stored = live(() => null, getShop);
  const shop = $derived(stored.value);
  const kept = live(() => stored.value, isKept);
  let problem = $state('');

  /** Stores a change of the shop when it stays whole; a wrong answer is said and nothing changes. */
  async function keep(change: (shop: Shop) => Shop, said?: string): Promise<void> {
    if (!shop) return;
    const checked = Shop.safeParse(change(shop));
    if (!checked.success) {
      const issue = checked.error.issues[0];
      const field = String(issue?.path.findLast((part) => typeof part === 'string') ?? '');
      problem = `${FIELDS[field] ?? 'This'} is not kept: ${issue?.message.toLowerCase() ?? 'it does not fit'}. What was there before still holds.`;
      return;
    }
    problem = '';
    await keepEdit(changeShop(change), said);
  }

  const setMachine = (id: string, change: Partial<Machine>): void =>
    void keep((now) => ({
      ...now,
      machines: now.machines.map((machine) => (machine.id === id ? { ...machine, ...change } : machine))
    }));
  const setHoop = (id: string, change: Partial<Hoop>): void =>
    void keep((now) => ({
      ...now,
      hoops: now.hoops.map((hoop) => (hoop.id === id ? { ...hoop, ...change } : hoop))
    }));
</script>

<svelte:head><title>Shop · Jolt Step</title></svelte:head>

{#if shop}
  <div class="flex items-center gap-4">
    <h1 class="mr-auto text-3xl">Shop</h1>
    <UndoBar />
  </div>
  {#if problem}<p class="mt-3 border-l-4 border-hands bg-hands-pale p-3" role="alert">{problem}</p>{/if}

  <section class="mt-5 flex flex-wrap gap-8" aria-label="Units">
    <div class="flex flex-col gap-1">
      <label class="label" for="shop-name">Name</label>
      <input
        id="shop-name"
        class="field w-80"
        value={shop.name}
        onchange={(event) => {
          const name = event.currentTarget.value;
          void keep((now) => ({ ...now, name }));
        }}
      />
    </div>
    <fieldset>
      <legend class="label">Lengths</legend>
      {#each [['mm', 'Millimetres'], ['in', 'Inches']] as const as [unit, words] (unit)}
        <label class="mr-5 inline-flex min-h-11 items-center gap-2"
          ><input
            type="radio"
            name="unit"
            class="size-5"
            checked={shop.unit === unit}
            onchange={() => void keep((now) => ({ ...now, unit }))}
          />{words}</label
        >
      {/each}
    </fieldset>
    <fieldset>
      <legend class="label">Cut sizes round up to</legend>
      {#each [['5mm', '5 mm'], ['quarter-inch', '¼ in']] as const as [rounding, words] (rounding)}
        <label class="mr-5 inline-flex min-h-11 items-center gap-2"
          ><input
            type="radio"
            name="rounding"
            class="size-5"
            checked={shop.rounding === rounding}
            onchange={() => void keep((now) => ({ ...now, rounding }))}
          />{words}</label
        >
      {/each}
    </fieldset>
    <label class="flex flex-col gap-1"
      ><span class="label">Who works here, if several</span><input
        class="field w-60"
        placeholder="names, with commas"
        value={(shop.people ?? []).join(', ')}
        onchange={(event) => {
          const people = event.currentTarget.value
            .split(',')
            .map((name) => name.trim())
            .filter(Boolean);
          void keep((now) => ({ ...now, people }));
        }}
      /></label
    >
    <LengthField
      label="Your cuts stray by"
      unit={shop.unit}
      value={shop.cutAccuracy}
      onchange={(cutAccuracy) => void keep((now) => ({ ...now, cutAccuracy }))}
    />
  </section>

  <section class="mt-8" aria-labelledby="machines">
    <div class="flex items-baseline gap-4">
      <h2 id="machines" class="text-2xl">Machines</h2>
      <a href="/machine" class="inline-flex min-h-11 items-center underline">Stand-in machine</a>
    </div>
    <ul class="mt-2 border-t-[1.5px] border-ink">
      {#each shop.machines as machine (machine.id)}
        <MachineRow
          {machine}
          unit={shop.unit}
          only={shop.machines.length === 1}
          onset={(change) => setMachine(machine.id, change)}
          onremove={() =>
            void keep(
              (now) => ({ ...now, machines: now.machines.filter(({ id }) => id !== machine.id) }),
              `${machine.name} is gone from the shop.`
            )}
        />
      {/each}
    </ul>
    <button
      type="button"
      class="button button-quiet mt-1"
      onclick={() =>
        void keep((now) => ({
          ...now,
          machines: [
            ...now.machines,
            {
              id: freshId(),
              name: 'New machine',
              needles: 1,
              heads: 1,
              setSpm: 600,
              maxSpm: 800,
              paceSpm: null,
              trimmer: true
            }
          ]
        }))}><Plus size={20} aria-hidden="true" />Add a machine</button
    >
  </section>

  <section class="mt-8" aria-labelledby="hoops">
    <h2 id="hoops" class="text-2xl">Hoops</h2>
    <p class="text-soft">
      The field is what the needle reaches; the ring, measured outside, decides how much stabiliser to cut.
    </p>
    <ul class="mt-2 border-t-[1.5px] border-ink">
      {#each shop.hoops as hoop (hoop.id)}
        <HoopRow
          {hoop}
          unit={shop.unit}
          only={shop.hoops.length === 1}
          onchange={(change) => setHoop(hoop.id, change)}
          onremove={() =>
            void keep(
              (now) => ({ ...now, hoops: now.hoops.filter(({ id }) => id !== hoop.id) }),
              `${hoop.name} is gone from the shop.`
            )}
        />
      {/each}
    </ul>
    <button
      type="button"
      class="button button-quiet mt-1"
      onclick={() =>
        void keep((now) => ({
          ...now,
          hoops: [
            ...now.hoops,
            {
              id: freshId(),
              name: 'New hoop',
              field: { width: 100, height: 100 },
              ring: { width: 140, height: 140 },
              capSpm: null
            }
          ]
        }))}><Plus size={20} aria-hidden="true" />Add a hoop</button
    >
  </section>

  <section class="mt-8" aria-labelledby="hands">
    <div class="flex items-baseline gap-4">
      <h2 id="hands" class="text-2xl">Hand times</h2>
      <button
        type="button"
        class="button button-quiet"
        onclick={() =>
          void keep(
            (now) => ({ ...now, hands: { ...DEFAULT_HAND_TIMES } }),
            'Hand times are the defaults again.'
          )}>Back to the usual times</button
      >
    </div>
    <p class="text-soft">Seconds, for a practised maker. Change whatever differs for you.</p>
    <ul class="mt-2 grid grid-cols-[repeat(auto-fill,minmax(22rem,1fr))] gap-x-8 border-t-[1.5px] border-ink">
      {#each HAND_TIME_KEYS as key (key)}
        <li class="border-b border-rule">
          <label class="flex min-h-11 items-center gap-3 py-1">
            <span class="flex-1">{handTimeLabel(key)}</span>
            {#if shop.hands[key] >= 120}<span class="text-sm text-soft"
                >{formatDuration(shop.hands[key])}</span
              >{/if}
            <input
              type="number"
              min="0"
              step="any"
              class="field w-28 {shop.hands[key] === DEFAULT_HAND_TIMES[key] ? '' : 'font-bold'}"
              value={shop.hands[key]}
              onchange={(event) => {
                const seconds = event.currentTarget.valueAsNumber;
                void keep((now) => ({ ...now, hands: { ...now.hands, [key]: seconds } }));
              }}
            />
          </label>
        </li>
      {/each}
    </ul>
  </section>

  <AsidePanel />
  <BackupPanel />
  <p class="mt-2 text-soft">
    {#if kept.value === true}The browser has promised to keep what is stored here.
    {:else if kept.value === false}The browser has not promised to keep what is stored here: it may clear it
      when its disk runs short. A backup is safe from that.{/if}
  </p>
{/if}
