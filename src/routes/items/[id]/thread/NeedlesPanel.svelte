<script lang="ts">
  import type { Plan } from '$lib/core/documents/plan';
  import type { NeedleSheet } from '$lib/core/preparing/threads';
  import type { NeedleHours } from '$lib/core/running/runs';
  import Swatch from '$lib/ui/Swatch.svelte';
  import { Hand, Printer } from '@lucide/svelte';

  /** The run sheet for the needles: what is threaded where, where the machine must halt, which needle is in. */
  interface Props {
    sheet: NeedleSheet;
    plan: Plan;
    hours: readonly NeedleHours[];
    most: number;
    /** What is on the needles of the machine, as the shop knows it. */
    on: readonly ({ name: string; colour: string } | null)[];
    onfresh: (needle: number) => void;
    onthreaded: () => void;
    onprint: () => void;
  }
  let { sheet, plan, hours, most, on, onfresh, onthreaded, onprint }: Props = $props();

  const several = $derived(plan.machine.needles > 1);
  const halts = $derived(sheet.rows.filter(({ halt }) => halt !== null));
  const hoursWords = (value: number): string =>
    value < 0.1 ? 'not yet used' : `${value.toFixed(1).replace(/\.0$/, '')} h stitched`;
  const toThread = $derived(sheet.needles.filter(({ threadFirst }) => threadFirst));
</script>

<div class="flex flex-wrap items-start gap-x-10 gap-y-4">
  <div class="min-w-80 flex-1">
    <h3 class="text-lg">Which needle</h3>
    <ul>
      {#each sheet.advice as { hooping, needle } (hooping)}
        <li class="border-b border-rule py-1.5">
          <span class="head text-xl">{needle.size}</span>
          {needle.kind}{sheet.advice.length > 1 ? `, for ${hooping.toLowerCase()}` : ''}
          <span class="text-soft">: {needle.why}</span>
          {#if needle.fresh}<strong>. Put a new one in before you start.</strong>{/if}
        </li>
      {/each}
    </ul>
  </div>
  <div class="min-w-80 flex-1">
    <h3 class="text-lg">
      Hours on the {several ? 'needles' : 'needle'} of {plan.machine.name.toLowerCase()}
    </h3>
    <ul>
      {#each hours as { needle, hours: value } (needle)}
        {@const worn = value >= most}
        <li class="flex items-center gap-3 border-b border-rule">
          {#if several}<span class="head w-6 text-right text-lg">{needle}</span>{/if}
          <span class={worn ? 'font-bold text-hands' : ''}
            >{hoursWords(value)}{worn ? ': change it now' : ''}</span
          >
          <button
            type="button"
            class="button button-quiet ml-auto"
            aria-label="Needle {needle}: a new one is in"
            onclick={() => onfresh(needle)}>A new one is in</button
          >
        </li>
      {/each}
    </ul>
    <p class="mt-1 text-sm text-soft">
      A needle is changed after {most} h. Halt the machine before you touch it.
    </p>
  </div>
</div>

<div class="mt-6 flex flex-wrap items-center gap-x-6">
  <h3 class="text-xl">Run sheet</h3>
  <p>
    {several
      ? `${sheet.rethreads} re-threaded on the way, ${halts.length} halts to program`
      : `${plan.machine.name} halts at every stop by itself`}
  </p>
  <button type="button" class="button no-print ml-auto" onclick={onprint}
    ><Printer size={20} aria-hidden="true" />Run sheet as PDF</button
  >
</div>
{#if several}
  <ol class="mt-2 flex flex-wrap gap-2" aria-label="Needles at the start">
    {#each sheet.needles as { needle, thread, threadFirst } (needle)}
      {@const there = on[needle - 1]}
      <li
        class="min-w-28 border-[1.5px] {threadFirst
          ? 'border-hands'
          : 'border-rule-strong'} rounded px-2 py-1"
      >
        <span class="flex items-center gap-2"
          ><span class="head text-xl">{needle}</span>{#if thread}<Swatch colour={thread.colour} />{/if}</span
        >
        <span class="block text-sm"
          >{thread ? thread.name : there ? there.name : 'empty'}{threadFirst
            ? ': thread it'
            : thread
              ? ': on already'
              : ''}</span
        >
      </li>
    {/each}
  </ol>
  {#if toThread.length > 0}
    <button type="button" class="button mt-2" onclick={onthreaded}>They are threaded so</button>
  {/if}
{/if}
<table class="mt-3 w-full text-left">
  <thead class="text-sm text-soft">
    <tr
      ><th class="pr-3 font-normal">Stop</th>{#if several}<th class="pr-3 font-normal">Needle</th>{/if}<th
        class="pr-3 font-normal">Thread</th
      ><th class="font-normal">Then</th></tr
    >
  </thead>
  <tbody>
    {#each sheet.rows as row (row.stepId)}
      {#if row.needleBefore}
        <tr class="border-t border-rule bg-warn-pale"
          ><td colspan="4" class="px-2 py-1 font-bold">Put in: {row.needleBefore}</td></tr
        >
      {/if}
      <tr class="border-t border-rule">
        <td class="py-1.5 pr-3"
          ><span class="head mr-2 inline-block min-w-7 text-right text-lg">{row.number}</span>{row.name}</td
        >
        {#if several}<td class="head py-1.5 pr-3 text-xl">{row.needle}</td>{/if}
        <td class="py-1.5 pr-3"
          ><span class="flex items-center gap-2"
            ><Swatch colour={row.thread?.colour ?? '#ffffff'} />{row.thread?.name ??
              ''}{#if row.rethread && several}<strong class="text-hands">re-thread</strong>{/if}</span
          ></td
        >
        <td class="py-1.5">
          {#if row.halt}
            <span class="flex items-center gap-2 {several ? 'font-bold text-hands' : ''}"
              ><Hand size={18} class="shrink-0" aria-hidden="true" /><span
                >{several ? 'Halt' : ''}{several && row.halt.sameNeedle
                  ? ', though the next stop has the same needle'
                  : ''}{several ? ': ' : ''}{row.halt.why}</span
              ></span
            >
          {:else}<span class="text-soft">runs on</span>{/if}
        </td>
      </tr>
    {/each}
  </tbody>
</table>
