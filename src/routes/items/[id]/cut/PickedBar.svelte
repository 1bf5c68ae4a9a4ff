<script lang="ts">
  import { formatSize, type LengthUnit } from '$lib/core/base/units';
  import type { ClothEntry } from '$lib/core/documents/stash';
  import { type Demand, TO_BUY } from '$lib/core/preparing/cutting';
  import { X } from '@lucide/svelte';

  /** The piece that was taken up, and the cloths it could come from: choose one for all of it, or drop one piece. */
  interface Props {
    demand: Demand;
    entries: readonly ClothEntry[];
    unit: LengthUnit;
    /** A line of the stash, what is bought, or null for wherever it fits best. */
    onmove: (clothId: string | null, count: number) => void;
    onclose: () => void;
  }
  let { demand, entries, unit, onmove, onclose }: Props = $props();

  const targets = $derived([
    { id: null, words: 'wherever it fits best', colour: null },
    ...entries
      .filter(({ kind }) => kind === demand.material.kind)
      .map((entry) => ({
        id: entry.id,
        words: `${entry.name}, ${formatSize(entry, unit)}${entry.form === 'scrap' ? ', offcut' : ''}`,
        colour: entry.colour
      })),
    { id: TO_BUY, words: 'what is bought', colour: null }
  ]);
</script>

<div
  class="no-print fixed right-4 bottom-4 left-28 z-10 flex flex-wrap items-center gap-3 border-[1.5px] border-ink bg-sheet px-3 py-2 max-[900px]:bottom-20 max-[900px]:left-4"
>
  <span><b>{demand.name}</b>, {demand.count} in all, comes from</span>
  {#each targets as { id, words, colour } (id)}
    <button
      type="button"
      class="flex min-h-11 items-center gap-2 border-[1.5px] border-rule-strong bg-ground px-3 hover:border-ink"
      onclick={() => onmove(id, demand.count)}
      ondragover={(event) => event.preventDefault()}
      ondrop={(event) => {
        event.preventDefault();
        onmove(id, 1);
      }}
    >
      {#if colour}<span class="inline-block size-4 border-[1.5px] border-ink" style:background={colour}
        ></span>{/if}{words}
    </button>
  {/each}
  <button
    type="button"
    class="button button-quiet ml-auto"
    aria-label="Leave it where it is"
    onclick={onclose}><X size={18} aria-hidden="true" /></button
  >
</div>
