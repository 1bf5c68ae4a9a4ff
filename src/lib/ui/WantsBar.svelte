<script lang="ts">
  import type { Item } from '$lib/core/documents/item';
  import { X } from '@lucide/svelte';

  /** What is cut, and how many: the item of the page, and others cut along with it. */
  interface Props {
    wants: readonly { item: Item; copies: number }[];
    others: readonly Item[];
    /** The item that cannot be left out; null where each can. */
    main: string | null;
    /** What adding one is called. */
    add: string;
    oncopies: (itemId: string, copies: number) => void;
    onadd: (itemId: string) => void;
    onleave: (itemId: string) => void;
  }
  let { wants, others, main, add, oncopies, onadd, onleave }: Props = $props();
</script>

{#each wants as { item, copies } (item.id)}
  <label class="flex items-center gap-2">
    <input
      class="field w-20"
      type="number"
      min="1"
      max="500"
      aria-label="How many {item.name}"
      value={copies}
      onchange={(event) => {
        const wanted = Math.round(event.currentTarget.valueAsNumber);
        if (wanted >= 1 && wanted <= 500) oncopies(item.id, wanted);
        else event.currentTarget.value = String(copies);
      }}
    />
    {item.name}
    {#if item.id !== main}
      <button
        type="button"
        class="button button-quiet px-2"
        aria-label="Leave out {item.name}"
        onclick={() => onleave(item.id)}><X size={18} aria-hidden="true" /></button
      >
    {/if}
  </label>
{/each}
<select
  class="field"
  aria-label={add}
  value=""
  onchange={(event) => {
    const itemId = event.currentTarget.value;
    event.currentTarget.value = '';
    if (itemId) onadd(itemId);
  }}
>
  <option value="">{add}…</option>
  {#each others as item (item.id)}<option value={item.id}>{item.name}</option>{/each}
</select>
