<script lang="ts">
  import { type Item, isStabiliserKind } from '$lib/core/documents/item';
  import type { Face } from '$lib/core/documents/item';
  import type { Plan } from '$lib/core/documents/plan';
  import { linesOf, type Paper, type Place, placeOf } from '$lib/core/reading/pages';
  import type { ChartReading } from '$lib/core/reading/papers';
  import type { Interpreted } from '$lib/workers';
  import { ArrowDownUp, TriangleAlert } from '@lucide/svelte';
  import Pictures from '$lib/ui/picture/Pictures.svelte';
  import PaperView from './PaperView.svelte';

  /** An instruction sheet as steps, each beside its sentence; what the hoop says of it, and what stays open. */
  interface Props {
    asked: { name: string; source: string | Paper; reading: ChartReading };
    told: Interpreted;
    plan: Plan;
    /** Says which side of a piece is up, by its action. */
    onanswer: (action: number, face: Face) => void;
    onmake: () => void;
    /** Starts from a construction that comes out alike. */
    onlike: (kind: string) => void;
  }
  let { asked, told, plan, onanswer, onmake, onlike }: Props = $props();

  const sheet = $derived(asked.reading.sheet);
  const sentences = $derived(sheet?.sentences ?? []);
  const stepOf = $derived(new Map(plan.steps.map((step) => [step.itemStepId, step])));
  const used = $derived(new Set(told.steps.map(({ sentence }) => sentence)));
  const unused = $derived(sentences.filter(({ index }) => !used.has(index)));
  const numberOf = (sentence: number | null): string => {
    const own = sentence === null ? undefined : sentences[sentence];
    return own === undefined ? '' : (sheet?.steps[own.step]?.number ?? String(own.step + 1));
  };
  let pressed = $state.raw<number | null>(null);
  const paperLines = $derived(typeof asked.source === 'string' ? [] : linesOf(asked.source));
  const place = $derived.by((): Place | undefined => {
    const lines = pressed === null ? [] : (sentences[pressed]?.lines ?? []);
    return placeOf(paperLines.filter(({ line }) => lines.includes(line)));
  });
  const facesOf = (side: 'front' | 'back' | 'lining'): { piece: string; rightSide: boolean }[] =>
    told.ends[side];
  const plain = $derived(
    new Set(
      told.item.pieces
        .filter(({ material }) => isStabiliserKind(material.kind))
        .map(({ name }: Item['pieces'][number]) => name)
    )
  );
  const SIDES = [
    ['front', 'In front'],
    ['back', 'Behind'],
    ['lining', 'Inside']
  ] as const;
  const findingsOf = (id: string): Interpreted['findings'] =>
    told.findings.filter(({ stepId }) => stepId === id);
  const loose = $derived(told.findings.filter(({ stepId }) => stepId === null));
  const ours = $derived(told.steps.filter(({ sentence }) => sentence === null).length);
</script>

