<script lang="ts">
  import type { LengthUnit } from '$lib/core/base/units';
  import type { AnyConstruction } from '$lib/core/craft/constructions';
  import Pictures from '$lib/ui/picture/Pictures.svelte';
  import type { ToldLike } from '$lib/workers';

  /** A chart that may be of this or that: the maker says which, by how it ends. */
  interface Props {
    /** Null while nobody knows. */
    likely: readonly ToldLike[] | null;
    constructions: readonly AnyConstruction[];
    unit: LengthUnit;
    onchoose: (kind: string) => void;
  }
  let { likely, constructions, unit, onchoose }: Props = $props();

  const shown = $derived(
    (likely ?? []).flatMap(({ kind, look, chance }) => {
      const construction = constructions.find((each) => each.kind === kind);
      return look && construction ? { kind, look, chance, name: construction.name } : [];
    })
  );
</script>

{#if likely === null}
  <p class="w-full text-lg text-soft" role="status">Working out what this is the chart of …</p>
{:else}
  <div class="w-full" role="group" aria-label="What is this the chart of?">
    <p class="text-lg">The chart alone does not say what this is. Which of these comes nearer?</p>
    <div class="mt-3 flex flex-wrap gap-6">
      {#each shown as { kind, look, chance, name } (kind)}
        <div class="flex flex-col gap-2">
          <Pictures {look} {name} {unit} height="7rem" />
          <button type="button" class="button" onclick={() => onchoose(kind)}>{name}</button>
          <p class="text-sm text-soft">
            {chance < 0.1 ? 'less than 1' : `about ${Math.round(chance * 10)}`} in 10
          </p>
        </div>
      {/each}
    </div>
  </div>
{/if}
