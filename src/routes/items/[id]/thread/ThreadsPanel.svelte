<script lang="ts">
  import { formatThread } from '$lib/core/base/units';
  import type { Item } from '$lib/core/documents/item';
  import type { Plan, PlanStep } from '$lib/core/documents/plan';
  import type { Setup } from '$lib/core/documents/shop';
  import type { ThreadEntry } from '$lib/core/documents/stash';
  import { differenceWords, type ThreadNeed } from '$lib/core/preparing/threads';
  import { stopList } from '$lib/core/stitching/thread';
  import Swatch from '$lib/ui/Swatch.svelte';

  /** Threads by colour with the maker’s own spools, and every stop with where its thread is seen. */
  interface Props {
    item: Item;
    plan: Plan;
    needs: readonly ThreadNeed[];
    palette: readonly ThreadEntry[];
    setup: Setup;
    /** Stops seen on one line, by step. */
    together: readonly (readonly string[])[];
    onspool: (threadId: string, entry: ThreadEntry | null) => void;
    onthread: (stopId: string, threadId: string) => void;
  }
  let { item, plan, needs, palette, setup, together, onspool, onthread }: Props = $props();

  const SEEN = {
    front: 'front',
    back: 'back',
    both: 'front and back',
    hidden: 'hidden',
    unknown: 'not known'
  };
  const SOURCE = { chart: 'chart', geometry: 'measured', 'role-average': 'averages', none: 'not known' };
  const stops = $derived(plan.steps.filter(({ stop }) => stop !== null && stop.machineNumber !== null));
  const numberOf = (stepId: string): number =>
    plan.steps.find(({ id }) => id === stepId)?.stop?.machineNumber ?? 0;
  const others = ({ id }: PlanStep): number[] =>
    (together.find((group) => group.includes(id)) ?? []).filter((other) => other !== id).map(numberOf);
  /** The item’s own thread of a stop, whichever spool stands for it. */
  const ownThread = (stopId: string): string =>
    item.files.flatMap(({ stops: all }) => all).find(({ id }) => id === stopId)?.threadId ?? '';
  const originals = $derived(new Map(item.threads.map((thread) => [thread.id, thread])));
</script>

<table class="w-full text-left">
  <caption class="head mb-1 text-left text-lg"
    >Threads{plan.copies > 1 ? `, for ${plan.copies} copies` : ''}</caption
  >
  <thead class="text-sm text-soft">
    <tr
      ><th class="pr-4 font-normal">Thread of the item</th><th class="pr-4 font-normal">Your spool</th><th
        class="pr-4 text-right font-normal">Upper</th
      ><th class="pr-4 text-right font-normal">On bobbins</th><th class="font-normal">In the stash</th></tr
    >
  </thead>
  <tbody>
    {#each needs as { thread, stops: count, upper, bobbin, have, lacks, buy, nearest } (thread.id)}
      {@const original = originals.get(thread.id) ?? thread}
      {@const chosen = setup.threads[thread.id]}
      <tr class="border-t border-rule align-middle">
        <td class="py-2 pr-4"
          ><span class="flex items-center gap-2"
            ><Swatch colour={original.colour} />{original.name}
            <span class="text-sm text-soft">{count} {count === 1 ? 'stop' : 'stops'}</span></span
          ></td
        >
        <td class="py-1 pr-4">
          <span class="flex items-center gap-2">
            {#if chosen}<Swatch colour={chosen.colour} />{/if}
            <select
              class="field max-w-72"
              aria-label="Your spool for {original.name}"
              value={chosen?.entryId ?? ''}
              onchange={(event) =>
                onspool(thread.id, palette.find(({ id }) => id === event.currentTarget.value) ?? null)}
            >
              <option value="">as charted</option>
              {#each nearest as match (match.thread.id)}
                <option value={match.thread.id}
                  >{match.thread.name}: {chosen?.entryId === match.thread.id
                    ? 'chosen'
                    : differenceWords(match.difference)}</option
                >
              {/each}
              {#each palette.filter(({ id }) => !nearest.some((match) => match.thread.id === id)) as entry (entry.id)}
                <option value={entry.id}>{entry.name}</option>
              {/each}
            </select>
          </span>
        </td>
        <td class="py-1 pr-4 text-right">{formatThread(upper, plan.unit)}</td>
        <td class="py-1 pr-4 text-right">{bobbin > 0 ? formatThread(bobbin, plan.unit) : ''}</td>
        <td class="py-1">
          {#if have === null}<span class="text-warn">none of that name: {buy} to buy</span>
          {:else if lacks > 0}<span class="text-warn"
              >{formatThread(have, plan.unit)}: {formatThread(lacks, plan.unit)} short, {buy} to buy</span
            >
          {:else}{formatThread(have, plan.unit)}{/if}
        </td>
      </tr>
    {/each}
  </tbody>
</table>

<table class="mt-6 w-full text-left">
  <caption class="head mb-1 text-left text-lg">Stops</caption>
  <thead class="text-sm text-soft">
    <tr
      ><th class="pr-3 font-normal">Stop</th><th class="pr-3 font-normal">Charted</th><th
        class="pr-3 font-normal">Thread used</th
      ><th class="pr-3 font-normal">Seen in the end</th><th class="pr-3 text-right font-normal">Upper</th><th
        class="pr-3 text-right font-normal">Bobbin</th
      ><th class="font-normal">From</th></tr
    >
  </thead>
  <tbody>
    {#each stops as step (step.id)}
      {#if step.stop}
        {@const with_ = others(step)}
        <tr class="border-t border-rule align-middle">
          <td class="py-1 pr-3"
            ><span class="head mr-2 inline-block min-w-7 text-right text-lg">{step.stop.machineNumber}</span
            >{step.title}</td
          >
          <td class="py-1 pr-3 text-soft">{step.stop.charted}</td>
          <td class="py-1 pr-3"
            ><span class="flex items-center gap-2"
              ><Swatch colour={step.thread?.colour ?? '#ffffff'} />
              <select
                class="field"
                aria-label="Thread of stop {step.stop.machineNumber}"
                value={ownThread(step.stop.stopId)}
                onchange={(event) => onthread(step.stop?.stopId ?? '', event.currentTarget.value)}
              >
                {#each item.threads as thread (thread.id)}<option value={thread.id}>{thread.name}</option
                  >{/each}
              </select></span
            ></td
          >
          <td class="py-1 pr-3"
            >{SEEN[step.stop.visible]}{#if step.stop.visible === 'hidden'}<span class="text-sm text-soft"
                >: any thread will do</span
              >{:else if with_.length > 0}<span class="text-sm text-soft"
                >, on one line with {stopList(with_)}</span
              >{/if}</td
          >
          <td class="py-1 pr-3 text-right">{formatThread(step.stop.upperMetres, plan.unit)}</td>
          <td class="py-1 pr-3 text-right">{formatThread(step.stop.bobbinMetres, plan.unit)}</td>
          <td class="py-1 text-soft">{SOURCE[step.stop.threadSource]}</td>
        </tr>
      {/if}
    {/each}
  </tbody>
</table>
