<script lang="ts">
  import { formatDuration, formatSize, formatThread, type LengthUnit } from '$lib/core/base/units';
  import { Role, ROLE_WORDS, ROLES } from '$lib/core/documents/item';
  import { colourOf, UNKNOWN_COLOUR } from '$lib/core/reading/evidence';
  import Swatch from '$lib/ui/Swatch.svelte';
  import type { Snippet } from 'svelte';
  import type { Papers } from './papers.svelte';

  /** What was read of the papers, to be compared with them row by row. */
  interface Props {
    papers: Papers;
    unit: LengthUnit;
    marked: number | null;
    onmark: (line: number | null) => void;
    onrole: (line: number, role: Role) => void;
    children: Snippet;
  }
  let { papers, unit, marked, onmark, onrole, children }: Props = $props();

  const { rows, reading, source } = $derived(papers);
  const said = $derived.by((): { line: number | null; text: string; message: string; doubt: boolean }[] => {
    if (reading)
      return reading.problems.map(({ line, text, kind, message }) => ({
        line,
        text,
        message,
        doubt: kind === 'doubt'
      }));
    if (source.kind === 'drawing')
      return source.drawing.problems.map(({ kind, message }) => ({
        line: null,
        text: '',
        message,
        doubt: kind === 'doubt'
      }));
    if (source.kind === 'list')
      return source.list.problems.map(({ line, text, message }) => ({ line, text, message, doubt: true }));
    return [];
  });
  const unread = $derived(said.filter(({ doubt }) => !doubt));
  const doubts = $derived(said.filter(({ doubt }) => doubt));
  const stitches = $derived(rows.reduce((sum, row) => sum + (row.stitches ?? 0), 0));
  const facts = $derived(reading?.facts);
  const thread = $derived(reading?.thread);
  const aside = (line: number, away: boolean): void => papers.aside(line, away);
  /** What stands among the rows and holds a figure may be a row; headings, footers and letters are quiet until asked for. */
  let showAll = $state(false);
  const FEW = 3;
  const loud = $derived.by(() => {
    if (source.kind === 'drawing' || source.kind === 'list' || unread.length <= FEW - rows.length)
      return unread;
    const taken = rows.flatMap((row) => row.lines ?? [row.line]);
    const [from, to] = [Math.min(...taken) - 1, Math.max(...taken) + 1];
    return unread.filter(({ line, text }) => line !== null && line >= from && line <= to && /\d/.test(text));
  });
  const shown = $derived(showAll ? unread : loud);
  const quiet = $derived(unread.length - shown.length);
  /** A letter, a bill, a list of parts: nothing in it is a chart. */
  const isNone = $derived(rows.length === 0 && unread.length > FEW && papers.instructions.length === 0);
</script>

