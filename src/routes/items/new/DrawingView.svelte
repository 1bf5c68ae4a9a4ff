<script lang="ts">
  import { pathData } from '$lib/core/base/geometry';
  import { formatSize, type LengthUnit } from '$lib/core/base/units';
  import type { DrawingReading } from '$lib/core/reading/drawings';

  /** The outlines of a drawing as they were read, one group marked. */
  interface Props {
    drawing: DrawingReading;
    name: string;
    unit: LengthUnit;
    marked: number | null;
  }
  let { drawing, name, unit, marked }: Props = $props();

  const size = $derived(drawing.size ?? { width: 100, height: 100 });
  const pad = $derived(Math.max(size.width, size.height) * 0.05);
</script>

<svg
  viewBox="{-size.width / 2 - pad} {-size.height / 2 - pad} {size.width + 2 * pad} {size.height + 2 * pad}"
  class="mt-2 h-[28rem] w-full bg-sheet"
  role="img"
  aria-label="{name}: {drawing.groups.length} groups, {formatSize(size, unit)}"
>
  {#each drawing.groups as { colour, paths }, at (at)}
    {#each paths as path, each (each)}
      <path d={pathData(path)} class={marked === at ? 'marked' : ''} stroke={colour ?? undefined} />
    {/each}
  {/each}
</svg>
<p class="text-soft">Everything drawn measures {formatSize(size, unit)}.</p>

<style>
  path {
    fill: none;
    stroke-width: 1.5;
    vector-effect: non-scaling-stroke;
  }
  .marked {
    stroke-width: 5;
  }
</style>
