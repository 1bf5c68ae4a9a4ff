<script lang="ts">
  import EmptyState from '$lib/ui/EmptyState.svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import type { Order } from '$lib/core/documents/order';
  import { type PlannedHooping, sayTime } from '$lib/core/ordering/day';
  import { spreadOf } from '$lib/core/ordering/promise';
  import UndoBar from '../../UndoBar.svelte';
  import { keepEdit } from '../../undo';
  import { changeOrder, clientId, freshId, live, orderTable, prepareHooping } from '$lib/data';
  import { downloadJson } from '$lib/ui/files';
  import TabBar from '$lib/ui/TabBar.svelte';
  import Times from '$lib/ui/Times.svelte';
  import { BatchPlanning } from '$lib/workers';
  import { Tabs } from 'bits-ui';
  import { format, parseISO } from 'date-fns';
  import { onDestroy } from 'svelte';
  import { toast } from 'svelte-sonner';
  import AfterTab from './AfterTab.svelte';
  import DayTab from './DayTab.svelte';
  import HoopingsTab from './HoopingsTab.svelte';
  import PiecesTab from './PiecesTab.svelte';
  import PromisePanel from './PromisePanel.svelte';
  import PrepareTab from './PrepareTab.svelte';
  import QuoteTab from './QuoteTab.svelte';

  const TABS = [
    ['pieces', 'Pieces'],
    ['hoopings', 'Hoopings'],
    ['day', 'Day'],
    ['prepare', 'Prepare'],
    ['quote', 'Quote'],
    ['after', 'Afterwards']
  ] as const;

  const stored = live(
    () => page.params.id ?? '',
    async (id) => ({ table: await orderTable(id) })
  );
  const table = $derived(stored.value?.table);
  const order = $derived(table?.order);
  const planning = new BatchPlanning();
  $effect(() => {
    if (table && table.order.lines.length > 0) planning.follow(table.input);
  });
  onDestroy(() => planning.stop());
  /** A plan of lines that are gone is none of this order. */
  const plan = $derived(
    planning.plan?.lines.every(({ lineId }) => order?.lines.some(({ id }) => id === lineId)) &&
      (order?.lines.length ?? 0) > 0
      ? planning.plan
      : null
  );
  const from = $derived(table?.input.order.from ?? '');
  const wanted = $derived(
    page.url.searchParams.get('tab') ?? (order && order.lines.length > 0 ? 'day' : 'pieces')
  );
  const show = (tab: string): void =>
    void goto(`?tab=${tab}`, { replaceState: true, noScroll: true, keepFocus: true });

  const change = (to: (order: Order) => Order, said?: string): void => {
    if (order) void keepEdit(changeOrder(order.id, to), said);
  };
  async function stitch(hooping: PlannedHooping): Promise<void> {
    if (hooping.runId) return goto(`/run/${hooping.runId}`);
    if (!table || !plan) return;
    // A shared hoop that is not begun begins with the first of its items.
    const first = plan.hoopings.find(({ id }) => id === hooping.shared?.parts[0]?.hoopingId);
    const begins = first && first.runId === null ? first : hooping;
    const run = await prepareHooping(table, begins, freshId(), Date.now(), clientId());
    if (run) await goto(`/run/${run}`);
    else toast.error('The item, machine or hoop of this hooping is gone. Plan anew.');
  }
  const planNow = (): void => change((now) => ({ ...now, from: format(new Date(), "yyyy-MM-dd'T'HH:mm") }));
  const past = $derived(from !== '' && from < format(new Date(), "yyyy-MM-dd'T'HH:mm"));
  const late = $derived(plan && plan.due !== null && plan.finish > plan.due);
</script>

<svelte:head><title>{order?.name ?? 'Order'} · Jolt Step</title></svelte:head>

