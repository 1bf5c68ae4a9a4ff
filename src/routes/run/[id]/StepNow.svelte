<script lang="ts">
  import { hoopWords } from '$lib/core/craft/operations';
  import type { PlanStep } from '$lib/core/documents/plan';
  import { Hand, TriangleAlert } from '@lucide/svelte';

  /** One step, huge: where the hoop is, what hands do or the needle does. */
  interface Props {
    step: PlanStep;
    paused: boolean;
    /** Hands are needed shortly. */
    soon: boolean;
    /** The file does not halt after this stop, though hands must act. */
    catches: boolean;
    /** Why the step is so, where it was asked for. */
    why: string | null;
  }
  let { step, paused, soon, catches, why }: Props = $props();

  const hands = $derived(step.kind === 'hand');

  /** Sizes of the words, the largest that lets all of them be seen; a caution is never cut. */
  const SCALES = [1, 0.9, 0.8, 0.7, 0.6, 0.52];
  let box = $state<HTMLElement>();
  let [width, height] = $state([0, 0]);
  function fit(now: HTMLElement): void {
    for (const scale of SCALES) {
      now.style.setProperty('--scale', String(scale));
      if (now.scrollHeight <= now.clientHeight) return;
    }
  }
  $effect(() => {
    // Whenever other words stand there, or there is other room for them.
    void [step, paused, soon, catches, why, width, height];
    if (box) fit(box);
  });
</script>

<section class="now" aria-live="polite" bind:this={box} bind:clientWidth={width} bind:clientHeight={height}>
  <p class="where {hands ? 'bg-hands text-on-hands' : 'bg-needle text-ground'}">
    {paused ? 'Paused' : hoopWords(step.hoop)}
  </p>
  {#if soon && catches}
    <p class="where bg-hands text-on-hands">Catch it: it does not halt by itself</p>
  {/if}
  <h2 class="title">
    {step.stop ? `Stop ${step.stop.machineNumber ?? 'without a number'}: ${step.title}` : step.title}
  </h2>
  <p class="detail">{step.detail}</p>
  {#if why}<p class="because">{why}</p>{/if}
  {#if step.note}<p class="detail italic">{step.note}</p>{/if}
  {#if catches && !soon}
    <p class="caution">
      <TriangleAlert size={24} class="mt-0.5 shrink-0" aria-hidden="true" />The file does not halt after this
      stop. Be there when it ends and halt by hand.
    </p>
  {:else if step.op?.do === 'unhoop'}
    <p class="caution">
      <TriangleAlert size={24} class="mt-0.5 shrink-0" aria-hidden="true" />Look at front and back once more.
      A stop can be run again now (R), out of the ring it cannot.
    </p>
  {:else if step.caution}<p class="caution">
      <Hand size={24} class="mt-0.5 shrink-0" aria-hidden="true" />{step.caution}
    </p>{/if}
</section>

<style>
  .now {
    min-width: 0;
    min-height: 0;
    /* Only where the smallest words are still too many. */
    overflow: hidden auto;
  }
  .where {
    display: inline-block;
    padding: 0.35rem 1.1rem;
    border-radius: 5px;
    font: 700 calc(var(--scale, 1) * clamp(1.375rem, 2.4vw, 1.75rem)) / 1.3 var(--font-head);
  }
  .title {
    margin-top: 0.75rem;
    font-size: calc(var(--scale, 1) * clamp(2.25rem, 4.4vw, 4.25rem));
    line-height: 1.02;
  }
  .detail {
    margin-top: 0.75rem;
    font-size: calc(var(--scale, 1) * clamp(1.375rem, 2.1vw, 1.75rem));
    line-height: 1.3;
  }
  .because {
    margin-top: 0.75rem;
    padding-left: 1rem;
    border-left: 6px solid var(--needle);
    font-size: calc(var(--scale, 1) * clamp(1.25rem, 2vw, 1.5rem));
    line-height: 1.3;
  }
  .caution {
    display: flex;
    gap: 0.5rem;
    margin-top: 0.75rem;
    font-size: max(1rem, calc(var(--scale, 1) * 1.25rem));
    color: var(--warn);
  }
  @media (orientation: portrait) {
    .title {
      font-size: calc(var(--scale, 1) * clamp(2.25rem, 7.6vw, 4.5rem));
    }
  }
</style>
