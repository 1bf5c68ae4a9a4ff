<script lang="ts">
  import { live, looksOf } from '$lib/data';
  import ItemPicture from '$lib/ui/picture/ItemPicture.svelte';

  /** Small pictures of items as their summaries keep them; nothing where none is made yet. */
  interface Props {
    items: readonly { id: string; name: string }[];
    /** Side of each, as a CSS length. */
    size?: string;
    most?: number;
  }
  let { items, size = '4.5rem', most = 3 }: Props = $props();

  const shown = $derived(
    items.filter(({ id }, at) => items.findIndex((each) => each.id === id) === at).slice(0, most)
  );
  const looks = live(
    () => shown.map(({ id }) => id).join('\n'),
    (ids) => looksOf(ids.split('\n'))
  );
</script>

<span class="flex gap-2">
  {#each shown as { id, name } (id)}
    {@const look = looks.value?.[id]}
    {#if look}<span style:width={size} style:height={size} class="block shrink-0"
        ><ItemPicture {look} {name} /></span
      >{/if}
  {/each}
</span>
