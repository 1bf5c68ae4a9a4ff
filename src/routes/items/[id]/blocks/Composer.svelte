<script lang="ts">
  import { formatSize, otherUnit, saidIn } from '$lib/core/base/units';
  import { blockOf, blockWords } from '$lib/core/craft/blocks';
  import { constructionOf } from '$lib/core/craft/constructions';
  import type { Block, Item } from '$lib/core/documents/item';
  import type { Setup, Shop } from '$lib/core/documents/shop';
  import { runChecks } from '$lib/core/making/checks';
  import { planAndTrace } from '$lib/core/making/plan';
  import { ribbonSteps } from '$lib/core/making/summary';
  import { blocksOf, remake, stepBlocks } from '$lib/core/reading/matching';
  import ItemHeader from '$lib/ui/ItemHeader.svelte';
  import Ribbon from '$lib/ui/ribbon/Ribbon.svelte';
  import Times from '$lib/ui/Times.svelte';
  import UndoBar from '../../../UndoBar.svelte';
  import BlockList, { type BlockRow } from './BlockList.svelte';
  import BlockPane from './BlockPane.svelte';
  import Drawing from './Drawing.svelte';
  import ItemPane from './ItemPane.svelte';
  import OfferList from './OfferList.svelte';

  interface Rebuild {
    params: (params: Record<string, unknown>) => Record<string, unknown>;
    blocks: (blocks: Block[]) => Block[] | null;
    said: string;
  }
  interface Props {
    item: Item;
    setup: Setup;
    shop: Shop;
    /** Why the last change could not be made. */
    problems: string[];
    freshId: () => string;
    onrebuild: (change: Rebuild) => void;
    onedit: (change: (item: Item) => Item, said?: string) => void;
  }
  let { item, setup, shop, problems, freshId, onrebuild, onedit }: Props = $props();

  /** What is open on the left: the item as a whole, one of its blocks, or a place where one is put in. */
  type Open = { what: 'item' } | { what: 'block'; id: string } | { what: 'place'; at: number };
  let open = $state.raw<Open>({ what: 'item' });
  /** A kind that is looked at before it is taken. */
  let tried = $state<string | null>(null);

  const construction = $derived(constructionOf(item.construction ?? ''));
  const blocks = $derived(blocksOf(item));
  const made = $derived(construction?.patternOf(item.params, item.blocks));
  const troubles = $derived(made?.ok ? made.troubles : []);

  /** The item with the block that is looked at, where one is. */
  const shown = $derived.by(() => {
    if (open.what !== 'place' || tried === null || !blocks) return item;
    const trial = blocks.toSpliced(open.at, 0, { id: TRIAL, kind: tried, answers: {} });
    const result = remake(item, item.params, trial);
    return result.ok ? result.item : item;
  });
  const TRIAL = 'looked-at';
  const planned = $derived(planAndTrace(shown, setup, shop));
  const plan = $derived(planned.plan);
  const origin = $derived(stepBlocks(shown));

  let settled = $state(false);
  $effect(() => {
    const soon = setTimeout(() => (settled = true));
    return () => clearTimeout(soon);
  });
  const checked = $derived(settled ? runChecks(planned) : null);
  const findings = $derived((checked?.open ?? []).filter(({ severity }) => severity !== 'note'));

  const rows = $derived(
    (blocks ?? []).map((block): BlockRow => {
      const trouble = troubles.find(({ blockId }) => blockId === block.id);
      return {
        id: block.id,
        name: block.name ?? blockOf(block.kind)?.name ?? block.id,
        words: blockWords(block),
        trouble: trouble ? `${trouble.why} ${trouble.repair}` : null,
        findings: findings.filter(({ stepId }) => stepId !== null && origin.get(stepId) === block.id).length
      };
    })
  );
  const chosen = $derived(
    open.what === 'block' ? blocks?.find(({ id }) => open.what === 'block' && id === open.id) : undefined
  );
  const looked = $derived(
    open.what === 'place' && tried !== null ? TRIAL : open.what === 'block' ? open.id : null
  );
  /** The last step of the block that is looked at; the end of the item where none is. */
  const step = $derived.by(() => {
    const own =
      looked === null
        ? []
        : plan.steps.filter(({ itemStepId }) => itemStepId !== null && origin.get(itemStepId) === looked);
    const before = open.what === 'place' && own.length === 0 ? blocks?.[open.at - 1]?.id : null;
    const last = before
      ? plan.steps.findLast(({ itemStepId }) => itemStepId !== null && origin.get(itemStepId) === before)
      : undefined;
    return picked ?? own.at(-1) ?? last ?? plan.steps.at(-1);
  });
  /** A step pointed at on the ribbon. */
  let pickedId = $state<string | null>(null);
  const picked = $derived(plan.steps.find(({ id }) => id === pickedId));

  const offers = $derived(
    open.what === 'place' && blocks && construction ? construction.offers(item.params, blocks, open.at) : []
  );

  function show(next: Open): void {
    open = next;
    tried = null;
    pickedId = null;
  }
  function changeBlocks(said: string, change: (blocks: Block[]) => Block[]): void {
    onrebuild({ params: (params) => params, blocks: change, said });
  }
  function add(kind: string): void {
    if (open.what !== 'place') return;
    const { at } = open;
    const id = `${kind}-${freshId().slice(0, 8)}`;
    const after = blocks?.[at - 1]?.id;
    changeBlocks(`${blockOf(kind)?.name ?? 'a block'} put in`, (now) => {
      const place = after === undefined ? 0 : now.findIndex((block) => block.id === after) + 1;
      return now.toSpliced(place, 0, { id, kind, answers: {} });
    });
    show({ what: 'block', id });
  }
  function move(id: string, to: number): void {
    changeBlocks('a block moved', (now) => {
      const block = now.find((each) => each.id === id);
      return block ? now.filter((each) => each.id !== id).toSpliced(to, 0, block) : now;
    });
  }
  function again(id: string): void {
    const fresh = freshId().slice(0, 8);
    changeBlocks('a block repeated', (now) => {
      const at = now.findIndex((each) => each.id === id);
      const block = now[at];
      return block ? now.toSpliced(at + 1, 0, { ...block, id: `${block.kind}-${fresh}` }) : now;
    });
  }
  /** Changes one block, the one meant when it was asked for: another may be open by the time it is stored. */
  function changeBlock(id: string, said: string, change: (block: Block) => Block): void {
    changeBlocks(said, (now) => now.map((block) => (block.id === id ? change(block) : block)));
  }
  function takeOut(id: string, name: string): void {
    changeBlocks(`${name} taken out`, (now) => now.filter((block) => block.id !== id));
    show({ what: 'item' });
  }
  function answerItem(answers: Record<string, unknown>): void {
    // Blocks nobody changed follow the answers.
    const own = item.blocks !== undefined;
    onrebuild({
      params: (params) => ({ ...params, ...answers }),
      blocks: (now) => (own ? now : null),
      said: 'an answer'
    });
  }
  function pick(stepId: string): void {
    const own = plan.steps.find(({ id }) => id === stepId)?.itemStepId;
    const block = own === undefined || own === null ? undefined : origin.get(own);
    if (block !== undefined && block !== TRIAL) show({ what: 'block', id: block });
    pickedId = stepId;
  }
