<script lang="ts">
  import { extents, type Path, pathData } from '$lib/core/base/geometry';
  import { type Placement, TURNS } from '$lib/core/documents/order';
  import { type HoopFinding, outlineAt } from '$lib/core/ordering/copies';
  import type { Area, CopyOutline } from '$lib/core/solvers/nesting';

  /** Copies in a hoop from above, true to scale. They are moved with the pointer, or chosen and moved with the keys. */
  interface Props {
    ring: { width: number; height: number };
    field: { width: number; height: number };
    area: Area;
    /** Of each part. */
    outlines: readonly CopyOutline[];
    placements: Placement[];
    findings: HoopFinding[];
    /** What stands on each copy. */
    labels: string[];
    /** Nothing can be moved where missing. */
    onmove?: ((placements: Placement[]) => void) | undefined;
    words: string;
  }
  let { ring, field, area, outlines, placements, findings, labels, onmove, words }: Props = $props();

  const PAD = 8;
  const NONE = { path: { closed: true, points: [] } };
  let drawing = $state<SVGSVGElement>();
  let moving = $state<{ at: number; dx: number; dy: number; x: number; y: number } | null>(null);
  let chosen = $state<number | null>(null);
  const shown = $derived(
    placements.map((each, at) => (moving?.at === at ? { ...each, x: moving.x, y: moving.y } : each))
  );
  const paths = $derived(shown.map((each): Path => outlineAt(outlines[each.part] ?? NONE, each)));
  const bad = $derived(new Set(findings.flatMap(({ at }) => at)));
  /** Upright and narrow: its label stands along it. */
  const narrow = (path: Path): boolean => {
    const { width, height } = extents(path);
    return height > 1.3 * width;
  };
  const px = $derived(Math.max(ring.width, ring.height) / 360);

  function toHoop(event: PointerEvent): { x: number; y: number } {
    const matrix = drawing?.getScreenCTM()?.inverse();
    if (!matrix) return { x: 0, y: 0 };
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    return { x, y };
  }

  function grab(event: PointerEvent, at: number): void {
    const place = placements[at];
    if (!place || !onmove) return;
    chosen = at;
    const { x, y } = toHoop(event);
    moving = { at, dx: place.x - x, dy: place.y - y, x: place.x, y: place.y };
    drawing?.setPointerCapture(event.pointerId);
  }

  function move(event: PointerEvent): void {
    if (!moving) return;
    const { x, y } = toHoop(event);
    // To half a millimetre, as nobody places a copy closer.
    const near = (value: number): number => Math.round(value * 2) / 2;
    moving = { ...moving, x: near(x + moving.dx), y: near(y + moving.dy) };
  }

  function drop(): void {
    if (moving) {
      const { at, x, y } = moving;
      const before = placements[at];
      moving = null;
      if (before && (before.x !== x || before.y !== y)) change(at, { x, y });
    }
  }

  const change = (at: number, to: Partial<Placement>): void =>
    onmove?.(placements.map((each, index) => (index === at ? { ...each, ...to } : each)));

  function key(event: KeyboardEvent, at: number): void {
    const place = placements[at];
    const step = event.shiftKey ? 10 : 1;
    const by = (
      { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] } as const
    )[event.key as 'ArrowLeft' | 'ArrowRight' | 'ArrowUp' | 'ArrowDown'] as
      readonly [number, number] | undefined;
    if (!place) return;
    if (by) change(at, { x: place.x + by[0], y: place.y + by[1] });
    else if (event.key === 'r') change(at, { turn: TURNS[(TURNS.indexOf(place.turn) + 1) % 4] ?? 0 });
    else if (event.key === 'm') change(at, { mirrored: !place.mirrored });
    else return;
    event.preventDefault();
  }
</script>

<svg
  bind:this={drawing}
  viewBox="{-ring.width / 2 - PAD} {-ring.height / 2 - PAD} {ring.width + 2 * PAD} {ring.height + 2 * PAD}"
  class="h-full max-h-full w-full touch-none"
  role="group"
  aria-label={words}
  onpointermove={move}
  onpointerup={drop}
  onpointercancel={() => (moving = null)}
>
  <rect
    x={-ring.width / 2 + 2.5}
    y={-ring.height / 2 + 2.5}
    width={ring.width - 5}
    height={ring.height - 5}
    rx={Math.min(ring.width, ring.height) / 7}
    class="ring"
    stroke-width="5"
  />
  <rect
    x={-field.width / 2}
    y={-field.height / 2}
    width={field.width}
    height={field.height}
    class="edge"
    stroke-width={px}
  />
  {#if area.maxX - area.minX < field.width || area.maxY - area.minY < field.height}
    <rect
      x={area.minX}
      y={area.minY}
      width={area.maxX - area.minX}
      height={area.maxY - area.minY}
      class="safe"
      stroke-width={px}
      stroke-dasharray="{4 * px} {3 * px}"
    />
  {/if}
  <path d="M-4 0H4M0 -4V4" class="cross" stroke-width={px} />
  {#each paths as path, at (at)}
    {@const place = shown[at]}
    <path
      d={pathData(path)}
      class="copy"
      class:bad={bad.has(at)}
      class:chosen={chosen === at}
      stroke-width={(chosen === at ? 3 : 1.6) * px}
      role="button"
      tabindex="0"
      aria-label="Copy {at + 1}{labels[at]
        ? `, ${labels[at]}`
        : ''}: {place?.x} mm right, {place?.y} mm down, turned {place?.turn} degrees{place?.mirrored
        ? ', mirrored'
        : ''}"
      onpointerdown={(event) => grab(event, at)}
      onfocus={() => (chosen = at)}
      onkeydown={(event) => key(event, at)}
    />
    {#if place}
      <text
        x={0}
        y={0}
        transform="translate({place.x} {place.y}){narrow(path) ? ' rotate(-90)' : ''}"
        font-size={14 * px}
        class="label"
        text-anchor="middle"
        dominant-baseline="central">{labels[at] || at + 1}</text
      >
    {/if}
  {/each}
</svg>

<style>
  .ring {
    fill: none;
    stroke: var(--edge);
  }
  .edge {
    fill: none;
    stroke: var(--rule-strong);
  }
  .safe {
    fill: none;
    stroke: var(--needle);
  }
  .cross {
    stroke: var(--soft);
    fill: none;
  }
  .copy {
    fill: var(--needle-pale);
    stroke: var(--needle);
    cursor: grab;
  }
  .copy.bad {
    fill: var(--hands-pale);
    stroke: var(--hands);
  }
  .label {
    fill: var(--ink);
    font-family: var(--font-head);
    font-weight: 700;
    pointer-events: none;
  }
</style>
