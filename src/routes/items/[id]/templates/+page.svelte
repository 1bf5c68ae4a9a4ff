<script lang="ts">
  import { savePdf } from '../../../savePdf';
  import UndoBar from '../../../UndoBar.svelte';
  import { page } from '$app/state';
  import { forVariant } from '$lib/core/documents/item';
  import { defaultSetup } from '$lib/core/documents/shop';
  import { appearance } from '$lib/core/making/appearance';
  import { planAndTrace } from '$lib/core/making/plan';
  import { reasonsOf } from '$lib/core/making/why';
  import {
    hoopTemplate,
    type PaperName,
    PAPERS,
    pieceTemplates,
    templatePages
  } from '$lib/core/preparing/templates';
  import { stitchListCsv, stitchListOf } from '$lib/core/stitching/stitches';
  import { itemOnBench, live } from '$lib/data';
  import { templatesSvg, zipOf } from '$lib/files';
  import { download, fileName } from '$lib/ui/files';
  import ItemHeader from '$lib/ui/ItemHeader.svelte';
  import { sheetPdfInWorker, templatesPdfInWorker } from '$lib/workers';
  import { Download } from '@lucide/svelte';
  import PageView from './PageView.svelte';

  const bench = live(() => page.params.id ?? '', itemOnBench);
  const found = $derived(bench.value?.item ? bench.value : undefined);
  const setup = $derived(found && (found.setup ?? defaultSetup(found.item, found.shop)));
  const made = $derived(found && setup && planAndTrace(found.item, setup, found.shop));
  const planned = $derived(made?.plan);
  /** Whether the sheet on paper says why its steps are so. */
  let withReasons = $state(false);
  const item = $derived(found && setup && forVariant(found.item, setup.variantId));

  let paper = $state<PaperName>('A4');
  /** Templates the maker has taken in or left out; the rest is as usual. */
  let chosen = $state.raw<Readonly<Record<string, boolean>>>({});
  let busy = $state('');

  const pieces = $derived(item && planned ? pieceTemplates(item, planned) : []);
  const hoops = $derived(
    item && planned
      ? item.hoopings.flatMap(({ id }) => [
          hoopTemplate(item, planned, id),
          hoopTemplate(item, planned, id, true)
        ])
      : []
  );
  const hooped = $derived(
    new Set((item?.pieces ?? []).filter(({ covers }) => covers === null).map(({ id }) => id))
  );
  /** Hooped material is cut by the ring, not by a template; a hoop seen from behind is seldom wanted. */
  const usual = (id: string): boolean => !hooped.has(id) && !id.endsWith('-behind');
  const isIn = (id: string): boolean => chosen[id] ?? usual(id);
  const pages = $derived(
    templatePages(
      [...pieces, ...hoops].filter(({ id }) => isIn(id)),
      paper,
      planned?.itemName ?? ''
    )
  );

  async function pdf(what: 'templates' | 'sheet'): Promise<void> {
    if (!planned || busy !== '') return;
    busy = what;
    const made =
      what === 'sheet'
        ? sheetPdfInWorker($state.snapshot(planned), paper, beside())
        : templatesPdfInWorker($state.snapshot(pages), planned.itemName);
    await savePdf(fileName(`${planned.itemName} ${what}`, 'pdf'), made, 'Try fewer templates at once.');
    busy = '';
  }

  function beside(): Parameters<typeof sheetPdfInWorker>[2] {
    const state = made?.trace.at(-1)?.state;
    if (!made || !state) return {};
    return {
      look: appearance(state, made.item),
      ...(withReasons && { reasons: reasonsOf(made.item, made.trace) })
    };
  }

  const known = $derived(item ? stitchListOf(item) : []);

  function stitchList(): void {
    download(fileName(`${planned?.itemName ?? ''} stitches`, 'csv'), stitchListCsv(known), 'text/csv');
  }

  function svg(): void {
    const name = `${planned?.itemName ?? ''} templates`;
    const [first] = pages;
    if (pages.length === 1 && first) download(fileName(name, 'svg'), templatesSvg(first), 'image/svg+xml');
    else {
      const files = Object.fromEntries(pages.map((each, at) => [`page-${at + 1}.svg`, templatesSvg(each)]));
      download(fileName(name, 'zip'), zipOf(files) as Uint8Array<ArrayBuffer>, 'application/zip');
    }
  }
