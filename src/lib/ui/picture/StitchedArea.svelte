<script lang="ts">
  import { extentsOfAll, pathData } from '$lib/core/base/geometry';
  import type { Threadwork } from '$lib/core/making/appearance';
  import { markColour } from './cloth';

  interface Props {
    work: Threadwork;
    /** No other area of the page has it. */
    id: string;
    /** The longer side of the whole picture, mm: what must still be seen on a card is drawn by it. */
    large: number;
  }
  let { work, id, large }: Props = $props();

  const MOST_SPOOLS = 6;
  const main = $derived(work.colours[0] ?? '#f4efe4');
  /** Nobody knows where the other threads lie: they stand beside the ground as spools. */
  const spools = $derived(work.colours.slice(1, 1 + MOST_SPOOLS));
  const box = $derived(extentsOfAll(work.paths));
  const spool = $derived(
    box ? Math.min(Math.max(2, large * 0.075), box.width / (1.4 * (spools.length + 1)), box.height / 5) : 0
  );
  const NET = 2.6;
  /** On a small picture of a large thing the weave is coarser than it is, or nobody would see it. */
  const coarse = $derived(Math.max(1, large / 55));
</script>

<defs>
  {#if work.weave === 'net'}
    <pattern
      id="{id}-net"
      width={NET}
      height={NET}
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45) scale({coarse})"
    >
      <path d="M0 0h{NET}M0 0v{NET}" stroke={main} stroke-width="0.5" />
      <circle r="0.55" fill={main} /><circle cx={NET} r="0.55" fill={main} />
      <circle cy={NET} r="0.55" fill={main} /><circle cx={NET} cy={NET} r="0.55" fill={main} />
    </pattern>
  {:else}
    <pattern
      id="{id}-rows"
      width="7"
      height="1.8"
      patternUnits="userSpaceOnUse"
      patternTransform="scale({coarse})"
    >
      <rect width="7" height="1.8" fill={main} />
      <path
        d="M0.3 0.45h6.4M3.8 1.35h3.2M0 1.35h3.2"
        stroke={markColour(main, 0.22)}
        stroke-width="0.3"
        stroke-linecap="round"
      />
    </pattern>
  {/if}
</defs>
{#each work.paths as path, nth (nth)}
  {@const d = pathData(path)}
  {#if work.weave === 'net'}
    <path {d} fill={path.closed ? `url(#${id}-net)` : 'none'} />
    <path {d} stroke={main} stroke-width="1.3" stroke-linejoin="round" />
    <path {d} stroke={main} stroke-width="2.6" stroke-dasharray="0.01 3.4" stroke-linecap="round" />
    <path {d} stroke={markColour(main, 0.35)} stroke-width="0.9" stroke-dasharray="0.25 0.6" />
  {:else}
    <path {d} fill="url(#{id}-rows)" stroke={markColour(main, 0.3)} stroke-width="0.4" />
  {/if}
{/each}
{#if box && work.weave !== 'net'}
  {#each spools as colour, nth (nth)}
    {@const x = (box.minX + box.maxX) / 2 + (nth - (spools.length - 1) / 2) * spool * 1.4}
    <g transform="translate({x} {box.maxY - spool * 1.3}) scale({spool})">
      <rect
        x="-0.42"
        y="-0.45"
        width="0.84"
        height="0.9"
        fill={colour}
        stroke={markColour(main, 0.5)}
        stroke-width="0.06"
      />
      <path
        d="M-0.52 -0.5h1.04M-0.52 0.5h1.04"
        stroke={markColour(main, 0.6)}
        stroke-width="0.14"
        stroke-linecap="round"
      />
    </g>
  {/each}
{/if}
