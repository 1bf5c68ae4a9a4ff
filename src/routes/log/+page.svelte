<script lang="ts">
  import EmptyState from '$lib/ui/EmptyState.svelte';
  import { formatMinutes } from '$lib/core/base/units';
  import {
    accuracyOverTime,
    AGAINST_GROUPS,
    againstBy,
    type AgainstGroup,
    FAULT_GROUPS,
    type FaultGroup,
    faultRates,
    runsCsv
  } from '$lib/core/running/runs';
  import { live, loggedRuns, openRuns, runDocuments } from '$lib/data';
  import More from '$lib/ui/More.svelte';
  import BarChart from '$lib/ui/chart/BarChart.svelte';
  import { download } from '$lib/ui/files';
  import { Download } from '@lucide/svelte';
  import TabBar from '$lib/ui/TabBar.svelte';
  import { Tabs } from 'bits-ui';
  import { format } from 'date-fns';
  import RunList from './RunList.svelte';

  let tab = $state('runs');
  /** Rows shown at first, and each time one comes to their end. */
  const ROWS = 24;
  let most = $state(ROWS);
  const logged = live(() => most, loggedRuns);
  const open = live(() => null, openRuns);
  const count = $derived(logged.value ? logged.value.count + (open.value?.length ?? 0) : 0);
  /** Every run as it was, read once something is made of all of them. */
  const stored = live(
    () => tab !== 'runs',
    async (wanted) => (wanted ? runDocuments() : null)
  );
  const runs = $derived(stored.value ?? []);
  let group = $state<FaultGroup>('thread');
  let work = $state<AgainstGroup>('kind');
  const WORK: Record<AgainstGroup, string> = {
    kind: 'kind of work',
    machine: 'machine',
    thread: 'thread',
    needle: 'needle'
  };
  const against = $derived(tab === 'kinds' ? againstBy(runs, work).slice(0, 16) : []);
  const rates = $derived(tab === 'faults' ? faultRates(runs, group) : []);
  const accuracy = $derived(tab === 'accuracy' ? accuracyOverTime(runs) : []);
  const GROUPS: Record<FaultGroup, string> = {
    thread: 'thread',
    machine: 'machine',
    hours: 'hours on the needle',
    speed: 'speed',
    kind: 'kind of fault'
  };
  const percent = (share: number): string => `${share > 0 ? '+' : ''}${Math.round(share * 100)} %`;
</script>

<svelte:head><title>Log · Jolt Step</title></svelte:head>
<div class="flex items-baseline gap-4">
  <h1 class="text-3xl">Log</h1>
  {#if count > 0}
    <button
      type="button"
      class="button button-quiet ml-auto"
      onclick={async () => download('runs.csv', runsCsv(await runDocuments()), 'text/csv')}
      ><Download size={20} aria-hidden="true" />All runs as CSV</button
    >
  {/if}
</div>

{#if logged.value && open.value && count === 0}
  <EmptyState picture="log"
    ><p>
      No run yet. Open an item on the <a class="underline" href="/items">shelf</a> and press “Stitch it”: what each
      step really takes is kept here.
    </p></EmptyState
  >
{:else if logged.value}
  <Tabs.Root bind:value={tab} class="mt-2">
    <TabBar
      label="Parts of the log"
      tabs={[
        ['runs', 'Runs'],
        ['kinds', 'Predicted and actual'],
        ['faults', 'Faults'],
        ['accuracy', 'Accuracy over time']
      ]}
    />
    <Tabs.Content value="runs">
      <RunList open={open.value ?? []} runs={logged.value.runs} />
      <More left={logged.value.count - logged.value.runs.length} onmore={() => (most += ROWS)} />
    </Tabs.Content>
    {#if tab !== 'runs' && !stored.value}<p class="pt-3 text-soft" role="status">Reading the runs …</p>{/if}
    <Tabs.Content value="kinds" class="pt-3">
      <label class="flex items-center gap-3"
        ><span class="text-soft">Over all runs, predicted in grey and what it took below it, by</span><select
          class="field"
          bind:value={work}
        >
          {#each AGAINST_GROUPS as each (each)}<option value={each}>{WORK[each]}</option>{/each}
        </select></label
      >
      <BarChart
        labels={against.map(({ name, steps }) => `${name} × ${steps}`)}
        series={[
          { label: 'predicted', data: against.map(({ predicted }) => predicted), colour: '--rule-strong' },
          {
            label: 'actual',
            data: against.map(({ actual }) => actual),
            colour: against.map(({ kind }) => `--${kind}`)
          }
        ]}
        say={formatMinutes}
        words="Predicted and actual time by kind of work: {against
          .map(
            ({ name, predicted, actual }) =>
              `${name} ${formatMinutes(predicted)}, took ${formatMinutes(actual)}`
          )
          .join('; ')}."
        height={Math.max(160, against.length * 34 + 30)}
      />
    </Tabs.Content>
    <Tabs.Content value="faults" class="pt-3">
      <label class="flex items-center gap-3"
        ><span class="text-soft">Faults in 10,000 stitches, by</span><select class="field" bind:value={group}>
          {#each FAULT_GROUPS as each (each)}<option value={each}>{GROUPS[each]}</option>{/each}
        </select></label
      >
      {#if rates.every(({ faults }) => faults === 0)}<p class="mt-4 text-lg">No fault is logged.</p>
      {:else}
        <div class="mt-2 grid grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] gap-8 max-[900px]:grid-cols-1">
          <BarChart
            labels={rates.map(({ name }) => name)}
            series={[{ label: 'in 10,000 stitches', data: rates.map(({ rate }) => rate), colour: '--hands' }]}
            say={(value) => value.toFixed(1)}
            words="Faults in 10,000 stitches by {GROUPS[group]}; the table beside it has the same numbers."
            height={Math.max(140, rates.length * 34 + 30)}
          />
          <table class="w-full self-start text-left">
            <thead class="text-sm text-soft"
              ><tr
                ><th class="font-normal">{GROUPS[group]}</th><th class="text-right font-normal">stitches</th
                ><th class="text-right font-normal">faults</th><th class="text-right font-normal"
                  >in 10,000</th
                ></tr
              ></thead
            >
            <tbody>
              {#each rates as { name, stitches, faults, rate } (name)}
                <tr class="border-t border-rule"
                  ><td class="py-1">{name}</td><td class="text-right">{stitches.toLocaleString('en')}</td><td
                    class="text-right">{faults}</td
                  ><td class="text-right">{rate.toFixed(1)}</td></tr
                >
              {/each}
            </tbody>
          </table>
        </div>
      {/if}
    </Tabs.Content>
    <Tabs.Content value="accuracy" class="pt-3">
      <p class="text-soft">
        How much longer (+) or shorter each run took than predicted: <strong class="text-hands">hands</strong>
        and <strong class="text-needle">needle</strong>.
      </p>
      <BarChart
        lying={false}
        labels={accuracy.map(({ startedAt, name }) => `${format(startedAt, 'd MMM')}, ${name}`)}
        series={[
          { label: 'hands', data: accuracy.map(({ hands }) => hands), colour: '--hands' },
          { label: 'needle', data: accuracy.map(({ needle }) => needle), colour: '--needle' }
        ]}
        say={percent}
        words="How far each run was from its prediction: {accuracy
          .map(
            ({ name, hands, needle }) =>
              `${name}, hands ${percent(hands ?? 0)}, needle ${percent(needle ?? 0)}`
          )
          .join('; ')}."
        height={420}
      />
    </Tabs.Content>
  </Tabs.Root>
{/if}