</script>

<svelte:head><title>{item.name}, built · Jolt Step</title></svelte:head>

<ItemHeader {plan} />
<div class="mt-1 flex flex-wrap items-center gap-x-6 gap-y-2">
  <Times
    hands={plan.totals.hands.value}
    needle={plan.totals.needle.value}
    waiting={plan.totals.waiting.value}
  />
  {#if troubles.length + findings.length > 0}
    <p class="font-bold text-hands" role="status">{troubles.length + findings.length} to look at</p>
  {/if}
  <div class="ml-auto flex gap-2">
    <UndoBar />
    <a class="button button-main" href="/items/{item.id}">To the sheet</a>
  </div>
</div>
<div class="mt-2">
  <Ribbon
    steps={ribbonSteps(plan.steps)}
    label="{item.name}, step by step"
    selected={step?.id}
    onselect={pick}
  />
</div>

{#if blocks === null}
  <p class="mt-6 border-l-4 border-rule-strong p-4 text-lg">
    This item was written by hand, step by step: it has no blocks. <a
      class="underline"
      href="/items/{item.id}">Its steps are changed on the sheet.</a
    >
  </p>
  <ItemPane {item} {shop} {setup} {construction} {onedit} onanswers={() => undefined} />
{:else}
  <div
    class="mt-3 grid grid-cols-[18.5rem_minmax(0,1fr)_minmax(0,1.05fr)] items-start gap-6 max-[1100px]:grid-cols-1"
  >
    <BlockList
      {rows}
      open={open.what === 'block' ? open.id : open.what === 'item' ? 'item' : null}
      place={open.what === 'place' ? open.at : null}
      words={formatSize(plan.finished, shop.unit)}
      onitem={() => show({ what: 'item' })}
      onblock={(id) => show({ what: 'block', id })}
      onplace={(at) => show({ what: 'place', at })}
      onmove={move}
      onorder={(ids) =>
        changeBlocks('blocks in another order', (now) => [
          ...ids.flatMap((id) => now.find((block) => block.id === id) ?? []),
          ...now.filter(({ id }) => !ids.includes(id))
        ])}
    />
    <section class="min-w-0" aria-label="What is chosen">
      {#if open.what === 'place'}
        <OfferList
          {offers}
          {tried}
          place={open.at === 0 ? 'at the start' : `after “${rows[open.at - 1]?.name ?? ''}”`}
          ontry={(kind) => (tried = kind)}
          onadd={add}
        />
      {:else if chosen}
        {@const at = blocks.indexOf(chosen)}
        {#key chosen.id}<BlockPane
            block={chosen}
            unit={shop.unit}
            trouble={rows[at]?.trouble ?? null}
            first={at === 0}
            last={at === blocks.length - 1}
            onanswers={(answers) =>
              changeBlock(chosen.id, 'an answer', (block) => ({
                ...block,
                answers: { ...block.answers, ...answers }
              }))}
            onname={(name) =>
              changeBlock(chosen.id, 'a name', (block) => ({
                ...block,
                name: name === '' ? undefined : name
              }))}
            onmove={(by) => move(chosen.id, at + by)}
            onagain={() => again(chosen.id)}
            onremove={() => takeOut(chosen.id, rows[at]?.name ?? 'a block')}
          />{/key}
      {:else}
        <ItemPane {item} {shop} {setup} {construction} {onedit} onanswers={answerItem} />
      {/if}
      {#each problems as problem (problem)}<p
          class="mt-3 border-l-4 border-hands bg-hands-pale p-3"
          role="alert"
        >
          {saidIn(problem, shop.unit)}
        </p>{/each}
    </section>
    <Drawing
      {plan}
      item={planned.item}
      trace={planned.trace}
      {step}
      findings={findings.map(({ text, advice, stepId }) => ({ text: `${text} ${advice}`, stepId }))}
      onshow={(stepId) => pick(plan.steps.find(({ itemStepId }) => itemStepId === stepId)?.id ?? '')}
    />
  </div>
{/if}
<p class="mt-6 text-sm text-soft" title={formatSize(plan.finished, otherUnit(shop.unit))}>
  Every change can be undone. What you changed by hand on the sheet stays where its place still exists.
</p>
