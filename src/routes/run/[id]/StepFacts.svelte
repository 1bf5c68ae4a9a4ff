<script lang="ts">
  import { formatClock, formatDuration } from '$lib/core/base/units';
  import type { Plan, PlanStep } from '$lib/core/documents/plan';
  import Meanwhile from './Meanwhile.svelte';
  import { type KnownStitch, lookAhead, toPrepare } from '$lib/core/running/runs';

  /** The lower third: the clock of the step, the next thread, and what comes next or is to be made ready. */
  interface Props {
    runId: string;
    plan: Plan;
    step: PlanStep;
    at: number;
    passed: number;
    /** A stitch of this stop that is known. */
    known: KnownStitch | null;
    paused: boolean;
  }
  let { runId, plan, step, at, passed, known, paused }: Props = $props();
  const hands = $derived(step.kind === 'hand');
  const ahead = $derived(lookAhead(plan, at, passed, known));
  const left = $derived(ahead.left);
  const ready = $derived(toPrepare(plan, at));
  /** Long enough to do something else nearby, s. */
  const AWAY = 90;
</script>

<section class="facts">
  <div>
    <p class="label">{step.waiting.value > 0 ? 'waiting' : hands ? 'hands' : 'needle'}</p>
    <p class="big {paused ? 'text-soft' : hands ? 'text-hands' : 'text-needle'}">{formatClock(passed)}</p>
    <p class="text-soft">
      {left >= 0 ? `about ${formatDuration(left)} left` : `${formatDuration(-left)} longer than planned`}
    </p>
  </div>
  <div class="min-w-0">
    <p class="label">
      {step.kind === 'hand' && step.thread ? 'put on' : hands ? 'on the needle next' : 'thread'}
    </p>
    {#if ahead.thread}
      <p class="big truncate">{ahead.thread.name}</p>
      <svg class="patch" aria-hidden="true"
        ><rect width="100%" height="100%" fill={ahead.thread.colour} /></svg
      >
    {:else}<p class="big text-soft">no more thread</p>{/if}
  </div>
  <div class="min-w-0">
    {#if hands}
      <p class="label truncate">
        {ahead.nextStop
          ? `then stop ${ahead.nextStop.stop?.machineNumber ?? '?'}, ${ahead.nextStop.title.toLowerCase()}`
          : 'then'}
      </p>
      <p class="big">
        {ahead.nextStop ? formatDuration(ahead.nextStop.running.value) : ahead.next ? 'hands' : 'done'}
      </p>
      <p class="truncate text-soft">{ahead.next ? `next: ${ahead.next.title}` : ''}</p>
    {:else}
      <p class="label">hands needed in</p>
      <p class="big">{formatDuration(ahead.untilHands)}</p>
      {#if ahead.untilHands >= AWAY && !paused}
        <Meanwhile {runId} machine={plan.machine.name} seconds={ahead.untilHands} />
      {:else}
        <p class="truncate text-soft">{ahead.next ? `next: ${ahead.next.title}` : ''}</p>
      {/if}
    {/if}
    {#if ready.length > 0}<p class="two-lines text-soft">make ready: {ready.join(', ')}</p>{/if}
  </div>
</section>

<style>
  .facts {
    display: grid;
    grid-template-columns: minmax(min-content, 0.8fr) minmax(0, 1fr) minmax(0, 1.5fr);
    gap: 2rem;
    padding-top: 0.75rem;
    border-top: 2px solid var(--ink);
    font-size: 1.125rem;
  }
  .big {
    font: 700 clamp(1.75rem, 3.2vw, 2.5rem) / 1.15 var(--font-head);
  }
  .patch {
    width: 100%;
    height: 2.75rem;
    margin-top: 0.25rem;
    border: 2px solid var(--edge);
    border-radius: 5px;
  }
  @media (max-width: 560px) {
    .facts {
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
      gap: 0.75rem 1rem;
    }
    .facts > :global(:last-child) {
      grid-column: 1 / -1;
    }
    .patch {
      height: 1.25rem;
    }
  }
  .two-lines {
    display: -webkit-box;
    overflow: hidden;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    line-clamp: 2;
  }
</style>
