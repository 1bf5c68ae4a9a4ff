<script lang="ts">
  import type { Extents } from '$lib/core/base/geometry';
  import type { Art } from '$lib/core/documents/item';
  import type { Snippet } from 'svelte';

  /** Moves a picture over the item below it, by pointer, touch or arrow keys. */
  interface Props {
    /** What the drawing below shows, mm. */
    box: Extents;
    art: Art;
    onplace: (at: { x: number; y: number }) => void;
    children: Snippet;
  }
  let { box, art, onplace, children }: Props = $props();

  /** As the drawing below has it, mm. */
  const MARGIN = 3;
  let frame = $state<SVGSVGElement>();
  let held = $state<{ x: number; y: number } | null>(null);

  function mmAt(event: PointerEvent): { x: number; y: number } {
    const matrix = frame?.getScreenCTM()?.inverse();
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    return { x, y };
  }
  const KEYS: Record<string, readonly [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1]
  };
</script>

{@render children()}
<svg
  bind:this={frame}
  class="absolute inset-0 h-full w-full"
  viewBox="{box.minX - MARGIN} {box.minY - MARGIN} {box.width + 2 * MARGIN} {box.height + 2 * MARGIN}"
  preserveAspectRatio="xMidYMid meet"
  role="presentation"
>
  <rect
    role="button"
    aria-label="Place of the picture; arrow keys move it"
    tabindex="0"
    x={art.x - art.width / 2}
    y={art.y - art.height / 2}
    width={art.width}
    height={art.height}
    transform="rotate({art.turn} {art.x} {art.y})"
    class="cursor-move touch-none fill-transparent stroke-needle"
    stroke-width="0.5"
    stroke-dasharray="2 1.4"
    onpointerdown={(event) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      const { x, y } = mmAt(event);
      held = { x: x - art.x, y: y - art.y };
    }}
    onpointermove={(event) => {
      if (!held) return;
      const { x, y } = mmAt(event);
      onplace({ x: x - held.x, y: y - held.y });
    }}
    onpointerup={() => (held = null)}
    onpointercancel={() => (held = null)}
    onkeydown={(event) => {
      const by = KEYS[event.key];
      if (!by) return;
      event.preventDefault();
      onplace({ x: art.x + by[0], y: art.y + by[1] });
    }}
  />
</svg>
