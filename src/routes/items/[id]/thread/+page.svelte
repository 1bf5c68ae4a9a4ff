<script lang="ts">
  import { formatThread } from '$lib/core/base/units';
  import { savePdf } from '../../../savePdf';
  import { page } from '$app/state';
  import { editStop, type Item } from '$lib/core/documents/item';
  import { defaultSetup, type Setup, type Shop } from '$lib/core/documents/shop';
  import type { ThreadEntry } from '$lib/core/documents/stash';
  import { chooseSpool, putBobbins, threadNeeds, USUAL } from '$lib/core/preparing/threads';
  import { needleHours } from '$lib/core/running/runs';
  import { mayStitchNow } from '$lib/core/solvers/stopOrder';
  import { stopList } from '$lib/core/stitching/thread';
  import { changeItem, changeSetup, changeShop, live, threadTable } from '$lib/data';
  import { carried } from '$lib/core/documents/changes';
  import { keepEdit } from '../../../undo';
  import UndoBar from '../../../UndoBar.svelte';
  import { fileName } from '$lib/ui/files';
  import ItemHeader from '$lib/ui/ItemHeader.svelte';
  import BobbinBand from '$lib/ui/ribbon/BobbinBand.svelte';
  import { ribbonSteps } from '$lib/core/making/summary';
  import { ribbonSeconds } from '$lib/ui/ribbon/layout';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import { needleSheetPdfInWorker, ThreadPlanning } from '$lib/workers';
  import { LoaderCircle } from '@lucide/svelte';
  import TabBar from '$lib/ui/TabBar.svelte';
  import { Tabs } from 'bits-ui';
  import { onDestroy } from 'svelte';
  import BobbinPanel from './BobbinPanel.svelte';
  import NeedlesPanel from './NeedlesPanel.svelte';
  import OrderPanel from './OrderPanel.svelte';
  import TestStitch from './TestStitch.svelte';
  import ThreadsPanel from './ThreadsPanel.svelte';

  const table = live(
    () => page.params.id ?? '',
    async (id) => ({ found: await threadTable(id) })
  );
  const found = $derived(table.value?.found);
  const setup = $derived(found && (found.setup ?? defaultSetup(found.item, found.shop)));
  const anyHidden = $derived(found?.shop.schools['hidden-threads'] !== 'chart');
  const planning = new ThreadPlanning();
  $effect(() => {
    if (found && setup)
      planning.follow({ item: found.item, setup, shop: found.shop, anyHidden, measured: found.measured });
  });
  onDestroy(() => planning.stop());
  const made = $derived(planning.made?.plan.itemId === found?.item.id ? planning.made : null);

  const now = $derived(made ? ribbonSteps(made.plan.steps) : []);
  const better = $derived(made?.order.better ? ribbonSteps(made.order.better.plan.steps) : []);
  const full = $derived(Math.max(ribbonSeconds(now), ribbonSeconds(better)));
  const saved = $derived.by(() => {
    const after = made?.order.better?.plan;
    const hands = (plan: NonNullable<typeof made>['plan']): number =>
      plan.totals.hands.value + plan.totals.needle.value;
    return made && after ? hands(made.plan) - hands(after) : 0;
  });
  const palette = $derived(
    (found?.stash ?? []).filter((entry): entry is ThreadEntry => entry.what === 'thread')
  );
  const needs = $derived(
    made && setup ? threadNeeds(made.plan, setup.copies, made.bobbins, found?.stash ?? [], made.heads) : []
  );
  const machine = $derived(found?.shop.machines.find(({ id }) => id === made?.plan.machine.id));
  const hours = $derived(machine && found ? needleHours(found.needles, machine) : []);
  const colourOf = (colour: string): string =>
    colour === USUAL
      ? '#ece7db'
      : (made?.plan.threads.find(({ thread }) => thread.id === colour)?.thread.colour ?? '#ece7db');
  const stepOf = (id: string): NonNullable<typeof made>['plan']['steps'][number] | undefined =>
    made?.plan.steps.find((step) => step.id === id);

  let picked = $state<string | null>(null);
  let tab = $state('order');
  /** With the thread that is on at the picked step: what may be stitched, everything before it being done. */
  const mayNow = $derived.by(() => {
    const at = made?.plan.steps.findIndex(({ id }) => id === picked) ?? -1;
    if (!made || at < 0) return null;
    const before = made.plan.steps.slice(0, at + 1);
    const thread = before.findLast((step) => step.thread !== null)?.thread;
    if (!thread) return null;
    const steps = new Set(before.map(({ id }) => id));
    const done = new Set(
      made.order.tasks.filter((task) => task.steps.every(({ id }) => steps.has(id))).map(({ id }) => id)
    );
    const after = before.at(-1);
    const numbers = (ids: readonly string[]): number[] =>
      ids.flatMap((id) => stepOf(id)?.stop?.machineNumber ?? []);
    const may = mayStitchNow(made.order.tasks, done, thread.id).map(({ id, first }) => ({
      number: numbers([id])[0] ?? 0,
      first: numbers(first)
    }));
    return { thread, after: after ? `step ${after.number}` : '', may };
  });

  function edit(change: (item: Item) => Item, said: string): void {
    if (found) void keepEdit(changeItem(found.item.id, change), said);
  }
  const set = (change: Partial<Setup>): void => {
    if (found) void keepEdit(changeSetup(found.item.id, (now) => ({ ...now, ...change })));
  };
  const setShop = (change: (shop: Shop) => Shop): void => void keepEdit(changeShop(change));
  function setMachine(change: Partial<NonNullable<typeof machine>>): void {
    const id = machine?.id;
    setShop((now) => ({
      ...now,
      machines: now.machines.map((each) => (each.id === id ? { ...each, ...change } : each))
    }));
  }
  function setMetres(bobbinId: string, metres: number): void {
    setShop((now) => ({
      ...now,
      bobbins: now.bobbins.map((kind) => (kind.id === bobbinId ? { ...kind, metres } : kind))
    }));
  }
  const putOnSheet = (changes: Parameters<typeof putBobbins>[1]): void =>
    edit((item) => putBobbins(item, changes), 'The bobbins stand on the sheet.');
  async function print(): Promise<void> {
    if (!made) return;
    await savePdf(
      fileName(`${made.plan.itemName} run sheet`, 'pdf'),
      needleSheetPdfInWorker($state.snapshot(made.needles), $state.snapshot(made.plan))
    );
  }
