<script lang="ts">
  import { savePdf } from '../../savePdf';
  import { fileName } from '$lib/ui/files';
  import { sheetPdfInWorker } from '$lib/workers';
  import { formatMinutes, formatSize } from '$lib/core/base/units';
  import { answerFinding, type Item, moveStep, removeStep, takeBackAnswer } from '$lib/core/documents/item';
  import type { Setup, Shop } from '$lib/core/documents/shop';
  import { runChecks } from '$lib/core/making/checks';
  import type { Appearance } from '$lib/core/making/appearance';
  import { planAndTrace } from '$lib/core/making/plan';
  import { looksOf } from '$lib/data';
  import ItemHeader from '$lib/ui/ItemHeader.svelte';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import { ribbonSteps } from '$lib/core/making/summary';
  import Player from '$lib/ui/steps/Player.svelte';
  import StepDialog, { type StepTask } from '$lib/ui/steps/StepDialog.svelte';
  import { cautionsSaid } from '$lib/ui/steps/words';
  import StepRow from '$lib/ui/steps/StepRow.svelte';
  import Times from '$lib/ui/Times.svelte';
  import { Download, PenLine, Play, Plus, Printer, TriangleAlert } from '@lucide/svelte';
  import { tick } from 'svelte';
  import UndoBar from '../../UndoBar.svelte';
  import FindingList from './FindingList.svelte';
  import NameDialog from './NameDialog.svelte';
  import { worstAt } from './found';
  import StepPanel from './StepPanel.svelte';

  interface Props {
    item: Item;
    setup: Setup;
    shop: Shop;
    freshId: () => string;
    onedit: (change: (item: Item) => Item, said?: string) => void;
    onsetup: (change: Partial<Setup>) => void;
    onvariant: (change: (item: Item) => Item, variantId: string) => void;
    onstart: (item: Item, setup: Setup, shop: Shop) => void;
    ondownload: (item: Item) => void;
  }
  let { item, setup, shop, freshId, onedit, onsetup, onvariant, onstart, ondownload }: Props = $props();

  const made = $derived(planAndTrace(item, setup, shop));
  const planned = $derived(made.plan);
  const trace = $derived(made.trace);
  /** The steps stand there first; what is seen and said of them comes in a task of its own, so that no hand waits. */
  let stands = $state(false);
  $effect(() => {
    const soon = setTimeout(() => (stands = true));
    return () => clearTimeout(soon);
  });
  const checked = $derived(stands ? runChecks(made) : null);
  const bandSteps = $derived(ribbonSteps(planned.steps));

  let wanted = $state<string | null>(null);
  const selected = $derived(planned.steps.find(({ id }) => id === wanted) ?? planned.steps[0]);
  /** The item’s own step that is selected, or the last one before a step of the machine’s; null before the first. */
  const own = $derived(
    planned.steps.slice(0, selected?.number ?? 0).findLast(({ itemStepId }) => itemStepId !== null)
      ?.itemStepId ?? null
  );
  /** The hoop as the selected step leaves it; a step of the machine’s own leaves it as the one before did. */
  const stack = $derived.by(() => {
    const found = trace.find(({ stepId }) => stepId === own);
    return found && (own === selected?.itemStepId ? found : { ...found, changed: [], problem: null });
  });
  let task = $state.raw<StepTask | null>(null);
  let naming = $state(false);
  let list = $state<HTMLOListElement>();
  let findings = $state<HTMLElement>();
  const toLookAt = $derived(
    [...planned.warnings, ...(checked?.open ?? [])].filter(({ severity }) => severity !== 'note').length
  );

  const careful = $derived(cautionsSaid(planned.steps));
  /** The worst that was found at each step of the plan. */
  const foundAt = $derived(worstAt(planned, checked?.open ?? []));
  /** What was found at the step that is looked at. */
  const foundHere = $derived({
    warnings: planned.warnings.filter(({ stepId }) => stepId !== null && stepId === selected?.itemStepId),
    checked: {
      open: (checked?.open ?? []).filter(({ stepId }) => stepId !== null && stepId === selected?.itemStepId),
      answered: []
    }
  });

  async function select(id: string): Promise<void> {
    wanted = id;
    await tick();
    list?.querySelector('[aria-current="step"]')?.scrollIntoView({ block: 'nearest' });
  }

  function edit(change: (item: Item) => Item, stepId?: string, said?: string): void {
    onedit(change, said);
    if (stepId) void select(stepId);
  }

  function remove(stepId: string): void {
    const title = planned.steps.find(({ itemStepId }) => itemStepId === stepId)?.title ?? 'The step';
    const at = planned.steps.findIndex(({ itemStepId }) => itemStepId === stepId);
    edit(
      (before) => removeStep(before, stepId),
      planned.steps[at + 1]?.id ?? planned.steps[at - 1]?.id,
      `“${title}” is off the sheet.`
    );
  }

  const range = $derived.by(() => {
    const { hands, needle } = planned.totals;
    const rests =
      needle.samples === 0 ? 'the craft’s defaults, no runs yet' : `${needle.samples} logged steps`;
    const span = ({ low, high }: { low: number; high: number }): string =>
      `${formatMinutes(low).replace(' min', '')} to ${formatMinutes(high)}`;
    return `Usually ${span(hands)} of hands and ${span(needle)} of needle, by ${rests}`;
  });

  async function looked(): Promise<{ look?: Appearance }> {
    const look = (await looksOf([item.id]))[item.id];
    return look ? { look } : {};
  }
  let printing = $state(false);
  async function print(): Promise<void> {
    printing = true;
    await savePdf(
      fileName(`${planned.itemName} sheet`, 'pdf'),
      sheetPdfInWorker($state.snapshot(planned), 'A4', await looked())
    );
    printing = false;
  }
