<script lang="ts">
  import type { ExpectedStop } from '$lib/core/craft/sequence';
  import type { Alignment } from '$lib/core/reading/matching';
  import { colourOf, UNKNOWN_COLOUR } from '$lib/core/reading/evidence';
  import type { ReadRow } from '$lib/core/reading/papers';
  import Swatch from '$lib/ui/Swatch.svelte';
  import { Pin } from '@lucide/svelte';
  import { DropdownMenu } from 'bits-ui';

  interface Props {
    rows: ReadRow[];
    expected: ExpectedStop[];
    alignment: Alignment;
    construction: string;
    /** Matches a row by hand; null lets it find its place again. */
    onfix: (line: number, keys: string[] | null) => void;
  }
  let { rows, expected, alignment, construction, onfix }: Props = $props();

  /** Every row and every expected stop is as high, so that the threads between them are plain sums. */
  const ROW = 60;
  const WIDTH = 120;
  const place = $derived(new Map(expected.map(({ key }, at) => [key, at])));
  const nameOf = $derived(new Map(expected.map(({ key, name }) => [key, name])));
  const matchOf = $derived(new Map(alignment.matches.map((match) => [match.line, match])));
  const links = $derived(
    rows.flatMap((row, at) => {
      const match = matchOf.get(row.line);
      return (match?.keys ?? []).map((key) => ({
        key: `${row.line}-${key}`,
        from: at,
        to: place.get(key) ?? 0,
        fixed: match?.fixed === true
      }));
    })
  );
  const missing = $derived(new Set(alignment.missing));
  const needed = $derived(expected.filter(({ key, optional }) => missing.has(key) && !optional));
  const height = $derived(Math.max(rows.length, expected.length) * ROW);

  function toggle(line: number, key: string, on: boolean): void {
    const now = matchOf.get(line)?.keys ?? [];
    onfix(line, on ? [...now, key] : now.filter((other) => other !== key));
  }

  function words(line: number): string {
    const keys = matchOf.get(line)?.keys ?? [];
    return keys.length === 0 ? 'Extra stop' : keys.map((key) => nameOf.get(key) ?? key).join(' + ');
  }
</script>

<div class="mt-4 flex items-baseline gap-4">
  <h2 class="text-xl">Your chart beside what a {construction.toLowerCase()} needs</h2>
  <p class="text-soft">Threads show which row is which step. Change one and it stays as you set it.</p>
</div>

<div class="mt-4 grid grid-cols-[minmax(0,1.25fr)_120px_minmax(0,1fr)]">
  <ol aria-label="Your chart">
    {#each rows as row, at (row.line)}
      {@const match = matchOf.get(row.line)}
      <li class="flex items-center gap-3 border-b border-rule" style:height="{ROW}px">
        <span class="head w-6 text-right">{row.number ?? at + 1}</span>
        <Swatch colour={row.colour ? (colourOf(row.colour) ?? UNKNOWN_COLOUR) : UNKNOWN_COLOUR} />
        <span class="min-w-0 flex-1 truncate"
          >{row.name || row.colour}<br /><span class="text-sm text-soft"
            >{row.stitches?.toLocaleString('en') ?? '?'} stitches</span
          ></span
        >
        <DropdownMenu.Root>
          <DropdownMenu.Trigger
            class="button max-w-60 {match?.keys.length === 0 ? 'border-dashed' : ''}"
            aria-label="Row {row.number ?? at + 1} is: {words(row.line)}. Change"
          >
            {#if match?.fixed}<Pin size={16} aria-hidden="true" />{/if}<span class="truncate"
              >{words(row.line)}</span
            >
          </DropdownMenu.Trigger>
          <DropdownMenu.Portal>
            <DropdownMenu.Content
              align="end"
              class="z-20 min-w-64 rounded-md border-[1.5px] border-ink bg-sheet p-1"
            >
              {#each expected as stop (stop.key)}
                <DropdownMenu.CheckboxItem
                  class="flex min-h-11 cursor-pointer items-center gap-3 rounded px-3 data-highlighted:bg-rule"
                  checked={match?.keys.includes(stop.key) ?? false}
                  onCheckedChange={(on) => toggle(row.line, stop.key, on)}
                  closeOnSelect={false}
                >
                  {#snippet children({ checked })}<span class="w-4 font-bold" aria-hidden="true"
                      >{checked ? '✓' : ''}</span
                    >{stop.name}{/snippet}
                </DropdownMenu.CheckboxItem>
              {/each}
              <DropdownMenu.Separator class="my-1 border-t border-rule" />
              <DropdownMenu.Item
                class="flex min-h-11 cursor-pointer items-center rounded px-3 pl-10 data-highlighted:bg-rule"
                onSelect={() => onfix(row.line, [])}>Extra stop, not in the pattern</DropdownMenu.Item
              >
              {#if match?.fixed}
                <DropdownMenu.Item
                  class="flex min-h-11 cursor-pointer items-center rounded px-3 pl-10 data-highlighted:bg-rule"
                  onSelect={() => onfix(row.line, null)}>Let it find its place</DropdownMenu.Item
                >
              {/if}
            </DropdownMenu.Content>
          </DropdownMenu.Portal>
        </DropdownMenu.Root>
      </li>
    {/each}
  </ol>

  <svg width={WIDTH} {height} aria-hidden="true">
    {#each links as { key, from, to, fixed } (key)}
      <path
        d="M4 {from * ROW + ROW / 2}C{WIDTH / 2} {from * ROW + ROW / 2} {WIDTH / 2} {to * ROW +
          ROW / 2} {WIDTH - 4} {to * ROW + ROW / 2}"
        class:fixed
      />
    {/each}
  </svg>

  <ol aria-label="What the pattern needs">
    {#each expected as stop (stop.key)}
      <li class="flex flex-col justify-center border-b border-rule" style:height="{ROW}px">
        <span class={missing.has(stop.key) && !stop.optional ? 'font-bold text-warn' : 'font-semibold'}
          >{stop.name}</span
        >
        <span class="text-sm text-soft">
          {missing.has(stop.key)
            ? stop.optional
              ? 'none in this chart'
              : 'no row in this chart'
            : stop.repeats
              ? 'as many rows as there are colours'
              : stop.protected
                ? 'will be seen: the bobbin must last'
                : ''}
        </span>
      </li>
    {/each}
  </ol>
</div>

{#each alignment.dropped as match (match.line)}
  <p class="mt-3 border-l-4 border-warn bg-warn-pale p-3" role="alert">
    Rows keep the chart’s order, so row {rows.find(({ line }) => line === match.line)?.number ?? match.line} cannot
    go behind a later row. That match was not kept.
  </p>
{/each}
{#each needed as stop (stop.key)}
  <p class="mt-3 border-l-4 border-warn bg-warn-pale p-3">
    Your chart has no row for the {stop.name.toLowerCase()}. It stays on the sheet without a number, and its
    hand steps stay.
  </p>
{/each}

<style>
  path {
    fill: none;
    stroke: var(--needle);
    stroke-width: 2;
    stroke-dasharray: 6 3;
  }
  .fixed {
    stroke: var(--ink);
    stroke-dasharray: none;
    stroke-width: 2.5;
  }
</style>