<section aria-label="What was read" class="flex min-w-0 flex-col">
  <h2 class="text-xl">What was read</h2>
  {#if rows.length === 0 && papers.asked?.reading.sheet}
    {@const { sentences, actions, stops, pieces } = papers.asked.reading.sheet}
    <p class="text-soft">
      {sentences.length} sentences ask for {actions.length} things to do and {stops.length} stops, with {pieces.length}
      pieces. No chart yet: bring or paste it, and its stitches and colours come in.
    </p>
  {:else if rows.length === 0 && unread.length === 0}
    <p class="mt-2 max-w-md text-soft">
      Each row becomes a stop, with a guess of what it does. You can correct every guess before anything is
      made.
    </p>
  {:else if isNone}
    <p class="mt-2 max-w-md">
      This does not look like a colour chart: nothing in it counts the stitches of a stop, so no row is made
      of it. If it is one, type its rows in, or show its lines and mend them.
    </p>
  {:else}
    <p class="text-soft">
      {rows.length} stops{stitches > 0
        ? `, ${stitches.toLocaleString('en')} stitches`
        : ''}{facts?.stitches === stitches && stitches > 0 ? ', as the paper says' : ''}{papers.instructions
        .length > 0
        ? `, ${papers.instructions.length} instructions`
        : ''}{facts?.size ? `, finished size ${formatSize(facts.size, unit)}` : ''}
    </p>
  {/if}

  {@render children()}

  {#if doubts.length > 0}
    <ul class="mt-3 flex flex-col gap-1 border-l-4 border-warn bg-warn-pale px-4 py-2" aria-label="Doubts">
      {#each doubts as doubt, at (at)}<li>
          {#if doubt.line !== null}<span class="font-bold">Line {doubt.line % 10_000}.</span>{/if}
          {doubt.message}
        </li>{/each}
    </ul>
  {/if}

  {#if thread && thread.mmPerStitch !== null}
    <div class="mt-3 flex flex-wrap items-center gap-3">
      <label class="label" for="meaning">Its thread lengths are</label>
      <select
        id="meaning"
        class="field"
        value={papers.meaning}
        onchange={(event) => (papers.meant = event.currentTarget.value === 'path' ? 'path' : 'used')}
      >
        <option value="used">thread used</option>
        <option value="path">the bare path of the needle</option>
      </select>
      <span class={thread.sure || papers.meant !== null ? 'text-soft' : 'font-bold text-warn'}
        >{thread.mmPerStitch.toFixed(1)} mm a stitch{papers.meant !== null
          ? ', you said so'
          : thread.sure
            ? ''
            : ': that fits neither well. Which is it?'}</span
      >
    </div>
  {/if}

  {#if rows.length > 0}
    <table class="mt-3 w-full border-collapse text-left">
      <thead>
        <tr class="border-b-[1.5px] border-ink text-soft">
          <th scope="col" class="py-1 pr-3 font-normal">Stop</th>
          <th scope="col" class="py-1 pr-3 font-normal">Name</th>
          <th scope="col" class="py-1 pr-3 font-normal">Colour</th>
          <th scope="col" class="py-1 pr-3 text-right font-normal">Stitches</th>
          <th scope="col" class="py-1 pr-3 text-right font-normal">Thread</th>
          <th scope="col" class="py-1 font-normal">What it does</th>
        </tr>
      </thead>
      <tbody>
        {#each rows as row, at (row.line)}
          <tr
            class="border-b border-rule {marked === row.line ? 'bg-needle-pale' : ''}"
            onmouseenter={() => onmark(row.line)}
            onfocusin={() => onmark(row.line)}
          >
            <td class="head pr-3">{row.number ?? at + 1}</td>
            <td class="pr-3">{row.name}</td>
            <td class="pr-3"
              >{#if row.colour}<span class="inline-flex items-center gap-2"
                  ><Swatch colour={colourOf(row.colour) ?? UNKNOWN_COLOUR} />{row.colour}</span
                >{/if}</td
            >
            <td class="pr-3 text-right whitespace-nowrap"
              >{row.stitches?.toLocaleString('en') ??
                (row.seconds === undefined ? '?' : formatDuration(row.seconds))}</td
            >
            <td class="pr-3 text-right whitespace-nowrap"
              >{row.threadMetres === null ? '' : formatThread(row.threadMetres, unit)}</td
            >
            <td class="py-1">
              <div class="flex items-center gap-2">
                <select
                  class="field"
                  aria-label="What stop {row.number ?? at + 1} does"
                  value={row.role}
                  onchange={(event) => onrole(row.line, Role.parse(event.currentTarget.value))}
                >
                  {#each ROLES as role (role)}<option value={role}>{ROLE_WORDS[role]}</option>{/each}
                </select>
                <span
                  class="text-sm whitespace-nowrap {row.confidence < 0.6
                    ? 'font-bold text-warn'
                    : 'text-soft'}"
                  >{row.confidence === 1 ? 'you said so' : `${Math.round(row.confidence * 100)} % sure`}</span
                >
              </div>
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}

  {#if unread.length > 0}
    <ul class="flex flex-col gap-3 {shown.length > 0 ? 'mt-4' : ''}" aria-label="Lines not understood">
      {#each shown as problem, at (problem.line ?? -at)}
        <li class="border-l-4 border-warn bg-warn-pale px-4 py-2">
          <p>
            {#if problem.line !== null}<span class="font-bold">Line {problem.line % 10_000}.</span>{/if}
            {problem.message}
          </p>
          {#if problem.text && problem.line !== null}
            {@const line = problem.line}
            <div class="mt-1 flex gap-2">
              <input
                class="field min-w-0 flex-1 font-mono text-[0.9375rem]"
                aria-label="Line {line}"
                value={problem.text}
                onchange={(event) => papers.correct(line, event.currentTarget.value)}
              />
              <button type="button" class="button" onclick={() => aside(line, true)}>No stop</button>
            </div>
          {/if}
        </li>
      {/each}
    </ul>
    {#if quiet > 0}
      <button type="button" class="mt-2 min-h-11 text-left underline" onclick={() => (showAll = true)}
        >{quiet}
        {shown.length > 0 ? 'more ' : ''}{quiet === 1
          ? 'line was not taken for a stop'
          : 'lines were not taken for stops'}</button
      >
    {/if}
  {/if}

  {#if papers.instructions.length > 0}
    <details class="mt-4">
      <summary class="min-h-11 cursor-pointer text-lg font-bold"
        >{papers.instructions.length} instructions, put on their steps at the end</summary
      >
      <ol>
        {#each papers.instructions as { number, text }, at (at)}<li class="border-b border-rule py-1">
            <span class="head mr-2">{number}</span>{text}
          </li>{/each}
      </ol>
    </details>
  {/if}
  {#if (reading?.setAside.length ?? 0) > 0}
    <ul class="mt-3 flex flex-col" aria-label="Lines kept as no stops">
      {#each reading?.setAside ?? [] as { line, text: content } (line)}
        <li class="text-soft">
          Line {line % 10_000} kept as no stop: <span class="font-mono text-sm">{content.trim()}</span>
          <button type="button" class="min-h-11 px-2 underline" onclick={() => aside(line, false)}
            >Read it after all</button
          >
        </li>
      {/each}
    </ul>
  {/if}
</section>
