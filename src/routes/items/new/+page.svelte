<script lang="ts">
  import { goto } from '$app/navigation';
  import { onDestroy, untrack } from 'svelte';
  import type { Face, Item } from '$lib/core/documents/item';
  import { withSentences } from '$lib/core/making/interpret';
  import { defaultSetup, fitIn, hoopFor, paceOf, type Setup, type Shop } from '$lib/core/documents/shop';
  import { plan, planAndTrace } from '$lib/core/making/plan';
  import {
    align,
    assemble,
    type FixedMatch,
    inPatternOrder,
    matchPaper,
    withLists,
    withPaperNotes
  } from '$lib/core/reading/matching';
  import { inSchool } from '$lib/core/craft/sequence';
  import { formatSize } from '$lib/core/base/units';
  import { chosenOutline } from '$lib/core/reading/papers';
  import { freshId, getShop, importItem, live, changeShop } from '$lib/data';
  import BringStage from './BringStage.svelte';
  import LikeWhich from './LikeWhich.svelte';
  import ReadsLike from './ReadsLike.svelte';
  import ReadsTold from './ReadsTold.svelte';
  import MatchStage from './MatchStage.svelte';
  import NotesMatch from './NotesMatch.svelte';
  import { forgetLayout, keepLayout } from './layouts';
  import { Papers } from './papers.svelte';
  import { furtherOf, hoopsFor, rounded } from './further';
  import { stored } from './stored';
  import PatternStage from './PatternStage.svelte';
  import StepsRead from './StepsRead.svelte';
  import { CONSTRUCTIONS, isOwn, withOwn } from '$lib/core/craft/constructions';

  const shopRead = live(() => null, getShop);
  const shop = $derived(shopRead.value);

  type Stage = 'bring' | 'steps' | 'pattern' | 'match';
  let stage = $state<Stage>('bring');
  const papers = new Papers(() => shop?.layouts ?? []);
  onDestroy(() => papers.close());
  const hasChart = $derived(papers.rows.length > 0);
  const hasPaper = $derived(hasChart || papers.instructions.length > 0);

  let chosenKind = $state<string | null>(null);
  $effect(() => void (hasChart && shop && papers.tellLike($state.snapshot(shop) as Shop)));
  const likely = $derived(hasChart ? (papers.like ?? []) : []);
  const kind = $derived(chosenKind ?? likely[0]?.kind ?? CONSTRUCTIONS[0]?.kind ?? '');
  /** Not one so surely that it is taken: the maker says which. */
  const unsure = $derived(!chosenKind && (!papers.like || likely.some(({ look }) => look !== null)));
  let answers = $state.raw<Record<string, Record<string, unknown>>>({});
  /** Every construction, the maker’s own patterns behind them. */
  const constructions = $derived(withOwn(CONSTRUCTIONS, shop?.patterns ?? []));
  const construction = $derived(constructions.find((each) => each.kind === kind));
  /** What this maker answers where makers differ is remembered over items. */
  const usual = $derived(
    construction && inSchool(construction.questions, construction.defaults, shop?.schools ?? {})
  );
  /** A size that the paper states is answered, where the construction asks for one. */
  const stated = $derived.by(() => {
    const facts = papers.lists[papers.firstList]?.facts ?? papers.reading?.facts;
    const asks = ['width', 'height'].every((key) => construction?.questions.some((each) => each.key === key));
    if (!facts?.size || !asks) return {};
    return rounded(facts.size);
  });
  /** What the chart answers; what the maker has answered stands. */
  const charted = $derived(papers.charted?.kind === kind ? papers.charted.answers : {});
  $effect(() => void (hasChart && usual && !answers[kind] && papers.fit(kind, usual)));
  /** Nothing is made of a chart before its answers are known. */
  const settled = $derived(answers[kind] !== undefined || papers.charted?.kind === kind);
  const given = $derived(answers[kind] ?? { ...usual, ...charted, ...stated });
  const made = $derived(construction?.patternOf(given));
  let typedName = $state<string | null>(null);
  const name = $derived(typedName ?? (hasChart ? (papers.reading?.title ?? '') : ''));
  let house = $state('');
  let machineId = $state('');
  let hoopId = $state('');
  const size = $derived(made?.ok ? made.pattern.variant.size : undefined);
  const chosenMachine = $derived(machineId || (shop?.machines[0]?.id ?? ''));
  const machine = $derived(shop?.machines.find(({ id: own }) => own === chosenMachine));
  const hoops = $derived(shop && made?.ok ? hoopsFor(shop, made.pattern) : []);
  const chosenHoop = $derived(hoopId || hoopFor(hoops, size).hoopId);

  const hoop = $derived(shop?.hoops.find((each) => each.id === chosenHoop));
  const liesTurned = $derived(hoop !== undefined && size !== undefined && fitIn(hoop, size)?.turned === true);

  const expected = $derived(made?.ok ? made.pattern.expected : []);
  /** The rows, those of a drawing laid round the outline that was chosen from it. */
  const rows = $derived.by(() => {
    const chosen = chosenOutline(papers.outlines, given['shape']);
    const read = papers.rowsAround(chosen && size ? { path: chosen.path, size } : null);
    return papers.source.kind === 'drawing' ? inPatternOrder(read, expected) : read;
  });

  let fixed = $state.raw<FixedMatch[]>([]);
  const alignment = $derived(align(rows, expected, fixed));

  /** Stops that it needs and the chart does not have. */
  const needed = $derived(
    alignment.missing.filter((key) => expected.some((stop) => stop.key === key && !stop.optional))
  );

  /** Whether the chart has all that its construction needs; then the sheet’s own steps come second. */
  const fits = $derived(hasChart && made?.ok === true && needed.length === 0);

  const stages = $derived<{ id: Stage; name: string; ready: boolean }[]>([
    { id: 'bring', name: 'Papers', ready: true },
    ...(papers.asked ? [{ id: 'steps' as const, name: 'Steps read', ready: papers.told !== null }] : []),
    { id: 'pattern', name: 'Pattern and sizes', ready: true },
    ...(hasPaper
      ? [{ id: 'match' as const, name: 'Match', ready: made?.ok === true && name.trim() !== '' }]
      : [])
  ]);

  const id = freshId();
  const now = new Date().toISOString();

  /** The item as it would be made now. */
  const item = $derived.by(() => {
    if (!made?.ok || (stage === 'bring' && !hasChart)) return undefined;
    const { reading } = papers;
    return assemble(made.pattern, {
      id,
      name: name.trim() || 'New item',
      now,
      ...(house.trim() && { house: house.trim() }),
      construction: made.construction,
      params: made.params,
      ...(hasChart && {
        chart: {
          ...papers.kept,
          rows,
          alignment,
          ...(machine && { pace: paceOf(machine) }),
          ...(reading && reading.thread.mmPerStitch !== null && { meaning: papers.meaning })
        }
      })
    });
  });
  const setup = $derived(
    item && shop
      ? { ...defaultSetup(item, shop), machineId: chosenMachine, hoopId: chosenHoop, turned: liesTurned }
      : undefined
  );
  const planned = $derived(
    item && shop && papers.instructions.length > 0 ? plan(item, setup, shop) : undefined
  );
  const ended = $derived(stage === 'pattern' && item && shop ? planAndTrace(item, setup, shop) : null);
  /** Instructions the maker has put elsewhere, by their place on the paper. */
  let moved = $state.raw<Readonly<Record<number, string | null>>>({});
  const matches = $derived(
    planned
      ? matchPaper(planned, papers.instructions).map((match, at) => {
          const stepId = moved[at];
          return stepId === undefined ? match : { ...match, stepId };
        })
      : []
  );

  function answer(changes: Record<string, unknown>): void {
    answers = { ...answers, [kind]: { ...given, ...changes } };
    for (const [key, value] of Object.entries(changes)) {
      const school = construction?.questions.find((question) => question.key === key)?.school;
      if (school !== undefined && typeof value === 'string')
        void changeShop((now) => ({ ...now, schools: { ...now.schools, [school]: value } }), null);
    }
  }

  /** The item with the other lists of its paper as variants. */
  const withFurther = (own: Item): Item =>
    made?.ok && construction
      ? withLists(own, made.pattern, furtherOf(papers.further, construction, given, 'width' in stated))
      : own;

  /** Which side is up, as the maker says where the sheet does not. */
  let faces = $state.raw<ReadonlyMap<number, Face>>(new Map());
  $effect(() => {
    const asked = papers.asked;
    const about = { id, name: asked?.reading.title ?? 'New item', now, house: untrack(() => house.trim()) };
    const [rowsNow, answers, shopNow] = [papers.rows, faces, shop];
    if (asked && shopNow && rowsNow) void papers.interpret(about, $state.snapshot(shopNow) as Shop, answers);
  });
  const toldPlan = $derived(papers.told && shop ? plan(papers.told.item, undefined, shop) : undefined);

  /** Stores the item that the sheet’s sentences make. */
  async function makeTold(): Promise<void> {
    const { told, asked } = papers;
    const sheet = asked?.reading.sheet;
    if (!told || !sheet || !shop) return;
    const whole = withSentences(told, sheet, asked.name);
    const titled = { ...whole, name: name.trim() || asked.reading.title || whole.name };
    await store(titled, { ...defaultSetup(titled, shop), machineId: chosenMachine });
  }

  async function make(): Promise<void> {
    if (!item || !setup) return;
    await store(
      {
        ...withFurther(withPaperNotes(item, matches)),
        ...(made?.ok && isOwn(kind) && { blocks: made.blocks })
      },
      setup
    );
  }

  async function store(whole: Item, how: Setup): Promise<void> {
    if (!(await stored(whole, how))) return;
    await keepLayout(papers, house.trim(), now);
    await goto(kind === 'own' && !hasPaper ? `/items/${id}/blocks` : `/items/${id}`);
  }

  async function bringDocument(value: unknown): Promise<void> {
    const read = await importItem(JSON.stringify(value), freshId(), new Date().toISOString());
    if (read.ok) await goto(`/items/${read.item.id}`);
    else papers.refused = { name: 'This document', message: read.error.message };
  }
