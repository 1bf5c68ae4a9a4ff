<script lang="ts">
  import type { Paper, Place } from '$lib/core/reading/pages';
  import type { ReadColumn } from '$lib/core/reading/papers';

  /** A maker’s paper as text in its places, one row of it marked; its columns can be pressed. */
  interface Props {
    paper: Paper;
    name: string;
    marked: Place | undefined;
    columns?: readonly ReadColumn[];
    /** The column that is asked about. */
    asked?: number | null;
    oncolumn?: (at: number) => void;
  }
  let { paper, name, marked, columns = [], asked = null, oncolumn }: Props = $props();

  const PAD = 3;
  let frame = $state<HTMLDivElement>();
  $effect(() => {
    if (!marked || !frame) return;
    const page = frame.querySelectorAll('svg')[marked.page];
    if (!page) return;
    const box = page.getBoundingClientRect();
    const share = marked.y / (paper.pages[marked.page]?.height ?? 1);
    const top = box.top - frame.getBoundingClientRect().top + frame.scrollTop + share * box.height;
    const inView = top > frame.scrollTop && top < frame.scrollTop + frame.clientHeight - 40;
    if (!inView) frame.scrollTo({ top: top - frame.clientHeight / 3 });
  });
</script>

<!-- The region scrolls, so the keyboard must reach it. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
  bind:this={frame}
  class="relative mt-2 flex h-[36rem] flex-col gap-3 overflow-auto bg-rule p-3"
  role="region"
  aria-label="{name}, the paper"
  tabindex="0"
>
  {#each paper.pages as page, at (at)}
    <svg
      viewBox="0 0 {page.width} {page.height}"
      class="w-full shrink-0 bg-sheet"
      role="img"
      aria-label="Page {at + 1} of {paper.pages.length}"
    >
      {#if marked?.page === at}
        <rect
          x={marked.x - PAD}
          y={marked.y - PAD}
          width={marked.width + 2 * PAD}
          height={marked.height + 2 * PAD}
          class="marked"
        />
      {/if}
      {#each columns as { heading, places }, column (column)}
        <!-- The same press stands beside the paper as a button. -->
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
        <g
          class="column {asked === column ? 'asked' : ''}"
          data-column={column}
          onclick={() => oncolumn?.(column)}
        >
          <title>{heading || `Column ${column + 1}`}</title>
          {#each places.filter((place) => place.page === at) as place, cell (cell)}
            <rect
              x={place.x - PAD}
              y={place.y - PAD / 2}
              width={place.width + 2 * PAD}
              height={place.height + PAD}
            />
          {/each}
        </g>
      {/each}
      {#each page.words as { text, x, y, width, height }, word (word)}
        <text {x} {y} font-size={height} textLength={width} lengthAdjust="spacingAndGlyphs">{text}</text>
      {/each}
    </svg>
  {/each}
</div>

<style>
  text {
    fill: var(--ink);
    font-family: var(--font-text, sans-serif);
    pointer-events: none;
  }
  .column rect {
    fill: transparent;
  }
  .column {
    cursor: pointer;
  }
  .column:hover rect {
    fill: var(--needle-pale);
  }
  .column.asked rect {
    fill: var(--warn-pale);
    stroke: var(--warn);
    stroke-width: 1;
  }
  .marked {
    fill: var(--needle-pale);
    stroke: var(--needle);
    stroke-width: 1.2;
  }
</style>
