<script lang="ts">
  import type { ClothPhoto } from '$lib/core/documents/item';
  import Swatch from '$lib/ui/Swatch.svelte';

  /** A cloth or thread with what could take its place: the stash first, any colour otherwise. */
  type Chosen = { name: string; colour: string; photo?: ClothPhoto | undefined };
  interface Props {
    what: string;
    label: string;
    colour: string;
    offers: readonly Chosen[];
    fixed: boolean;
    onchoose: (chosen: Chosen) => void;
  }
  let { what, label, colour, offers, fixed, onchoose }: Props = $props();

  const taken = $derived(offers.findIndex((offer) => offer.colour === colour && what.startsWith(offer.name)));
</script>

{#if fixed}
  <p class="flex items-center gap-2"><Swatch {colour} />{what}</p>
{:else}
  <div class="flex items-center gap-2">
    <select
      class="field min-w-0 flex-1"
      aria-label={label}
      value={String(taken)}
      onchange={({ currentTarget }) => {
        const offer = offers[Number(currentTarget.value)];
        if (offer)
          onchoose({
            name: offer.name,
            colour: offer.colour,
            ...(offer.photo && { photo: offer.photo })
          });
      }}
    >
      <option value="-1">{taken < 0 ? what : 'another colour'}</option>
      {#each offers as offer, at (at)}<option value={String(at)}>{offer.name}</option>{/each}
    </select>
    <input
      type="color"
      class="h-11 w-12 shrink-0"
      aria-label="{label}, any colour"
      value={colour}
      onchange={({ currentTarget }) =>
        onchoose({ name: `Colour ${currentTarget.value}`, colour: currentTarget.value })}
    />
  </div>
{/if}
