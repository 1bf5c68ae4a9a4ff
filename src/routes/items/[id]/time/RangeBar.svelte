<script lang="ts">
  import type { Estimate } from '$lib/core/documents/plan';
  import { halfRange } from '$lib/core/making/time';

  /** An estimate with its two ranges, to the scale of the longest. */
  let { estimate, longest, kind }: { estimate: Estimate; longest: number; kind: string } = $props();
  const half = $derived(halfRange(estimate));
  const x = $derived((seconds: number): number => (seconds / longest) * 100);
</script>

<svg class="h-9 w-full {kind}" viewBox="0 0 100 36" preserveAspectRatio="none" aria-hidden="true">
  <rect x="0" y="16" width="100" height="1" class="scale" />
  <rect x={x(estimate.low)} y="10" width={x(estimate.high) - x(estimate.low)} height="14" class="outer" />
  <rect x={x(half.low)} y="5" width={x(half.high) - x(half.low)} height="24" class="inner" />
  <path d="M{x(estimate.value)} 1V34" class="middle" />
</svg>

<style>
  .scale {
    fill: var(--rule-strong);
  }
  .outer {
    fill: var(--needle-pale);
    stroke: var(--needle);
    stroke-width: 1;
    vector-effect: non-scaling-stroke;
  }
  .inner {
    fill: var(--needle);
    opacity: 0.75;
  }
  .hands .outer {
    fill: var(--hands-pale);
    stroke: var(--hands);
  }
  .hands .inner {
    fill: var(--hands);
  }
  .middle {
    stroke: var(--ink);
    stroke-width: 2.5;
    vector-effect: non-scaling-stroke;
  }
</style>
