<script lang="ts" module>
  /** What the composer gives back: answers of the construction. */
  export interface EdgeAnswers {
    shape: Outline;
    width: number;
    height: number;
    borderWidth: number;
    overlap: number;
    designGap: number;
  }
</script>

<script lang="ts">
  import { messageOf } from '$lib/core/base/problems';
  import { extents, type Outline, type Path, pathData, shapePath } from '$lib/core/base/geometry';
  import { formatLength, formatSize, MM_PER_INCH } from '$lib/core/base/units';
  import { type Shop, smallestFit } from '$lib/core/documents/shop';
  import {
    chooseSize,
    type ComposedEdge,
    composeEdge,
    readSizes,
    sizesAround
  } from '$lib/core/stitching/stitches';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';
  import { Dialog } from 'bits-ui';

  interface Props {
    open: boolean;
    shop: Shop;
    start: EdgeAnswers;
    ontake: (answers: EdgeAnswers) => void;
    onaccuracy: (mm: number) => void;
    onclose: () => void;
  }
  let { open, shop, start, ontake, onaccuracy, onclose }: Props = $props();

  /** Sizes of the cut shape; the outer edge of the border follows from it. */
  const cutOf = (outer: number): number => round(outer - 2 * (start.borderWidth - start.overlap));
  const round = (mm: number): number => Math.round(mm * 10) / 10;
  let width = $state(0);
  let height = $state(0);
  let satinWidth = $state(0);
  let overlap = $state(0);
  let gap = $state(0);
  let sizes = $state('');
  /** How far two sizes of the machine are apart, mm; 0 where it is not known. */
  let step = $state(0);
  $effect.pre(() => {
    if (!open) return;
    width = cutOf(start.width);
    height = cutOf(start.height);
    satinWidth = start.borderWidth;
    overlap = start.overlap;
    gap = start.designGap;
  });

  const composed = $derived.by((): { edge?: ComposedEdge; problem?: string } => {
    if (!open) return {};
    try {
      const rawEdge = shapePath(start.shape, width, height);
      return { edge: composeEdge({ rawEdge, satinWidth, overlap, gap, accuracy: shop.cutAccuracy }) };
    } catch (problem) {
      return { problem: messageOf(problem) };
    }
  });
  const edge = $derived(composed.edge);
  const hoop = $derived(edge && smallestFit(shop.hoops, edge.finished)?.hoop);
  /** The sizes named, or those round the wish where one size and the machine’s step are known. */
  const offers = $derived.by(() => {
    const named = readSizes(sizes).map((size) => (shop.unit === 'in' ? size * MM_PER_INCH : size));
    const [first] = named;
    return named.length === 1 && first !== undefined && step > 0 ? sizesAround(width, first, step) : named;
  });
  const choice = $derived(
    edge && offers.length > 0 ? chooseSize(width, offers, satinWidth, shop.cutAccuracy) : undefined
  );
  const mm = (value: number): string => formatLength(value, shop.unit);
  const boxOf = (path: Path): string => formatSize(extents(path), shop.unit);
  const view = $derived(edge ? { width: edge.finished.width + 10, height: edge.finished.height + 10 } : null);

  function take(): void {
    if (!edge) return;
    const shape = typeof start.shape === 'object' ? { drawn: edge.outer } : start.shape;
    ontake({ shape, ...edge.finished, borderWidth: satinWidth, overlap, designGap: gap });
    onclose();
  }
</script>

