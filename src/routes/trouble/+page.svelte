<script lang="ts">
  import { report } from '../report';
  import { page } from '$app/state';
  import { goto } from '$app/navigation';
  import type { Item } from '$lib/core/documents/item';
  import { defaultSetup, type Setup } from '$lib/core/documents/shop';
  import { review } from '$lib/core/making/checks';
  import {
    answeredCauses,
    causesOf,
    factsOf,
    nextQuestion,
    type Symptom,
    SYMPTOMS
  } from '$lib/core/running/causes';
  import { foldRun, needleHours, type NeedleTimes } from '$lib/core/running/runs';
  import { changeItem, eventsOf, getRun, getShop, live, markRun, shelfRows, threadTable } from '$lib/data';
  import { keepEdit } from '../undo';
  import UndoBar from '../UndoBar.svelte';
  import { toast } from 'svelte-sonner';
  import { DRAWINGS } from './drawings';

  const asked = $derived({
    item: page.url.searchParams.get('item'),
    run: page.url.searchParams.get('run'),
    seen: page.url.searchParams.get('seen')
  });
  const table = live(
    () => `${asked.item ?? ''} ${asked.run ?? ''}`,
    async () => {
      const run = asked.run === null ? undefined : await getRun(asked.run);
      const itemId = run?.itemId ?? asked.item;
      return {
        run,
        events: run ? await eventsOf(run.id) : [],
        ...(itemId === null ? {} : await itemAndSetup(itemId)),
        shop: await getShop(),
        shelf: (await shelfRows()).filter(({ away }) => !away)
      };
    }
  );
  async function itemAndSetup(
    id: string
  ): Promise<{ item?: Item; setup?: Setup | undefined; needles?: NeedleTimes[] }> {
    const found = await threadTable(id);
    return found ? { item: found.item, setup: found.setup, needles: found.needles } : {};
  }
  const known = $derived(table.value);
  const symptom = $derived(asked.seen !== null && asked.seen in SYMPTOMS ? (asked.seen as Symptom) : null);
  const facts = $derived.by(() => {
    if (!known?.item) return null;
    const setup = known.setup ?? defaultSetup(known.item, known.shop);
    const { plan, checked } = review(known.item, setup, known.shop);
    const machine = known.shop.machines.find(
      ({ id }) => id === (known.run?.plan.machine.id ?? setup.machineId)
    );
    const run = known.run
      ? {
          faults: foldRun(known.run.plan.steps, known.events).faults.length,
          needleHours: machine
            ? Math.max(0, ...needleHours(known.needles ?? [], machine).map(({ hours }) => hours))
            : 0
        }
      : null;
    return factsOf(known.item, plan, machine, checked.open, run);
  });
  /** What the maker said to a question, for the symptom that is looked at. */
  let said = $state.raw<{ symptom: Symptom | null; answers: ReadonlyMap<string, boolean> }>({
    symptom: null,
    answers: new Map()
  });
  const answers = $derived(said.symptom === symptom ? said.answers : new Map<string, boolean>());
  const found = $derived(symptom && facts ? causesOf(symptom, facts) : []);
  const causes = $derived(answeredCauses(found, answers));
  const question = $derived(nextQuestion(causes, answers));
  function answer(ruleId: string, isSo: boolean): void {
    said = { symptom, answers: new Map([...answers, [ruleId, isSo]]) };
  }
  function look(change: Partial<typeof asked>): void {
    const query = Object.entries({ ...asked, ...change }).flatMap(([key, value]) =>
      value ? [`${key}=${encodeURIComponent(value)}`] : []
    );
    void goto(`?${query.join('&')}`, { keepFocus: true, noScroll: true });
  }
  const likely = (weight: number): string =>
    weight > 0.9 ? 'it is so here' : weight > 0.5 ? 'likely here' : 'usual';

  async function keepWithRun(cause: string, words: string): Promise<void> {
    if (!known?.run || !symptom) return;
    const note = [known.run.note, `${SYMPTOMS[symptom]}: ${words}.`].filter(Boolean).join('\n');
    try {
      await markRun(known.run.id, {
        note: note.slice(0, 5000),
        trouble: [...(known.run.trouble ?? []), { symptom, cause, at: new Date().toISOString() }].slice(-20)
      });
      toast('It is kept with the run, and said before the next start where the same could happen.');
    } catch (problem) {
      report(problem, 'It is not kept with the run.');
    }
  }
