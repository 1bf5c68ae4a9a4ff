<script lang="ts">
  import type { LengthUnit } from '$lib/core/base/units';
  import type { Item } from '$lib/core/documents/item';
  import { appearance } from '$lib/core/making/appearance';
  import type { StackStep } from '$lib/core/craft/stack';
  import Pictures from './Pictures.svelte';

  /** How an item ends, from the simulation of all its steps. */
  interface Props {
    item: Item;
    trace: StackStep[];
    unit: LengthUnit;
    height?: string;
  }
  let { item, trace, unit, height = '11rem' }: Props = $props();

  const last = $derived(trace.at(-1)?.state);
  const look = $derived(last && appearance(last, item));
</script>

{#if look}<Pictures {look} name={item.name} {unit} {height} />{/if}
