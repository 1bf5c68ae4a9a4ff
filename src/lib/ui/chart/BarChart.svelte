<script lang="ts" module>
  /** Bars of one colour, or of a colour each; a colour is the name of a token, as `--hands`. */
  export interface Series {
    label: string;
    data: (number | null)[];
    colour: string | string[];
  }
</script>

<script lang="ts">
  import { theme } from '$lib/ui/theme.svelte';
  import { BarController, BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';

  interface Props {
    labels: string[];
    series: Series[];
    /** Bars lie, their names beside them; or stand. */
    lying?: boolean;
    /** A value in words. */
    say: (value: number) => string;
    /** What the chart shows, for those who do not see it. */
    words: string;
    height: number;
  }
  let { labels, series, lying = true, say, words, height }: Props = $props();
  let canvas = $state<HTMLCanvasElement>();

  Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);

  /** A colour token of the page as it stands by day or by night. */
  const token = (name: string): string =>
    getComputedStyle(document.documentElement).getPropertyValue(name).trim();

  $effect(() => {
    // Named so that the drawing follows a change of theme.
    void theme.night;
    if (!canvas) return;
    const font = { family: token('--font-text') || 'sans-serif', size: 14 };
    const values = {
      ticks: {
        color: token('--soft'),
        font,
        maxRotation: 0,
        autoSkipPadding: 24,
        callback: (value: string | number) => say(Number(value))
      },
      grid: { color: token('--rule') }
    };
    const names = { ticks: { color: token('--ink'), font, autoSkip: !lying }, grid: { display: false } };
    const chart = new Chart(canvas, {
      type: 'bar',
      data: {
        labels,
        datasets: series.map(({ label, data, colour }) => ({
          label,
          data,
          backgroundColor: typeof colour === 'string' ? token(colour) : colour.map(token)
        }))
      },
      options: {
        indexAxis: lying ? 'y' : 'x',
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        scales: lying ? { x: { position: 'top', ...values }, y: names } : { x: names, y: values },
        plugins: {
          legend: { display: false },
          tooltip: { callbacks: { label: ({ dataset, raw }) => `${dataset.label}: ${say(Number(raw))}` } }
        }
      }
    });
    return () => chart.destroy();
  });
</script>

<div class="relative" style:height="{height}px">
  <canvas bind:this={canvas} aria-label={words}></canvas>
</div>