</script>

<svelte:head><title>Templates · {planned?.itemName ?? ''} · Jolt Step</title></svelte:head>

{#if found && planned && item}
  <ItemHeader plan={planned}><UndoBar /></ItemHeader>
  <div class="mt-4 grid grid-cols-[20rem_minmax(0,1fr)] gap-8 max-[900px]:grid-cols-1">
    <div class="flex flex-col gap-5">
      <div class="flex flex-wrap gap-3">
        <button
          type="button"
          class="button button-main"
          disabled={pages.length === 0 || busy !== ''}
          onclick={() => void pdf('templates')}
          ><Download size={20} aria-hidden="true" />{busy === 'templates'
            ? 'Writing …'
            : `Templates, ${pages.length} ${pages.length === 1 ? 'page' : 'pages'}`}</button
        >
        <button type="button" class="button" disabled={pages.length === 0} onclick={svg}>As SVG</button>
        <button type="button" class="button" disabled={busy !== ''} onclick={() => void pdf('sheet')}
          ><Download size={20} aria-hidden="true" />{busy === 'sheet'
            ? 'Writing …'
            : 'The sheet on paper'}</button
        >
        {#if known.length > 0}
          <button type="button" class="button" onclick={stitchList}
            >Stitch list, {known.length} {known.length === 1 ? 'stop' : 'stops'}</button
          >
        {/if}
      </div>
      <div class="flex items-center gap-3">
        <label class="label" for="paper">Paper</label>
        <select id="paper" class="field" bind:value={paper}>
          {#each Object.entries(PAPERS) as [name, { width, height }] (name)}<option value={name}
              >{name}, {width} × {height} mm</option
            >{/each}
        </select>
      </div>
      {#each [{ title: 'Pieces', list: pieces }, { title: 'Placement in the hoop', list: hoops }] as { title, list } (title)}
        <fieldset>
          <legend class="head text-lg">{title}</legend>
          {#each list as { id, name } (id)}
            {@const wrong = item.pieces.find((piece) => piece.id === id)?.template?.wrongSideUp}
            <label class="flex min-h-11 cursor-pointer items-center gap-3 border-b border-rule">
              <input
                type="checkbox"
                class="size-5"
                checked={isIn(id)}
                onchange={(event) => (chosen = { ...chosen, [id]: event.currentTarget.checked })}
              />
              <span>{name}</span>
              <span class="ml-auto text-sm text-soft"
                >{id.endsWith('-behind')
                  ? 'from behind'
                  : wrong
                    ? 'mirrored'
                    : hooped.has(id)
                      ? 'cut by the ring'
                      : ''}</span
              >
            </label>
          {/each}
        </fieldset>
      {/each}
      <label class="flex min-h-11 cursor-pointer items-center gap-3"
        ><input type="checkbox" class="size-5" bind:checked={withReasons} />The sheet says why its steps are
        so</label
      >
      <p class="text-soft">
        Print at 100 %, not fitted to the page. Measure a square before you cut: every page has one of 50 mm
        and one of 2 in.
      </p>
    </div>
    {#if pages.length === 0}
      <p class="text-soft">Choose a piece, and its page is drawn here.</p>
    {:else}
      <ol class="grid grid-cols-[repeat(auto-fill,minmax(20rem,1fr))] gap-5" aria-label="Pages">
        {#each pages as each, at (at)}
          <li>
            <PageView page={each} number={at + 1} />
            <p class="mt-1 text-sm text-soft">{at + 1} · {each.title}</p>
          </li>
        {/each}
      </ol>
    {/if}
  </div>
{:else if bench.value}
  <h1 class="text-3xl">There is no such item.</h1>
  <a href="/items" class="button mt-6">To the shelf</a>
{/if}
