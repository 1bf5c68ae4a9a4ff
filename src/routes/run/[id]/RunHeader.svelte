<script lang="ts">
  import type { RunHead } from '$lib/core/documents/run';
  import type { RunState } from '$lib/core/running/runs';

  /** What is made, how far it has come, the marked stitch, and the way out. */
  interface Props {
    head: RunHead;
    run: RunState;
    followed: string;
    /** Goes to a step; null while one cannot. */
    ongo: ((stepId: string) => void) | null;
    onleave: () => void;
  }
  let { head, run, followed, ongo, onleave }: Props = $props();

  const steps = $derived(head.plan.steps);
  const step = $derived(steps[run.at]);
  const place = $derived(
    run.phase === 'not-started'
      ? 'before the start'
      : step
        ? `step ${step.number} of ${steps.length}`
        : `all ${steps.length} steps done`
  );
  const words = $derived(
    [
      place,
      run.skipped.length > 0 ? `${run.skipped.length} waiting` : '',
      run.incidents.length > 0 ? `${run.incidents.length} noted` : ''
    ]
      .filter(Boolean)
      .join(' · ')
  );
  /** The marked step, unless it stands on the screen or is not known. */
  const toMark = $derived(
    ongo && steps.some(({ id }) => id === run.mark?.stepId) && run.mark?.stepId !== step?.id
      ? run.mark?.stepId
      : undefined
  );
  const marked = $derived(
    run.mark
      ? `marked: ${run.mark.stop === null ? '' : `stop ${run.mark.stop}, `}stitch ${run.mark.stitch.toLocaleString('en')}`
      : ''
  );
</script>

<header class="flex flex-wrap items-baseline justify-between gap-x-6 text-lg">
  <h1 class="max-w-[60%] min-w-0 truncate text-xl" title={head.itemName}>{head.itemName}</h1>
  {#if followed}<p class="text-needle">{followed}</p>{/if}
  {#if marked && run.endedAt === null}
    {#if toMark}<button type="button" class="button text-needle" onclick={() => ongo?.(toMark)}
        >{marked}</button
      >
    {:else}<p class="text-needle">{marked}</p>{/if}
  {/if}
  <p class="text-soft">{words}</p>
  <button type="button" class="button button-quiet" onclick={onleave}>Leave it here</button>
</header>
