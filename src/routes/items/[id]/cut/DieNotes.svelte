<script lang="ts">
  import { findLine } from '$lib/core/documents/item';
  import {
    DIE_LAYERS,
    diePasses,
    isFused,
    isMirrored,
    isSymmetrical,
    type Want
  } from '$lib/core/preparing/cutting';

  /** Shapes cut to their line: how many passes through a die, and which way up. */
  let { wants, dieLayers }: { wants: readonly Want[]; dieLayers: number | undefined } = $props();
  const layers = $derived(dieLayers ?? DIE_LAYERS);

  const shapes = $derived(
    wants.flatMap(({ item, plan, copies }) =>
      item.pieces.flatMap((piece) => {
        const line = piece.covers === null ? undefined : findLine(item, piece.covers);
        if (piece.shape !== 'pre-cut' || !line || piece.from !== undefined) return [];
        const fused = isFused(item, piece.id);
        const wrongSideUp = piece.template?.wrongSideUp ?? fused;
        return [
          {
            key: `${plan.itemId}/${piece.id}`,
            name: piece.name,
            count: piece.plies * copies,
            fused,
            wrongSideUp,
            mirrored: isMirrored({ wrongSideUp, symmetrical: isSymmetrical(line.path) }),
            work: diePasses({ count: piece.plies * copies, fused, layers })
          }
        ];
      })
    )
  );
</script>

{#if shapes.length > 0}
  <section class="border-t-[1.5px] border-ink py-3" aria-labelledby="dies">
    <h3 id="dies" class="text-xl">With a die, instead of scissors</h3>
    <ul class="mt-1">
      {#each shapes as { key, name, count, fused, wrongSideUp, mirrored, work } (key)}
        <li>
          <b>{name}</b>: {count}
          {count === 1 ? 'shape' : 'shapes'}, {work.passes}
          {work.passes === 1 ? 'pass' : 'passes'} of {work.layers} layers{work.passes > 1
            ? `, the last of ${work.last}`
            : ''}. {fused ? `Fusible counts half a layer, so ${work.layers} of ${layers}.` : ''}
          {#if wrongSideUp}Lay the cloth wrong side up, {mirrored
              ? 'and turn the die over: the shape must come out mirrored.'
              : 'the shape is the same both ways.'}{/if}
        </li>
      {/each}
    </ul>
    <p class="text-soft">
      Keep fingers clear of the rollers, and the die’s blades covered when it lies about.
    </p>
  </section>
{/if}
