<script lang="ts">
  import { forVariant, type Item } from '$lib/core/item';
  import { lookAhead, stepSeconds, type RunHead, type RunState } from '$lib/core/run';
  import { hoopWords } from '$lib/core/sheet';
  import { cutSizes, simulate } from '$lib/core/stack';
  import { formatClock, formatDuration, formatSize } from '$lib/core/units';
  import type { EventDraft } from '$lib/data';
  import HoopView from '$lib/ui/hoop/HoopView.svelte';
  import { hoopScene } from '$lib/ui/hoop/scene';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import { ribbonSteps } from '$lib/ui/ribbon/layout';
  import { stepTime } from '$lib/ui/steps/words';
  import { TriangleAlert } from '@lucide/svelte';
  import AskDialog, { type Ask } from './AskDialog.svelte';
  import RunKeys, { type RunKey } from './RunKeys.svelte';

  interface Props {
    head: RunHead;
    state: RunState;
    item: Item | undefined;
    onevent: (draft: EventDraft) => void;
    onleave: () => void;
  }
  let { head, state: run, item, onevent, onleave }: Props = $props();

  const plan = $derived(head.plan);
  const step = $derived(plan.steps[run.at]);
  const over = $derived(run.phase === 'finished' || run.phase === 'stopped-early');
  const hands = $derived(step?.kind === 'hand');
  const shown = $derived(item && forVariant(item, plan.variant.id));
  const trace = $derived(shown ? simulate(shown, cutSizes(plan.cuts)) : []);
  const scene = $derived(shown && step && hoopScene(shown, plan, step, trace));

  let now = $state(Date.now());
  $effect(() => {
    const timer = setInterval(() => (now = Date.now()), 250);
    return () => clearInterval(timer);
  });
  const passed = $derived(stepSeconds(run, now));
  const left = $derived(step ? stepTime(step) - passed : 0);
  const ahead = $derived(lookAhead(plan, run.at, passed));

  let ask = $state<Ask | null>(null);

  const at = $derived({ stepId: step?.id ?? null, stop: step?.stop?.machineNumber ?? null });
  function done(): void {
    if (run.phase === 'paused') onevent({ type: 'resume', ...at });
    else if (step) onevent({ type: 'done', ...at });
    else onevent({ type: 'finish', stepId: null });
  }

  const going = $derived(run.phase === 'running' && step !== undefined);
  const stitchedBefore = $derived(plan.steps.slice(0, run.at + 1).some(({ kind }) => kind === 'stop'));
  const keys = $derived<RunKey[]>([
    {
      label: run.phase === 'paused' ? 'Go on' : step ? 'Done' : 'Finish the run',
      hint: 'Space or pedal',
      keys: [' ', 'PageDown'],
      enabled: !over,
      press: done
    },
    {
      label: 'Back',
      hint: 'Page up',
      keys: ['PageUp'],
      enabled: !over && run.at > 0,
      press: () => onevent({ type: 'back', ...at })
    },
    {
      label: run.phase === 'paused' ? 'Go on' : 'Pause',
      hint: 'P',
      keys: ['p'],
      enabled: !over && step !== undefined,
      press: () => onevent({ type: run.phase === 'paused' ? 'resume' : 'pause', ...at })
    },
    { label: 'Thread broke', hint: 'B', keys: ['b'], enabled: going, press: () => (ask = 'thread-broke') },
    { label: 'Bobbin out', hint: 'O', keys: ['o'], enabled: going, press: () => (ask = 'bobbin-out') },
    {
      label: 'Run again',
      hint: 'R',
      keys: ['r'],
      enabled: going && stitchedBefore,
      press: () => onevent({ type: 'again', ...at })
    },
    { label: 'Mark stitch', hint: 'M', keys: ['m'], enabled: going, press: () => (ask = 'mark-stitch') },
    { label: 'Note', hint: 'N', keys: ['n'], enabled: going, press: () => (ask = 'note') }
  ]);

  // The screen stays awake while the run is on it.
  $effect(() => {
    let lock: WakeLockSentinel | undefined;
    const hold = async (): Promise<void> => {
      try {
        if (document.visibilityState === 'visible') lock = await navigator.wakeLock?.request('screen');
      } catch {
        // Without the lock the device’s own setting decides.
      }
    };
    void hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  });
</script>

