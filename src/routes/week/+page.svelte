<script lang="ts">
  import EmptyState from '$lib/ui/EmptyState.svelte';
  import { formatMinutes } from '$lib/core/base/units';
  import { sayTime, secondsBetween } from '$lib/core/ordering/day';
  import { spreadOf } from '$lib/core/ordering/promise';
  import { handTasks, keptWeek, moved, orderOfLine, type Raise, withHours } from '$lib/core/ordering/week';
  import { changeOrder, changeShop, freshId, keepWeek, live, newOrder, weekTable } from '$lib/data';
  import { reservedCsv, scheduleCsv, scheduleIcs } from '$lib/files';
  import DayChart from '$lib/ui/day/DayChart.svelte';
  import { dayScenes } from '$lib/ui/day/layout';
  import { download, fileName } from '$lib/ui/files';
  import { WeekPlanning } from '$lib/workers';
  import { CalendarDays, Clock, Sheet } from '@lucide/svelte';
  import { goto } from '$app/navigation';
  import { format } from 'date-fns';
  import { onDestroy } from 'svelte';
  import KeptPictures from '../KeptPictures.svelte';
  import { keepEdit } from '../undo';
  import UndoBar from '../UndoBar.svelte';
  import AskPromise from './AskPromise.svelte';
  import MovedPanel from './MovedPanel.svelte';
  import RaisesPanel from './RaisesPanel.svelte';
  import ReservedTable from './ReservedTable.svelte';
  import RoomDialog from './RoomDialog.svelte';

  /** From the full quarter of an hour, so that the week is not planned anew at every look. */
  const now = new Date(Math.floor(Date.now() / 900_000) * 900_000);
  const from = format(now, "yyyy-MM-dd'T'HH:mm");
  const table = live(() => from, weekTable);
  const planning = new WeekPlanning();
  const spread = $derived(table.value && spreadOf(table.value.input.shop, table.value.logged, 0));
  $effect(() => {
    const found = table.value;
    if (found && spread && found.input.orders.length > 0)
      planning.follow({ input: found.input, spread, stash: found.stash, measured: found.measured });
  });
  onDestroy(() => planning.stop());

  const week = $derived(planning.answer);
  const orders = $derived(new Map((table.value?.input.orders ?? []).map(({ order }) => [order.id, order])));
  const shown = $derived((week?.orders ?? []).filter(({ orderId }) => orders.has(orderId)));
  const tasks = $derived(week ? handTasks(week.plan, secondsBetween(from, from), 6) : []);
  const nameOf = (orderId: string | null): string => (orderId && orders.get(orderId)?.name) || '';
  const scenes = $derived(
    week
      ? dayScenes(week.plan, from, (id) => {
          const hooping = week.plan.hoopings.find((each) => each.id === id);
          if (!hooping) return [''];
          const order = nameOf(orderOfLine(hooping.lineId));
          const both = order.includes(hooping.name) ? order : `${hooping.name}, ${order}`;
          return [both, hooping.name, hooping.name.split(' ').at(-1) ?? ''];
        })
      : []
  );
  /** The week as it stands now, beside what was told last. */
  const fresh = $derived(week && table.value && !planning.working ? keptWeek(table.value.input, week) : null);
  const told = $derived(fresh && table.value?.kept ? moved(table.value.kept, fresh) : null);
  $effect(() => {
    if (!fresh || !table.value) return;
    const { kept } = table.value;
    // What moved stays told until it was seen; what hands do next is always the newest.
    const next = kept && told && told.moves.length > 0 ? { ...kept, tasks: fresh.tasks } : fresh;
    if (JSON.stringify(next) !== JSON.stringify(kept)) void keepWeek(next);
  });
  const reserved = $derived(week?.reserved ?? []);
  let settingHours = $state(false);
  async function makeOrder(itemId: string, count: number): Promise<void> {
    const line = { itemId, count, spare: true };
    const made = await newOrder(freshId(), 'New order', from, new Date().toISOString(), line);
    await goto(`/orders/${made.id}?tab=pieces`);
  }
  /** Something made for its own sake is planned beside the orders, with nobody waiting for it. */
  async function intoWeek(itemId: string, count: number): Promise<void> {
    const name = table.value?.shelf.find(({ id }) => id === itemId)?.name ?? 'An item';
    const words = count === 1 ? name : `${count} × ${name}`;
    await newOrder(freshId(), words, from, new Date().toISOString(), { itemId, count, spare: false });
  }
  /** The order whose chance is to be raised. */
  let asked = $state<string | null>(null);
  /** An order as sure as this needs no help. */
  const SURE = 0.95;
  function take(raise: Raise): void {
    if (raise.do === 'leave')
      void keepEdit(
        changeOrder(raise.orderId, (order) => ({ ...order, from: raise.from })),
        `“${nameOf(raise.orderId)}” waits.`
      );
    else if (raise.do === 'hours')
      void keepEdit(changeShop((shop) => withHours(shop, raise), 'the hours of the workroom'));
  }
  let chosen = $state<string | null>(null);
  const picked = $derived(week?.plan.hoopings.find(({ id }) => id === chosen));
  const percent = (share: number): string => `${Math.round(share * 100)} %`;
  const WHEN = ['Now', 'Next', 'Then'];
