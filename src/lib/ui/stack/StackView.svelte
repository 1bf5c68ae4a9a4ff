<script lang="ts">
  import type { StackScene } from './scene';

  let { scene }: { scene: StackScene } = $props();

  const ROW = 34;
  const THICK = 13;
  const WIDTH = 190;
  const top = (at: number): number => 10 + at * ROW;
  const scale = $derived(WIDTH / 2 / (scene.reach + 6));
  const x = $derived((mm: number): number => WIDTH / 2 + mm * scale);
  const height = $derived(scene.rows.length * ROW + 16);
  const words = $derived(
    `The hoop from the side, from you downwards: ${scene.rows.map(({ name, words: how }) => `${name}, ${how}`).join('; ')}.`
  );
  /** Ticks of the right side along an edge, a fixed way apart. */
  const ticks = (left: number, right: number, y: number, up: boolean): string => {
    let path = '';
    for (let at = left + 4; at < right - 2; at += 7) path += `M${at} ${y}v${up ? -4.5 : 4.5}`;
    return path;
  };
</script>

{#if scene.rows.length > 0}
  <figure>
    {#if scene.ends.length > 0}
      <figcaption class="mb-3 border-b border-rule pb-2">
        <dl class="grid grid-cols-[auto_1fr] gap-x-4 text-[0.9375rem] leading-snug">
          {#each scene.ends as { label, text } (label)}
            <dt class="text-soft">{label}</dt>
            <dd class="font-semibold">{text}</dd>
          {/each}
        </dl>
      </figcaption>
    {/if}
    <div class="flex items-start gap-3">
      <svg
        width={WIDTH}
        {height}
        viewBox="0 0 {WIDTH} {height}"
        role="img"
        aria-label={words}
        class="shrink-0"
      >
        {#each scene.rows as row, at (row.pieceId)}
          {@const y = top(at)}
          {@const left = x(row.left)}
          {@const width = Math.max(3, x(row.right) - left)}
          {#if row.hooped}
            <rect x={2} y={y - 4} width="11" height={THICK + 8} rx="3" class="ring" />
            <rect x={WIDTH - 13} y={y - 4} width="11" height={THICK + 8} rx="3" class="ring" />
          {/if}
          <rect
            x={row.hooped ? 12 : left}
            {y}
            width={row.hooped ? WIDTH - 24 : width}
            height={THICK}
            fill={row.colour}
            class={row.now ? 'layer now' : 'layer'}
          />
          {#if row.ticks}<path
              d={ticks(left, left + width, row.ticks === 'near' ? y : y + THICK, row.ticks === 'near')}
              class="ticks"
            />{/if}
          {#if row.taped}
            <rect x={left - 7} y={y - 3} width="13" height="5" class="tape" />
            <rect x={left + width - 6} y={y - 3} width="13" height="5" class="tape" />
          {/if}
        {/each}
        {#each scene.seams as seam (seam.x)}
          <path
            d="M{x(seam.x)} {top(seam.from) - 7}V{top(seam.to) + THICK + 7}"
            class={seam.now ? 'seam now' : 'seam'}
          />
        {/each}
      </svg>
      <ol class="min-w-0 flex-1">
        {#each scene.rows as row (row.pieceId)}
          <li class="flex flex-col justify-center text-sm leading-tight" style:height="{ROW}px">
            <span class={row.now ? 'font-bold text-hands' : 'font-semibold'}>{row.name}</span>
            <span class="truncate text-soft" title={row.words}>{row.words}</span>
          </li>
        {/each}
      </ol>
    </div>
  </figure>
{/if}

<style>
  .ring {
    fill: var(--edge);
  }
  .layer {
    stroke: var(--edge);
    stroke-width: 1.25;
  }
  .layer.now {
    stroke: var(--hands);
    stroke-width: 2.5;
  }
  .ticks {
    stroke: var(--ink);
    stroke-width: 1.25;
  }
  .tape {
    fill: var(--tape);
    stroke: var(--edge);
  }
  .seam {
    stroke: var(--needle);
    stroke-width: 1.75;
    stroke-dasharray: 4 2.5;
  }
  .seam.now {
    stroke-width: 3;
  }
</style>