</script>

<svelte:head><title>Thread · {found?.item.name ?? ''} · Jolt Step</title></svelte:head>

{#if found && setup && made}
  <ItemHeader plan={made.plan}><UndoBar /></ItemHeader>
  <div class="mt-3"><TestStitch item={found.item} shop={found.shop} /></div>
  {#if planning.failed}<p class="mt-3 border-l-4 border-hands bg-hands-pale px-3 py-1.5" role="alert">
      The threads were not planned anew. {planning.failed}
    </p>{/if}
  <div aria-busy={planning.working}>
    <div class="mt-3 flex min-h-7 flex-wrap items-baseline gap-x-3">
      <h2 class="text-lg">As the sheet stands</h2>
      <p class="text-soft">
        {made.order.now.threads}
        {made.order.now.threads === 1 ? 'thread' : 'threads'} put on. Below it the bobbin, {formatThread(
          made.plan.bobbin.metres,
          made.plan.unit,
          true
        )} when full.
      </p>
      {#if planning.working}<span class="ml-auto flex items-center gap-2 text-soft" role="status"
          ><LoaderCircle size={18} class="animate-spin" aria-hidden="true" />planning</span
        >{/if}
    </div>
    <Ribbon
      steps={now}
      label="As the sheet stands"
      selected={picked ?? undefined}
      onselect={(id) => (picked = id)}
      fullSeconds={full}
    />
    <BobbinBand
      steps={now}
      levels={made.bobbins.levels}
      changes={made.bobbins.changes}
      capacity={made.bobbins.capacity}
      {colourOf}
      fullSeconds={full}
      label="The bobbin emptying stop by stop; the list under Bobbins says the same in words"
    />
    {#if made.order.better}
      <h2 class="mt-2 text-lg">
        In another order
        <span class="font-normal text-soft"
          >{made.order.better.cost.threads} put on: {made.order.now.threads - made.order.better.cost.threads} fewer</span
        >
      </h2>
      <Ribbon steps={better} label="In another order" fullSeconds={full} />
    {/if}
    <p class="min-h-7" aria-live="polite">
      {#if mayNow}
        With <strong>{mayNow.thread.name}</strong> on after {mayNow.after},
        {#if mayNow.may.length > 0}
          you may stitch now: {mayNow.may
            .map(
              ({ number, first }) => `stop ${number}${first.length > 0 ? ` (after ${stopList(first)})` : ''}`
            )
            .join(', ')}.
        {:else}nothing more may be stitched with it.{/if}
      {:else}<span class="text-soft"
          >Choose a step in the upper band: what may be stitched with the thread that is on stands here.</span
        >{/if}
    </p>
    <Tabs.Root bind:value={tab} class="mt-2">
      <TabBar
        label="Parts of the thread plan"
        tabs={[
          ['order', 'Order'],
          ['bobbins', 'Bobbins'],
          ['threads', 'Threads'],
          ['needles', 'Needles']
        ]}
      />
      <Tabs.Content value="order" class="pt-4">
        <OrderPanel
          order={made.order}
          plan={made.plan}
          {saved}
          {anyHidden}
          numberOf={(id) => stepOf(id)?.stop?.machineNumber ?? null}
          nameOf={(id) => stepOf(id)?.title.toLowerCase() ?? ''}
          onhidden={(any) =>
            setShop((now) => ({
              ...now,
              schools: { ...now.schools, 'hidden-threads': any ? 'any' : 'chart' }
            }))}
          onapart={(id, apart) => {
            const stopId = stepOf(id)?.stop?.stopId;
            if (stopId !== undefined)
              edit(
                (item) => editStop(item, stopId, { apart }),
                apart ? 'It may come in any order.' : 'It keeps its place.'
              );
          }}
          ontake={() => {
            const order = made.order.better;
            const shown = found.item;
            if (order) edit((now) => carried(shown, order.item, now), 'The sheet follows the new order.');
          }}
        />
      </Tabs.Content>
      <Tabs.Content value="bobbins" class="pt-4">
        <BobbinPanel
          bobbins={made.bobbins}
          wind={made.wind}
          heads={made.heads}
          plan={made.plan}
          kinds={found.shop.bobbins}
          usual={setup.bobbin}
          on={setup.bobbinOn}
          {colourOf}
          onkind={(bobbinKind) => set({ bobbinKind })}
          onmetres={(metres) => setMetres(made.plan.bobbin.id, metres)}
          onon={(bobbinOn) => set({ bobbinOn })}
          onput={() => putOnSheet(made.bobbins.changes)}
        />
      </Tabs.Content>
      <Tabs.Content value="threads" class="pt-4">
        <ThreadsPanel
          item={found.item}
          plan={made.plan}
          {needs}
          {palette}
          {setup}
          together={made.together}
          onspool={(threadId, entry) =>
            void keepEdit(changeSetup(found.item.id, (now) => chooseSpool(now, threadId, entry)))}
          onthread={(stopId, threadId) =>
            edit((item) => editStop(item, stopId, { threadId }), 'The stop has another thread.')}
        />
      </Tabs.Content>
      <Tabs.Content value="needles" class="pt-4">
        <NeedlesPanel
          sheet={made.needles}
          plan={made.plan}
          {hours}
          most={found.shop.needleHours}
          on={machine?.threaded ?? []}
          onfresh={(needle) =>
            setMachine({
              needleFitted: { ...machine?.needleFitted, [String(needle)]: new Date().toISOString() }
            })}
          onthreaded={() => {
            const before = machine?.threaded ?? [];
            setMachine({
              threaded: made.needles.needles.map(({ thread }, at) =>
                thread ? { name: thread.name, colour: thread.colour } : (before[at] ?? null)
              )
            });
          }}
          onprint={() => void print()}
        />
      </Tabs.Content>
    </Tabs.Root>
  </div>
{:else if found}
  <h1 class="text-3xl">{found.item.name}</h1>
  <p class="mt-4 flex items-center gap-2 text-soft" role="status">
    {#if planning.failed}The threads could not be planned. Look at the sheet for steps that wait for each
      other.{:else}<LoaderCircle size={20} class="animate-spin" aria-hidden="true" />Planning the threads{/if}
  </p>
{:else if table.value}
  <h1 class="text-3xl">There is no such item.</h1>
  <a href="/items" class="button mt-6">To the shelf</a>
{/if}
