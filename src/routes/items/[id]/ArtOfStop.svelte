<script lang="ts">
  import type { LengthUnit } from '$lib/core/base/units';
  import type { Art, Item } from '$lib/core/documents/item';
  import { DESIGNS } from '$lib/core/making/appearance';
  import type { PlanStep } from '$lib/core/documents/plan';
  import type { StackStep } from '$lib/core/craft/stack';
  import { Image } from '@lucide/svelte';
  import ArtDialog from './ArtDialog.svelte';

  /** Where a stop is a design, the way to its own picture. */
  interface Props {
    item: Item;
    trace: StackStep[];
    stop: NonNullable<PlanStep['stop']>;
    unit: LengthUnit;
    freshId: () => string;
    onedit: (change: (item: Item) => Item) => void;
  }
  let { item, trace, stop, unit, freshId, onedit }: Props = $props();
  let placing = $state(false);

  /** The item with a picture put in, changed or, where it is null, taken out. */
  function withArt(before: Item, art: Art | null, id: string): Item {
    const others = (before.art ?? []).filter((each) => each.id !== id);
    return { ...before, art: art ? [...others, art] : others };
  }
</script>

{#if DESIGNS.has(stop.role)}
  <button type="button" class="button mt-1 font-normal" onclick={() => (placing = true)}
    ><Image size={18} aria-hidden="true" />The design’s picture</button
  >
  {#if placing}<ArtDialog
      {item}
      {trace}
      stopId={stop.stopId}
      {unit}
      {freshId}
      onclose={() => (placing = false)}
      onkeep={(art, id) => {
        onedit((before) => withArt(before, art, id));
        placing = false;
      }}
    />{/if}
{/if}
