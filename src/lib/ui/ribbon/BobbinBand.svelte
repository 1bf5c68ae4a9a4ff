<script lang="ts">
  import type { PlannedBobbin } from '$lib/core/preparing/threads';
  import type { BobbinLevel } from '$lib/core/solvers/bobbins';
  import { type RibbonStep } from '$lib/core/making/summary';
  import { layoutRibbon, ribbonSeconds } from './layout';

  /** The bobbin emptying along a ribbon: a full one reaches up to the line above it. */
  interface Props {
    steps: readonly RibbonStep[];
    levels: readonly (BobbinLevel & { stepId: string; copy: number })[];
    changes: readonly PlannedBobbin[];
    capacity: number;
    colourOf: (colour: string) => string;
    fullSeconds?: number;
    label: string;
  }
  let { steps, levels, changes, capacity, colourOf, fullSeconds, label }: Props = $props();

  const HEIGHT = 46;
  const TOP = 4;
  let width = $state(0);
  const parts = $derived(width > 0 ? layoutRibbon(steps, width, fullSeconds ?? ribbonSeconds(steps)) : []);
  const y = (metres: number): number =>
    TOP + (HEIGHT - TOP) * (1 - Math.min(1, Math.max(0, metres / capacity)));
  /** Stretches of one bobbin: along its stop it goes down, between stops it stays. */
  const stretches = $derived.by(() => {
    const own = levels.filter(({ copy }) => copy === 1);
    return own.flatMap((level, at) => {
      const part = parts.find(({ id }) => id === level.stepId);
      if (!part) return [];
      const next = own[at + 1];
      const nextPart = parts.find(({ id }) => id === next?.stepId);
      const end = nextPart ? nextPart.x : part.x + part.width;
      const inside = changes.filter(
        ({ copy, stepId, into }) => copy === 1 && stepId === level.stepId && into > 0
      );
      const out = inside.flatMap(({ runOut }) =>
        runOut?.expected && runOut.expected.stepId === level.stepId && runOut.expected.copy === 1
          ? [runOut.expected]
          : []
      );
      return [{ level, part, end, out }];
    });
  });
  /** The line of a stretch; where a bobbin runs out inside the stop it goes down to nothing and starts again full. */
  function path({ level, part, end, out }: (typeof stretches)[number]): string {
    const right = part.x + part.width;
    const downs = out.map(({ stitch }, at) => {
      const stitches = stitchesOf(level.stepId);
      const x = part.x + part.width * (stitches > 0 ? stitch / stitches : (at + 1) / (out.length + 1));
      return `L${x} ${y(0)}V${y(capacity)}`;
    });
    return `M${part.x} ${y(level.before)}${downs.join('')}L${right} ${y(level.after)}H${end}`;
  }
  const stitchesOf = (stepId: string): number => stitches.get(stepId) ?? 0;
  const stitches = $derived(
    new Map(
      changes.flatMap(({ runOut }) =>
        runOut?.expected ? [[runOut.expected.stepId, runOut.expected.of] as const] : []
      )
    )
  );
  const marks = $derived(
    changes.flatMap(({ copy, stepId, into }) => {
      const part = parts.find(({ id }) => id === stepId);
      return copy === 1 && into === 0 && part ? [part.x] : [];
    })
  );
</script>

<div class="w-full [contain:inline-size]" bind:clientWidth={width}>
  <svg
    {width}
    height={HEIGHT + 2}
    viewBox="0 0 {width} {HEIGHT + 2}"
    role="img"
    aria-label={label}
    class="block"
  >
    <line x1="0" x2={width} y1={TOP} y2={TOP} class="full" />
    {#each stretches as stretch (stretch.level.stepId)}
      <path
        d="{path(stretch)}V{HEIGHT}H{stretch.part.x}Z"
        fill={colourOf(stretch.level.colour)}
        class="thread"
      />
      <path d={path(stretch)} class="level" />
    {/each}
    {#each marks as x (x)}<path d="M{x} {HEIGHT}V0l9 5l-9 5" class="put" />{/each}
    <line x1="0" x2={width} y1={HEIGHT} y2={HEIGHT} class="base" />
  </svg>
</div>

<style>
  .thread {
    fill-opacity: 0.55;
  }
  .level {
    fill: none;
    stroke: var(--edge);
    stroke-width: 1.75;
  }
  .full {
    stroke: var(--rule-strong);
    stroke-width: 1;
    stroke-dasharray: 3 4;
  }
  .base {
    stroke: var(--ink);
    stroke-width: 1.5;
  }
  .put {
    fill: var(--hands);
    stroke: var(--hands);
    stroke-width: 2;
  }
</style>
