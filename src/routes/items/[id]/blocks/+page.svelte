<script lang="ts">
  import { page } from '$app/state';
  import type { Block, Item } from '$lib/core/documents/item';
  import { defaultSetup } from '$lib/core/documents/shop';
  import { blocksOf, remake } from '$lib/core/reading/matching';
  import { changeItem, changeItemAndSetup, freshId, itemOnBench, live } from '$lib/data';
  import { toast } from 'svelte-sonner';
  import { keepEdit } from '../../../undo';
  import Composer from './Composer.svelte';
  import LostDialog from './LostDialog.svelte';

  /** Changes to answers and to blocks, each made on what is stored when its turn comes. */
  interface Rebuild {
    params: (params: Record<string, unknown>) => Record<string, unknown>;
    /** Null for the blocks the construction takes. */
    blocks: (blocks: Block[]) => Block[] | null;
    said: string;
  }

  const bench = live(() => page.params.id ?? '', itemOnBench);
  const found = $derived(bench.value);
  let asking = $state.raw<{ change: Rebuild; lost: string[] } | null>(null);
  let problems = $state.raw<string[]>([]);

  function remade(item: Item, { params, blocks }: Rebuild): ReturnType<typeof remake> {
    return remake(item, params(item.params), blocks(blocksOf(item) ?? []));
  }

  function rebuild(item: Item, change: Rebuild): void {
    const made = remade(item, change);
    problems = made.ok ? [] : made.problems;
    if (!made.ok) return;
    if (made.lost.length > 0) asking = { change, lost: made.lost };
    else void take(item.id, change);
  }

  async function take(id: string, change: Rebuild): Promise<void> {
    if (!found?.item) return;
    await keepEdit(
      changeItemAndSetup(
        id,
        (now) => {
          const made = remade(now, change);
          return made.ok ? made.item : now;
        },
        (setup, changed) => {
          const variantId = changed.variants.some(({ id: own }) => own === setup.variantId)
            ? setup.variantId
            : (changed.variants[0]?.id ?? setup.variantId);
          // The hoop stays: where it no longer fits, the sheet says so and offers the one that does.
          return { ...setup, variantId };
        },
        change.said
      )
    );
  }
</script>

{#if found?.item}
  {@const { item, shop } = found}
  {@const setup = found.setup ?? defaultSetup(item, shop)}
  {#key item.id}
    <Composer
      {item}
      {setup}
      {shop}
      {problems}
      {freshId}
      onrebuild={(change) => rebuild(item, change)}
      onedit={(change, said) => void keepEdit(changeItem(item.id, change), said)}
    />
  {/key}
  <LostDialog
    lost={asking?.lost ?? null}
    onclose={() => (asking = null)}
    ontake={() => {
      if (asking) void take(item.id, asking.change);
      asking = null;
    }}
  />
{:else if found?.aside}
  <h1 class="text-3xl">{found.aside.name}</h1>
  <p class="mt-3 border-l-4 border-hands bg-hands-pale p-3">{found.aside.problem}</p>
  <button type="button" class="button mt-4" onclick={() => toast(found.aside?.problem ?? '')}
    >What is wrong</button
  >
{:else if found}
  <h1 class="text-3xl">There is no such item.</h1>
  <a href="/items" class="button mt-6">To the shelf</a>
{/if}
