<script lang="ts">
  import PickFile from '$lib/ui/PickFile.svelte';
  import type { LengthUnit } from '$lib/core/base/units';
  import type { Role } from '$lib/core/documents/item';
  import { openFileInWorker } from '$lib/workers';
  import type { Brought } from '$lib/files';
  import { FileUp, X } from '@lucide/svelte';
  import DrawingView from './DrawingView.svelte';
  import type { Papers } from './papers.svelte';
  import { columnToAsk } from '$lib/core/reading/papers';
  import type { Snippet } from 'svelte';
  import PaperColumns from './PaperColumns.svelte';
  import PaperView from './PaperView.svelte';
  import RowsRead from './RowsRead.svelte';

  interface Props {
    papers: Papers;
    unit: LengthUnit;
    ondocument: (value: unknown) => void;
    onnext: () => void;
    /** A paper must be brought: the page has nothing to do without one. */
    needed?: boolean;
    /** Forgets the kept layout this paper was read by. */
    onforget?: () => void;
    /** What the paper may become at once. */
    shortcut?: Snippet;
  }
  let {
    papers,
    unit,
    ondocument,
    onnext,
    needed = false,
    onforget = () => papers.forgetLayout(),
    shortcut
  }: Props = $props();

  const SAMPLE = `No  Part        Colour   Stitches   Thread
 1  placement   grey          120   0.60 m
 2  tack-down   black         120   0.60 m
 3  face        white       1,500   8.10 m
 4  cheeks      pink           60   0.32 m
 5  eyes        black         900   4.86 m
 6  outline     white         420   2.10 m`;
  let over = $state(false);
  let busy = $state('');
  let marked = $state.raw<number | null>(null);
  const { source, rows } = $derived(papers);
  let pressed = $state.raw<number | null>(null);
  const columns = $derived(papers.reading?.columns ?? []);
  const markedRow = $derived(rows.find(({ line }) => line === marked));

  async function bring(files: Iterable<File> | null | undefined): Promise<void> {
    for (const file of files ?? []) await open(file.name, new Uint8Array(await file.arrayBuffer()));
  }

  async function open(name: string, bytes: Uint8Array): Promise<void> {
    busy = name;
    const brought: Brought = await openFileInWorker(name, bytes);
    if (brought.kind === 'document') ondocument(brought.value);
    else await papers.take(brought);
    busy = '';
  }

  function clear(): void {
    papers.paste('');
    marked = null;
  }
</script>

<svelte:window
  ondragover={(event) => {
    event.preventDefault();
    over = true;
  }}
  ondragleave={(event) => {
    if (event.relatedTarget === null) over = false;
  }}
  ondrop={(event) => {
    event.preventDefault();
    over = false;
    void bring(event.dataTransfer?.files);
  }}
/>

