<script lang="ts">
  import { hoopWords } from '$lib/core/craft/operations';
  import { forVariant, type Item } from '$lib/core/documents/item';
  import type { Plan, PlanStep } from '$lib/core/documents/plan';
  import { cutSizes, simulate } from '$lib/core/making/stack';
  import { whyOf } from '$lib/core/making/why';
  import HoopView from '$lib/ui/hoop/HoopView.svelte';
  import { hoopScene } from '$lib/ui/hoop/scene';
  import { stackScene } from '$lib/ui/stack/scene';
  import StackView from '$lib/ui/stack/StackView.svelte';
  import { Hand, Layers, TriangleAlert } from '@lucide/svelte';

  /** One step, huge: where the hoop is, what hands do or the needle does, and its drawing. */
  interface Props {
    plan: Plan;
    step: PlanStep;
    item: Item | undefined;
    at: number;
    paused: boolean;
    /** Hands are needed shortly. */
    soon: boolean;
    /** The file does not halt after this stop, though hands must act. */
    catches: boolean;
    fromSide: boolean;
  }
  let { plan, step, item, at, paused, soon, catches, fromSide = $bindable() }: Props = $props();

  const hands = $derived(step.kind === 'hand');
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
</script>

<section class="now" aria-live="polite">
  <div>
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
    {#if step.note}<p class="detail italic">{step.note}</p>{/if}
    {#if catches && !soon}
      <p class="caution">
        <TriangleAlert size={24} class="mt-0.5 shrink-0" aria-hidden="true" />The file does not halt after
        this stop. Be there when it ends and halt by hand.
      </p>
    {:else if step.op?.do === 'unhoop'}
      <p class="caution">
        <TriangleAlert size={24} class="mt-0.5 shrink-0" aria-hidden="true" />Look at front and back once
        more. A stop can be run again now (R), out of the ring it cannot.
      </p>
    {:else if step.caution}<p class="caution">
        <Hand size={24} class="mt-0.5 shrink-0" aria-hidden="true" />{step.caution}
      </p>{/if}
  </div>
  {#if (scene?.hooped ?? false) || side}
    <div class="drawing">
      {#if asks && why}
        <p class="because">{why}</p>
      {:else if fromSide && side}
        <div class="side"><StackView scene={side} /></div>
      {:else if scene?.hooped}
        <HoopView {scene} unit={plan.unit} words="The hoop from above. {step.title}. {step.detail}" />
      {/if}
      <div class="turn">
        {#if why}<button
            type="button"
            class="button"
            aria-pressed={asks}
            onclick={() => (asked = asks ? null : step.id)}>Why?</button
          >{/if}
        {#if side && side.rows.length > 0}
          <button type="button" class="button" aria-pressed={fromSide} onclick={() => (fromSide = !fromSide)}
            ><Layers size={20} aria-hidden="true" />{fromSide ? 'From above' : 'From the side'}<span
              class="text-sm font-normal text-soft">V</span
            ></button
          >
        {/if}
      </div>
    </div>
  {/if}
</section>

<style>
  .now {
    display: flex;
    gap: 2rem;
    min-height: 0;
    justify-content: space-between;
  }
  .now > :first-child {
    min-width: 0;
    flex: 1.6;
  }
  .where {
    display: inline-block;
    padding: 0.35rem 1.1rem;
    border-radius: 5px;
    font: 700 clamp(1.375rem, 2.4vw, 1.75rem) / 1.3 var(--font-head);
  }
  .title {
    margin-top: 0.75rem;
    font-size: clamp(2.75rem, 6vw, 4.75rem);
    line-height: 1.02;
  }
  .detail {
    margin-top: 0.75rem;
    font-size: clamp(1.375rem, 2.3vw, 1.75rem);
    line-height: 1.3;
  }
  .caution {
    display: flex;
    gap: 0.5rem;
    margin-top: 0.75rem;
    font-size: 1.25rem;
    color: var(--warn);
  }
  .drawing {
    position: relative;
    display: flex;
    flex-direction: column;
    flex: 1;
    gap: 0.5rem;
    min-height: 0;
    min-width: 0;
  }
  .drawing > :global(:first-child) {
    flex: 1;
    min-height: 0;
  }
  /* Drawn larger than on the sheet: it is read from where the machine stands. */
  .side {
    overflow: hidden;
    zoom: 1.6;
  }
  .because {
    font-size: clamp(1.375rem, 2.3vw, 1.75rem);
    line-height: 1.3;
    border-left: 6px solid var(--needle);
    padding-left: 1rem;
  }
  .turn {
    display: flex;
    gap: 0.5rem;
    align-self: center;
  }
  .turn :global(.button) {
    min-height: 64px;
  }
  @media (orientation: portrait) {
    .now {
      flex-direction: column;
      justify-content: flex-start;
    }
    .now > :first-child {
      flex: none;
    }
    .title {
      font-size: clamp(2.75rem, 8.6vw, 5rem);
    }
    .drawing {
      max-height: 27rem;
    }
    .turn {
      position: absolute;
      right: 0;
      bottom: 0;
    }
  }
</style>
