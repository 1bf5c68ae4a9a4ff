<script lang="ts">
  import { formatDuration, formatMinutes } from '$lib/core/base/units';
  import { inkOn } from '$lib/ui/colour';
  import { type RibbonStep } from '$lib/core/making/summary';
  import { layoutRibbon, ribbonSeconds } from './layout';
  import MarkIcon from './MarkIcon.svelte';

  interface Props {
    steps: RibbonStep[];
    /** What the band is, for those who hear it. */
    label: string;
    /** Id of the step under the cursor; without `onselect` the band is only looked at. */
    selected?: string | undefined;
    onselect?: (id: string) => void;
    /** Small, for a card: no numbers, no marks. */
    small?: boolean;
    /** Steps at which something was found. */
    flagged?: ReadonlySet<string>;
    /** Seconds that fill the band, where two bands share one scale. */
    fullSeconds?: number;
  }
  let { steps, label, selected, onselect, small = false, flagged, fullSeconds }: Props = $props();

  let width = $state(0);
  const full = $derived(fullSeconds ?? ribbonSeconds(steps));
  const parts = $derived(width > 0 ? layoutRibbon(steps, width, full) : []);
  const rows = $derived(small ? 0 : Math.max(1, ...parts.map(({ labelRow }) => (labelRow ?? 0) + 1)));
  const needleHeight = $derived(small ? 18 : 34);
  const handsHeight = $derived(small ? 10 : 26);
  const base = $derived((small ? 2 : rows * 15 + 3) + needleHeight);
  const height = $derived(base + handsHeight + (small ? 2 : selected ? 20 : 6));
  const cursor = $derived(parts.find(({ id }) => id === selected));
  const position = $derived(steps.findIndex(({ id }) => id === selected));

  function move(event: KeyboardEvent): void {
    const to = {
      ArrowRight: position + 1,
      ArrowDown: position + 1,
      ArrowLeft: position - 1,
      ArrowUp: position - 1,
      Home: 0,
      End: steps.length - 1
    }[event.key];
    if (to === undefined || !onselect) return;
    event.preventDefault();
    const next = steps[Math.min(Math.max(to, 0), steps.length - 1)];
    if (next) onselect(next.id);
  }

  function pick(event: MouseEvent): void {
    if (!onselect) return;
    const { left } = (event.currentTarget as Element).getBoundingClientRect();
    const at = event.clientX - left;
    const found = parts.find((part) => at >= part.x && at < part.x + part.width) ?? parts.at(at < 0 ? 0 : -1);
    if (found) onselect(found.id);
  }

  /** A band hanging below the line, its lower corners round. */
  function hanging(x: number, partWidth: number): string {
    const right = x + partWidth;
    const r = Math.min(5, partWidth / 2);
    const foot = base + handsHeight;
    return `M${x} ${base}V${foot - r}Q${x} ${foot} ${x + r} ${foot}H${right - r}Q${right} ${foot} ${right} ${foot - r}V${base}`;
  }

  /** A band with a torn right edge. */
  function torn(x: number, partWidth: number): string {
    const right = x + partWidth - 3;
    const step = needleHeight / 4;
    const top = base - needleHeight;
    return `M${x} ${base}V${top}H${right}l-5 ${step}l5 ${step}l-5 ${step}l5 ${step}Z`;
  }

  const spoken = $derived.by(() => {
    const step = steps[position];
    return step
      ? `step ${position + 1} of ${steps.length}: ${step.words}, ${formatDuration(step.seconds)} ${step.kind}`
      : label;
  });
</script>