{#snippet brought(what: string, drop: () => void)}
  <p class="mt-2 flex items-center gap-3 border-l-4 border-needle px-4">
    <span class="min-w-0 flex-1">{what}</span>
    <button type="button" class="button button-quiet" aria-label="Put away {what}" onclick={drop}
      ><X size={18} aria-hidden="true" /></button
    >
  </p>
{/snippet}

<div class="mt-4 grid grid-cols-[minmax(0,1fr)_minmax(0,1.5fr)] gap-7 max-[1100px]:grid-cols-1">
  <section aria-label="What you bring">
    <div
      class="flex flex-wrap items-center gap-x-4 gap-y-2 rounded-md border-2 border-dashed px-4 py-3 {over
        ? 'border-needle bg-needle-pale'
        : 'border-rule-strong'}"
    >
      <PickFile label="File to bring" multiple onfiles={(files) => void bring(files)}
        ><FileUp size={18} aria-hidden="true" />Bring a file</PickFile
      >
      <p class="min-w-0 flex-1 text-soft">
        {busy === ''
          ? 'Or drop it here: a chart or instructions (PDF, text, CSV), an outline (SVG), a stitch list, a ZIP of these.'
          : `Reading ${busy} …`}
      </p>
    </div>

    {#if papers.refused}
      <p class="mt-3 border-l-4 border-hands bg-hands-pale p-3" role="alert">
        <span class="font-bold">{papers.refused.name}.</span>
        {papers.refused.message}
      </p>
    {/if}
    {#each [papers.unread, papers.untold].filter((said) => said !== null) as said (said)}
      <p class="mt-3 border-l-4 border-hands bg-hands-pale p-3" role="alert">{said}</p>
    {/each}
    {#if papers.archive}
      <div class="mt-3 border-l-4 border-rule-strong px-4 py-2">
        <p class="font-bold">{papers.archive.name} holds</p>
        <ul>
          {#each papers.archive.entries as entry (entry.name)}
            <li class="flex items-center gap-3">
              <span class="min-w-0 flex-1 truncate">{entry.name}</span>
              <button
                type="button"
                class="button button-quiet"
                aria-label="Open {entry.name}"
                onclick={() => void open(entry.name, entry.bytes.slice())}>Open</button
              >
            </li>
          {/each}
          {#each papers.archive.left as { name, why } (name)}<li class="text-soft">
              {name}: left out, {why}.
            </li>{/each}
        </ul>
      </div>
    {/if}

    {#if papers.sheet}
      {@const { name, reading } = papers.sheet}
      {@render brought(`${name}: ${reading.instructions.length} instructions`, () => (papers.sheet = null))}
    {/if}
    {#if papers.drawing && source.kind !== 'drawing'}
      {@render brought(
        `${papers.drawing.name}: its outlines can be chosen as the shape`,
        () => (papers.drawing = null)
      )}
    {/if}

    {#if source.kind === 'text'}
      <label for="chart" class="head mt-4 block text-xl">Paste the colour chart</label>
      <p class="text-soft">
        Number, name, colour, stitches, thread length if it has one. Numbered instructions may follow.
      </p>
      <textarea
        id="chart"
        class="field mt-2 h-[19rem] w-full font-mono text-[0.9375rem] leading-relaxed whitespace-pre"
        spellcheck="false"
        wrap="off"
        value={papers.text}
        oninput={(event) => papers.paste(event.currentTarget.value)}></textarea>
    {:else}
      <div class="mt-4 flex items-center gap-3">
        <h2 class="min-w-0 flex-1 truncate text-xl">{source.name}</h2>
        <button type="button" class="button button-quiet" onclick={clear}>Put it away</button>
      </div>
      {#if source.kind === 'paper'}
        {#if source.note}<p class="text-warn">{source.note}</p>{/if}
        <PaperView
          paper={source.paper}
          name={source.name}
          marked={markedRow?.place}
          {columns}
          asked={pressed ?? (papers.layout ? null : columnToAsk(columns)) ?? null}
          oncolumn={(at) => (pressed = pressed === at ? null : at)}
        />
      {:else if source.kind === 'drawing'}
        <DrawingView
          drawing={source.drawing}
          name={source.name}
          {unit}
          marked={marked === null ? null : marked - 1}
        />
      {:else}
        <p class="mt-2 text-soft">
          A stitch list with {source.list.stops.length} stops and {source.list.count.toLocaleString('en')} places
          of the needle. The hoop drawing shows every stitch of it.
        </p>
      {/if}
    {/if}
  </section>

  <RowsRead
    {papers}
    {unit}
    {marked}
    onmark={(line) => (marked = line)}
    onrole={(line: number, role: Role) => (papers.roles = { ...papers.roles, [line]: role })}
  >
    {#if papers.lists.length > 1}
      <fieldset class="mt-3 border-l-4 border-needle px-4">
        <legend class="label">This paper holds {papers.lists.length} lists</legend>
        {#each papers.lists as list, at (at)}
          <label class="flex min-h-11 items-center gap-2">
            <input type="radio" name="first-list" class="size-5" value={at} bind:group={papers.firstList} />
            {list.name}, {list.lines.length} stops
          </label>
        {/each}
        <p class="text-soft">The chosen one is the item; the others become its variants.</p>
      </fieldset>
    {/if}
    <div class="mt-4 flex flex-wrap gap-3">
      {@render shortcut?.()}
      {#if rows.length > 0}
        <button type="button" class="button {shortcut ? '' : 'button-main'}" onclick={onnext}
          >Go on with {rows.length} {rows.length === 1 ? 'stop' : 'stops'}</button
        >
      {:else if !needed}
        {#if shortcut}
          <button type="button" class="button" onclick={onnext}>Choose a pattern instead</button>
        {:else}
          <button type="button" class="button button-main" onclick={onnext}>Start without a chart</button>
          <button type="button" class="button" onclick={() => papers.paste(SAMPLE)}
            >Try it with the badger’s chart</button
          >
        {/if}
      {/if}
    </div>
    <PaperColumns {papers} {pressed} onpress={(at) => (pressed = at)} {onforget} />
  </RowsRead>
</div>
