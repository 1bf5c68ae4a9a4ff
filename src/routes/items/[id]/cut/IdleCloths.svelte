<script lang="ts">
  import { formatSize, type LengthUnit } from '$lib/core/base/units';
  import type { ClothEntry } from '$lib/core/documents/stash';

  /** Cloth of the kinds in use that nothing is cut from: a place to drop a piece. */
  interface Props {
    entries: readonly ClothEntry[];
    unit: LengthUnit;
    ondropped: (key: string, clothId: string) => void;
  }
  let { entries, unit, ondropped }: Props = $props();
</script>

{#if entries.length > 0}
  <section class="no-print border-t-[1.5px] border-ink py-3" aria-labelledby="idle">
    <h3 id="idle" class="text-xl">Also in the stash</h3>
    <p class="text-soft">Of the same kinds. Drag a piece here to cut it from one of them.</p>
    <ul class="mt-2 flex flex-wrap gap-2">
      {#each entries as entry (entry.id)}
        <li
          class="flex min-h-11 items-center gap-2 border-[1.5px] border-dashed border-rule-strong px-3"
          ondragover={(event) => event.preventDefault()}
          ondrop={(event) => {
            event.preventDefault();
            const key = event.dataTransfer?.getData('text/plain');
            if (key) ondropped(key, entry.id);
          }}
        >
          <span class="inline-block size-4 border-[1.5px] border-ink" style:background={entry.colour}
          ></span>{entry.name}, {formatSize(entry, unit)}{entry.form === 'scrap' ? ', offcut' : ''}
        </li>
      {/each}
    </ul>
  </section>
{/if}
