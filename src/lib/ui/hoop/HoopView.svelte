<script lang="ts">
  import { extents, pathData } from '$lib/core/base/geometry';
  import { formatLength, type LengthUnit } from '$lib/core/base/units';
  import type { HoopScene } from './scene';
  import StitchLayer from './StitchLayer.svelte';

  let { scene, unit, words }: { scene: HoopScene; unit: LengthUnit; words: string } = $props();

  const PAD = 16;
  const RING = 5;
  const reach = $derived(
    scene.cloths.reduce(
      (size, cloth) => ({
        width: Math.max(size.width, 2 * Math.abs(cloth.x), 2 * Math.abs(cloth.x + cloth.width)),
        height: Math.max(size.height, 2 * Math.abs(cloth.y), 2 * Math.abs(cloth.y + cloth.height))
      }),
      scene.ring
    )
  );
  const box = $derived({ width: reach.width + 2 * PAD, height: reach.height + 2 * PAD });
  /** One pixel of line or text in mm at the size the drawing is usually shown. */
  const px = $derived(Math.max(box.width, box.height) / 300);
  const overBox = $derived(scene.over && extents(scene.over.line));
</script>

<div class="relative h-full max-h-full w-full">
  <svg
    viewBox="{-box.width / 2} {-box.height / 2} {box.width} {box.height}"
    role="img"
    aria-label={words}
    class="h-full max-h-full w-full"
  >
    {#if scene.hooped}
      <rect
        x={-scene.ring.width / 2 + RING / 2}
        y={-scene.ring.height / 2 + RING / 2}
        width={scene.ring.width - RING}
        height={scene.ring.height - RING}
        rx={Math.min(scene.ring.width, scene.ring.height) / 7}
        class="ring"
        fill={scene.ground ?? 'none'}
        fill-opacity="0.55"
        stroke-width={RING}
      />
      <rect
        x={-scene.field.width / 2}
        y={-scene.field.height / 2}
        width={scene.field.width}
        height={scene.field.height}
        class="field-edge"
        stroke-width={px}
        stroke-dasharray="{4 * px} {3 * px}"
      />
    {/if}
    {#each scene.cloths as cloth, at (at)}
      <path
        d={cloth.rings.map((points) => pathData({ closed: true, points })).join('')}
        fill={cloth.colour}
        fill-rule="evenodd"
        fill-opacity={cloth.now ? 0.45 : 0.7}
        class={cloth.now ? 'cloth-now' : 'cloth'}
        stroke-width={cloth.now ? 2.5 * px : px}
      />
    {/each}
    <path d="M-5 0H5M0 -5V5" class="cross" stroke-width={px} />
    {#each scene.stitched as path, at (at)}
      <path d={pathData(path)} class="stitched" stroke-width={1.5 * px} />
    {/each}
    {#each scene.active as { path, kind }, at (at)}
      <path
        d={pathData(path)}
        class={kind}
        stroke-width={3 * px}
        stroke-dasharray={kind === 'stitch' ? `${6 * px} ${3 * px}` : `${3 * px} ${3 * px}`}
      />
    {/each}
    {#if scene.over && overBox}
      <path
        d={pathData(scene.over.line)}
        class="stitch"
        stroke-width={3 * px}
        stroke-dasharray="{6 * px} {3 * px}"
      />
      <path d="M{overBox.maxX} 0h{scene.over.mm}" class="measure" stroke-width={2 * px} />
      <text
        x={overBox.maxX + scene.over.mm / 2}
        y={20 * px}
        font-size={15 * px}
        text-anchor="middle"
        stroke-width={4 * px}
        class="measure-text"
      >
        {formatLength(scene.over.mm, unit)}
      </text>
    {/if}
    {#each scene.tape as { x, y, angle }, at (at)}
      <rect
        x={-9}
        y={-3.5}
        width="18"
        height="7"
        transform="translate({x} {y}) rotate({angle})"
        class="tape"
        stroke-width={px}
      />
    {/each}
  </svg>
  <StitchLayer layers={scene.stitches} {box} turned={scene.turned} />
</div>

<style>
  path:not(.cloth, .cloth-now) {
    fill: none;
  }
  .ring {
    stroke: var(--edge);
  }
  .field-edge {
    fill: none;
    stroke: var(--rule-strong);
  }
  .cloth {
    stroke: var(--edge);
  }
  .cloth-now {
    stroke: var(--hands);
  }
  .cross {
    stroke: var(--soft);
  }
  .stitched {
    stroke: var(--soft);
  }
  .stitch {
    stroke: var(--needle);
  }
  .cut,
  .measure {
    stroke: var(--hands);
  }
  .measure-text {
    fill: var(--hands);
    font-family: var(--font-head);
    font-weight: 700;
    paint-order: stroke;
    stroke: var(--sheet);
  }
  .tape {
    fill: var(--tape);
    stroke: var(--edge);
  }
</style>
