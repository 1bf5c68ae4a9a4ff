<script lang="ts">
  import { formatMinutes } from '$lib/core/base/units';
  import type { RunHead } from '$lib/core/documents/run';
  import type { RunSummary } from '$lib/core/running/runs';
  import { markRun } from '$lib/data';
  import KeptPictures from '../KeptPictures.svelte';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import { format } from 'date-fns';

  /** Every run as it went, those still on first, and whether it teaches. */
  let { open, runs }: { open: readonly RunHead[]; runs: readonly RunSummary[] } = $props();
  const word = (actual: number, predicted: number): string => {
    if (predicted === 0) return '';
    const percent = Math.round((actual / predicted - 1) * 100);
    return percent === 0 ? 'as predicted' : percent > 0 ? `${percent} % more` : `${-percent} % less`;
  };
</script>

<ul class="border-t-[1.5px] border-ink">
  {#each open as run (run.id)}
    <li class="border-b border-rule hover:bg-sheet">
      <a href="/run/{run.id}" class="block py-3">
        <span class="head text-lg">{run.itemName}</span><br />
        <span class="text-sm text-soft"
          >{format(run.startedAt, 'd MMM yyyy, HH:mm')} · {run.plan.machine.name.toLowerCase()} · still on</span
        >
      </a>
    </li>
  {/each}
  {#each runs as run (run.id)}
    {@const { faults, actual, predicted } = run}
    <li class="flex items-center gap-4 border-b border-rule hover:bg-sheet">
      <a
        href="/log/{run.id}"
        class="grid min-w-0 flex-1 grid-cols-[4rem_15rem_minmax(0,1fr)_20rem] items-center gap-6 py-3 max-[900px]:grid-cols-1 max-[900px]:gap-2"
      >
        {#if run.itemId}<KeptPictures
            items={[{ id: run.itemId, name: run.itemName }]}
            size="4rem"
          />{:else}<span></span>{/if}
        <span>
          <span class="head text-lg">{run.itemName}</span><br />
          <span class="text-sm text-soft"
            >{format(run.startedAt, 'd MMM yyyy, HH:mm')} · {run.machine.toLowerCase()}{faults > 0
              ? ` · ${faults} ${faults === 1 ? 'fault' : 'faults'}`
              : ''}</span
          >
        </span>
        <Ribbon steps={run.ribbon} label="{run.itemName}, as it went" small />
        <span class="grid grid-cols-2 gap-4">
          <span
            ><span class="head text-lg text-hands">{formatMinutes(actual.hands)}</span> hands<br /><span
              class="text-sm text-soft">{word(actual.hands, predicted.hands)}</span
            ></span
          >
          <span
            ><span class="head text-lg text-needle">{formatMinutes(actual.needle)}</span> needle<br /><span
              class="text-sm text-soft">{word(actual.needle, predicted.needle)}</span
            ></span
          >
        </span>
      </a>
      <label class="flex min-h-11 w-24 items-center gap-2 text-sm"
        ><input
          type="checkbox"
          class="size-5"
          aria-label="Learn from {run.itemName}, {format(run.startedAt, 'd MMM yyyy, HH:mm')}"
          checked={!run.leftOut}
          onchange={(event) => void markRun(run.id, { leftOut: !event.currentTarget.checked })}
        />learn from it</label
      >
    </li>
  {/each}
</ul>
