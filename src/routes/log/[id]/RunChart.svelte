<script lang="ts">
  import type { ComparedStep } from '$lib/core/run';
  import { formatDuration } from '$lib/core/units';
  import { theme } from '$lib/ui/theme.svelte';
  import { BarController, BarElement, CategoryScale, Chart, Legend, LinearScale, Tooltip } from 'chart.js';

  let { steps }: { steps: ComparedStep[] } = $props();
  let canvas = $state<HTMLCanvasElement>();

  Chart.register(BarController, BarElement, CategoryScale, LinearScale, Legend, Tooltip);

  /** A colour token of the page as it stands by day or by night. */
  const token = (name: string): string =>
    getComputedStyle(document.documentElement).getPropertyValue(name).trim();

  $effect(() => {
    // Named so that the drawing follows a change of theme.
    void theme.night;
    if (!canvas) return;
    const font = { family: token('--font-text') || 'sans-serif', size: 14 };
    const chart = new Chart(canvas, {
      type: 'bar',
      data: {
        labels: steps.map(({ step }) => `${step.number} ${step.title}`),
        datasets: [
          {
            label: 'predicted',
            data: steps.map(({ predicted }) => Math.round(predicted)),
            backgroundColor: token('--rule-strong')
          },
          {
            label: 'actual',
            data: steps.map(({ actual }) => (actual === null ? null : Math.round(actual))),
            backgroundColor: steps.map(({ step }) =>
              token(step.kind === 'stop' ? '--needle' : step.waiting.value > 0 ? '--wait' : '--hands')
            )
          }
        ]
      },
      options: {
        indexAxis: 'y',
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        scales: {
          x: { position: 'top', ticks: { color: token('--soft'), font }, grid: { color: token('--rule') } },
          y: { ticks: { color: token('--ink'), font, autoSkip: false }, grid: { display: false } }
        },
        plugins: {
          legend: { display: false },
          tooltip: {
            callbacks: { label: ({ dataset, raw }) => `${dataset.label}: ${formatDuration(Number(raw))}` }
          }
        }
      }
    });
    return () => chart.destroy();
  });
</script>

<p class="flex gap-5 text-[0.9375rem] text-soft">
  <span class="inline-flex items-center gap-2"><span class="size-3.5 bg-rule-strong"></span>predicted</span>
  <span class="inline-flex items-center gap-2"><span class="size-3.5 bg-hands"></span>hands</span>
  <span class="inline-flex items-center gap-2"><span class="size-3.5 bg-needle"></span>needle</span>
  <span class="inline-flex items-center gap-2"><span class="size-3.5 bg-wait"></span>waiting</span>
</p>
<div class="relative" style:height="{Math.max(200, steps.length * 25 + 24)}px">
  <canvas
    bind:this={canvas}
    aria-label="Predicted and actual seconds of each step; the table beside it has the same numbers."
  ></canvas>
</div>
