<script lang="ts">
  import { formatClock } from '$lib/core/base/units';
  import type { MachineCommand, MachineState } from '$lib/core/running/standIn';
  import { MachineWatch, standIns, type StandIn } from '$lib/data';
  import { Trash2 } from '@lucide/svelte';

  /** One stand-in: the stops of its file as a band, where the needle is, and what it can be told. */
  let { machine, onremoved }: { machine: StandIn; onremoved: () => void } = $props();
  const watch = $derived(new MachineWatch(machine.id));
  $effect(() => {
    const current = watch;
    current.open(0);
    return () => current.close();
  });
  const standing = $derived<MachineState>(watch.state ?? machine.state);
  const stop = $derived(standing.job?.stops[standing.at]);
  const total = $derived((standing.job?.stops ?? []).reduce((sum, { stitches }) => sum + stitches, 0));
  const before = $derived(
    (standing.job?.stops ?? []).slice(0, standing.at).reduce((sum, { stitches }) => sum + stitches, 0)
  );
  let refused = $state('');

  const PHASE: Record<MachineState['phase'], string> = {
    idle: 'Nothing loaded',
    ready: 'Loaded',
    running: 'Stitching',
    halted: 'Halted',
    fault: 'Fault',
    finished: 'Done'
  };
  async function tell(command: MachineCommand): Promise<void> {
    const reply = await standIns.tell(machine.id, command);
    refused = reply.ok ? '' : reply.message;
    if (reply.ok) watch.state = reply.value.state;
  }
  const buttons = $derived<[words: string, command: MachineCommand][]>([
    ['Hoop on', { do: 'hoop-on', hoop: standing.setup.hoop }],
    ['Hoop off', { do: 'hoop-off' }],
    ['Thread', { do: 'rethread', needle: stop?.needle ?? 1, thread: stop?.thread || 'white' }],
    ['Full bobbin', { do: 'bobbin' }],
    ['Clear the nest', { do: 'clear' }]
  ]);
</script>

<article class="border-l-4 {standing.phase === 'fault' ? 'border-hands' : 'border-needle'} bg-sheet p-4">
  <header class="flex flex-wrap items-baseline gap-x-4">
    <h2 class="text-xl">{standing.setup.name}</h2>
    <p class="text-soft">
      {standing.setup.needles === 1 ? 'one needle' : `${standing.setup.needles} needles`}{standing.setup
        .heads > 1
        ? `, ${standing.setup.heads} heads`
        : ''}, {standing.setup.spm} spm, {standing.hoop ? `${standing.hoop} on` : 'no hoop on'}
    </p>
    <label class="ml-auto flex items-center gap-2"
      ><span class="label">times as fast</span><select
        class="field"
        value={String(standing.setup.speed)}
        onchange={(event) => void standIns.speed(machine.id, Number(event.currentTarget.value))}
      >
        {#each [...new Set( [1, 5, 20, 100, 500, standing.setup.speed] )].sort((a, b) => a - b) as speed (speed)}<option
            value={String(speed)}>{speed}</option
          >{/each}
      </select></label
    >
    <button
      type="button"
      class="button button-quiet"
      aria-label="Remove {standing.setup.name}"
      onclick={() => void standIns.remove(machine.id).then(onremoved)}
      ><Trash2 size={20} aria-hidden="true" /></button
    >
  </header>

  <div class="mt-2 flex flex-wrap items-baseline gap-x-6">
    <p class="head text-3xl {standing.phase === 'fault' ? 'text-hands' : 'text-needle'}">
      {PHASE[standing.phase]}
    </p>
    {#if stop}
      <p class="text-xl">
        stop {stop.number}, {stop.thread || 'any thread'}: stitch {Math.floor(standing.stitch).toLocaleString(
          'en'
        )} of
        {stop.stitches.toLocaleString('en')}
      </p>
    {/if}
    <p class="text-soft">bobbin {standing.bobbin.toFixed(1)} m · clock {formatClock(standing.clock)}</p>
  </div>

  {#if standing.job && total > 0}
    <svg
      viewBox="0 0 1000 46"
      preserveAspectRatio="none"
      class="mt-2 h-12 w-full"
      role="img"
      aria-label="Stops of {standing.job.name}, {Math.round(
        ((before + standing.stitch) / total) * 100
      )} % stitched"
    >
      {#each standing.job.stops as each, at (each.number)}
        {@const x =
          (standing.job.stops.slice(0, at).reduce((sum, { stitches }) => sum + stitches, 0) / total) * 1000}
        <rect
          {x}
          y="8"
          width={Math.max(2, (each.stitches / total) * 1000 - 2)}
          height="26"
          class={at < standing.at || standing.phase === 'finished' ? 'done' : 'open'}
        />
      {/each}
      <path d="M{((before + standing.stitch) / total) * 1000} 0V42" class="needle" />
    </svg>
  {/if}

  <div class="mt-2 flex flex-wrap gap-2">
    {#if standing.phase === 'running'}
      <button type="button" class="button button-main" onclick={() => void tell({ do: 'stop' })}>Halt</button>
    {:else}
      <button type="button" class="button button-main" onclick={() => void tell({ do: 'start' })}
        >Start</button
      >
    {/if}
    {#each buttons as [words, command] (words)}
      <button type="button" class="button" onclick={() => void tell(command)}>{words}</button>
    {/each}
  </div>
  <p class="mt-2 min-h-6 text-hands" aria-live="polite">{refused}</p>
  <ol class="columns-2 gap-8 text-sm" aria-label="What it told last">
    {#each watch.events.slice(-8).reverse() as event (event.seq)}
      <li class="flex gap-3 border-b border-rule py-0.5">
        <span class="w-14 text-right text-soft">{formatClock(event.clock)}</span>{event.text}
      </li>
    {/each}
  </ol>
</article>

<style>
  .done {
    fill: var(--needle);
  }
  .open {
    fill: var(--needle-pale);
  }
  .needle {
    stroke: var(--hands);
    stroke-width: 3;
    vector-effect: non-scaling-stroke;
  }
</style>
