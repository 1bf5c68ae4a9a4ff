<script lang="ts">
  import { extents, type Path, pathData } from '$lib/core/base/geometry';
  import type { Hoop } from '$lib/core/documents/shop';

  /** An outline and its other lines in the hoop that is chosen for it. */
  interface Props {
    hoop: Pick<Hoop, 'ring' | 'field'>;
    fits: boolean;
    lines: { id: string; path: Path }[];
    words: string;
  }
  let { hoop, fits, lines, words }: Props = $props();
  const outline = $derived(lines[0]?.path);
  const view = $derived.by(() => {
    const box = outline ? extents(outline) : undefined;
    const width = Math.max(hoop?.ring.width ?? 100, box?.width ?? 0) + 16;
    const height = Math.max(hoop?.ring.height ?? 100, box?.height ?? 0) + 16;
    return { width, height };
  });
</script>

<svg
  viewBox="{-view.width / 2} {-view.height / 2} {view.width} {view.height}"
  class="h-64 w-full"
  role="img"
  aria-label={words}
>
  <rect
    x={-hoop.ring.width / 2 + 2.5}
    y={-hoop.ring.height / 2 + 2.5}
    width={hoop.ring.width - 5}
    height={hoop.ring.height - 5}
    rx={hoop.ring.width / 7}
    class="ring"
  />
  <rect
    x={-hoop.field.width / 2}
    y={-hoop.field.height / 2}
    width={hoop.field.width}
    height={hoop.field.height}
    class="reach"
  />
  {#each lines as line, at (line.id)}
    <path d={pathData(line.path)} class={at === 0 ? `shape ${fits ? '' : 'wrong'}` : 'line'} />
  {/each}
</svg>

<style>
  .ring {
    fill: var(--sheet);
    stroke: var(--edge);
    stroke-width: 5;
  }
  .reach {
    fill: none;
    stroke: var(--rule-strong);
    stroke-width: 1;
    stroke-dasharray: 4 3;
  }
  .shape {
    fill: var(--needle-pale);
    stroke: var(--needle);
    stroke-width: 1.5;
    stroke-dasharray: 4 2;
  }
  .line {
    fill: none;
    stroke: var(--soft);
    stroke-width: 0.8;
    stroke-dasharray: 2.5 2;
  }
  .wrong {
    fill: var(--hands-pale);
    stroke: var(--hands);
  }
</style>
