<script lang="ts">
  import { formatSize } from '$lib/core/base/units';
  import { hoopWords } from '$lib/core/craft/operations';
  import type { Item } from '$lib/core/documents/item';
  import type { Plan, PlanStep } from '$lib/core/documents/plan';
  import type { StackStep } from '$lib/core/craft/stack';
  import EndPicture from '$lib/ui/picture/EndPicture.svelte';
  import HoopView from '$lib/ui/hoop/HoopView.svelte';
  import { hoopScene } from '$lib/ui/hoop/scene';
  import LayersView from '$lib/ui/stack/LayersView.svelte';

  /** The hoop and what lies in it once the block is done, with what the checks say of the whole. */
  interface Props {
    plan: Plan;
    item: Item;
    trace: StackStep[];
    step: PlanStep | undefined;
    findings: { text: string; stepId: string | null }[];
    onshow: (stepId: string) => void;
  }
  let { plan, item, trace, step, findings, onshow }: Props = $props();

  const scene = $derived(step && hoopScene(item, plan, step, trace));
  const stack = $derived.by(() => {
    const own = plan.steps
      .slice(0, step?.number ?? 0)
      .findLast(({ itemStepId }) => itemStepId !== null)?.itemStepId;
    return trace.find(({ stepId }) => stepId === own);
  });
</script>

<section class="min-w-0" aria-label="The hoop by then">
  {#if step}
    <p class="text-[0.9375rem] font-bold text-soft">
      step {step.number} of {plan.steps.length} · {hoopWords(step.hoop)}
    </p>
    <p class="head text-xl leading-tight">{step.title}</p>
  {/if}
  <EndPicture {item} {trace} unit={plan.unit} height="9rem" />
  {#if scene && (scene.hooped || scene.active.length > 0)}
    <div class="mt-2 h-64">
      <HoopView {scene} unit={plan.unit} words="The hoop from above. {step?.title ?? ''}." />
    </div>
  {:else}
    <p class="mt-2 text-soft">Out of the hoop, finished {formatSize(plan.finished, plan.unit)}.</p>
  {/if}
  {#if stack}<div class="mt-3"><LayersView {item} {stack} ring={plan.hoop.ring} /></div>{/if}
  {#if findings.length > 0}
    <ul class="mt-3 flex flex-col gap-2" aria-label="To look at">
      {#each findings as { text, stepId } (`${stepId ?? ''} ${text}`)}
        <li class="border-l-4 border-hands bg-hands-pale px-3 py-1.5">
          {text}
          {#if stepId}<button type="button" class="min-h-11 underline" onclick={() => onshow(stepId)}
              >Show it</button
            >{/if}
        </li>
      {/each}
    </ul>
  {/if}
</section>