</script>

<svelte:head><title>Week · Jolt Step</title></svelte:head>

{#snippet ask()}
  {#if table.value && spread && table.value.shelf.length > 0 && (week || table.value.input.orders.length === 0)}
    <AskPromise
      input={table.value.input}
      {spread}
      shelf={table.value.shelf}
      onorder={(itemId, count) => void makeOrder(itemId, count)}
      onweek={(itemId, count) => void intoWeek(itemId, count)}
    />
  {/if}
{/snippet}

<div class="flex flex-wrap items-center gap-4">
  <h1 class="mr-auto text-3xl">Week</h1>
  {#if planning.working}<p class="text-soft" role="status">planning all orders together</p>{/if}
  {#if planning.failed}<p class="border-l-4 border-hands bg-hands-pale px-3 py-1.5" role="alert">
      The week was not planned anew. {planning.failed}
    </p>{/if}
  <UndoBar />
  {#if table.value}<button type="button" class="button" onclick={() => (settingHours = true)}
      ><Clock size={20} aria-hidden="true" />Hours, days off</button
    >{/if}
  {#if week}<button
      type="button"
      class="button"
      onclick={() => download(fileName('week', 'csv'), scheduleCsv(week.plan, from), 'text/csv')}
      ><Sheet size={20} aria-hidden="true" />As CSV</button
    ><button
      type="button"
      class="button"
      onclick={() =>
        download(fileName('week', 'ics'), scheduleIcs(week.plan, from, 'The week'), 'text/calendar')}
      ><CalendarDays size={20} aria-hidden="true" />Into a calendar</button
    >{/if}
</div>

{#if table.value && table.value.input.orders.length === 0}
  <EmptyState picture="week"
    ><p>
      No order is open. <a class="underline" href="/orders">Make one</a>, or put an item into the week below,
      and it shows what your hands do now, next and then, on which machine, and what you can promise.
    </p></EmptyState
  >
{/if}

{#if told && told.moves.length > 0 && fresh && table.value?.kept}
  <MovedPanel moved={told} since={table.value.kept.at} onseen={() => void keepWeek(fresh)} />
{/if}

{#each table.value?.input.busy ?? [] as { machineId, name, seconds }, at (`${machineId} ${at}`)}
  <p class="mt-2 text-soft">
    {table.value?.input.shop.machines.find(({ id }) => id === machineId)?.name ?? 'A machine'}: {name} is under
    way, about {formatMinutes(seconds)} left. The orders wait for it there.
  </p>
{/each}
{#if week}
  {#each week.plan.problems as problem (problem)}
    <p class="mt-2 border-l-4 border-hands bg-hands-pale px-3 py-1.5" role="alert">{problem}</p>
  {/each}
  <div class="mt-4 grid grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)] gap-8 max-[1000px]:grid-cols-1">
    <section aria-labelledby="hands">
      <h2 id="hands" class="text-xl">For your hands</h2>
      <ol class="mt-2 border-t-[1.5px] border-ink">
        {#each tasks as task, at (`${task.from}-${task.title}-${at}`)}
          <li
            class="grid grid-cols-[4.5rem_minmax(0,1fr)_auto] items-baseline gap-3 border-b border-rule py-2"
          >
            <span class="head {at === 0 ? 'text-hands' : 'text-soft'}">{WHEN[at] ?? ''}</span>
            <span
              ><span class={at < 3 ? 'text-lg font-bold' : ''}>{task.title}</span><br /><span
                class="text-soft"
                >{[nameOf(task.orderId), task.station ?? 'at the table'].filter(Boolean).join(' · ')}</span
              ></span
            >
            <span class="text-right text-soft"
              >{sayTime(from, task.from)}<br />{formatMinutes(task.to - task.from)}</span
            >
          </li>
        {/each}
      </ol>
      {#if tasks.length === 0}<p class="mt-2 text-lg">Nothing is left for the hands.</p>{/if}
    </section>
    <section aria-labelledby="promises">
      <h2 id="promises" class="text-xl">What can be promised</h2>
      <ul class="mt-2 border-t-[1.5px] border-ink">
        {#each shown as { orderId, name, finish, due, fourInFive, chance } (orderId)}
          {@const order = orders.get(orderId)}
          <li class="grid grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-4 border-b border-rule py-2">
            <KeptPictures
              items={(order?.lines ?? []).map(({ itemId }) => ({ id: itemId, name }))}
              size="3rem"
              most={2}
            />
            <span
              ><a class="text-lg font-bold underline" href="/orders/{orderId}">{name}</a><br />
              <span class="text-soft"
                >planned {sayTime(from, finish)}{due === null ? '' : `, due ${sayTime(from, due)}`}</span
              ></span
            >
            <span class="flex items-center gap-4 text-right">
              {#if chance !== null}
                {#if chance < SURE}<button
                    type="button"
                    class="button"
                    aria-pressed={asked === orderId}
                    aria-label="What would help {name}?"
                    onclick={() => (asked = orderId)}>What would help?</button
                  >{/if}
                <span
                  ><span
                    class="head text-xl {chance < 0.5
                      ? 'text-hands'
                      : chance < 0.8
                        ? 'text-warn'
                        : 'text-needle'}">{percent(chance)}</span
                  ><br /><span class="text-sm text-soft">in time</span></span
                >
              {:else if fourInFive !== null}<span class="text-soft"
                  >{sayTime(from, fourInFive)},<br />four times in five</span
                >{/if}
            </span>
          </li>
        {/each}
      </ul>
      {#if asked && orders.has(asked) && table.value && spread}
        <RaisesPanel
          input={table.value.input}
          {spread}
          order={{ id: asked, name: nameOf(asked) }}
          {nameOf}
          ontake={take}
          onclose={() => (asked = null)}
        />
      {/if}
      {@render ask()}
    </section>
  </div>
  <section class="mt-6" aria-label="Machines and hands, day by day">
    {#each scenes as scene (scene.day)}
      <div class="mb-2">
        <h2 class="text-lg">{scene.name}</h2>
        <DayChart {scene} {chosen} onchoose={(id) => (chosen = id)} />
      </div>
    {/each}
    {#if picked}
      <p class="text-lg">
        <strong>{picked.name}</strong>, {picked.copies}
        {picked.copies === 1 ? 'copy' : 'copies'} for
        <a class="underline" href="/orders/{orderOfLine(picked.lineId)}?tab=day"
          >{nameOf(orderOfLine(picked.lineId))}</a
        >: {sayTime(from, picked.from)} to {sayTime(from, picked.to)}.
      </p>
    {/if}
  </section>
  {#if reserved.length > 0 && table.value}
    <ReservedTable rows={reserved} {nameOf} {from} unit={table.value.input.shop.unit} />
    <button
      type="button"
      class="button mt-3"
      onclick={() => download(fileName('from the stash', 'csv'), reservedCsv(reserved, nameOf), 'text/csv')}
      ><Sheet size={20} aria-hidden="true" />This as CSV</button
    >
  {/if}
{/if}
{#if !week}{@render ask()}{/if}
{#if settingHours && table.value}
  <RoomDialog
    shop={table.value.input.shop}
    room={table.value.input.room}
    onchange={(workroom) =>
      void keepEdit(changeShop((shop) => ({ ...shop, workroom }), 'the hours of the workroom'))}
    onclose={() => (settingHours = false)}
  />
{/if}