{#if order && table}
  <Tabs.Root value={wanted} onValueChange={show}>
    <div class="flex flex-wrap items-baseline gap-x-5 gap-y-1">
      <h1 class="text-3xl">{order.name}</h1>
      <p class="text-soft">
        {order.lines.reduce((sum, { quantity }) => sum + quantity, 0)} pieces
        {#if order.due}· due {format(parseISO(order.due), 'EEEE d MMM HH:mm')}{/if}
      </p>
      <div class="ml-auto flex">
        <UndoBar />
        <button type="button" class="button button-quiet" onclick={() => downloadJson(order.name, order)}
          >Order file</button
        >
      </div>
    </div>
    {#if plan}
      <div class="mt-2 flex flex-wrap items-baseline gap-x-8 gap-y-1">
        <Times hands={plan.hands} needle={plan.needle} waiting={plan.waiting} />
        <p>
          {#if plan.hoopings.length === 0}
            <strong>Everything is stitched.</strong>
          {:else}
            <strong class={late ? 'text-hands' : ''}>done {sayTime(from, plan.finish)}</strong>
            <span class="text-soft"
              >· {plan.finish - plan.bound.finish < 60
                ? 'nothing could end it sooner'
                : `the earliest possible end is ${sayTime(from, plan.bound.finish)}`}</span
            >
          {/if}
        </p>
        {#if planning.working}
          <p class="ml-auto flex items-center gap-3 text-soft" role="status">
            looking for a better plan
            <button type="button" class="button" onclick={() => planning.stop()}>Stop here</button>
          </p>
        {:else if past && plan.hoopings.length > 0}
          <p class="ml-auto flex items-center gap-3 text-soft">
            planned from {format(parseISO(from), 'EEE d MMM HH:mm')}
            <button type="button" class="button" onclick={planNow}>Plan from now</button>
          </p>
        {/if}
      </div>
      {#each plan.problems as problem (problem)}
        <p class="mt-2 border-l-4 border-hands bg-hands-pale px-3 py-1.5" role="alert">{problem}</p>
      {/each}
    {:else if planning.failed}
      <p class="mt-2 border-l-4 border-hands bg-hands-pale px-3 py-1.5" role="alert">
        This order was not planned. {planning.failed}
      </p>
    {:else if order.lines.length > 0}
      <p class="mt-2 text-soft" role="status">Planning …</p>
    {/if}
    <div class="mt-3"><TabBar label="Parts of the order" tabs={TABS} /></div>

    <!-- Only the chosen part is there: the others look for layouts of their own. -->
    <Tabs.Content value={wanted} class="mt-4">
      {#if wanted === 'pieces'}<PiecesTab {order} {plan} {table} onchange={change} />
      {:else if wanted === 'after'}<AfterTab {order} {table} />
      {:else if !plan}
        {#if order.lines.length === 0}
          <EmptyState picture="order"
            ><p>
              Choose what is ordered first, under
              <button type="button" class="font-semibold underline" onclick={() => show('pieces')}
                >Pieces</button
              >.
            </p></EmptyState
          >
        {/if}
      {:else if wanted === 'hoopings'}
        <HoopingsTab {order} {plan} {table} onchange={change} onstitch={(hooping) => void stitch(hooping)} />
      {:else if wanted === 'prepare'}<PrepareTab {order} {plan} {table} />
      {:else if wanted === 'quote'}<QuoteTab {order} {plan} {table} onchange={change} />
      {:else}
        <DayTab
          {plan}
          {from}
          hoops={table.input.shop.hoops}
          name={order.name}
          onstitch={(hooping) => void stitch(hooping)}
        />
        {#if plan.hoopings.length > 0}<PromisePanel
            input={table.input}
            spread={spreadOf(table.input.shop, table.logged, order.spoilage)}
            {from}
          />{/if}
      {/if}
    </Tabs.Content>
  </Tabs.Root>
{:else if stored.value}
  <h1 class="text-3xl">There is no such order.</h1>
  <a href="/orders" class="button mt-6">To the orders</a>
{/if}
