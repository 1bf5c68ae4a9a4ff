<script lang="ts">
  import type { HoopScene } from './scene';
  import { drawStitches } from './drawStitches';

  /** Stitches over the hoop drawing. A canvas, since two hundred thousand of them are no matter for a page’s elements. */
  interface Props {
    layers: HoopScene['stitches'];
    box: { width: number; height: number };
    turned: boolean;
  }
  let { layers, box, turned }: Props = $props();

  let canvas = $state<HTMLCanvasElement>();
  let width = $state(0);
  let height = $state(0);

  $effect(() => {
    if (!canvas || width === 0 || height === 0) return;
    const dots = window.devicePixelRatio || 1;
    canvas.width = Math.round(width * dots);
    canvas.height = Math.round(height * dots);
    const context = canvas.getContext('2d');
    if (!context) return;
    const scale = Math.min(canvas.width / box.width, canvas.height / box.height);
    context.translate(canvas.width / 2, canvas.height / 2);
    context.scale(turned ? -scale : scale, scale);
    for (const layer of layers) drawStitches(context, layer, scale);
  });
</script>

{#if layers.length > 0}
  <div
    class="pointer-events-none absolute inset-0"
    bind:clientWidth={width}
    bind:clientHeight={height}
    aria-hidden="true"
  >
    <canvas bind:this={canvas} class="size-full"></canvas>
  </div>
{/if}
