<script lang="ts">
  import { isSymmetrical } from '$lib/core/base/geometry';
  import { findLine } from '$lib/core/documents/item';
  import { DIE_LAYERS, diePasses, isFused, type Want } from '$lib/core/preparing/cutting';

  /** Shapes cut to their line: how many passes through a die, and which way up. */
  let { wants, dieLayers }: { wants: readonly Want[]; dieLayers: number | undefined } = $props();
  const layers = $derived(dieLayers ?? DIE_LAYERS);

  const shapes = $derived(
    wants.flatMap(({ item, plan, copies }) =>
      item.pieces.flatMap((piece) => {
        const line = piece.covers === null ? undefined : findLine(item, piece.covers);
        if (piece.shape !== 'pre-cut' || !line || piece.from !== undefined) return [];
        const fused = isFused(item, piece.id);
        return [
          {
            key: `${plan.itemId}/${piece.id}`,
            name: piece.name,
            count: piece.plies * copies,
            fused,
            oneWay: !isSymmetrical(line.path),
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
      {#each shapes as { key, name, count, fused, oneWay, work } (key)}
        <li>
          <b>{name}</b>: {count}
          {count === 1 ? 'shape' : 'shapes'}, {work.passes}
          {work.passes === 1 ? 'pass' : 'passes'} of {work.layers} layers{work.passes > 1
            ? `, the last of ${work.last}`
            : ''}. {fused ? `Fusible counts half a layer, so ${work.layers} of ${layers}.` : ''}
          {#if oneWay}It is not the same both ways, and the blades are on one side of the die: with the wrong
            side of the cloth on them it comes out as the die looks from above, with the right side on them
            mirrored. Folded layers give one of each. Cut one first and hold it against its placement line.{/if}
        </li>
      {/each}
    </ul>
    <p class="text-soft">
      Keep fingers clear of the rollers, and the die’s blades covered when it lies about.
    </p>
  </section>
{/if}
