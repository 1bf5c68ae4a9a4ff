<script lang="ts">
  import { extents, type Outline, type Path } from '$lib/core/base/geometry';
  import { formatSize, otherUnit, saidIn } from '$lib/core/base/units';
  import type { AnyConstruction } from '$lib/core/craft/constructions';
  import { answeredWords } from './answered';
  import { isAsked, type Question, withUsual } from '$lib/core/craft/sequence';
  import { asTheDesignLies, fitIn, type Shop } from '$lib/core/documents/shop';
  import { chosenOutline } from '$lib/core/reading/papers';
  import QuestionField from '$lib/ui/fields/QuestionField.svelte';

  import type { PlanAndTrace } from '$lib/core/making/plan';
  import OutlineView from './OutlineView.svelte';
  import EndPicture from '$lib/ui/picture/EndPicture.svelte';
  import EdgeComposer, { type EdgeAnswers } from './EdgeComposer.svelte';

  interface Props {
    shop: Shop;
    /** What it can become. */
    constructions: AnyConstruction[];
    kind: string;
    name: string;
    /** Whose design it is. */
    house: string;
    given: Record<string, unknown>;
    /** Answers among them that the chart gives. */
    charted: Record<string, unknown>;
    made: ReturnType<AnyConstruction['patternOf']> | undefined;
    /** It planned as it stands. */
    ended: PlanAndTrace | null;
    hasChart: boolean;
    hasPaper: boolean;
    /** Outlines a drawing brought. */
    outlines: { name: string; path: Path }[];
    /** Size that a paper or a drawing states, mm. */
    paperSize: { width: number; height: number } | null;
    machineId: string;
    hoopId: string;
    onanswer: (changes: Record<string, unknown>) => void;
    onmachine: (id: string) => void;
    onhoop: (id: string) => void;
    onaccuracy: (mm: number) => void;
    onnext: () => void;
  }
  let {
    shop,
    constructions,
    kind = $bindable(),
    name = $bindable(),
    house = $bindable(),
    given,
    charted,
    made,
    ended,
    hasChart,
    hasPaper,
    outlines,
    paperSize,
    machineId,
    hoopId,
    onanswer,
    onmachine,
    onhoop,
    onaccuracy,
    onnext
  }: Props = $props();

  const construction = $derived(constructions.find((candidate) => candidate.kind === kind));
  /** What the chart answers and nobody has changed, in the words of its questions. */
  const fromChart = $derived(answeredWords(construction?.questions ?? [], charted, given));
  const questions = $derived(
    (construction?.questions ?? []).filter(
      (question) => isAsked(question, given) && !(hasChart && 'onlyWithoutChart' in question)
    )
  );
  const chosen = $derived(shop.hoops.find(({ id }) => id === hoopId));
  const variant = $derived(made?.ok ? made.pattern.variant : undefined);
  const outline = $derived(made?.ok ? made.pattern.lines[0]?.path : undefined);
  const fit = $derived(chosen && variant && fitIn(chosen, variant.size));
  const fits = $derived(!chosen || !variant || fit !== undefined);
  /** As the design sees it: on its side where the design is turned a quarter. */
  const hoop = $derived(chosen && asTheDesignLies(chosen, fit?.turned === true));
  const asksSize = $derived(['width', 'height'].every((key) => questions.some((each) => each.key === key)));
  /** A drawn outline comes with its own size. */
  function answer(question: Question, value: unknown): void {
    const drawing = chosenOutline(outlines, value);
    const box = drawing && extents(drawing.path);
    const size = box && asksSize ? { width: round(box.width), height: round(box.height) } : {};
    onanswer(withUsual(construction?.questions ?? [], given, { ...size, [question.key]: value }));
  }
  const round = (mm: number): number => Math.round(mm * 10) / 10;
  let composing = $state(false);
  const hasEdge = $derived(
    asksSize && typeof given['borderWidth'] === 'number' && given['shape'] !== undefined
  );
  const edgeStart = $derived.by((): EdgeAnswers => {
    const borderWidth = Number(given['borderWidth']);
    return {
      shape: given['shape'] as Outline,
      width: Number(given['width']),
      height: Number(given['height']),
      borderWidth,
      overlap: Math.max(borderWidth / 2, Number(given['overlap'] ?? 0)),
      designGap: Number(given['designGap'] ?? 3)
    };
  });
  const problems = $derived(made && !made.ok ? made.problems : []);
</script>

<form
  class="mt-4 grid grid-cols-[minmax(0,1fr)_22rem] gap-10 max-[1100px]:grid-cols-1"
  onsubmit={(event) => {
    event.preventDefault();
    onnext();
  }}
