<script lang="ts">
  import type { Path } from '$lib/core/base/geometry';
  import type { LengthUnit } from '$lib/core/base/units';
  import { blockOf } from '$lib/core/craft/blocks';
  import { isAsked, withUsual } from '$lib/core/craft/sequence';
  import type { Block } from '$lib/core/documents/item';
  import { outlineChoices } from '$lib/core/reading/papers';
  import PickFile from '$lib/ui/PickFile.svelte';
  import { openFileInWorker } from '$lib/workers';
  import { toast } from 'svelte-sonner';
  import QuestionField from '$lib/ui/fields/QuestionField.svelte';
  import { ArrowDown, ArrowUp, CopyPlus, Trash2 } from '@lucide/svelte';

  /** One block: what it is called, what it asks, and what can be done with it. */
  interface Props {
    block: Block;
    unit: LengthUnit;
    trouble: string | null;
    first: boolean;
    last: boolean;
    onanswers: (answers: Record<string, unknown>) => void;
    onname: (name: string) => void;
    onmove: (by: -1 | 1) => void;
    onagain: () => void;
    onremove: () => void;
  }
  let { block, unit, trouble, first, last, onanswers, onname, onmove, onagain, onremove }: Props = $props();

  /** Outlines of a drawing that was brought for a shape. */
  let drawn = $state.raw<{ name: string; path: Path }[]>([]);
  async function bringDrawing([file]: File[]): Promise<void> {
    if (!file) return;
    const brought = await openFileInWorker(file.name, new Uint8Array(await file.arrayBuffer()));
    if (brought.kind === 'drawing') drawn = outlineChoices(brought.drawing);
    if (drawn.length === 0)
      toast.error(
        brought.kind === 'refused'
          ? brought.message
          : `${file.name} has no closed outline: bring a drawing (SVG) that has one.`
      );
  }

  const kind = $derived(blockOf(block.kind));
  const given = $derived<Record<string, unknown>>({ ...kind?.defaults, ...block.answers });
</script>

<div class="flex items-start gap-1">
  <h2 class="flex-1 text-2xl">{block.name ?? kind?.name ?? block.id}</h2>
  <button
    type="button"
    class="button button-quiet"
    aria-label="Earlier"
    title="Earlier"
    disabled={first}
    onclick={() => onmove(-1)}><ArrowUp size={18} aria-hidden="true" /></button
  >
  <button
    type="button"
    class="button button-quiet"
    aria-label="Later"
    title="Later"
    disabled={last}
    onclick={() => onmove(1)}><ArrowDown size={18} aria-hidden="true" /></button
  >
  {#if kind}<button
      type="button"
      class="button button-quiet"
      aria-label="Repeat this block"
      title="Repeat this block"
      onclick={onagain}><CopyPlus size={18} aria-hidden="true" /></button
    >{/if}
  <button
    type="button"
    class="button button-quiet"
    aria-label="Take it out"
    title="Take it out"
    onclick={onremove}><Trash2 size={18} aria-hidden="true" /></button
  >
</div>
{#if trouble}<p class="mt-1 border-l-4 border-hands bg-hands-pale p-3" role="alert">{trouble}</p>{/if}
{#if kind}
  <p class="mt-1 text-soft">{kind.summary}</p>
  <div class="mt-4 flex flex-wrap items-start gap-x-6 gap-y-3">
    <div class="flex flex-col gap-1">
      <label class="label" for="block-name">What you call it</label>
      <input
        id="block-name"
        class="field w-48"
        maxlength="60"
        placeholder={kind.name}
        value={block.name ?? ''}
        onchange={(event) => onname(event.currentTarget.value.trim())}
      />
    </div>
    {#each kind.questions.filter( (question) => isAsked(question, given) ) as question (`${block.id}-${question.key}`)}
      <QuestionField
        {question}
        {unit}
        value={given[question.key]}
        {drawn}
        onanswer={(value) => onanswers(withUsual(kind.questions, given, { [question.key]: value }))}
      />
    {/each}
  </div>
  {#if kind.questions.some((question) => question.kind === 'outline')}
    <div class="mt-4">
      <PickFile
        label="Drawing with an outline"
        accept=".svg,image/svg+xml"
        onfiles={(files) => void bringDrawing(files)}>Bring an outline as a drawing</PickFile
      >
      {#if drawn.length > 0}<p class="mt-1 text-soft">
          {drawn.length === 1 ? 'One outline' : `${drawn.length} outlines`} to choose from under “Shape”.
        </p>{/if}
    </div>
  {/if}
{:else}
  <p class="mt-2 text-lg">
    This is a part of the pattern the item was made from. What it is made of follows from “Size and answers”.
  </p>
{/if}
