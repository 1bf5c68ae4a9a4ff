<script lang="ts">
  import { formatMinutes } from '$lib/core/base/units';
  import type { DayScene } from './layout';

  /** One day of a schedule: a row for each machine, one for hands, and where one may walk away. */
  interface Props {
    scene: DayScene;
    /** The hooping that is chosen everywhere on the page. */
    chosen: string | null;
    onchoose: (hoopingId: string) => void;
  }
  let { scene, chosen, onchoose }: Props = $props();

  let width = $state(900);
  const HEAD = 26;
  const HEIGHT = { station: 78, hands: 62, wait: 44 } as const;
  const NAMES = 148;
  const room = $derived(Math.max(200, width - NAMES - 10));
  const x = (share: number): number => NAMES + share * room;
  const tops = $derived(
    scene.rows.map((_, at) => HEAD + scene.rows.slice(0, at).reduce((sum, row) => sum + HEIGHT[row.kind], 0))
  );
  const bottom = $derived(HEAD + scene.rows.reduce((sum, row) => sum + HEIGHT[row.kind], 0));
  const BASE = { station: 46, hands: 14, wait: 32 } as const;
  /** A label that does not fit over its stretch is left out; it stands in the list below. */
  const fits = (words: string, share: number): boolean => words.length * 7.3 < share * room - 6;
  const everyHour = $derived(room / Math.max(1, scene.hours.length - 1) > 46);
</script>

<div bind:clientWidth={width} class="overflow-hidden">
  <svg {width} height={bottom + 6} role="group" aria-label="{scene.name}: who does what when">
    {#each scene.hours as { at, words }, index (words + index)}
      <line x1={x(at)} x2={x(at)} y1={HEAD - 4} y2={bottom} class="hour" />
      {#if everyHour || index % 2 === 0}
        <text
          x={x(at)}
          y="14"
          text-anchor={index === 0 ? 'start' : index === scene.hours.length - 1 ? 'end' : 'middle'}
          class="soft">{words}</text
        >
      {/if}
    {/each}
    {#each scene.rows as row, index (row.id)}
      {@const top = tops[index] ?? 0}
      {@const base = top + BASE[row.kind]}
      <text x="0" y={base - (row.detail ? 12 : 4) + (row.kind === 'hands' ? 14 : 0)} class="name"
        >{row.name}</text
      >
      {#if row.detail}<text x="0" y={base + 6} class="soft">{row.detail}</text>{/if}
      {#each row.bars as bar, at (at)}
        {#if bar.kind === 'needle'}
          <rect
            x={x(bar.left)}
            y={base - 24}
            width={Math.max(1, bar.width * room)}
            height="24"
            class="needle"
            class:chosen={bar.hoopingId === chosen}
          />
        {:else if bar.kind === 'hands'}
          <rect
            x={x(bar.left)}
            y={base}
            width={Math.max(1.5, bar.width * room)}
            height="18"
            rx="2"
            class={row.kind === 'hands' ? 'solid' : 'hands'}
            class:chosen={bar.hoopingId === chosen && row.kind !== 'hands'}
          />
        {:else}
          <rect
            x={x(bar.left)}
            y={base - 22}
            width={Math.max(2, bar.width * room)}
            height="22"
            class="wait"
            stroke-dasharray={bar.torn ? '4 3' : undefined}
          />
          {#if fits(bar.title, bar.width)}<text x={x(bar.left) + 6} y={base - 7} class="soft"
              >{bar.title}</text
            >{/if}
        {/if}
      {/each}
      <line x1={NAMES} x2={x(1)} y1={base} y2={base} class="base" />
      {#each row.labels as { left, width: share, words, hoopingId } (hoopingId)}
        {@const shown = words.find((each) => fits(each, share)) ?? ''}
        <rect
          x={x(left)}
          y={base - 44}
          width={Math.max(8, share * room)}
          height="64"
          class="hit"
          role="button"
          tabindex="0"
          aria-label={words[0]}
          aria-pressed={hoopingId === chosen}
          onclick={() => onchoose(hoopingId)}
          onkeydown={(event) => {
            if (event.key === 'Enter' || event.key === ' ') {
              event.preventDefault();
              onchoose(hoopingId);
            }
          }}><title>{words[0]}</title></rect
        >
        <line x1={x(left) + 1} x2={x(left) + 1} y1={base - 42} y2={base} class="mark" />
        <text x={x(left) + 6} y={base - 30} class="label" class:bold={hoopingId === chosen}>{shown}</text>
      {/each}
      {#if row.kind === 'hands' && index === scene.rows.findIndex(({ kind }) => kind === 'hands')}
        {#each scene.away as { left, width: share, seconds } (left)}
          {@const words = fits(`${formatMinutes(seconds)} away`, share)
            ? `${formatMinutes(seconds)} away`
            : formatMinutes(seconds)}
          <path
            d="M{x(left) + 1} {base + 22}v8M{x(left) + 1} {base + 26}H{x(left + share) - 1}M{x(left + share) -
              1} {base + 22}v8"
            class="away"
          />
          {#if share * room > 26}
            <text x={x(left + share / 2)} y={base + 43} text-anchor="middle" class="away-words">{words}</text>
          {/if}
        {/each}
      {/if}
    {/each}
    {#if scene.end}
      <line x1={x(scene.end.at)} x2={x(scene.end.at)} y1={HEAD - 6} y2={bottom} class="end" />
    {/if}
  </svg>
</div>

<style>
  text {
    font-size: 14px;
    fill: var(--ink);
    pointer-events: none;
  }
  .soft {
    fill: var(--soft);
    font-size: 13.5px;
  }
  .name {
    font-size: 15px;
    font-weight: 700;
  }
  .label {
    fill: var(--needle);
  }
  .bold,
  .away-words {
    font-weight: 700;
  }
  .hour {
    stroke: var(--rule);
  }
  .base,
  .mark {
    stroke: var(--soft);
  }
  .needle {
    fill: var(--needle-pale);
    stroke: var(--needle);
  }
  .hands {
    fill: var(--hands-pale);
    stroke: var(--hands);
  }
  .solid {
    fill: var(--hands);
  }
  .wait {
    fill: var(--wait-pale);
    stroke: var(--wait);
  }
  .chosen {
    stroke-width: 3;
  }
  .hit {
    fill: transparent;
    cursor: pointer;
  }
  .away {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .end {
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 2 4;
  }
</style>
