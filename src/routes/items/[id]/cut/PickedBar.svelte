<script lang="ts">
  import { TO_BUY, type Demand } from '$lib/core/cutplan';
  import type { ClothEntry } from '$lib/core/stash';
  import { formatSize, type LengthUnit } from '$lib/core/units';
  import { X } from '@lucide/svelte';

  /** The piece that was taken up, and the cloths it could come from. */
  interface Props {
    demand: Demand;
    entries: readonly ClothEntry[];
    unit: LengthUnit;
    /** A line of the stash, what is bought, or null for wherever it fits best. */
    onmove: (clothId: string | null) => void;
    onclose: () => void;
  }
  let { demand, entries, unit, onmove, onclose }: Props = $props();
</script>

<div
  class="no-print sticky top-0 z-10 my-2 flex flex-wrap items-center gap-3 border-[1.5px] border-ink bg-sheet px-3 py-2"
>
  <span><b>{demand.name}</b>, {demand.count} in all, comes from</span>
  <select
    class="field"
    aria-label="Cloth for {demand.name}"
    value=""
    onchange={(event) => {
      const to = event.currentTarget.value;
      if (to) onmove(to === 'plan' ? null : to);
    }}
  >
    <option value="">choose…</option>
    <option value="plan">wherever it fits best</option>
    {#each entries.filter(({ kind }) => kind === demand.material.kind) as entry (entry.id)}
      <option value={entry.id}
        >{entry.name}, {formatSize(entry, unit)}{entry.form === 'scrap' ? ', offcut' : ''}</option
      >
    {/each}
    <option value={TO_BUY}>what is bought</option>
  </select>
  <span class="text-soft">or drag one piece to another cloth.</span>
  <button
    type="button"
    class="button button-quiet ml-auto"
    aria-label="Leave it where it is"
    onclick={onclose}><X size={18} aria-hidden="true" /></button
  >
</div>