</script>

<svelte:head><title>{item.name} · Jolt Step</title></svelte:head>

<div class="flex min-[1100px]:h-[calc(100vh-2.5rem)] flex-col print:block print:h-auto">
  <ItemHeader plan={planned} />
  <div class="mt-1 flex flex-wrap items-center gap-x-6 gap-y-2">
    <a
      class="flex min-h-11 items-center"
      href="/items/{item.id}/time"
      title={range}
      aria-label="Times of this item. {range}."
    >
      <Times
        hands={planned.totals.hands.value}
        needle={planned.totals.needle.value}
        waiting={planned.totals.waiting.value}
      />
    </a>
    {#if toLookAt > 0}
      <button
        type="button"
        class="button no-print border-hands text-hands hover:bg-sheet!"
        onclick={() => findings?.scrollIntoView({ block: 'start', behavior: 'smooth' })}
        ><TriangleAlert size={20} aria-hidden="true" />{toLookAt} to look at</button
      >
    {/if}
    <div class="no-print ml-auto flex flex-wrap justify-end gap-1">
      <UndoBar />
      <Player
        count={planned.steps.length}
        at={(selected?.number ?? 1) - 1}
        onshow={(at) => void select(planned.steps[at]?.id ?? '')}
      />
      <button
        type="button"
        class="button button-quiet"
        disabled={printing}
        onclick={() => void print()}
        aria-label="The sheet on paper, as PDF"
        title="The sheet on paper, as PDF"><Printer size={20} aria-hidden="true" /></button
      >
      <button
        type="button"
        class="button button-quiet"
        onclick={() => ondownload(item)}
        aria-label="Download the item"
        title="Download the item"><Download size={20} aria-hidden="true" /></button
      >
      <button type="button" class="button button-main" data-stitch onclick={() => onstart(item, setup, shop)}
        ><Play size={20} aria-hidden="true" />Stitch it</button
      >
    </div>
  </div>

  <div class="mt-2 print:hidden">
    <Ribbon
      steps={bandSteps}
      label="{item.name}, step by step"
      selected={selected?.id}
      flagged={new Set(foundAt.keys())}
      onselect={(id) => void select(id)}
    />
  </div>

  <div
    class="mt-2 grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)] gap-6 max-[1100px]:grid-cols-1 print:block"
  >
    <section class="flex min-h-0 flex-col" aria-label="Steps">
      <ol
        bind:this={list}
        class="relative min-h-0 flex-1 overflow-y-auto border-t-[1.5px] border-ink print:overflow-visible"
      >
        {#each planned.steps as step (step.id)}
          <li>
            <StepRow
              {step}
              selected={step.id === selected?.id}
              careful={careful.has(step.id)}
              found={foundAt.get(step.id)}
              onselect={() => void select(step.id)}
            />
          </li>
        {/each}
      </ol>
      <div class="no-print flex flex-wrap">
        <button
          type="button"
          class="button button-quiet"
          onclick={() => (task = { kind: 'add', afterId: own })}
          ><Plus size={20} aria-hidden="true" />Add a step here</button
        >
        <button type="button" class="button button-quiet" onclick={() => (naming = true)}
          ><PenLine size={20} aria-hidden="true" />Put a name in</button
        >
      </div>
      {#if item.paper && item.paper.unused.length > 0}
        <details class="max-h-56 shrink-0 overflow-y-auto border-t border-rule">
          <summary class="min-h-11 cursor-pointer py-2"
            >{item.paper.unused.length === 1 ? 'One sentence' : `${item.paper.unused.length} sentences`} of {item
              .paper.name}
            {item.paper.unused.length === 1 ? 'is' : 'are'} in no step</summary
          >
          <ul>
            {#each item.paper.unused as { number, text }, at (at)}<li class="border-b border-rule py-1">
                <span class="head mr-2 text-sm">{number}</span>{text}
              </li>{/each}
          </ul>
        </details>
      {/if}
    </section>

    {#if selected && checked}
      <div class="no-print flex min-h-0 flex-col gap-3 overflow-y-auto max-[1100px]:order-first">
        <FindingList
          label="Found at this step"
          {...foundHere}
          {onsetup}
          onfix={(change, stepId) => edit(change, stepId ?? undefined)}
          onanswer={(finding, reason) =>
            edit((before) => answerFinding(before, finding, reason, new Date().toISOString()))}
          ontakeback={(finding) => edit((before) => takeBackAnswer(before, finding))}
        />
        <StepPanel
          item={made.item}
          plan={planned}
          step={selected}
          {trace}
          {stack}
          {shop}
          onedit={(change) => edit(change)}
          {onsetup}
          {onvariant}
          whole={item}
          {freshId}
          onchange={() => selected.itemStepId && (task = { kind: 'edit', stepId: selected.itemStepId })}
          onmove={(by) => {
            const { itemStepId, id } = selected;
            if (itemStepId) edit((before) => moveStep(before, itemStepId, by), id);
          }}
          onremove={() => selected.itemStepId && remove(selected.itemStepId)}
        />
        <div bind:this={findings}>
          <FindingList
            warnings={planned.warnings}
            {checked}
            {onsetup}
            onshow={(stepId) => void select(stepId)}
            onfix={(change, stepId) => edit(change, stepId ?? undefined)}
            onanswer={(finding, reason) =>
              edit((before) => answerFinding(before, finding, reason, new Date().toISOString()))}
            ontakeback={(finding) => edit((before) => takeBackAnswer(before, finding))}
          />
        </div>
      </div>
    {/if}
  </div>

  <section class="print-only mt-6" aria-label="What to cut">
    <h2 class="text-xl">Cut first</h2>
    <ul>
      {#each planned.cuts.filter(({ cutFrom }) => cutFrom === null) as cut (cut.pieceId)}
        <li>
          ☐ {cut.count} × {cut.name}, {cut.material.name}: {formatSize(cut.cut, 'mm')}, {formatSize(
            cut.cut,
            'in'
          )}{cut.readyMade ? ', ready-made: not cut' : ''}
        </li>
      {/each}
    </ul>
  </section>
</div>

<NameDialog
  open={naming}
  item={made.item}
  plan={planned}
  {trace}
  {freshId}
  onclose={() => (naming = false)}
  onedit={edit}
/>
<StepDialog {item} unit={shop.unit} {task} {freshId} onclose={() => (task = null)} onedit={edit} />
