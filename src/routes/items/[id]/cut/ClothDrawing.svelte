<script lang="ts">
  import { formatSize, type LengthUnit } from '$lib/core/base/units';
  import type { PlannedCloth } from '$lib/core/preparing/cutting';
  import { frameOf } from '$lib/core/solvers/strips';

  /** A cloth true to scale, its strips from the corner the cuts begin at; pieces can be dragged to another cloth. */
  interface Props {
    planned: PlannedCloth;
    unit: LengthUnit;
    nameOf: (key: string) => string;
    letter: (key: string) => string;
    onpick: (key: string) => void;
    /** A piece is being dragged. */
    ondrag: (key: string) => void;
    picked: string | null;
  }
  let { planned, unit, nameOf, letter, onpick, ondrag, picked }: Props = $props();

  const MOST_HEIGHT = 250;
  let wide = $state(480);
  const frame = $derived(frameOf(planned.cloth, planned.along));
  /** Of a long or wide cloth only what is cut is drawn, and a little more. */
  const shown = $derived.by(() => {
    const cut = Math.max(
      ...planned.strips.flatMap(({ strip }) => strip.columns.map(({ x, width }) => x + width))
    );
    const length = frame.height ?? Infinity;
    const height = Math.min(length, planned.used + Math.max(25, planned.used * 0.15));
    const width = cut < frame.width / 2 ? Math.max(cut * 1.15, height * 1.2) : frame.width;
    const drawn = Math.min(width, frame.width);
    return { width: drawn, height, below: length - height > 1, beside: frame.width - drawn > 1 };
  });
  const scale = $derived(Math.min(wide / shown.width, MOST_HEIGHT / shown.height));
  const px = (mm: number): string => `${(mm * scale).toFixed(2)}px`;
  const pieces = $derived(
    planned.strips.flatMap(({ strip, kept }, at) =>
      strip.columns.flatMap(({ pieces: own }) =>
        own.map((piece) => ({ ...piece, y: piece.y + strip.y, kept, strip: at }))
      )
    )
  );
  const says = (piece: { key: string; width: number; height: number }): string =>
    `${nameOf(piece.key)} ${formatSize(piece, unit)}`;
</script>

<div class="pl-6">
  <div bind:clientWidth={wide}>
    <div
      class="relative border-[1.5px] border-edge"
      class:below={shown.below}
      class:beside={shown.beside}
      style:width={px(shown.width)}
      style:height={px(shown.height)}
      style:background="color-mix(in srgb, {planned.colour} 28%, var(--sheet))"
      role="group"
      aria-label="{planned.name}, true to scale: {planned.strips.length} strips, {pieces.length} pieces"
    >
      {#each pieces as piece, at (at)}
        {@const room = piece.width * scale}
        {@const named = nameOf(piece.key).length * 8 + 8 < room && piece.height * scale > 18}
        {@const sized = named && room > 96 && piece.height * scale > 36}
        <button
          type="button"
          class="piece"
          class:kept={piece.kept}
          class:picked={picked === piece.key}
          draggable="true"
          style:left={px(piece.x)}
          style:top={px(piece.y)}
          style:width={px(piece.width)}
          style:height={px(piece.height)}
          aria-label="{says(piece)}{piece.kept ? ', kept' : ''}"
          title={says(piece)}
          onclick={() => onpick(piece.key)}
          ondragstart={(event) => {
            event.dataTransfer?.setData('text/plain', piece.key);
            // A page that changes while the drag begins would end it.
            setTimeout(() => ondrag(piece.key));
          }}
        >
          <span class="label-in">
            <b>{named ? nameOf(piece.key) : letter(piece.key)}</b>{#if sized}<br />{formatSize(
                piece,
                unit
              )}{/if}
          </span>
        </button>
      {/each}
      {#each planned.strips as { strip }, at (at)}
        <span class="cut" style:top={px(strip.y + strip.height)} style:width={px(shown.width)}></span>
        <span class="order" style:top={px(strip.y)}>{at + 1}</span>
      {/each}
    </div>
  </div>
</div>

<style>
  .below {
    border-bottom-style: dashed;
  }
  .beside {
    border-right-style: dashed;
  }
  .piece {
    position: absolute;
    overflow: hidden;
    border: 1px solid var(--edge);
    background: var(--sheet);
    color: var(--ink);
    font-size: 13px;
    line-height: 1.15;
    cursor: grab;
  }
  .piece:hover,
  .picked {
    background: var(--needle-pale);
  }
  .kept {
    border: 4px double var(--edge);
  }
  .label-in {
    position: absolute;
    top: 50%;
    left: 50%;
    white-space: nowrap;
    text-align: center;
    transform: translate(-50%, -50%);
  }
  .cut {
    position: absolute;
    left: 0;
    border-top: 2px dashed var(--hands);
  }
  .order {
    position: absolute;
    left: -1.4rem;
    font-family: var(--font-head);
    font-weight: 700;
  }
</style>