</script>

<svelte:head><title>What went wrong? · Jolt Step</title></svelte:head>

<div class="flex flex-wrap items-end gap-4">
  <div class="mr-auto">
    <h1 class="text-3xl">What went wrong?</h1>
    <p class="text-soft">
      {known?.run ? `The run of ${known.run.itemName}. ` : ''}Press what you see; the likeliest cause stands
      first, with what points to it.
    </p>
  </div>
  <UndoBar />
  {#if known && !known.run}
    <label class="flex flex-col gap-1"
      ><span class="label">On which item?</span><select
        class="field"
        value={known.item?.id ?? ''}
        onchange={({ currentTarget }) => look({ item: currentTarget.value || null })}
      >
        <option value="">choose it</option>
        {#each known.shelf as { id, name } (id)}<option value={id}>{name}</option>{/each}
      </select></label
    >
  {/if}
</div>

<ul class="mt-4 grid gap-2" style:grid-template-columns="repeat(auto-fill, minmax(9.5rem, 1fr))">
  {#each Object.entries(SYMPTOMS) as [id, words] (id)}
    {@const drawn = DRAWINGS[id as Symptom]}
    <li>
      <button
        type="button"
        class="flex h-full w-full items-center gap-2 rounded-md border-2 p-2 text-left leading-tight {symptom ===
        id
          ? 'border-ink bg-sheet font-bold'
          : 'border-rule hover:border-rule-strong'}"
        aria-pressed={symptom === id}
        onclick={() => look({ seen: id })}
      >
        <svg viewBox="0 0 48 48" class="h-12 w-12 shrink-0" aria-hidden="true">
          <path d={drawn.cloth} class="cloth" /><path d={drawn.wrong} class="wrong" />
        </svg>{words}
      </button>
    </li>
  {/each}
</ul>

{#if symptom && known && !known.item}
  <p class="mt-6 text-lg">
    Choose the item it happened on: the evidence for each cause comes from its sheet.
  </p>
{:else if symptom && causes.length > 0}
  <h2 class="mt-6 text-2xl">{SYMPTOMS[symptom]}</h2>
  {#if question}
    {@const { ruleId, words } = question}
    <div class="mt-2 flex flex-wrap items-center gap-3 border-l-4 border-needle bg-needle-pale px-4 py-2">
      <p class="text-lg font-bold">{words}</p>
      <button type="button" class="button" onclick={() => answer(ruleId, true)}>Yes</button>
      <button type="button" class="button" onclick={() => answer(ruleId, false)}>No</button>
    </div>
  {/if}
  <ol class="mt-2 border-t-[1.5px] border-ink">
    {#each causes as { rule, weight, evidence }, at (rule.id)}
      <li class="grid grid-cols-[2.5rem_minmax(0,1fr)_auto] items-start gap-4 border-b border-rule py-3">
        <span class="head text-2xl {at === 0 ? 'text-hands' : 'text-soft'}">{at + 1}</span>
        <div>
          <p class="text-lg font-bold">
            {rule.words} <span class="text-sm font-normal text-soft">{likely(weight)}</span>
          </p>
          <p class="text-soft">{evidence}</p>
          <p class="mt-1">{rule.advice}</p>
        </div>
        <div class="flex flex-wrap justify-end gap-2">
          {#if rule.mend && known?.item}
            {@const { label, change } = rule.mend}
            {@const itemId = known.item.id}
            <button
              type="button"
              class="button"
              onclick={() =>
                void keepEdit(
                  changeItem(itemId, change, label.toLowerCase()),
                  `${label}: done, and on the sheet.`
                )}>{label}</button
            >
          {/if}
          {#if known?.run}<button
              type="button"
              class="button"
              onclick={() => void keepWithRun(rule.id, rule.words)}>This was the cause</button
            >{/if}
        </div>
      </li>
    {/each}
  </ol>
{:else if symptom && facts}
  <p class="mt-6 text-lg">Nothing in this item points to a cause.</p>
{/if}

<style>
  .cloth {
    fill: none;
    stroke: var(--soft);
    stroke-width: 2;
    stroke-linejoin: round;
  }
  .wrong {
    fill: none;
    stroke: var(--hands);
    stroke-width: 2.6;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
</style>
