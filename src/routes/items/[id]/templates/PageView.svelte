<script lang="ts">
  import { pathData } from '$lib/core/base/geometry';
  import type { TemplateMark, TemplatePage } from '$lib/core/preparing/templates';

  /** A page of templates as it will be printed. */
  let { page, number }: { page: TemplatePage; number: number } = $props();
  const id = $props.id();
</script>

{#snippet drawing(mark: TemplateMark)}
  {#if mark.kind === 'text'}
    <text
      x={mark.x}
      y={mark.y}
      font-size={mark.size}
      text-anchor={mark.align}
      font-weight={mark.bold ? 700 : 400}>{mark.text}</text
    >
  {:else}
    <path class={mark.style} d={pathData(mark.path)} />
  {/if}
{/snippet}

<svg
  viewBox="0 0 {page.width} {page.height}"
  class="w-full"
  role="img"
  aria-label="Page {number}: {page.title}"
>
  <rect width={page.width} height={page.height} class="paper" />
  <defs>
    {#each page.placed as { window }, at (at)}
      <clipPath id="{id}-{at}"
        ><rect x={window.x} y={window.y} width={window.width} height={window.height} /></clipPath
      >
    {/each}
  </defs>
  {#each page.placed as { dx, dy, marks }, at (at)}
    <g clip-path="url(#{id}-{at})">
      <g transform="translate({dx} {dy})">
        {#each marks as mark, each (each)}{@render drawing(mark)}{/each}
      </g>
    </g>
  {/each}
  {#each page.marks as mark, at (at)}{@render drawing(mark)}{/each}
</svg>

<style>
  .paper {
    fill: var(--sheet);
    stroke: var(--rule-strong);
  }
  text {
    fill: var(--ink);
    font-family: inherit;
  }
  path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 0.5;
  }
  .cut {
    stroke-width: 1;
  }
  .line {
    stroke-dasharray: 2 1;
  }
  .guide,
  .frame {
    stroke: var(--soft);
    stroke-dasharray: 4 2;
  }
  .overlap {
    stroke: var(--hands);
    stroke-dasharray: 1 1.5;
  }
</style>
