<script lang="ts">
  import { formatDuration } from '$lib/core/base/units';
  import type { ComparedStep } from '$lib/core/running/runs';
  import BarChart from '$lib/ui/chart/BarChart.svelte';

  let { steps }: { steps: ComparedStep[] } = $props();
  const colourOf = ({ step }: ComparedStep): string =>
    step.kind === 'stop' ? '--needle' : step.waiting.value > 0 ? '--wait' : '--hands';
</script>

<p class="flex gap-5 text-[0.9375rem] text-soft">
  <span class="inline-flex items-center gap-2"><span class="size-3.5 bg-rule-strong"></span>predicted</span>
  <span class="inline-flex items-center gap-2"><span class="size-3.5 bg-hands"></span>hands</span>
  <span class="inline-flex items-center gap-2"><span class="size-3.5 bg-needle"></span>needle</span>
  <span class="inline-flex items-center gap-2"><span class="size-3.5 bg-wait"></span>waiting</span>
</p>
<BarChart
  labels={steps.map(({ step }) => `${step.number} ${step.title}`)}
  series={[
    {
      label: 'predicted',
      data: steps.map(({ predicted }) => Math.round(predicted)),
      colour: '--rule-strong'
    },
    {
      label: 'actual',
      data: steps.map(({ actual }) => (actual === null ? null : Math.round(actual))),
      colour: steps.map(colourOf)
    }
  ]}
  say={formatDuration}
  words="Predicted and actual seconds of each step; the table beside it has the same numbers."
  height={Math.max(200, steps.length * 25 + 24)}
/>
