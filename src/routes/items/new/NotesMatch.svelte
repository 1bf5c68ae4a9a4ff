<script lang="ts">
  import type { Plan } from '$lib/core/documents/plan';
  import type { InstructionMatch } from '$lib/core/reading/papers';

  /** The sentences of the instruction sheet beside the steps they were put on. */
  interface Props {
    matches: InstructionMatch[];
    plan: Plan;
    /** Puts a sentence on another step, or on none. */
    onmove: (at: number, stepId: string | null) => void;
  }
  let { matches, plan, onmove }: Props = $props();

  const steps = $derived(plan.steps.filter(({ itemStepId }) => itemStepId !== null));
  const loose = $derived(matches.filter(({ stepId }) => stepId === null).length);
</script>

<section class="mt-8" aria-label="Instructions">
  <h2 class="text-xl">Your instructions on their steps</h2>
  <p class="text-soft">
    Each sentence becomes a note beside its step.
    {#if loose > 0}{loose === 1 ? 'One fits no step and is' : `${loose} fit no step and are`} kept in the item’s
      note.{/if}
  </p>
  <ol class="mt-2">
    {#each matches as { instruction, stepId }, at (at)}
      <li class="flex items-center gap-4 border-b border-rule py-1.5">
        <span class="head w-8 text-right text-lg">{instruction.number}</span>
        <span class="min-w-0 flex-1">{instruction.text}</span>
        <select
          class="field w-80 max-w-[45%] shrink-0"
          aria-label="Step of instruction {instruction.number}"
          value={stepId ?? ''}
          onchange={(event) => onmove(at, event.currentTarget.value || null)}
        >
          <option value="">no step</option>
          {#each steps as step (step.id)}<option value={step.itemStepId}
              >{step.number}
              {step.title}{step.stop?.machineNumber != null
                ? ` (stop ${step.stop.machineNumber})`
                : ''}</option
            >{/each}
        </select>
      </li>
    {/each}
  </ol>
</section>
