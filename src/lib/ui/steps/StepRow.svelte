<script lang="ts">
  import { formatDuration } from '$lib/core/base/units';
  import type { PlanStep } from '$lib/core/documents/plan';
  import { Hand, TriangleAlert } from '@lucide/svelte';
  import MarkIcon from '$lib/ui/ribbon/MarkIcon.svelte';
  import Swatch from '$lib/ui/Swatch.svelte';
  import { stepTime, stopNote } from './words';

  interface Props {
    step: PlanStep;
    selected: boolean;
    /** Whether its caution is said here: once for a kind of work. */
    careful?: boolean;
    /** What was found at it, in words. */
    found?: { severity: 'stop' | 'warn'; text: string } | undefined;
    onselect: () => void;
  }
  let { step, selected, careful = false, found, onselect }: Props = $props();
  const hands = $derived(step.kind === 'hand');
  /** The hoop in a word, for a narrow column. */
  const SHORT = { empty: '', off: 'off', on: 'on', forward: 'forward', unhooped: '' };
  const waits = $derived(step.waiting.value > 0);
</script>

<button
  type="button"
  class="row {selected ? 'selected' : ''} {waits ? 'text-wait' : hands ? 'text-hands' : 'text-ink'}"
  aria-current={selected ? 'step' : undefined}
  onclick={onselect}
>
  <span class="text-right text-[0.9375rem] text-soft">{step.number}</span>
  <span class="flex justify-center">
    {#if step.stop}
      <span
        class="head grid h-7 min-w-7 place-items-center rounded border-[1.5px] border-ink px-1 text-[0.9375rem] {step
          .stop.protected
          ? 'ring-1 ring-ink ring-inset ring-offset-0 outline-1 outline-offset-2 outline-ink'
          : ''} {step.stop.machineNumber === null ? 'border-dashed' : ''}"
      >
        {step.stop.machineNumber ?? '?'}
      </span>
    {:else if step.mark}
      <MarkIcon mark={step.mark} size={20} />
    {/if}
  </span>
  <span class="min-w-0 text-left">
    <span class={selected ? 'font-bold' : ''}>{step.title}</span>
    {#if step.stop}<span class="ml-2 text-sm text-soft">{stopNote(step)}</span>{/if}
    {#if step.note}<span class="ml-2 text-sm text-soft italic">{step.note}</span>{/if}
    <span class="print-only text-sm text-soft">
      {step.detail}{step.caution && hands ? ` Careful: ${step.caution}` : ''}</span
    >
  </span>
  <span class="flex items-center justify-end gap-2 text-sm whitespace-nowrap text-soft">
    {#if found}<span title={found.text}
        ><TriangleAlert
          size={18}
          class={found.severity === 'stop' ? 'text-hands' : 'text-warn'}
          aria-hidden="true"
        /><span class="sr-only">To look at.</span></span
      >{/if}
    {#if hands && careful}<span title={step.caution}
        ><Hand size={16} class="text-soft" aria-hidden="true" /><span class="sr-only">Careful.</span></span
      >{/if}
    {SHORT[step.hoop.where]}{step.hoop.turned ? ', turned' : ''}
  </span>
  <span class="flex items-center"
    >{#if step.thread}<Swatch colour={step.thread.colour} /><span class="sr-only">{step.thread.name}</span
      >{/if}</span
  >
  <span class="text-right text-ink">{stepTime(step) === 0 ? '' : formatDuration(stepTime(step))}</span>
</button>

<style>
  .row {
    display: grid;
    grid-template-columns: 2rem 2.5rem minmax(0, 1fr) 5rem 2rem 5.5rem;
    gap: 0.5rem;
    align-items: center;
    width: 100%;
    min-height: 44px;
    padding: 0.25rem 0.5rem;
    border-bottom: 1px solid var(--rule);
  }
  .row:hover {
    background: color-mix(in srgb, var(--rule) 35%, transparent);
  }
  .selected {
    background: var(--sheet);
    box-shadow: inset 0 0 0 2px var(--ink);
  }
  .selected.text-hands {
    background: var(--hands-pale);
    box-shadow: inset 0 0 0 2px var(--hands);
  }
  @media print {
    .row {
      min-height: 0;
      padding: 0.35rem 0;
      break-inside: avoid;
      box-shadow: none !important;
    }
  }
</style>
