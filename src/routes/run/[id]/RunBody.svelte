<script lang="ts">
  import { formatClock } from '$lib/core/base/units';
  import type { Item } from '$lib/core/documents/item';
  import type { RunHead } from '$lib/core/documents/run';
  import type { BobbinKind, BobbinOn } from '$lib/core/documents/shop';
  import type { KnownStitch, Recovery, RunState, StartCheck } from '$lib/core/running/runs';
  import NextForHands from '../../NextForHands.svelte';
  import BobbinNow from './BobbinNow.svelte';
  import Guided from './Guided.svelte';
  import StartChecks from './StartChecks.svelte';
  import StepWork from './StepWork.svelte';
  import type { View } from './views';

  /** What stands in the middle: the checks before the start, a fault’s way out, the way back, or the step. */
  interface Props {
    head: RunHead;
    run: RunState;
    item: Item | undefined;
    checks: readonly StartCheck[];
    bobbinKinds: readonly BobbinKind[];
    recovery: Recovery | null | undefined;
    back: { label: string; title: string; steps: readonly string[] } | null;
    /** Seconds the open fault has taken. */
    faultFor: number;
    problem: string | null;
    soon: boolean;
    catches: boolean;
    passed: number;
    known: KnownStitch | null;
    stitchTyped: string;
    view: View;
    onenter: () => void;
    onbobbin: (kind: BobbinKind, on: BobbinOn | undefined) => void;
    ontick: (id: string, on: boolean) => void;
  }
  let {
    head,
    run,
    item,
    checks,
    bobbinKinds,
    recovery,
    back,
    faultFor,
    problem,
    soon,
    catches,
    passed,
    known,
    stitchTyped = $bindable(),
    view = $bindable(),
    onenter,
    onbobbin,
    ontick
  }: Props = $props();

  const plan = $derived(head.plan);
  const step = $derived(plan.steps[run.at]);
  const paused = $derived(run.phase === 'paused');
</script>

{#if run.phase === 'not-started'}
  <div class="flex min-h-0 flex-col">
    <h2 class="mb-2 text-[clamp(1.75rem,3vw,2.5rem)]">Before the start</h2>
    <StartChecks {checks} ticked={run.checked} {ontick}>
      {#snippet bobbin()}
        <BobbinNow {plan} kinds={bobbinKinds} usual={head.setup.bobbin} on={head.setup.bobbinOn} {onbobbin} />
      {/snippet}
    </StartChecks>
  </div>
{:else if recovery && step}
  <Guided
    label={formatClock(faultFor)}
    title={recovery.title}
    steps={recovery.steps}
    stitches={recovery.asksStitch ? (step.stop?.stitches ?? 0) : null}
    bind:typed={stitchTyped}
    {problem}
    {onenter}
  />
{:else if back}
  <Guided {...back} />
{:else if step}
  <StepWork
    runId={head.id}
    {plan}
    {step}
    {item}
    at={run.at}
    {paused}
    {soon}
    {catches}
    {passed}
    {known}
    bind:view
  />
{:else}
  <section>
    <h2 class="mt-3 text-[clamp(2.75rem,6vw,4.75rem)]">That was the last step.</h2>
    <p class="mt-3 text-2xl">Look it over. Finish to put the run into the log.</p>
    {#if head.order}<NextForHands large />{/if}
  </section>
{/if}
