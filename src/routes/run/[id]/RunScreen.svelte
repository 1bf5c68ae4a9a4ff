<script lang="ts">
  import type { Fault, RunHead } from '$lib/core/documents/run';
  import type { BobbinKind, BobbinOn, Machine } from '$lib/core/documents/shop';
  import {
    CALL_AT_S,
    faultSeconds,
    gettingBack,
    lookAhead,
    mayStitchAt,
    mustCatch,
    readStitch,
    recoveryFor,
    type RunState,
    type RunTable,
    type StartCheck,
    stepSeconds,
    type TypedStitch
  } from '$lib/core/running/runs';
  import type { EventDraft } from '$lib/data';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import { ribbonSteps } from '$lib/core/making/summary';
  import AskDialog from './AskDialog.svelte';
  import { callHands, callOut } from './callOuts';
  import FaultDialog from './FaultDialog.svelte';
  import LeaveDialog from './LeaveDialog.svelte';
  import RunBody from './RunBody.svelte';
  import './screen.css';
  import { nextView, type View } from './views';
  import RunHeader from './RunHeader.svelte';
  import MoreDialog from './MoreDialog.svelte';
  import { mainKeyWords } from './words';
  import RunKeys from './RunKeys.svelte';
  import { type Ask, keysOf } from './keys';
  import { type Away, type AwayAnswer, awayFrom, countedOf, seen } from './away';
  import AwayDialog from './AwayDialog.svelte';
  import { keepAwake } from './keepAwake';
  import { untrack } from 'svelte';

  interface Props {
    head: RunHead;
    state: RunState;
    /** The item of the run and its hoop after every step; null where nothing is known of it any more. */
    simulated: RunTable | null;
    machine: Machine | undefined;
    checks: readonly StartCheck[];
    bobbinKinds: readonly BobbinKind[];
    onbobbin: (kind: BobbinKind, on: BobbinOn | undefined) => void;
    anyHidden: boolean;
    voice: { spoken: boolean; tones: boolean };
    /** What stands about the machine that is followed; empty for none. */
    followed: string;
    /** Where the followed machine is. */
    told: { stop: number; stitch: number } | null;
    onevent: (draft: EventDraft) => void;
    onvoice: (change: { spoken?: boolean; tones?: boolean }) => void;
    onphoto: (file: File, stepId: string | null) => void;
    onfollow: () => void;
    onleave: () => void;
    /** Something else has the keyboard. */
    busy: boolean;
  }
  let {
    head,
    state: run,
    simulated,
    machine,
    checks,
    bobbinKinds,
    onbobbin,
    anyHidden,
    voice,
    followed,
    told,
    onevent,
    onvoice,
    onphoto,
    onfollow,
    onleave,
    busy
  }: Props = $props();

  const plan = $derived(head.plan);
  const step = $derived(plan.steps[run.at]);
  const over = $derived(run.endedAt !== null);
  const before = $derived(run.phase === 'not-started');
  const shown = $derived(simulated?.item);
  const trace = $derived(simulated?.trace ?? []);

  let now = $state(Date.now());
  /** Time in which nobody looked, until the maker says what happened. */
  let away = $state.raw<Away | null>(null);
  function look(): void {
    now = Date.now();
    away ??= awayFrom(head.id, run, step, now);
    // Until it is answered nobody has looked.
    if (!away) seen(head.id, now);
  }
  $effect(() => {
    untrack(look);
    const timer = setInterval(() => untrack(look), 250);
    return () => clearInterval(timer);
  });
  function sayAway(answer: AwayAnswer): void {
    if (away && step)
      onevent({ type: 'away', ...at, to: answer, seconds: countedOf(answer, away, run, step) });
    seen(head.id, Date.now());
    away = null;
  }
  const passed = $derived(stepSeconds(run, now));
  /** The stitch that is known: told by the machine now, or marked, or gone back to. */
  const known = $derived(
    told && told.stop === step?.stop?.machineNumber ? { stitch: told.stitch, seconds: passed } : run.known
  );
  const ahead = $derived(lookAhead(plan, run.at, passed, known));
  const catches = $derived(mustCatch(plan, run.at));
  const soon = $derived(
    run.phase === 'running' && step?.kind === 'stop' && !run.fault && ahead.untilHands <= CALL_AT_S
  );

  let ask = $state<Ask | null>(null);
  let choosing = $state(false);
  let more = $state(false);
  let view = $state<View>('above');
  let leaving = $state(false);
  /** Set while the answer to “set aside” also leaves the page. */
  let leavesAfter = $state(false);
  let stitchTyped = $state('');
  $effect(() => {
    if (run.fault) stitchTyped = run.fault.stitch === null ? '' : String(run.fault.stitch);
  });
  const readAs = (typed: string): TypedStitch => readStitch(typed, plan, run.at, machine);
  /** The number typed; undefined for what is none. */
  const stitch = $derived.by(() => {
    const { stitch, problem } = readAs(stitchTyped);
    return problem === null ? stitch : undefined;
  });
  const recovery = $derived(
    run.fault && step && recoveryFor(run.fault.fault, step, stitch ?? null, plan.hoop.name)
  );
  const back = $derived(run.bookmark && gettingBack(plan, shown, run.bookmark, machine));
  /** While it stands still at a marked stitch, the way back to it is said. */
  const backToMark = $derived(
    run.phase === 'paused' && run.mark && run.mark.stepId === step?.id
      ? {
          label: 'Paused',
          title: 'Back to the marked stitch',
          steps: gettingBack(plan, shown, run.mark, machine)
        }
      : null
  );
  const possible = $derived(more && shown ? mayStitchAt(shown, plan, trace, run, anyHidden) : null);

  const at = $derived({ stepId: step?.id ?? null, stop: step?.stop?.machineNumber ?? null });
  const isHeld = $derived(run.phase === 'paused' || run.phase === 'set-aside');
  function done(): void {
    if (before) onevent({ type: 'start', stepId: null });
    else if (run.fault) sorted();
    else if (isHeld) onevent({ type: 'resume', ...at });
    else if (step) onevent({ type: 'done', ...at });
    else onevent({ type: 'finish', stepId: null });
  }
  function sorted(): void {
    if (stitch !== undefined) onevent({ type: 'sorted', ...at, stitch });
  }
  function fault(kind: Fault): void {
    choosing = false;
    onevent({ type: 'fault', ...at, fault: kind });
  }
  function go(to: string): void {
    more = false;
    onevent({ type: 'go-to', ...at, to });
  }
  function skip(): void {
    more = false;
    onevent({ type: 'skip', ...at });
  }
  const askFor = (what: Ask): void => void ([more, leavesAfter, ask] = [false, false, what]);
  /** What is under way asks how it is left; anything else is left as it stands. */
  function leave(): void {
    if (going) leaving = true;
    else onleave();
  }

  const going = $derived(run.phase === 'running' && step !== undefined && !run.fault);
  const stitchedBefore = $derived(plan.steps.slice(0, run.at + 1).some(({ kind }) => kind === 'stop'));
  const canSkip = $derived(going && run.done.filter((isDone) => !isDone).length > 1);
  const canMark = $derived(going && step?.kind === 'stop');
  const keyed = $derived(
    keysOf(
      {
        mainWords: mainKeyWords(run, step !== undefined),
        canGoOn: !over && (!run.fault || stitch !== undefined),
        canGoBack: !over && !run.fault && !run.bookmark && run.path.length > 0,
        canPause: !over && !before && step !== undefined,
        canAskMore: !over,
        isHeld,
        going,
        started: !before,
        stitchedBefore,
        canSkip,
        canMark
      },
      {
        done,
        back: () => onevent({ type: 'back', ...at }),
        pause: () => onevent({ type: isHeld ? 'resume' : 'pause', ...at }),
        fault,
        otherFault: () => (choosing = true),
        again: () => onevent({ type: 'again', ...at }),
        more: () => (more = true),
        skip,
        askFor,
        side: () => (view = nextView(view))
      }
    )
  );

  // Called out: each step as it comes, and hands shortly before they are needed.
  const calls = $derived(
    run.phase === 'running' && !run.fault && step ? `${step.title}. ${step.detail}` : ''
  );
  $effect(() => callOut(voice, calls));
  $effect(() => callHands(voice, soon, catches));
  $effect(keepAwake);
