<script lang="ts">
  import { colourOf, UNKNOWN_COLOUR, type ChartReading, type ReadRow } from '$lib/core/intake';
  import { Role, ROLE_WORDS, ROLES } from '$lib/core/item';
  import { formatThread } from '$lib/core/units';
  import Swatch from '$lib/ui/Swatch.svelte';

  interface Props {
    text: string;
    rows: ReadRow[];
    reading: ChartReading;
    ontext: (text: string) => void;
    online: (line: number, content: string) => void;
    onrole: (line: number, role: Role) => void;
    onaside: (line: number, aside: boolean) => void;
    onnext: () => void;
  }
  let { text, rows, reading, ontext, online, onrole, onaside, onnext }: Props = $props();

  const SAMPLE = `No  Part        Colour   Stitches   Thread
 1  placement   grey          120   0.60 m
 2  tack-down   black         120   0.60 m
 3  face        white       1,500   8.10 m
 4  cheeks      pink           60   0.32 m
 5  eyes        black         900   4.86 m
 6  outline     white         420   2.10 m`;

  const unread = $derived(reading.problems.filter(({ kind }) => kind === 'not-understood'));
  const doubts = $derived(reading.problems.filter(({ kind }) => kind === 'doubt'));
  const stitches = $derived(rows.reduce((sum, row) => sum + (row.stitches ?? 0), 0));
</script>

<div class="mt-4 grid grid-cols-[minmax(0,1fr)_minmax(0,1.7fr)] gap-7 max-[1100px]:grid-cols-1">
  <section>
    <label for="chart" class="head text-xl">Paste the colour chart</label>
    <p class="text-soft">
      Aligned text, CSV or from a spreadsheet: number, name, colour, stitches, thread length if it has one.
    </p>
    <textarea
      id="chart"
      class="field mt-2 h-[21rem] w-full font-mono text-[0.9375rem] leading-relaxed whitespace-pre"
      spellcheck="false"
      wrap="off"
      value={text}
      oninput={(event) => ontext(event.currentTarget.value)}></textarea>
    <div class="mt-3 flex flex-wrap gap-3">
      {#if rows.length > 0}
        <button type="button" class="button button-main" onclick={onnext}
          >Go on with {rows.length} {rows.length === 1 ? 'stop' : 'stops'}</button
        >
      {:else}
        <button type="button" class="button button-main" onclick={onnext}>Start without a chart</button>
        <button type="button" class="button" onclick={() => ontext(SAMPLE)}
          >Try it with the badger’s chart</button
        >
      {/if}
    </div>
  </section>

  <section aria-label="What was read">
    <h2 class="text-xl">What was read</h2>
    {#if rows.length === 0 && unread.length === 0}
      <p class="mt-2 max-w-md text-soft">
        Each row becomes a stop, with a guess of what it does. You can correct every guess before anything is
        made.
      </p>
    {:else}
      <p class="text-soft">{rows.length} stops, {stitches.toLocaleString('en')} stitches</p>
    {/if}

    {#if unread.length > 0}
      <ul class="mt-3 flex flex-col gap-3" aria-label="Lines not understood">
        {#each unread as problem (problem.line)}
          <li class="border-l-4 border-warn bg-warn-pale px-4 py-2">
            <p><span class="font-bold">Line {problem.line}.</span> {problem.message}</p>
            {#if problem.text}
              <div class="mt-1 flex gap-2">
                <input
                  class="field min-w-0 flex-1 font-mono text-[0.9375rem]"
                  aria-label="Line {problem.line}"
                  value={problem.text}
                  onchange={(event) => online(problem.line, event.currentTarget.value)}
                />
                <button type="button" class="button" onclick={() => onaside(problem.line, true)}
                  >No stop</button
                >
              </div>
            {/if}
          </li>
        {/each}
      </ul>
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
            <tr class="border-b border-rule">
              <td class="head pr-3">{row.number ?? at + 1}</td>
              <td class="pr-3">{row.name}</td>
              <td class="pr-3"
                >{#if row.colour}<span class="inline-flex items-center gap-2"
                    ><Swatch colour={colourOf(row.colour) ?? UNKNOWN_COLOUR} />{row.colour}</span
                  >{/if}</td
              >
              <td class="pr-3 text-right whitespace-nowrap">{row.stitches?.toLocaleString('en') ?? '?'}</td>
              <td class="pr-3 text-right whitespace-nowrap"
                >{row.threadMetres === null ? '' : formatThread(row.threadMetres)}</td
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
                    >{row.confidence === 1
                      ? 'you said so'
                      : `${Math.round(row.confidence * 100)} % sure`}</span
                  >
                </div>
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}

    {#if doubts.length > 0}
      <ul class="mt-3 flex flex-col gap-1">
        {#each doubts as doubt, at (at)}<li class="text-warn">
            <span class="font-bold">Line {doubt.line}.</span>
            {doubt.message}
          </li>{/each}
      </ul>
    {/if}
    {#if reading.setAside.length > 0}
      <ul class="mt-3 flex flex-col" aria-label="Lines kept as no stops">
        {#each reading.setAside as { line, text: content } (line)}
          <li class="text-soft">
            Line {line} kept as no stop: <span class="font-mono text-sm">{content.trim()}</span>
            <button type="button" class="min-h-11 px-2 underline" onclick={() => onaside(line, false)}
              >Read it after all</button
            >
          </li>
        {/each}
      </ul>
    {/if}
  </section>
</div>