<main class="screen">
  <header class="flex flex-wrap items-baseline justify-between gap-x-6 text-lg">
    <h1 class="text-xl">{head.itemName}</h1>
    <p class="text-soft">
      {step ? `step ${step.number} of ${plan.steps.length}` : `all ${plan.steps.length} steps done`}{run
        .incidents.length > 0
        ? ` · ${run.incidents.length} noted`
        : ''}
    </p>
    <button type="button" class="button button-quiet" onclick={onleave}>Leave it here</button>
  </header>
  <div class="ribbon">
    <Ribbon
      steps={ribbonSteps(plan.steps)}
      label="{head.itemName}: {step ? `step ${step.number}` : 'done'}"
      selected={step?.id}
      onselect={undefined}
    />
  </div>

  {#if step}
    <section class="now" aria-live="polite">
      <div>
        <p class="where {hands ? 'bg-hands text-on-hands' : 'bg-needle text-ground'}">
          {run.phase === 'paused' ? 'Paused' : hoopWords(step.hoop)}
        </p>
        <h2 class="title">
          {step.stop ? `Stop ${step.stop.machineNumber ?? 'without a number'}: ${step.title}` : step.title}
        </h2>
        <p class="detail">{step.detail}</p>
        {#if step.note}<p class="detail italic">{step.note}</p>{/if}
        {#if step.caution}<p class="caution">
            <TriangleAlert size={24} class="mt-0.5 shrink-0" aria-hidden="true" />{step.caution}
          </p>{/if}
      </div>
      {#if scene?.hooped}
        <div class="drawing">
          <HoopView {scene} unit={plan.unit} words="The hoop from above. {step.title}. {step.detail}" />
        </div>
      {/if}
    </section>

    <section class="facts">
      <div>
        <p class="label">{step.waiting.value > 0 ? 'waiting' : hands ? 'hands' : 'needle'}</p>
        <p class="big {run.phase === 'paused' ? 'text-soft' : hands ? 'text-hands' : 'text-needle'}">
          {formatClock(passed)}
        </p>
        <p class="text-soft">
          {left >= 0 ? `about ${formatDuration(left)} left` : `${formatDuration(-left)} longer than planned`}
        </p>
      </div>
      <div>
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
      <div>
        {#if hands}
          <p class="label">
            {ahead.nextStop
              ? `then stop ${ahead.nextStop.stop?.machineNumber ?? '?'}, ${ahead.nextStop.title.toLowerCase()}`
              : 'then'}
          </p>
          <p class="big">
            {ahead.nextStop ? formatDuration(ahead.nextStop.running.value) : ahead.next ? 'hands' : 'done'}
          </p>
        {:else}
          <p class="label">hands needed in</p>
          <p class="big">{formatDuration(ahead.untilHands)}</p>
        {/if}
        <p class="text-soft">{ahead.next ? `next: ${ahead.next.title}` : ''}</p>
        {#if ahead.piece}<p class="text-soft">
            keep by you: {ahead.piece.name}, {formatSize(ahead.piece.cut, plan.unit)}
          </p>{/if}
      </div>
    </section>
  {:else}
    <section class="now">
      <div>
        <h2 class="title">That was the last step.</h2>
        <p class="detail">Look it over. Finish to put the run into the log.</p>
      </div>
    </section>
    <section></section>
  {/if}

  <RunKeys {keys} listening={ask === null && !over} />
</main>

<AskDialog
  {ask}
  stitches={step?.stop?.stitches ?? null}
  onclose={() => (ask = null)}
  onanswer={(type, stitch, text) => {
    ask = null;
    onevent({ type, ...at, stitch, text });
  }}
  onstopearly={() => {
    ask = null;
    onevent({ type: 'stop-early', ...at });
  }}
/>

<style>
  .screen {
    display: grid;
    grid-template-rows: auto auto minmax(0, 1fr) auto auto;
    gap: 0.75rem;
    height: 100dvh;
    padding: 1rem 2rem 1.25rem;
    background: var(--sheet);
  }
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
    flex: 1;
    min-height: 0;
    min-width: 0;
  }
  .facts {
    display: grid;
    grid-template-columns: minmax(0, 0.8fr) minmax(0, 1fr) minmax(0, 1.3fr);
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
  @media (orientation: portrait) {
    .screen {
      padding: 1.5rem 2.25rem;
      gap: 1.25rem;
    }
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
  }
</style>
