<script lang="ts">
  import { report } from '../report';
  import EmptyState from '$lib/ui/EmptyState.svelte';
  import { goto } from '$app/navigation';
  import type { DocumentError } from '$lib/core/documents/files';
  import { piecesToStitch } from '$lib/core/documents/order';
  import {
    bringInDemo,
    freshId,
    importOrder,
    live,
    newOrder,
    shelfRows,
    ordersWithProgress,
    putAway as putAwayDocument
  } from '$lib/data';
  import UndoBar from '../UndoBar.svelte';
  import { keepEdit } from '../undo';
  import KeptPictures from '../KeptPictures.svelte';
  import { ordersCsv } from '$lib/files';
  import { download, fileName } from '$lib/ui/files';
  import OpenFile from '$lib/ui/OpenFile.svelte';
  import { Archive, ArchiveRestore } from '@lucide/svelte';
  import { format, parseISO } from 'date-fns';

  const table = live(() => null, ordersWithProgress);
  let showAway = $state(false);
  let refused = $state('');
  const shown = $derived(
    (table.value ?? []).filter(({ order }) => (order.putAwayAt !== undefined) === showAway)
  );
  const away = $derived((table.value ?? []).filter(({ order }) => order.putAwayAt !== undefined).length);

  async function add(): Promise<void> {
    const now = new Date();
    const order = await newOrder(
      freshId(),
      'New order',
      format(now, "yyyy-MM-dd'T'HH:mm"),
      now.toISOString()
    );
    await goto(`/orders/${order.id}?tab=pieces`);
  }
  async function asCsv(): Promise<void> {
    const names = new Map((await shelfRows()).map(({ id, name }) => [id, name]));
    const rows = ordersCsv(
      shown.map(({ order }) => order),
      (id) => names.get(id) ?? id
    );
    download(fileName('orders', 'csv'), rows, 'text/csv');
  }
  async function open(text: string): Promise<DocumentError | null> {
    const read = await importOrder(text, freshId(), new Date().toISOString());
    if (!read.ok) return read.error;
    await goto(`/orders/${read.order.id}`);
    return null;
  }
  async function bringDemo(): Promise<void> {
    try {
      await bringInDemo();
    } catch (error) {
      report(error, 'The demo could not be brought in.');
    }
  }
  async function putAway(id: string, name: string): Promise<void> {
    await keepEdit(
      putAwayDocument('order', id, true, `putting away · ${name}`),
      `“${name}” is put away.`,
      'Bring back'
    );
  }
</script>

<svelte:head><title>Orders · Jolt Step</title></svelte:head>

<div class="flex flex-wrap items-center gap-4">
  <h1 class="mr-auto text-3xl">{showAway ? 'Orders put away' : 'Orders'}</h1>
  <UndoBar />
  <a class="button" href="/week">The week</a>
  <OpenFile kind="order" onopen={open} onrefused={(why) => (refused = why)} />
  {#if shown.length > 0}<button type="button" class="button button-quiet" onclick={() => void asCsv()}
      >As CSV</button
    >{/if}
  <button type="button" class="button button-main" onclick={() => void add()}>New order</button>
</div>

{#if refused}<p class="mt-4 border-l-4 border-hands bg-hands-pale p-4" role="alert">{refused}</p>{/if}

{#if table.value?.length === 0}
  <EmptyState picture="order"
    ><p>
      No orders yet. Make one to see how many go into a hoop, how many hoopings that is and when it is done,
      or
      <button type="button" class="font-semibold underline" onclick={() => void bringDemo()}
        >bring in the demo stall</button
      >
      with its weekend order.
    </p></EmptyState
  >
{/if}

<ul class="mt-5 border-t-[1.5px] border-ink">
  {#each shown as { order, progress } (order.id)}
    {@const pieces = order.lines.reduce((sum, { quantity }) => sum + quantity, 0)}
    {@const toStitch = order.lines.reduce(
      (sum, { quantity }) => sum + piecesToStitch(quantity, order.spoilage),
      0
    )}
    <li
      class="relative grid grid-cols-[15rem_minmax(0,1fr)_11rem_13rem_auto] items-center gap-4 border-b border-rule py-3 max-[900px]:grid-cols-1"
    >
      <KeptPictures items={order.lines.map(({ itemId }) => ({ id: itemId, name: order.name }))} />
      <div>
        <h2 class="text-xl">
          <a href="/orders/{order.id}" class="after:absolute after:inset-0">{order.name}</a>
        </h2>
        <p class="text-soft">
          {order.customer || `${order.lines.length} ${order.lines.length === 1 ? 'item' : 'items'}`}
        </p>
      </div>
      <p>
        {pieces} pieces{#if toStitch > pieces}<span class="text-soft">, {toStitch} to stitch</span>{/if}
      </p>
      <p>
        {#if order.due}due <strong>{format(parseISO(order.due), 'EEE d MMM, HH:mm')}</strong>{:else}<span
            class="text-soft">no date</span
          >{/if}
        {#if progress.begun.length > 0}<br /><span class="font-bold text-needle">under way</span>{/if}
      </p>
      {#if showAway}
        <button
          type="button"
          class="button button-quiet relative"
          aria-label="Bring back {order.name}"
          onclick={() =>
            void keepEdit(putAwayDocument('order', order.id, false, `bringing back · ${order.name}`))}
          ><ArchiveRestore size={20} aria-hidden="true" /></button
        >
      {:else}
        <button
          type="button"
          class="button button-quiet relative"
          aria-label="Put away {order.name}"
          onclick={() => void putAway(order.id, order.name)}><Archive size={20} aria-hidden="true" /></button
        >
      {/if}
    </li>
  {/each}
</ul>
{#if away > 0 || showAway}
  <button type="button" class="button button-quiet mt-6" onclick={() => (showAway = !showAway)}
    >{showAway ? 'Back to the orders' : `Put away: ${away}`}</button
  >
{/if}
