<script lang="ts">
  import { PAPER_FIELDS, type PaperField } from '$lib/core/documents/shop';
  import { columnToAsk } from '$lib/core/reading/papers';
  import type { Papers } from './papers.svelte';

  /** The columns of the paper and what each was taken for; one press puts a column right, and every row follows. */
  interface Props {
    papers: Papers;
    /** The column that was pressed, here or on the paper. */
    pressed: number | null;
    onpress: (at: number | null) => void;
    /** Forgets the kept layout this paper was read by. */
    onforget: () => void;
  }
  let { papers, pressed, onpress, onforget }: Props = $props();

  const WORDS: Readonly<Record<PaperField, string>> = {
    number: 'Stop number',
    name: 'Name of the stop',
    colour: 'Colour',
    code: 'Code of the colour',
    stitches: 'Stitches',
    thread: 'Length of thread'
  };
  const columns = $derived(papers.reading?.columns ?? []);
  const asked = $derived(papers.layout ? undefined : columnToAsk(columns));
  const shown = $derived(pressed ?? asked);
  const column = $derived(shown === undefined ? undefined : columns[shown]);
  const nameOf = (at: number): string => columns[at]?.heading || `Column ${at + 1}`;
  const refused = $derived(papers.layout !== null && papers.reading?.layout?.settled === false);

  function say(field: PaperField | null): void {
    if (shown === undefined) return;
    papers.sayColumn(shown, field);
    onpress(null);
  }
</script>

{#if columns.length > 0}
  <section class="mt-3" aria-label="Columns of the paper">
    {#if papers.readBy}
      <p class="flex flex-wrap items-center gap-3 border-l-4 border-needle px-4">
        <span class="min-w-0 flex-1"
          >Read as you settled it for {papers.readBy.name} on {papers.readBy.settledAt.slice(0, 10)}.</span
        >
        <button type="button" class="button button-quiet" onclick={onforget}>Forget that</button>
      </p>
    {/if}
    {#if refused}
      <p class="border-l-4 border-warn bg-warn-pale px-4 py-2" role="status">
        Said like that, no row has a stitch count, so the columns are read as before.
      </p>
    {/if}
    {#if column && shown !== undefined}
      <div
        class="border-l-4 border-warn bg-warn-pale px-4 py-3"
        role="group"
        aria-label="What is this column?"
      >
        <p>
          {#if pressed === null && column.field}Is <span class="font-bold">{nameOf(shown)}</span> the
            {WORDS[column.field].toLowerCase()}?
          {:else}What does <span class="font-bold">{nameOf(shown)}</span> hold?{/if}
          <span class="text-soft">{column.samples.join(' · ')}</span>
        </p>
        <div class="mt-2 flex flex-wrap gap-2">
          {#each PAPER_FIELDS as field (field)}
            <button
              type="button"
              class="button {column.field === field ? 'button-main' : ''}"
              aria-pressed={column.field === field}
              onclick={() => say(field)}>{WORDS[field]}</button
            >
          {/each}
          <button
            type="button"
            class="button {column.field === null ? 'button-main' : ''}"
            aria-pressed={column.field === null}
            onclick={() => say(null)}>None of these</button
          >
        </div>
      </div>
    {/if}
    <details open={papers.layout !== null}>
      <summary class="min-h-11 cursor-pointer py-2 text-soft"
        >{columns.filter(({ field }) => field !== null).length} of {columns.length} columns of the paper are used</summary
      >
      <ul class="flex flex-wrap gap-2">
        {#each columns as { field, samples }, at (at)}
          <li>
            <button
              type="button"
              class="button flex-col items-start py-1 leading-tight {shown === at ? 'border-needle' : ''}"
              aria-label="{nameOf(at)} is: {field ? WORDS[field] : 'left out'}. Change"
              onclick={() => onpress(pressed === at ? null : at)}
            >
              <span class="max-w-40 truncate">{nameOf(at)}: {samples[0] ?? ''}</span>
              <span class="text-sm {field ? 'text-needle' : 'text-soft'}"
                >{field ? WORDS[field] : 'left out'}</span
              >
            </button>
          </li>
        {/each}
      </ul>
    </details>
  </section>
{/if}
