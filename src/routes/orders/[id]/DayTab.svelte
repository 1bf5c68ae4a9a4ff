<script lang="ts">
  import { formatMinutes } from '$lib/core/base/units';
  import type { Hoop } from '$lib/core/documents/shop';
  import { type BatchPlan, type PlannedHooping, sayTime } from '$lib/core/ordering/day';
  import { download, fileName } from '$lib/ui/files';
  import DayChart from '$lib/ui/day/DayChart.svelte';
  import { dayScenes } from '$lib/ui/day/layout';
  import { scheduleCsv, scheduleIcs } from '$lib/files';
  import { CalendarDays, Sheet } from '@lucide/svelte';
  import { copyWords, sharedWords, stitchWords, WAY_WORDS } from './words';

  interface Props {
    plan: BatchPlan;
    from: string;
    hoops: readonly Hoop[];
    name: string;
    onstitch: (hooping: PlannedHooping) => void;
  }
  let { plan, from, hoops, name, onstitch }: Props = $props();

  const labelOf = (id: string): string[] => {
    const hooping = plan.hoopings.find((each) => each.id === id);
    if (!hooping) return [''];
    const copies = copyWords(hooping);
    return [`${hooping.name} ${copies}`, `${hooping.name.split(' ').at(-1) ?? ''} ${copies}`, copies];
  };
  const scenes = $derived(dayScenes(plan, from, labelOf));
  const sorted = $derived(plan.hoopings.toSorted((a, b) => a.from - b.from));
  let picked = $state<string | null>(null);
  const chosen = $derived(plan.hoopings.find(({ id }) => id === picked) ?? sorted[0]);
  const saved = $derived(plan.oneByOne - plan.worked);
  const longest = $derived(plan.away.toSorted((a, b) => b.to - b.from - (a.to - a.from))[0]);
  const hoopName = (id: string): string => hoops.find((each) => each.id === id)?.name.toLowerCase() ?? '';
  const machineName = (id: string): string => plan.stations.find((each) => each.id === id)?.name ?? '';
</script>

{#each scenes as scene (scene.day)}
  <section aria-label={scene.name} class="mb-2">
    {#if scenes.length > 1}<h2 class="text-lg">{scene.name}</h2>{/if}
    <DayChart {scene} chosen={chosen?.id ?? null} onchoose={(id) => (picked = id)} />
  </section>
{/each}

<div
  class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.5fr)] gap-8 border-t-[1.5px] border-ink pt-4 max-[900px]:grid-cols-1"
>
  {#if chosen}
    <section aria-labelledby="chosen">
      <h2 id="chosen" class="text-2xl">{chosen.name} {copyWords(chosen)}</h2>
      <p class="mt-1 text-lg">
        {machineName(chosen.stationId)}, {hoopName(chosen.hoopId)}{chosen.stages > 1
          ? `, hooping ${chosen.stage + 1} of ${chosen.stages}`
          : ''}.
        {sayTime(from, chosen.from)} to {sayTime(from, chosen.to)}.
      </p>
      {#if chosen.shared}<p class="mt-1">
          {sharedWords(chosen.shared)} share one hoop, stitched one after the other: it stays on between them.
        </p>{/if}
      {#if chosen.copies > 1}<p>
          {WAY_WORDS[chosen.way]}{chosen.heads.length > 1
            ? `; ${chosen.heads.join(' + ')} on the heads`
            : ''}.
        </p>{/if}
      {#if chosen.names.length > 0}<p class="mt-1">Names: <strong>{chosen.names.join(', ')}</strong></p>{/if}
      {#each chosen.findings as { text } (text)}<p class="mt-1 text-warn">{text}</p>{/each}
      <button type="button" class="button button-main mt-3" onclick={() => onstitch(chosen)}>
        {stitchWords(chosen, chosen === sorted[0] ? 'Stitch this hooping first' : 'Stitch this hooping')}
      </button>
    </section>
  {/if}
  <section aria-labelledby="in-order">
    <div class="flex flex-wrap items-baseline gap-x-4">
      <h2 id="in-order" class="text-xl">In order</h2>
      <p class="text-soft">
        {#if saved > 60}One hooping after another would take {formatMinutes(saved)} longer.{/if}
        {plan.setUps === 1 ? 'One set-up.' : `${plan.setUps} set-ups.`}
        {#if plan.spools > 0}{plan.spools === 1 ? 'One spool runs' : `${plan.spools} spools run`} out on the way.{/if}
        {#if longest}Longest away: {formatMinutes(longest.to - longest.from)} from {sayTime(
            from,
            longest.from
          )}, within earshot.{/if}
      </p>
    </div>
    <ol class="mt-2">
      {#each sorted as hooping (hooping.id)}
        <li>
          <button
            type="button"
            class="grid min-h-11 w-full grid-cols-[6.5rem_minmax(0,1fr)_9rem_8rem] items-center gap-x-3 max-[560px]:grid-cols-[4.5rem_minmax(0,1fr)] border-b border-rule py-1 text-left hover:bg-rule/40 {hooping ===
            chosen
              ? 'font-bold'
              : ''}"
            onclick={() => (picked = hooping.id)}
          >
            <span>{sayTime(from, hooping.from)}</span>
            <span
              >{hooping.name}
              {copyWords(hooping)}{#if hooping.runId}<span class="text-needle">&nbsp;under way</span
                >{/if}</span
            >
            <span class="text-soft max-[560px]:col-start-2">{machineName(hooping.stationId)}</span>
            <span class="text-soft max-[560px]:col-start-2"
              >{(hooping.shared?.at ?? 0) > 0 ? 'in the same hoop' : hoopName(hooping.hoopId)}</span
            >
          </button>
        </li>
      {/each}
    </ol>
    <div class="mt-3 flex flex-wrap gap-2">
      <button
        type="button"
        class="button"
        onclick={() => download(fileName(name, 'ics'), scheduleIcs(plan, from, name), 'text/calendar')}
        ><CalendarDays size={20} aria-hidden="true" />Calendar (ICS)</button
      >
      <button
        type="button"
        class="button"
        onclick={() => download(fileName(`${name} schedule`, 'csv'), scheduleCsv(plan, from), 'text/csv')}
        ><Sheet size={20} aria-hidden="true" />Schedule (CSV)</button
      >
    </div>
  </section>
</div>