{#snippet drawing()}
  <svg {width} {height} viewBox="0 0 {width} {height}" aria-hidden="true" class="block overflow-visible">
    {#each parts as part (part.id)}
      {@const here = part.id === selected}
      {#if part.kind === 'needle'}
        {@const missing = part.label === '?'}
        <rect
          x={part.x + 0.75}
          y={base - needleHeight}
          width={Math.max(1.5, part.width - 1.5)}
          height={needleHeight}
          rx={small ? 1.5 : 2.5}
          class="part edge"
          class:dashed={missing}
          fill={part.colour ?? 'none'}
        />
        {#if part.protected && part.width > (small ? 16 : 12)}
          <rect
            x={part.x + 4}
            y={base - needleHeight + 3.5}
            width={part.width - 8}
            height={needleHeight - 6.5}
            rx="1"
            fill="none"
            stroke={inkOn(part.colour)}
            class="inner"
          />
        {/if}
        {#if !small && part.label}
          {#if part.labelRow === null}
            <text
              x={part.x + part.width / 2}
              y={base - needleHeight / 2 + 5.5}
              class="number"
              fill={inkOn(part.colour)}>{part.label}</text
            >
          {:else}
            <text
              x={part.x + part.width / 2}
              y={base - needleHeight - 5 - part.labelRow * 15}
              class="number above">{part.label}</text
            >
          {/if}
        {/if}
        {#if here && !small}
          <rect
            x={part.x - 1.5}
            y={base - needleHeight - 2.5}
            width={part.width + 3}
            height={needleHeight + 4}
            rx="4"
            class="halo"
          />
        {/if}
      {:else if part.kind === 'hands'}
        <path d={hanging(part.x + 0.75, Math.max(1.5, part.width - 1.5))} class="hands" class:here />
        {#if !small && part.mark && part.width >= 22}
          <g class="mark" class:here
            ><MarkIcon mark={part.mark} size={16} x={part.x + part.width / 2 - 8} y={base + 4.5} /></g
          >
        {/if}
      {:else}
        <path d={torn(part.x + 1, part.width)} class="waiting" class:here />
        {#if !small}<text x={part.x + part.width / 2 - 3} y={base - needleHeight / 2 + 5} class="wait-text"
            >{formatMinutes(part.seconds)}</text
          >{/if}
      {/if}
    {/each}
    {#if flagged}
      {#each parts.filter(({ id }) => flagged.has(id)) as { id, x, width: wide } (id)}
        <path d="M{x + wide / 2} {base - 7}l7 7l-7 7l-7 -7Z" class="flag" />
        <path d="M{x + wide / 2} {base - 3.5}v4.2M{x + wide / 2} {base + 2.6}v0.9" class="bang" />
      {/each}
    {/if}
    <line x1="0" x2={width} y1={base} y2={base} class="base" />
    {#if cursor && !small}
      {@const middle = cursor.x + cursor.width / 2}
      <path d="M{middle - 8} {base + handsHeight + 16}h16l-8 -10z" class="cursor" />
    {/if}
  </svg>
{/snippet}

<!-- The drawing is made for the width there is; it must never be what holds that width open. -->
<div class="w-full [contain:inline-size]" bind:clientWidth={width}>
  {#if onselect}
    <div
      role="slider"
      tabindex="0"
      aria-label={label}
      aria-valuemin={1}
      aria-valuemax={steps.length}
      aria-valuenow={position + 1}
      aria-valuetext={spoken}
      onkeydown={move}
      onclick={pick}
      class="cursor-pointer"
    >
      {@render drawing()}
    </div>
  {:else}
    <div role="img" aria-label={label}>{@render drawing()}</div>
  {/if}
</div>

<style>
  .flag {
    fill: var(--hands);
    stroke: var(--sheet);
    stroke-width: 1.5;
  }
  .bang {
    stroke: var(--sheet);
    stroke-width: 1.8;
    stroke-linecap: round;
  }
  .edge {
    stroke: var(--edge);
    stroke-width: 1.5;
  }
  .dashed {
    stroke-dasharray: 3 2;
  }
  .inner {
    stroke-width: 1.25;
  }
  .number {
    font: 700 15px var(--font-head);
    text-anchor: middle;
  }
  .number.above {
    fill: var(--ink);
    font-size: 14px;
  }
  .hands {
    fill: var(--hands-pale);
    stroke: var(--hands);
    stroke-width: 1.25;
  }
  .hands.here {
    fill: var(--hands);
  }
  .mark {
    color: var(--hands);
  }
  .mark.here {
    color: var(--on-hands);
  }
  .waiting {
    fill: var(--wait-pale);
    stroke: var(--wait);
    stroke-width: 1.25;
  }
  .waiting.here {
    stroke-width: 2.5;
  }
  .wait-text {
    font: 600 13px var(--font-text);
    fill: var(--ink);
    text-anchor: middle;
  }
  .base {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .halo {
    fill: none;
    stroke: var(--needle);
    stroke-width: 2.5;
  }
  .cursor {
    fill: var(--ink);
  }
</style>
