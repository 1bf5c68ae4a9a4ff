<script lang="ts">
  import type { Item } from '$lib/core/documents/item';
  import type { PlanWarning } from '$lib/core/documents/plan';
  import type { Setup } from '$lib/core/documents/shop';
  import type { CheckResult, Finding } from '$lib/core/making/checks';

  /** What there is to look at: remarks of the plan, findings of the checks, and what has been answered. */
  interface Props {
    /** Whose findings these are, for those who hear them. */
    label?: string;
    warnings: PlanWarning[];
    checked: CheckResult;
    /** Shows the step of a finding; left out where that step is looked at. */
    onshow?: (stepId: string) => void;
    onfix: (change: (item: Item) => Item, stepId: string | null) => void;
    onsetup: (change: Partial<Setup>) => void;
    onanswer: (finding: Finding, reason: string) => void;
    ontakeback: (finding: Finding) => void;
  }
  let {
    label = 'To look at',
    warnings,
    checked,
    onshow,
    onfix,
    onsetup,
    onanswer,
    ontakeback
  }: Props = $props();

  const WORD = { stop: 'Stop.', warn: 'Look.', note: 'Note.' };
  const LOOK = {
    stop: 'border-hands bg-hands-pale',
    warn: 'border-warn bg-warn-pale',
    note: 'border-rule-strong bg-sheet'
  };
  const keyOf = ({ code, stepId, text }: Finding): string => `${code} ${stepId ?? ''} ${text}`;

  /** The finding whose reason is being asked. */
  let asking = $state<string | null>(null);
  let reason = $state('');
</script>

{#snippet show(stepId: string | null)}
  {#if stepId && onshow}<button type="button" class="min-h-11 underline" onclick={() => onshow(stepId)}
      >Show it</button
    >{/if}
{/snippet}

{#if warnings.length + checked.open.length + checked.answered.length > 0}
  <ul class="flex flex-col gap-2" aria-label={label}>
    {#each checked.open as finding (keyOf(finding))}
      <li
        class="border-l-4 px-4 {LOOK[finding.severity]} {onshow === undefined
          ? 'flex flex-wrap items-center justify-between gap-x-4 py-0.5'
          : 'py-1.5'}"
      >
        <span>
          <span class="font-bold">{WORD[finding.severity]}</span>
          {finding.text}
          {finding.advice}
        </span>
        <span class="flex flex-wrap items-center gap-x-4">
          {#if finding.fix}
            {@const fix = finding.fix}
            <button
              type="button"
              class="min-h-11 font-bold underline"
              onclick={() => (fix.setup ? onsetup(fix.setup) : onfix(fix.apply, finding.stepId))}
              >{fix.label}</button
            >
          {/if}
          {@render show(finding.stepId)}
          {#if asking === keyOf(finding)}
            <form
              class="flex flex-1 gap-2"
              onsubmit={(event) => {
                event.preventDefault();
                if (reason.trim() === '') return;
                onanswer(finding, reason.trim());
                asking = null;
              }}
            >
              <input
                class="field min-w-0 flex-1"
                aria-label="Why it is intended"
                placeholder="Why?"
                maxlength="500"
                bind:value={reason}
              />
              <button type="submit" class="button" disabled={reason.trim() === ''}>Keep</button>
            </form>
          {:else}
            <button
              type="button"
              class="min-h-11 underline"
              onclick={() => {
                asking = keyOf(finding);
                reason = '';
              }}>This is intended</button
            >
          {/if}
        </span>
      </li>
    {/each}
    {#each warnings as warning (`${warning.code} ${warning.stepId} ${warning.text}`)}
      <li class="border-l-4 px-4 py-1.5 {LOOK[warning.severity]}">
        <span class="font-bold">{WORD[warning.severity]}</span>
        {warning.text}
        {@render show(warning.stepId)}
      </li>
    {/each}
    {#each checked.answered as { finding, reason: why } (keyOf(finding))}
      <li class="border-l-4 px-4 py-1.5 text-soft {LOOK.note}">
        Intended: {finding.text} “{why}”
        <button type="button" class="min-h-11 underline" onclick={() => ontakeback(finding)}>Ask again</button
        >
      </li>
    {/each}
  </ul>
{/if}