<DialogFrame {open} title="Compose the edge" wide {onclose}>
  <p class="text-soft">
    From the shape you cut: every line and the finished size follow by moving it in and out.
  </p>
  <div class="mt-4 grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-8 max-[900px]:grid-cols-1">
    <div class="flex flex-col gap-4">
      <div class="flex flex-wrap gap-x-5 gap-y-3">
        <LengthField label="Cut shape, width" unit={shop.unit} value={width} onchange={(v) => (width = v)} />
        <LengthField
          label="Cut shape, height"
          unit={shop.unit}
          value={height}
          onchange={(v) => (height = v)}
        />
        <LengthField
          label="Satin, width"
          unit={shop.unit}
          value={satinWidth}
          onchange={(v) => (satinWidth = v)}
        />
        <LengthField
          label="Satin inside the raw edge"
          unit={shop.unit}
          value={overlap}
          onchange={(v) => (overlap = v)}
        />
        <LengthField label="Gap to the design" unit={shop.unit} value={gap} onchange={(v) => (gap = v)} />
        <LengthField
          label="Your cuts stray by"
          unit={shop.unit}
          value={shop.cutAccuracy}
          onchange={onaccuracy}
        />
      </div>
      {#if composed.problem}
        <p class="border-l-4 border-hands bg-hands-pale p-3" role="alert">{composed.problem}</p>
      {/if}
      <div class="flex flex-wrap items-start gap-x-5">
        <div class="flex flex-col gap-1">
          <label class="label" for="offers">Sizes your machine offers for the satin, {shop.unit}</label>
          <input
            id="offers"
            class="field w-72"
            placeholder={shop.unit === 'in' ? '3.59  3.65' : '91.2  92.7'}
            bind:value={sizes}
            aria-describedby="offers-help"
          />
        </div>
        <LengthField
          label="Or one, and its step"
          unit={shop.unit}
          value={step}
          onchange={(mm) => (step = mm)}
        />
      </div>
      <p id="offers-help" class="-mt-4 text-sm text-soft">
        Only where it sizes shapes in steps: widths of the middle of the satin round {mm(width)}.
      </p>
      {#if choice}
        <table class="border-collapse text-left">
          <thead
            ><tr class="border-b-[1.5px] border-ink text-soft"
              ><th scope="col" class="py-1 pr-4 font-normal">Size</th><th
                scope="col"
                class="py-1 pr-4 font-normal">Inside the edge</th
              ><th scope="col" class="py-1 pr-4 font-normal">Beyond it</th><th
                scope="col"
                class="py-1 font-normal">To spare</th
              ></tr
            ></thead
          >
          <tbody>
            {#each choice.offered as offer (offer.size)}
              <tr class="border-b border-rule {choice.take?.size === offer.size ? 'font-bold' : ''}">
                <td class="py-1 pr-4"
                  >{formatLength(offer.size, shop.unit)}{choice.take?.size === offer.size ? ' ←' : ''}</td
                >
                <td class="pr-4">{formatLength(offer.overlap, shop.unit)}</td>
                <td class="pr-4">{formatLength(offer.beyond, shop.unit)}</td>
                <td class={offer.spare < 0 ? 'font-bold text-hands' : ''}
                  >{formatLength(offer.spare, shop.unit)}</td
                >
              </tr>
            {/each}
          </tbody>
        </table>
        <p class="border-l-4 px-3 py-1 {choice.take ? 'border-needle' : 'border-hands bg-hands-pale'}">
          {choice.why}
        </p>
      {/if}
    </div>
    {#if edge && view}
      <div>
        <svg
          viewBox="{-view.width / 2} {-view.height / 2} {view.width} {view.height}"
          class="h-72 w-full"
          role="img"
          aria-label="The edge, finished {formatSize(edge.finished, shop.unit)}"
        >
          <path
            d={pathData(edge.outer) + (edge.inner ? pathData(edge.inner) : '')}
            fill-rule="evenodd"
            class="satin"
          />
          <path d={pathData(edge.cutLine)} class="cut" />
          <path d={pathData(edge.tackDown)} class="tack" />
          {#if edge.design}<path d={pathData(edge.design)} class="design" />{/if}
        </svg>
        <dl class="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
          <dt class="text-soft">Finished</dt>
          <dd class="font-bold">{formatSize(edge.finished, shop.unit)}</dd>
          <dt class="text-soft">Cut line and placement</dt>
          <dd>{boxOf(edge.cutLine)}</dd>
          <dt class="text-soft">Tack-down</dt>
          <dd>{boxOf(edge.tackDown)}</dd>
          <dt class="text-soft">Satin, along its middle</dt>
          <dd>{mm(edge.around)}, {edge.satinStitches.toLocaleString('en')} stitches</dd>
          <dt class="text-soft">Zigzag first, {mm(edge.zigzagWidth)} wide</dt>
          <dd>{edge.zigzagStitches.toLocaleString('en')} stitches</dd>
          <dt class="text-soft">The design ends within</dt>
          <dd>{edge.design ? boxOf(edge.design) : 'nothing: no room is left'}</dd>
          <dt class="text-soft">Hoop</dt>
          <dd>
            {hoop ? `${hoop.name}, ${formatSize(hoop.field, shop.unit)}` : 'none of yours is large enough'}
          </dd>
        </dl>
        <p
          class="mt-2 border-l-4 px-3 py-1 {edge.spareInside < 0 || edge.spareBeyond < 0
            ? 'border-hands bg-hands-pale'
            : 'border-needle'}"
        >
          The satin reaches {mm(overlap)} inside the raw edge and {mm(edge.beyond)} beyond.
          {#if edge.spareInside < 0}Too little inside: a cut that strays by {mm(shop.cutAccuracy)} slips out of
            the satin.{:else if edge.spareBeyond < 0}Too little beyond: a cut that strays by {mm(
              shop.cutAccuracy
            )} sticks out of it.{:else}Your cuts stray by {mm(shop.cutAccuracy)}: {mm(
              Math.min(edge.spareInside, edge.spareBeyond)
            )} to spare.{/if}
        </p>
      </div>
    {/if}
  </div>
  <div class="sticky -bottom-6 mt-4 -mb-6 flex justify-end gap-3 bg-sheet py-4">
    <Dialog.Close type="button" class="button button-quiet">Cancel</Dialog.Close>
    <button type="button" class="button button-main" disabled={!edge} onclick={take}>Take this edge</button>
  </div>
</DialogFrame>

<style>
  path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.5;
    vector-effect: non-scaling-stroke;
  }
  path.satin {
    fill: var(--needle-pale);
    stroke: var(--needle);
    stroke-width: 1;
  }
  .tack {
    stroke: var(--soft);
    stroke-dasharray: 4 3;
  }
  .design {
    stroke: var(--soft);
    stroke-width: 1;
    stroke-dasharray: 1.5 4;
  }
</style>