</script>

<svelte:head><title>New item · Jolt Step</title></svelte:head>

<div class="flex flex-wrap items-baseline gap-x-8 gap-y-2">
  <h1 class="text-3xl">New item</h1>
  <ol class="flex gap-6">
    {#each stages as { id: stageId, name: label, ready }, at (stageId)}
      <li>
        <button
          type="button"
          disabled={!ready}
          aria-current={stage === stageId ? 'step' : undefined}
          class="flex min-h-11 items-center gap-2 border-b-[3px] {stage === stageId
            ? 'border-ink font-bold'
            : 'border-transparent text-soft'}"
          onclick={() => (stage = stageId)}><span class="head">{at + 1}</span>{label}</button
        >
      </li>
    {/each}
  </ol>
</div>

{#if shop}
  {#if stage === 'bring'}
    <BringStage
      {papers}
      unit={shop.unit}
      ondocument={(value) => void bringDocument(value)}
      onforget={() => void forgetLayout(papers)}
      onnext={() => (stage = 'pattern')}
      shortcut={papers.told && !fits
        ? told
        : !hasChart || !made?.ok
          ? undefined
          : unsure || !settled
            ? which
            : shortcut}
    />
    {#snippet told()}
      <ReadsTold name={name || (papers.asked?.reading.title ?? '')} told={papers.told} />
      <button type="button" class="button button-main" onclick={() => (stage = 'steps')}>See the steps</button
      >
    {/snippet}
    {#snippet which()}
      <LikeWhich
        likely={unsure ? papers.like : null}
        {constructions}
        unit={shop.unit}
        onchoose={(like) => (chosenKind = like)}
      />
    {/snippet}
    {#snippet shortcut()}
      <ReadsLike
        {name}
        construction={construction?.name ?? ''}
        size={size && formatSize(size, shop.unit)}
        hoop={hoop?.name}
        turned={liesTurned}
        needed={needed.length}
      />
      <button type="button" class="button button-main" onclick={() => void make()}>Make the sheet</button>
      {#if papers.told}<button type="button" class="button" onclick={() => (stage = 'steps')}
          >See the steps of its own sheet</button
        >{/if}
    {/snippet}
  {:else if stage === 'steps' && papers.asked && papers.told && toldPlan}
    <StepsRead
      asked={papers.asked}
      told={papers.told}
      plan={toldPlan}
      onanswer={(action, face) => (faces = new Map([...faces, [action, face]]))}
      onmake={() => void makeTold()}
      onlike={(like) => ([chosenKind, stage] = [like, 'pattern'])}
    />
  {:else if stage === 'pattern'}
    <PatternStage
      {shop}
      bind:kind={() => kind, (chosen) => (chosenKind = chosen)}
      bind:name={() => name, (typed) => (typedName = typed)}
      bind:house
      {given}
      {charted}
      {made}
      {ended}
      {hasChart}
      {hasPaper}
      outlines={papers.outlines}
      paperSize={papers.reading?.facts.size ?? papers.drawing?.drawing.size ?? null}
      machineId={chosenMachine}
      hoopId={chosenHoop}
      {constructions}
      onanswer={answer}
      onmachine={(chosen) => (machineId = chosen)}
      onhoop={(chosen) => (hoopId = chosen)}
      onaccuracy={(mm) => {
        if (mm >= 0 && mm <= 10) void changeShop((now) => ({ ...now, cutAccuracy: mm }));
      }}
      onnext={() => (hasPaper ? (stage = 'match') : void make())}
    />
  {:else}
    {#if hasChart}
      <MatchStage
        {rows}
        {expected}
        {alignment}
        construction={construction?.name ?? ''}
        onfix={(line, keys) =>
          (fixed = [...fixed.filter((match) => match.line !== line), ...(keys ? [{ line, keys }] : [])])}
      />
    {/if}
    {#if planned}
      <NotesMatch {matches} plan={planned} onmove={(at, stepId) => (moved = { ...moved, [at]: stepId })} />
    {/if}
    <button type="button" class="button button-main mt-6" onclick={() => void make()}>Make the sheet</button>
  {/if}
{/if}
