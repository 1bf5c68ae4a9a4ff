<script lang="ts">
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
    plannedItems,
    putAway as putAwayDocument
  } from '$lib/data';
  import OpenFile from '$lib/ui/OpenFile.svelte';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import { ribbonSteps } from '$lib/ui/ribbon/layout';
  import Times from '$lib/ui/Times.svelte';
  import { Archive, ArchiveRestore, Copy } from '@lucide/svelte';
  import { toast } from 'svelte-sonner';

  const planned = live(() => null, plannedItems);
  let search = $state('');
  let showAway = $state(false);
  let refused = $state('');

  const away = $derived((planned.value ?? []).filter(({ item }) => item.putAwayAt !== undefined));
  const shelf = $derived((planned.value ?? []).filter(({ item }) => item.putAwayAt === undefined));
  const found = $derived(
    (showAway ? away : shelf).filter(({ item }) => {
      const words = [
        item.name,
        item.note,
        ...item.threads.map(({ name }) => name),
        ...item.pieces.map(({ material }) => material.name)
      ];
      return words.join(' ').toLowerCase().includes(search.trim().toLowerCase());
    })
  );

  async function bringDemo(): Promise<void> {
    try {
      await bringInDemo();
    } catch (error) {
      toast.error(error instanceof Error ? error.message : 'The demo could not be brought in.');
    }
  }

  async function duplicate(id: string): Promise<void> {
    const copy = await duplicateItem(id, freshId(), new Date().toISOString());
    if (copy) toast(`“${copy.name}” is on the shelf.`);
  }

  async function putAway(id: string, name: string): Promise<void> {
    await keepEdit(putAwayDocument('item', id, true, `putting away · ${name}`), `“${name}” is put away.`);
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
  {#if (planned.value?.length ?? 0) > 0}
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

{#if planned.value?.length === 0}
  <p class="mt-10 max-w-xl text-lg">
    The shelf is empty. Paste a colour chart to make your first item, or
    <button type="button" class="font-semibold underline" onclick={bringDemo}>bring in the demo stall</button
    >.
  </p>
{:else if planned.value && found.length === 0}
  <p class="mt-10 text-lg text-soft">
    {search.trim() ? `Nothing on this shelf answers to “${search.trim()}”.` : 'Nothing is put away.'}
  </p>
{/if}

<ul class="mt-6 grid grid-cols-[repeat(auto-fill,minmax(24rem,1fr))] gap-5 max-[900px]:grid-cols-1">
  {#each found as { item, plan, toLookAt } (item.id)}
    <li class="relative flex flex-col gap-3 rounded-md border-[1.5px] border-ink bg-sheet p-4">
      <div>
        <h2 class="text-xl">
          <a href="/items/{item.id}" class="after:absolute after:inset-0">{item.name}</a>
        </h2>
        <p class="text-soft" title={formatSize(plan.finished, otherUnit(plan.unit))}>
          {formatSize(plan.finished, plan.unit)} · {plan.hoop.name.toLowerCase()} · {plan.machine.name.toLowerCase()}
        </p>
      </div>
      <Ribbon steps={ribbonSteps(plan.steps)} label="{item.name}: {plan.steps.length} steps" small />
      <Times
        hands={plan.totals.hands.value}
        needle={plan.totals.needle.value}
        waiting={plan.totals.waiting.value}
        size="small"
      />
      <div class="mt-auto flex items-center gap-1">
        <p class="mr-auto text-sm {toLookAt > 0 ? 'font-bold text-warn' : 'text-soft'}">
          {toLookAt > 0
            ? `${toLookAt} to look at`
            : `${plan.steps.length} steps, ${plan.stitches.toLocaleString('en')} stitches`}
        </p>
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

{#if away.length > 0 || showAway}
  <button type="button" class="button button-quiet mt-6" onclick={() => (showAway = !showAway)}>
    {showAway ? 'Back to the shelf' : `Put away: ${away.length}`}
  </button>
{/if}