</script>

<main class="run-screen">
  <RunHeader {head} {run} {followed} ongo={going ? go : null} onleave={leave} />
  <div class="ribbon">
    <Ribbon
      steps={ribbonSteps(plan.steps)}
      label="{head.itemName}: {step ? `step ${step.number}` : 'done'}"
      selected={step?.id}
      onselect={undefined}
    />
  </div>

  <RunBody
    {head}
    {run}
    item={shown}
    {checks}
    {bobbinKinds}
    {recovery}
    back={back ? { label: 'Set aside', title: 'Getting back to it', steps: back } : backToMark}
    faultFor={faultSeconds(run, now)}
    problem={readAs(stitchTyped).problem}
    {soon}
    {catches}
    {passed}
    {known}
    bind:stitchTyped
    bind:view
    onenter={done}
    {onbobbin}
    ontick={(id, on) => onevent({ type: on ? 'check' : 'uncheck', stepId: null, to: id })}
  />

  <RunKeys
    keys={keyed.keys}
    quiet={keyed.quiet}
    listening={ask === null && away === null && !choosing && !more && !leaving && !over && !busy}
  />
</main>

<AskDialog
  {ask}
  {readAs}
  onclose={() => (ask = null)}
  onanswer={(type, stitch, text) => {
    ask = null;
    onevent({ type, ...at, stitch, text });
    if (leavesAfter) onleave();
  }}
/>
<LeaveDialog
  open={leaving}
  goesOn={step?.kind === 'stop' ? 'needle' : step && step.waiting.value > 0 ? 'waiting' : null}
  onclose={() => (leaving = false)}
  onrun={onleave}
  onpause={() => {
    onevent({ type: 'pause', ...at });
    onleave();
  }}
  onaside={() => {
    leaving = false;
    askFor('bookmark');
    leavesAfter = true;
  }}
/>
<AwayDialog seconds={away?.seconds ?? null} stitches={step?.kind === 'stop'} onanswer={sayAway} />
<FaultDialog open={choosing} onclose={() => (choosing = false)} onfault={fault} />
<MoreDialog
  open={more}
  {canSkip}
  {canMark}
  waiting={run.skipped.flatMap((index) => plan.steps[index] ?? [])}
  now={possible}
  spoken={voice.spoken}
  tones={voice.tones}
  onclose={() => (more = false)}
  onskip={skip}
  ongo={go}
  onmark={() => askFor('mark-stitch')}
  onnote={() => askFor('note')}
  onaside={() => askFor('bookmark')}
  onphoto={(file) => {
    more = false;
    onphoto(file, step?.id ?? null);
  }}
  onfollow={() => {
    more = false;
    onfollow();
  }}
  {onvoice}
  ongiveup={() => {
    more = false;
    onevent({ type: 'stop-early', ...at });
  }}
/>
