<script lang="ts">
  import { compareRun, foldRun } from '$lib/core/run';
  import { formatMinutes } from '$lib/core/units';
  import { eventsOf, listRuns, live } from '$lib/data';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import { actualRibbonSteps } from '$lib/ui/ribbon/layout';
  import { format } from 'date-fns';

  const runs = live(
    () => null,
    async () =>
      Promise.all(
        (await listRuns()).map(async (run) => {
          const events = await eventsOf(run.id);
          const faults = foldRun(run.plan.steps, events).faults.length;
          return { run, faults, compared: compareRun(run.plan, events) };
        })
      )
  );
  const word = (actual: number, predicted: number): string => {
    if (predicted === 0) return '';
    const percent = Math.round((actual / predicted - 1) * 100);
    return percent === 0 ? 'as predicted' : percent > 0 ? `${percent} % more` : `${-percent} % less`;
  };
</script>

<svelte:head><title>Log · Jolt Step</title></svelte:head>
<h1 class="text-3xl">Log</h1>

{#if runs.value?.length === 0}
  <p class="mt-8 max-w-xl text-lg">
    No run yet. Open an item on the <a class="underline" href="/items">shelf</a> and press “Stitch it”: what each
    step really takes is kept here.
  </p>
{/if}
<ul class="mt-5 border-t-[1.5px] border-ink">
  {#each runs.value ?? [] as { run, faults, compared } (run.id)}
    <li>
      <a
        href={run.finishedAt ? `/log/${run.id}` : `/run/${run.id}`}
        class="grid grid-cols-[19rem_minmax(0,1fr)_22rem] items-center gap-6 border-b border-rule py-3 hover:bg-sheet max-[900px]:grid-cols-1 max-[900px]:gap-2"
      >
        <span>
          <span class="head text-lg">{run.itemName}</span><br />
          <span class="text-sm text-soft"
            >{format(run.startedAt, 'd MMM yyyy, HH:mm')} · {run.plan.machine.name.toLowerCase()}{run.finishedAt
              ? ''
              : ' · still on'}{faults > 0 ? ` · ${faults} ${faults === 1 ? 'fault' : 'faults'}` : ''}</span
          >
        </span>
        <Ribbon steps={actualRibbonSteps(compared.steps)} label="{run.itemName}, as it went" small />
        <span class="grid grid-cols-2 gap-4">
          <span
            ><span class="head text-lg text-hands">{formatMinutes(compared.actual.hands)}</span> hands<br
            /><span class="text-sm text-soft">{word(compared.actual.hands, compared.predicted.hands)}</span
            ></span
          >
          <span
            ><span class="head text-lg text-needle">{formatMinutes(compared.actual.needle)}</span> needle<br
            /><span class="text-sm text-soft">{word(compared.actual.needle, compared.predicted.needle)}</span
            ></span
          >
        </span>
      </a>
    </li>
  {/each}
</ul>
