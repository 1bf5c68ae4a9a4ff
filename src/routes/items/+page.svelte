<script lang="ts">
  import { report } from '../report';
  import EmptyState from '$lib/ui/EmptyState.svelte';
  import UndoBar from '../UndoBar.svelte';
  import { keepEdit } from '../undo';
  import { goto } from '$app/navigation';
  import { formatSize, otherUnit } from '$lib/core/base/units';
  import type { DocumentError } from '$lib/core/documents/files';
  import {
    duplicateItem,
    freshId,
    importItem,
    live,
    bringInDemo,
    putAway as putAwayDocument,
    rawItem,
    searchShelf,
    shelfRows,
    summariesOf
  } from '$lib/data';
  import OpenFile from '$lib/ui/OpenFile.svelte';
  import ItemPicture from '$lib/ui/picture/ItemPicture.svelte';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import More from '$lib/ui/More.svelte';
  import { downloadJson } from '$lib/ui/files';
  import Times from '$lib/ui/Times.svelte';
  import { Archive, ArchiveRestore, Copy } from '@lucide/svelte';
  import { toast } from 'svelte-sonner';

  /** Cards shown at first, and each time one comes to their end. */
  const CARDS = 16;
  const rows = live(() => null, shelfRows);
  let search = $state('');
  let showAway = $state(false);
  let refused = $state('');
  let most = $state(CARDS);
  const hits = live(
    () => search.trim(),
    (text) => (text === '' ? Promise.resolve(null) : searchShelf(text))
  );
  const away = $derived((rows.value ?? []).filter((row) => row.away));
  const shelf = $derived((rows.value ?? []).filter((row) => !row.away));
  const found = $derived((showAway ? away : shelf).filter(({ id }) => hits.value?.has(id) ?? true));
  const shown = $derived(found.slice(0, most));
  const cards = live(
    () => shown,
    async (of) =>
      new Map((await summariesOf(of.map(({ id }) => id))).flatMap((each) => (each ? [[each.id, each]] : [])))
  );
  $effect(() => {
    void search;
    void showAway;
    most = CARDS;
  });

  async function bringDemo(): Promise<void> {
    try {
      await bringInDemo();
    } catch (error) {
      report(error, 'The demo could not be brought in.');
    }
  }

  async function duplicate(id: string): Promise<void> {
    const copy = await duplicateItem(id, freshId(), new Date().toISOString());
    if (copy) toast(`“${copy.name}” is on the shelf.`);
  }

  async function putAway(id: string, name: string): Promise<void> {
    await keepEdit(
      putAwayDocument('item', id, true, `putting away · ${name}`),
      `“${name}” is put away.`,
      'Bring back'
    );
  }

  async function open(text: string): Promise<DocumentError | null> {
    const read = await importItem(text, freshId(), new Date().toISOString());
    if (!read.ok) return read.error;
    await goto(`/items/${read.item.id}`);
    return null;
  }
</script>

<svelte:head><title>Shelf · Jolt Step</title></svelte:head>

<div class="flex flex-wrap items-center gap-4">
  <h1 class="mr-auto text-3xl">{showAway ? 'Put away' : 'Shelf'}</h1>
  {#if (rows.value?.length ?? 0) > 0}
    <input
      class="field w-64"
      type="search"
      placeholder="Name, thread, material"
      aria-label="Search the shelf"
      bind:value={search}
    />
  {/if}
  <UndoBar />
  <OpenFile kind="item" onopen={open} onrefused={(why) => (refused = why)} />
  <a href="/items/new" class="button button-main">New item</a>
</div>

{#if refused}<p class="mt-4 border-l-4 border-hands bg-hands-pale p-4" role="alert">{refused}</p>{/if}

{#if rows.value?.length === 0}
  <EmptyState picture="shelf"
    ><p>
      The shelf is empty. Paste a colour chart to make your first item, or
      <button type="button" class="font-semibold underline" onclick={bringDemo}
        >bring in the demo stall</button
      >.
    </p></EmptyState
  >
{:else if rows.value && found.length === 0}
  <p class="mt-10 text-lg text-soft">
    {search.trim() ? `Nothing on this shelf matches “${search.trim()}”.` : 'Nothing is put away.'}
  </p>
{/if}

<ul class="mt-6 grid grid-cols-[repeat(auto-fill,minmax(24rem,1fr))] gap-5 max-[900px]:grid-cols-1">
  {#each shown as item (item.id)}
    {@const card = cards.value?.get(item.id)}
    {@const made = card?.summary}
    <li class="relative flex min-h-52 flex-col gap-3 rounded-md border-[1.5px] border-ink bg-sheet p-4">
      <div class="flex gap-4">
        {#if made?.look}
          <div class="h-28 w-28 shrink-0"><ItemPicture look={made.look} name={item.name} /></div>
        {/if}
        <div class="min-w-0 flex-1">
          <h2 class="text-xl leading-tight">
            <a href="/items/{item.id}" class="after:absolute after:inset-0">{item.name}</a>
          </h2>
          {#if made}
            <p class="mt-1 text-soft" title={formatSize(made.finished, otherUnit(made.unit))}>
              {formatSize(made.finished, made.unit)} · {made.hoop.toLowerCase()} · {made.machine.toLowerCase()}
            </p>
            <div class="mt-2">
              <Times hands={made.hands} needle={made.needle} waiting={made.waiting} size="small" />
            </div>
          {/if}
        </div>
      </div>
      {#if made}
        <Ribbon steps={made.ribbon} label="{item.name}: {made.ribbon.length} steps" small />
      {:else if card?.problem}
        <p class="border-l-4 border-hands bg-hands-pale px-3 py-1.5" role="alert">{card.problem}</p>
      {:else}
        <p class="text-soft" role="status">Being planned …</p>
      {/if}
      <div class="mt-auto flex items-center gap-1">
        {#if card?.problem}
          <button
            type="button"
            class="button button-quiet relative mr-auto"
            onclick={async () => downloadJson(item.name, await rawItem(item.id))}>Download its file</button
          >
        {:else}
          <p class="mr-auto text-sm {made && made.toLookAt > 0 ? 'font-bold text-warn' : 'text-soft'}">
            {#if made}{made.toLookAt > 0
                ? `${made.toLookAt} to look at`
                : `${made.ribbon.length} steps, ${made.stitches.toLocaleString('en')} stitches`}{/if}
          </p>
        {/if}
        <button
          type="button"
          class="button button-quiet relative"
          title="Duplicate"
          aria-label="Duplicate {item.name}"
          onclick={() => duplicate(item.id)}><Copy size={20} aria-hidden="true" /></button
        >
        {#if showAway}
          <button
            type="button"
            class="button button-quiet relative"
            title="Bring back"
            aria-label="Bring back {item.name}"
            onclick={() =>
              void keepEdit(putAwayDocument('item', item.id, false, `bringing back · ${item.name}`))}
            ><ArchiveRestore size={20} aria-hidden="true" /></button
          >
        {:else}
          <button
            type="button"
            class="button button-quiet relative"
            title="Put away"
            aria-label="Put away {item.name}"
            onclick={() => putAway(item.id, item.name)}><Archive size={20} aria-hidden="true" /></button
          >
        {/if}
      </div>
    </li>
  {/each}
</ul>
<More left={found.length - shown.length} onmore={() => (most += CARDS)} />

{#if away.length > 0 || showAway}
  <button type="button" class="button button-quiet mt-6" onclick={() => (showAway = !showAway)}>
    {showAway ? 'Back to the shelf' : `Put away: ${away.length}`}
  </button>
{/if}
