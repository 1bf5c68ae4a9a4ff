<script lang="ts">
  import { page } from '$app/state';
  import { formatDuration, formatThread } from '$lib/core/base/units';
  import type { RunEvent, RunEventType } from '$lib/core/documents/run';
  import { compareRun, faultName } from '$lib/core/running/runs';
  import { bringRunBack, deleteRun, live, runDocument } from '$lib/data';
  import { downloadJson } from '$lib/ui/files';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import { ribbonSteps } from '$lib/core/making/summary';
  import { actualRibbonSteps } from '$lib/core/running/runs';
  import { ribbonSeconds } from '$lib/ui/ribbon/layout';
  import Times from '$lib/ui/Times.svelte';
  import { Download, Trash2 } from '@lucide/svelte';
  import { format } from 'date-fns';
  import RunChart from './RunChart.svelte';
  import StepTime from './StepTime.svelte';
  import { goto } from '$app/navigation';
  import { toast } from 'svelte-sonner';
  import { report } from '../../report';
  import TrialForm from './TrialForm.svelte';
  import RunKeepsakes from './RunKeepsakes.svelte';

  const stored = live(
    () => page.params.id ?? '',
    async (id) => ({ run: await runDocument(id) })
  );
  const run = $derived(stored.value?.run);
  const compared = $derived(run && compareRun(run.plan, run.events));
  const predicted = $derived(run ? ribbonSteps(run.plan.steps) : []);
  const actual = $derived(compared ? actualRibbonSteps(compared.steps) : []);
  const full = $derived(Math.max(ribbonSeconds(predicted), ribbonSeconds(actual)));
  const incidents = $derived(
    compared?.steps.flatMap(({ step, incidents }) => incidents.map((event) => ({ step, event }))) ?? []
  );

  const WORDS: Partial<Record<RunEventType, string>> = {
    'thread-broke': 'Thread broke',
    'bobbin-out': 'Bobbin is out',
    'mark-stitch': 'Marked',
    note: 'Note',
    again: 'Run again'
  };
  async function remove(id: string, name: string): Promise<void> {
    try {
      const deleted = await deleteRun(id);
      await goto('/log');
      if (!deleted) return;
      const { order, spent = [] } = deleted.head;
      toast(`The run of ${name} is deleted.`, {
        description: [
          order ? 'Its copies count as not stitched in their order.' : '',
          spent.length > 0 ? 'Its thread is back in the stash.' : ''
        ]
          .filter(Boolean)
          .join(' '),
        duration: 60_000,
        action: { label: 'Undo', onClick: () => void bringBack(deleted) }
      });
    } catch (error) {
      report(error, 'The run is not deleted.');
    }
  }
  async function bringBack(deleted: Parameters<typeof bringRunBack>[0]): Promise<void> {
    try {
      await bringRunBack(deleted);
      toast('The run is back in the log.');
    } catch (error) {
      report(error, 'The run is not back.');
    }
  }
  const wordsFor = ({ type, fault }: RunEvent): string => (fault ? faultName(fault) : (WORDS[type] ?? type));
</script>

<svelte:head><title>Run of {run?.itemName ?? ''} · Jolt Step</title></svelte:head>

{#if run && compared}
  <header class="flex flex-wrap items-baseline gap-x-4">
    <h1 class="text-3xl">{run.itemName}</h1>
    <p class="text-soft">
      {format(run.startedAt, 'EEEE d MMMM yyyy, HH:mm')} · {run.plan.machine.name.toLowerCase()}{run.finishedAt
        ? ''
        : ' · not finished'}
    </p>
    <div class="no-print ml-auto flex flex-wrap items-center gap-1">
      <a class="button" href="/trouble?run={run.id}">What went wrong?</a>
      <button
        type="button"
        class="button button-quiet"
        onclick={() => downloadJson(`run of ${run.itemName}`, run)}
        ><Download size={20} aria-hidden="true" />Download the run</button
      >
      <button type="button" class="button button-quiet" onclick={() => void remove(run.id, run.itemName)}
        ><Trash2 size={20} aria-hidden="true" />Delete the run</button
      >
    </div>
  </header>

  {#if run.item?.trial && run.finishedAt}<TrialForm {run} />{/if}

  <section class="mt-3" aria-label="Predicted and actual">
    <div class="flex items-baseline gap-4">
      <h2 class="w-24 text-lg">Predicted</h2>
      <Times
        hands={compared.predicted.hands}
        needle={compared.predicted.needle}
        waiting={compared.predicted.waiting}
        size="small"
      />
    </div>
    <Ribbon steps={predicted} label="Predicted" fullSeconds={full} />
    <div class="mt-1 flex items-baseline gap-4">
      <h2 class="w-24 text-lg">Actual</h2>
      <Times
        hands={compared.actual.hands}
        needle={compared.actual.needle}
        waiting={compared.actual.waiting}
        size="small"
      />
    </div>
    <Ribbon steps={actual} label="Actual" fullSeconds={full} />
  </section>

  <div class="mt-4 grid grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)] gap-8 max-[1100px]:grid-cols-1">
    <section aria-labelledby="chart-title">
      <h2 id="chart-title" class="text-xl">Step by step, seconds</h2>
      <RunChart steps={compared.steps} />
    </section>
    <section>
      {#if incidents.length > 0}
        <h2 class="text-xl">What happened</h2>
        <ul class="mb-4">
          {#each incidents as { step, event } (event.seq)}
            <li class="border-b border-rule py-2">
              <span class="font-bold">{wordsFor(event)}</span> in step {step.number}, {step.title}{event.stitch ===
              null
                ? ''
                : `, at stitch ${event.stitch.toLocaleString('en')}`}{event.text ? `: ${event.text}` : ''}
            </li>
          {/each}
        </ul>
      {/if}
      {#if run.spent && run.spent.length > 0}
        <h2 class="text-xl">Off the stash</h2>
        <p class="mb-4">
          {run.spent
            .map(({ name, metres }) => `${formatThread(metres, run.plan.unit)} of ${name}`)
            .join(', ')}
        </p>
      {/if}
      {#key run.id}<RunKeepsakes {run} />{/key}
      <h2 class="mt-4 text-xl">Times</h2>
      <table class="w-full border-collapse text-left">
        <thead
          ><tr class="border-b-[1.5px] border-ink text-soft"
            ><th scope="col" class="font-normal">Step</th><th scope="col" class="text-right font-normal"
              >Predicted</th
            ><th scope="col" class="text-right font-normal">Actual</th></tr
          ></thead
        >
        <tbody>
          {#each compared.steps as each (each.step.id)}
            {@const { step, predicted: expected } = each}
            <tr class="border-b border-rule">
              <td class="py-1.5 {step.kind === 'hand' ? 'text-hands' : ''}"
                ><span class="mr-2 inline-block w-6 text-right text-soft">{step.number}</span>{step.stop
                  ? `Stop ${step.stop.machineNumber ?? '?'}, `
                  : ''}{step.title}</td
              >
              <td class="pl-4 text-right whitespace-nowrap">{formatDuration(expected)}</td>
              <td class="pl-4 text-right font-semibold whitespace-nowrap"
                ><StepTime runId={run.id} compared={each} /></td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </section>
  </div>
{:else if stored.value}
  <h1 class="text-3xl">There is no such run.</h1>
  <a href="/log" class="button mt-6">To the log</a>
{/if}
