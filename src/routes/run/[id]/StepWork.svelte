<script lang="ts">
  import { forVariant, type Item } from '$lib/core/documents/item';
  import type { Plan, PlanStep } from '$lib/core/documents/plan';
  import { cutSizes, simulate } from '$lib/core/craft/stack';
  import { whyOf } from '$lib/core/making/why';
  import type { KnownStitch } from '$lib/core/running/runs';
  import { angleScene } from '$lib/ui/angle/scene';
  import AngleView from '$lib/ui/angle/AngleView.svelte';
  import HoopView from '$lib/ui/hoop/HoopView.svelte';
  import { hoopScene } from '$lib/ui/hoop/scene';
  import { stackScene } from '$lib/ui/stack/scene';
  import StackView from '$lib/ui/stack/StackView.svelte';
  import StepFacts from './StepFacts.svelte';
  import StepNow from './StepNow.svelte';
  import { VIEWS, type View } from './views';

  /** The step that is on: its words, its figures, and its drawing as large as the screen allows. */
  interface Props {
    runId: string;
    plan: Plan;
    step: PlanStep;
    item: Item | undefined;
    at: number;
    paused: boolean;
    soon: boolean;
    catches: boolean;
    passed: number;
    known: KnownStitch | null;
    view: View;
  }
  let {
    runId,
    plan,
    step,
    item,
    at,
    paused,
    soon,
    catches,
    passed,
    known,
    view = $bindable()
  }: Props = $props();

  const shown = $derived(item && forVariant(item, plan.variant.id));
  const trace = $derived(shown ? simulate(shown, cutSizes(plan.cuts)) : []);
  const scene = $derived(shown && hoopScene(shown, plan, step, trace));
  /** The hoop at the step, or as it was left by the last one that the item itself has. */
  const stack = $derived(
    plan.steps
      .slice(0, at + 1)
      .reduceRight<(typeof trace)[number] | undefined>(
        (found, { id }) => found ?? trace.find(({ stepId }) => stepId === id),
        undefined
      )
  );
  const why = $derived(shown && step.itemStepId !== null ? whyOf(shown, trace, step.itemStepId) : null);
  /** The step whose reason was asked for. */
  let asked = $state<string | null>(null);
  const asks = $derived(asked === step.id);
  const side = $derived(shown && stack && stackScene(shown, stack, plan.hoop.ring.width));
  const layered = $derived((side?.rows.length ?? 0) > 0);
  /** Drawn larger than on the sheet: it is read from where the machine stands. */
  const NEAR = 1.35;
  /** Dots the drawing may take. */
  let [width, height] = $state([560, 480]);
  const angle = $derived.by(() => {
    if (!shown || !stack || !layered || view !== 'angle') return null;
    const room = { width: (width * 0.62) / NEAR, height: height / NEAR };
    const scene = angleScene(shown, stack, plan.hoop.ring, room.width);
    // Many layers are drawn smaller, so that all of them are seen.
    return scene.height <= room.height
      ? scene
      : angleScene(shown, stack, plan.hoop.ring, Math.max(120, room.width * (room.height / scene.height)));
  });
  const seen = $derived<View>(layered && (view !== 'above' || !scene?.hooped) ? view : 'above');
</script>

<div class="work">
  <StepNow {step} {paused} {soon} {catches} why={asks ? why : null} />
  <div class="drawing">
    <div class="picture" bind:clientWidth={width} bind:clientHeight={height}>
      {#if seen === 'side' && side}<div class="side"><StackView scene={side} /></div>
      {:else if seen === 'angle' && angle}<div style:zoom={NEAR}>
          {#key step.id}<AngleView scene={angle} />{/key}
        </div>
      {:else if scene?.hooped}<HoopView
          {scene}
          unit={plan.unit}
          words="The hoop from above. {step.title}. {step.detail}"
        />{/if}
    </div>
  </div>
  <div class="turn" role="group" aria-label="How it is shown">
    {#if why}<button
        type="button"
        class="button"
        aria-pressed={asks}
        onclick={() => (asked = asks ? null : step.id)}>Why?</button
      >{/if}
    {#if layered}
      {#each VIEWS as { id, name } (id)}
        {#if id !== 'above' || scene?.hooped}<button
            type="button"
            class="button {seen === id ? 'font-bold underline' : ''}"
            aria-pressed={seen === id}
            title="V shows it another way"
            onclick={() => (view = id)}>{name}</button
          >{/if}
      {/each}
    {/if}
  </div>
  <StepFacts {runId} {plan} {step} {at} {passed} {known} {paused} />
</div>

<style>
  .work {
    display: grid;
    grid-template: minmax(0, 1fr) auto auto / minmax(0, 1fr) minmax(0, 1.3fr);
    grid-template-areas: 'now drawing' 'turn drawing' 'facts drawing';
    gap: 0.75rem 2rem;
    min-height: 0;
  }
  .work > :global(.facts) {
    grid-area: facts;
  }
  .drawing {
    display: flex;
    flex-direction: column;
    grid-area: drawing;
    gap: 0.5rem;
    min-width: 0;
    min-height: 0;
  }
  .picture {
    display: flex;
    flex: 1;
    flex-direction: column;
    align-items: stretch;
    justify-content: center;
    min-height: 0;
    overflow: hidden;
  }
  /* Drawn larger than on the sheet: it is read from where the machine stands. */
  .side {
    overflow: hidden;
    zoom: 1.6;
  }
  .turn {
    display: flex;
    flex-wrap: wrap;
    grid-area: turn;
    gap: 0.5rem;
  }
  .turn :global(.button) {
    min-height: 56px;
  }
  @media (orientation: portrait) {
    .work {
      grid-template: auto minmax(0, 1fr) auto auto / minmax(0, 1fr);
      grid-template-areas: 'now' 'drawing' 'turn' 'facts';
    }
  }
  /* On a phone the page is read downwards, its keys staying below. */
  @media (max-width: 560px) {
    .work {
      grid-template-rows: auto;
      align-content: start;
    }
    .picture {
      height: 19rem;
      flex: none;
    }
  }
</style>