<div class="mt-4 grid grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)] gap-8 max-[1100px]:grid-cols-1">
  <section aria-label="Steps read from the sheet" class="min-w-0">
    <h2 class="text-xl">What the sheet asks for, stitched once in the simulated hoop</h2>
    <p class="text-soft">
      {told.steps.length} steps from {sentences.length} sentences{ours > 0
        ? `, ${ours} put in because no sheet says them`
        : ''}. Press one to see its sentence on the paper.
    </p>
    {#each told.questions as { action, piece, taken } (action)}
      {@const outcome = told.outcomes.find((each) => each.action === action)}
      <div
        class="mt-3 border-l-4 border-warn bg-warn-pale px-4 py-3"
        role="group"
        aria-label="Which side of {piece} is up?"
      >
        <p>
          The sheet does not say which side of <span class="font-bold">{piece}</span> is up, and both ways can be
          stitched.
        </p>
        <div class="mt-2 flex flex-wrap gap-4">
          {#each ['up', 'down'] as const as face (face)}
            {@const look = outcome?.[face]}
            <div class="flex flex-col gap-2">
              {#if look}<Pictures {look} name={told.item.name} unit={plan.unit} height="7rem" />{/if}
              <button
                type="button"
                class="button {taken === face ? 'button-main' : ''}"
                aria-pressed={taken === face}
                onclick={() => onanswer(action, face)}
                >{face === 'up' ? 'Right side up' : 'Right side down'}</button
              >
            </div>
          {/each}
        </div>
      </div>
    {/each}
    <ol class="mt-3">
      {#each told.steps as { id, sentence }, at (id)}
        {@const step = stepOf.get(id)}
        {@const isNew = sentence !== null && sentence !== told.steps[at - 1]?.sentence}
        <li class="border-b border-rule {sentence !== null && pressed === sentence ? 'bg-needle-pale' : ''}">
          <button
            type="button"
            class="grid min-h-11 w-full grid-cols-[2.5rem_minmax(0,1fr)_minmax(0,1.2fr)] items-baseline gap-3 px-1 py-1.5 text-left"
            onclick={() => (pressed = sentence)}
          >
            <span class="head text-right">{step?.number ?? ''}</span>
            <span class={step?.kind === 'stop' ? 'font-bold text-needle' : ''}
              >{step?.title ?? ''}{step?.stop?.machineNumber != null
                ? ` · stop ${step.stop.machineNumber}`
                : ''}</span
            >
            {#if sentence === null}<span class="text-sm text-soft italic">put in by us</span>
            {:else if isNew}<span class="text-soft"
                ><span class="head mr-2 text-sm">{numberOf(sentence)}</span>{sentences[sentence]?.text}</span
              >
            {:else}<span></span>{/if}
          </button>
          {#each findingsOf(id) as { text, severity } (text)}
            <p
              class="flex items-baseline gap-2 pb-1.5 pl-14 {severity === 'stop'
                ? 'text-hands'
                : 'text-warn'}"
            >
              <TriangleAlert size={16} class="shrink-0 self-center" aria-hidden="true" />{text}
            </p>
          {/each}
        </li>
      {/each}
    </ol>
    {#if unused.length > 0}
      <h3 class="mt-5 text-lg">Said on the paper, in no step</h3>
      <ul aria-label="Sentences in no step">
        {#each unused as { index, text } (index)}
          <li class="border-b border-rule">
            <button
              type="button"
              class="flex min-h-11 w-full items-baseline gap-3 text-left {pressed === index
                ? 'bg-needle-pale'
                : ''}"
              onclick={() => (pressed = index)}
              ><span class="head w-10 text-right text-sm">{numberOf(index)}</span>{text}</button
            >
          </li>
        {/each}
      </ul>
    {/if}
    <div class="mt-6 flex flex-wrap items-center gap-4">
      <button type="button" class="button button-main" onclick={onmake}>Make the sheet</button>
      {#if told.like}
        {@const { kind, name, share } = told.like}
        <button type="button" class="button" onclick={() => onlike(kind)}>Start from “{name}” instead</button>
        <p class="text-soft">
          {Math.round(share * 100)} % of its steps are the same, and it can be changed block by block.
        </p>
      {/if}
    </div>
  </section>

  <aside class="sticky top-4 min-w-0 self-start max-[1100px]:static" aria-label="How it ends">
    <h2 class="flex items-center gap-2 text-xl"><ArrowDownUp size={20} aria-hidden="true" />How it ends</h2>
    {#if told.look}<div class="mt-2">
        <Pictures look={told.look} name={told.item.name} unit={plan.unit} />
      </div>{/if}
    <dl class="mt-1 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
      {#each SIDES as [side, words] (side)}
        {@const shown = facesOf(side).filter(({ piece }) => !plain.has(piece))}
        {#if shown.length > 0}
          <dt class="text-soft">{words}</dt>
          <dd>
            {#each shown as { piece, rightSide }, nth (piece)}{nth > 0 ? ', ' : ''}<span
                class={rightSide ? 'font-semibold' : 'font-bold text-hands'}
                >{piece}{rightSide ? '' : ' with its wrong side out'}</span
              >{/each}
          </dd>
        {/if}
      {/each}
    </dl>
    {#each loose as { text } (text)}<p class="mt-2 border-l-4 border-warn bg-warn-pale px-4 py-2">
        {text}
      </p>{/each}
    <h3 class="mt-4 text-lg">{asked.name}</h3>
    {#if typeof asked.source === 'string'}
      <pre
        class="mt-2 max-h-[36rem] overflow-auto bg-sheet p-3 text-sm whitespace-pre-wrap">{asked.source}</pre>
    {:else}
      <PaperView paper={asked.source} name={asked.name} marked={place} />
    {/if}
  </aside>
</div>
