<script lang="ts">
  import { formatLength, type LengthUnit } from '$lib/core/base/units';
  import type { Appearance } from '$lib/core/making/appearance';
  import ItemPicture from './ItemPicture.svelte';

  interface Props {
    look: Appearance;
    name: string;
    unit: LengthUnit;
    /** Height of each picture, as a CSS length. */
    height?: string;
    /** The front alone is large; the other faces stand below it. */
    small?: boolean;
    /** Whether wrong sides are named; not where they are to be found. */
    telling?: boolean;
  }
  let { look, name, unit, height = '11rem', small = false, telling = true }: Props = $props();

  const LABELS = { front: 'Front', back: 'Back', inside: 'Inside' } as const;
  const shown = $derived(
    look.sides.filter(({ patches, threads }) => patches.length > 0 || threads.length > 0)
  );
</script>

<div class="flex flex-wrap gap-4">
  {#each shown as { side, patches } (side)}
    <figure class={small && side === 'front' ? 'min-w-full' : small ? 'min-w-20 flex-1' : 'min-w-36 flex-1'}>
      <div style:height={small && side !== 'front' ? `calc(${height} / 2)` : height}>
        <ItemPicture {look} {side} {name} scale />
      </div>
      <figcaption class="mt-1 text-[0.9375rem] text-soft">
        {LABELS[side]}{#if side === 'front'}, the bar is {formatLength(
            50,
            unit
          )}{/if}{#if telling && patches.some(({ amiss }) => amiss)}<strong class="text-hands"
            >, wrong side out: {patches
              .filter(({ amiss }) => amiss)
              .map((patch) => patch.name)
              .join(', ')}</strong
          >{/if}
      </figcaption>
    </figure>
  {/each}
</div>