>
  <div class="flex flex-col gap-6">
    <fieldset>
      <legend class="head text-xl">What does it become?</legend>
      <div
        class="mt-2 grid max-h-72 grid-cols-3 gap-x-3 gap-y-1.5 overflow-y-auto border-y border-rule py-2 max-[900px]:grid-cols-2"
      >
        {#each constructions.filter((option) => option.kind !== 'own') as option (option.kind)}
          {@render choice(option)}
        {/each}
      </div>
      <div class="mt-2">
        {#each constructions.filter((option) => option.kind === 'own') as option (option.kind)}{@render choice(
            option
          )}{/each}
      </div>
      {#snippet choice(option: AnyConstruction)}
        <label
          class="flex min-h-11 cursor-pointer items-center gap-2.5 rounded-md border-[1.5px] px-3 py-1 leading-tight {kind ===
          option.kind
            ? 'border-ink bg-sheet font-bold'
            : 'border-rule-strong'}"
        >
          <input
            type="radio"
            name="construction"
            class="size-5 shrink-0"
            value={option.kind}
            bind:group={kind}
          />
          {option.name}
        </label>
      {/snippet}
      <p class="mt-2 text-soft">
        {construction?.summary}
        <a class="underline" href="/guide/{kind}">How it is built</a>
      </p>
    </fieldset>

    <div class="flex flex-wrap gap-x-6 gap-y-3">
      <div class="flex flex-col gap-1">
        <label class="label" for="item-name">Name of the item</label>
        <input id="item-name" class="field w-72" required maxlength="120" bind:value={name} />
      </div>
      <div class="flex flex-col gap-1">
        <label class="label" for="item-house">Design by</label>
        <input
          id="item-house"
          class="field w-48"
          maxlength="80"
          placeholder="optional"
          title="Charted items of one house tell how many stitches its others take"
          bind:value={house}
        />
      </div>
      <div class="flex flex-col gap-1">
        <label class="label" for="machine">Machine</label>
        <select
          id="machine"
          class="field"
          value={machineId}
          onchange={(event) => onmachine(event.currentTarget.value)}
        >
          {#each shop.machines as machine (machine.id)}<option value={machine.id}>{machine.name}</option
            >{/each}
        </select>
      </div>
      <div class="flex flex-col gap-1">
        <label class="label" for="hoop">Hoop</label>
        <select
          id="hoop"
          class="field"
          value={hoopId}
          onchange={(event) => onhoop(event.currentTarget.value)}
        >
          {#each shop.hoops as option (option.id)}<option value={option.id}
              >{option.name}, {formatSize(option.field, shop.unit)}</option
            >{/each}
        </select>
      </div>
    </div>

    {#if paperSize && asksSize && (given['width'] !== round(paperSize.width) || given['height'] !== round(paperSize.height))}
      {@const { width, height } = paperSize}
      <p class="flex flex-wrap items-center gap-3 border-l-4 border-needle px-4">
        What you brought measures {formatSize(paperSize, shop.unit)}.
        <button
          type="button"
          class="button"
          onclick={() => onanswer({ width: round(width), height: round(height) })}>Take that size</button
        >
      </p>
    {/if}
    {#if fromChart.length > 0}
      <p class="border-l-4 border-needle px-4">
        Your chart goes with: {fromChart.join('; ')}. Change it where the chart is of something else.
      </p>
    {/if}
    <div class="flex flex-wrap items-start gap-x-6 gap-y-3">
      {#each questions as question (`${kind}-${question.key}`)}
        <QuestionField
          {question}
          unit={shop.unit}
          value={given[question.key]}
          drawn={outlines}
          onanswer={(value) => answer(question, value)}
        />
      {/each}
    </div>
    {#each problems as problem (problem)}<p class="border-l-4 border-hands bg-hands-pale p-3" role="alert">
        {saidIn(problem, shop.unit)}
      </p>{/each}
    {#if hasEdge}
      <div>
        <button type="button" class="button" onclick={() => (composing = true)}>Compose the edge</button>
      </div>
    {/if}
    <div class="flex items-center gap-4">
      <button type="submit" class="button button-main" disabled={!made?.ok || name.trim() === ''}
        >{hasChart ? 'Match the chart' : hasPaper ? 'Match the instructions' : 'Make the sheet'}</button
      >
      {#if name.trim() === ''}<p class="text-soft">Give it a name first.</p>{/if}
    </div>
  </div>

  <aside aria-label="The outline in the hoop">
    {#if ended}<div class="mb-3">
        <EndPicture item={ended.item} trace={ended.trace} unit={shop.unit} height="9rem" />
      </div>{/if}
    {#if outline && hoop && variant}
      <OutlineView
        {hoop}
        {fits}
        lines={made?.ok ? made.pattern.lines : []}
        words="Outline {formatSize(variant.size, shop.unit)} in {hoop.name}"
      />
      <dl class="mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        <dt class="text-soft">Outline</dt>
        <dd class="font-semibold" title={formatSize(variant.size, otherUnit(shop.unit))}>
          {formatSize(variant.size, shop.unit)}
        </dd>
        <dt class="text-soft">Finished</dt>
        <dd class="font-semibold" title={formatSize(variant.finished, otherUnit(shop.unit))}>
          {formatSize(variant.finished, shop.unit)}
        </dd>
        <dt class="text-soft">Field</dt>
        <dd class="font-semibold">{formatSize(hoop.field, shop.unit)}</dd>
      </dl>
      {#if fit?.turned}<p class="mt-2">
          Turned a quarter at the machine it fits: the hoop is drawn as it lies under it.
        </p>{/if}
      {#if !fits}<p class="mt-2 font-bold text-hands">The outline does not fit this hoop’s field.</p>{/if}
    {/if}
  </aside>
</form>

{#if hasEdge}
  <EdgeComposer
    open={composing}
    {shop}
    start={edgeStart}
    ontake={(edge) => onanswer(Object.fromEntries(Object.entries(edge).filter(([key]) => key in given)))}
    {onaccuracy}
    onclose={() => (composing = false)}
  />
{/if}
