<script lang="ts">
  import { formatLength, type LengthUnit } from '$lib/core/base/units';
  import type { AtPanel } from '$lib/core/ordering/hoopings';

  /** What is typed at the panel of a machine that repeats in a grid. */
  let { panel, unit }: { panel: AtPanel; unit: LengthUnit } = $props();

  const toward = (mm: number, minus: string, plus: string): string =>
    `${formatLength(Math.abs(mm), unit)} ${mm < 0 ? minus : plus}`;
</script>

<section class="mt-3 border-l-4 border-needle bg-needle-pale px-4 py-3" aria-labelledby="panel">
  <h3 id="panel" class="text-lg">At the panel, in this order</h3>
  <ol class="mt-1 flex flex-wrap gap-x-6 gap-y-1">
    {#each panel.entries as { label, value }, at (label)}
      <li>{at + 1}. {label} <strong class="text-xl">{value}</strong></li>
    {/each}
  </ol>
  <p class="mt-1">
    The first copy is the {panel.corner} one. Its trace begins {toward(panel.traceFrom.x, 'left', 'right')} and
    {toward(panel.traceFrom.y, 'above', 'below')} the middle of the field, at the middle of that corner’s copy.
    {#if panel.spare > 0}The grid has {panel.spare} more than are wanted: halt the machine before {panel.spare ===
      1
        ? 'the last one'
        : 'the last ones'}.{/if}
  </p>
  {#if panel.halts.length > 0}<p class="mt-1">
      Program a halt after {panel.halts.length === 1 ? 'stop' : 'stops'}
      <strong>{panel.halts.join(', ')}</strong>: with several needles it goes on by itself otherwise.
    </p>{/if}
  {#if panel.linesFirst}<p class="mt-1">
      The file begins with a line that shows where the cloth goes: halt there for every copy before cloth is
      laid, or bring those lines as a file of their own and stitch that grid first.
    </p>{/if}
</section>
