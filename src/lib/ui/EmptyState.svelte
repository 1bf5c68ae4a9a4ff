<script lang="ts">
  import type { Snippet } from 'svelte';
  import { EMPTY_PICTURES, type EmptyPicture } from './emptyPictures';

  /** A place that holds nothing yet: what it will hold, drawn, and the next step. */
  let { picture, children }: { picture: EmptyPicture; children: Snippet } = $props();
  const { cloth, hands, needle, ink } = $derived(EMPTY_PICTURES[picture]);
</script>

<div class="mt-8 flex max-w-3xl flex-wrap items-center gap-8" data-empty={picture}>
  <svg viewBox="0 0 120 90" class="w-44 shrink-0" aria-hidden="true">
    <path d={cloth} fill="var(--tape)" stroke="var(--ink)" stroke-width="1.2" stroke-linejoin="round" />
    <path d={hands} class="line" stroke="var(--hands)" />
    <path d={needle} class="line" stroke="var(--needle)" stroke-dasharray="4 2.5" />
    <path d={ink} class="line" stroke="var(--ink)" />
  </svg>
  <div class="max-w-xl min-w-64 flex-1 text-lg">{@render children()}</div>
</div>

<style>
  .line {
    fill: none;
    stroke-width: 1.6;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
</style>
