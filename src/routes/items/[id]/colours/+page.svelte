<script lang="ts">
  import { page } from '$app/state';
  import { defaultSetup } from '$lib/core/documents/shop';
  import { appearance } from '$lib/core/making/appearance';
  import { planAndTrace } from '$lib/core/making/plan';
  import {
    AS_IT_IS,
    type Colourway,
    inColours,
    seenOf,
    suggestColourways
  } from '$lib/core/preparing/colourways';
  import { changeItem, live, threadTable } from '$lib/data';
  import ItemHeader from '$lib/ui/ItemHeader.svelte';
  import { Plus, Sparkles } from '@lucide/svelte';
  import { keepEdit } from '../../../undo';
  import UndoBar from '../../../UndoBar.svelte';
  import ColourwayCard from './ColourwayCard.svelte';

  const table = live(
    () => page.params.id ?? '',
    async (id) => ({ found: await threadTable(id) })
  );
  const found = $derived(table.value?.found);
  const setup = $derived(found && (found.setup ?? defaultSetup(found.item, found.shop)));
  const made = $derived(found && setup && planAndTrace(found.item, setup, found.shop));
  const end = $derived(made?.trace.at(-1)?.state);
  const look = $derived(made && end && appearance(end, made.item));
  const seen = $derived(made && look && seenOf(made.item, look));

  const MOST = 4;
  /** Colours that are tried; the item as it is stands first. */
  let tried = $state.raw<{ id: number; way: Colourway }[]>([]);
  let count = 0;
  function add(ways: readonly Colourway[]): void {
    const room = MOST - 1 - tried.length;
    tried = [...tried, ...ways.slice(0, room).map((way) => ({ id: ++count, way }))];
  }
  function fromStash(): void {
    if (!made || !look || !found) return;
    tried = [];
    add(suggestColourways(made.item, look, found.stash, MOST - 1));
    nothing = tried.length === 0;
  }
  let nothing = $state(false);
  function take(way: Colourway): void {
    if (!found || !look) return;
    const shown = look;
    void keepEdit(
      changeItem(found.item.id, (item) => inColours(item, shown, way), 'other colours'),
      'The item has these colours now.'
    );
    tried = tried.filter((each) => each.way !== way);
  }
</script>

<svelte:head><title>{found?.item.name ?? 'Item'}, colours · Jolt Step</title></svelte:head>

{#if made && end && look && seen && found}
  <ItemHeader plan={made.plan}><UndoBar /></ItemHeader>
  <div class="mt-3 flex flex-wrap items-center gap-3">
    <h2 class="text-lg">Its colours, side by side</h2>
    <div class="ml-auto flex gap-2">
      <button type="button" class="button" onclick={fromStash}
        ><Sparkles size={18} aria-hidden="true" />From the stash</button
      >
      <button
        type="button"
        class="button"
        disabled={tried.length >= MOST - 1}
        onclick={() => add([tried.at(-1)?.way ?? AS_IT_IS])}
        ><Plus size={18} aria-hidden="true" />One more to try</button
      >
    </div>
  </div>
  {#if nothing}<p class="mt-2 text-soft" role="status">
      The stash has no other cloth of the kind it is made of. “One more to try” takes any colour.
    </p>{/if}
  <div class="mt-4 grid gap-6" style:grid-template-columns="repeat(auto-fill, minmax(16.5rem, 1fr))">
    <ColourwayCard
      title="As it is"
      item={made.item}
      {look}
      state={end}
      {seen}
      way={AS_IT_IS}
      stash={found.stash}
      unit={made.plan.unit}
    />
    {#each tried as { id, way }, at (id)}
      <ColourwayCard
        title="Try {at + 1}"
        item={made.item}
        {look}
        state={end}
        {seen}
        {way}
        stash={found.stash}
        unit={made.plan.unit}
        onchange={(next) => (tried = tried.map((each) => (each.id === id ? { id, way: next } : each)))}
        ontake={() => take(way)}
        onremove={() => (tried = tried.filter((each) => each.id !== id))}
      />
    {/each}
  </div>
{/if}
