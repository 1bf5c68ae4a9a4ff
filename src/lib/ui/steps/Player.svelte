<script lang="ts">
  import { ChevronLeft, ChevronRight, Pause, Play } from '@lucide/svelte';

  /** Walks a list of steps by itself, forwards or backwards, or one at a time. */
  interface Props {
    count: number;
    /** Index of the step that is shown. */
    at: number;
    onshow: (at: number) => void;
  }
  let { count, at, onshow }: Props = $props();

  const STEP_MS = 1400;
  let walking = $state<1 | -1 | 0>(0);

  $effect(() => {
    if (walking === 0) return;
    const by = walking;
    const timer = setInterval(() => {
      const next = at + by;
      if (next >= 0 && next < count) onshow(next);
      else walking = 0;
    }, STEP_MS);
    return () => clearInterval(timer);
  });

  function walk(by: 1 | -1): void {
    if (walking === by) {
      walking = 0;
      return;
    }
    // From either end it starts again at the other.
    if (by === 1 && at === count - 1) onshow(0);
    if (by === -1 && at === 0) onshow(count - 1);
    walking = by;
  }
</script>

<div class="flex gap-1" role="group" aria-label="Walk through the steps">
  <button
    type="button"
    class="button button-quiet"
    onclick={() => walk(-1)}
    aria-label={walking === -1 ? 'Stop walking' : 'Walk backwards'}
    title={walking === -1 ? 'Stop walking' : 'Walk backwards'}
  >
    {#if walking === -1}<Pause size={20} aria-hidden="true" />{:else}<Play
        size={20}
        class="rotate-180"
        aria-hidden="true"
      />{/if}
  </button>
  <button
    type="button"
    class="button button-quiet"
    disabled={at <= 0}
    onclick={() => onshow(at - 1)}
    aria-label="One step back"
    title="One step back"><ChevronLeft size={20} aria-hidden="true" /></button
  >
  <button
    type="button"
    class="button button-quiet"
    disabled={at >= count - 1}
    onclick={() => onshow(at + 1)}
    aria-label="One step on"
    title="One step on"><ChevronRight size={20} aria-hidden="true" /></button
  >
  <button
    type="button"
    class="button button-quiet"
    onclick={() => walk(1)}
    aria-label={walking === 1 ? 'Stop walking' : 'Walk through the steps'}
    title={walking === 1 ? 'Stop walking' : 'Walk through the steps'}
  >
    {#if walking === 1}<Pause size={20} aria-hidden="true" />{:else}<Play size={20} aria-hidden="true" />{/if}
  </button>
</div>
