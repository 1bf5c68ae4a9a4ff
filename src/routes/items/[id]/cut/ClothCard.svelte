<script lang="ts">
  import { formatLength, formatSize, type LengthUnit } from '$lib/core/base/units';
  import type { StashEntry } from '$lib/core/documents/stash';
  import {
    isBought,
    leftWords,
    type MaterialPlan,
    type PlannedCloth,
    sequenceOf
  } from '$lib/core/preparing/cutting';
  import { Lock, LockOpen, Scissors, ShoppingBasket } from '@lucide/svelte';
  import ClothDrawing from './ClothDrawing.svelte';

  interface Props {
    planned: PlannedCloth;
    material: MaterialPlan;
    entry: StashEntry | undefined;
    unit: LengthUnit;
    nameOf: (key: string) => string;
    letter: (key: string) => string;
    /** Pieces may be dropped here. */
    ondropped: (key: string) => void;
    onpick: (key: string) => void;
    ondrag: (key: string) => void;
    picked: string | null;
    onlock: (strip: number, lock: boolean) => void;
    oncut: () => void;
    onbought: () => void;
  }
  let {
    planned,
    material,
    entry,
    unit,
    nameOf,
    letter,
    ondropped,
    onpick,
    ondrag,
    picked,
    onlock,
    oncut,
    onbought
  }: Props = $props();

  const bought = $derived(isBought(planned.cloth.id));
  const steps = $derived(sequenceOf(planned, nameOf, unit));
  const size = $derived(
    planned.cloth.height === null
      ? `${formatLength(planned.cloth.width, unit)} wide`
      : formatSize({ width: planned.cloth.width, height: planned.cloth.height }, unit)
  );
  let over = $state(false);
</script>

<article
  class="border-t-[1.5px] border-ink py-4 {over ? 'bg-needle-pale' : ''}"
  aria-label="{planned.name}, {size}"
  ondragover={(event) => {
    event.preventDefault();
    over = true;
  }}
  ondragleave={() => (over = false)}
  ondrop={(event) => {
    event.preventDefault();
    over = false;
    const key = event.dataTransfer?.getData('text/plain');
    if (key) ondropped(key);
  }}
>
  <header class="flex flex-wrap items-baseline gap-x-3">
    <span class="inline-block size-4 border-[1.5px] border-ink" style:background={planned.colour}></span>
    <h3 class="text-xl">{planned.name}</h3>
    <p class="text-soft">
      {size}{entry?.what === 'cloth' && entry.form === 'scrap' ? ', offcut' : ''}{entry?.place
        ? ` · ${entry.place}`
        : ''} · {planned.cuts}
      {planned.cuts === 1 ? 'cut' : 'cuts'}
    </p>
    {#if bought && material.buy}
      <button type="button" class="button button-quiet no-print ml-auto" onclick={onbought}>
        <ShoppingBasket size={20} aria-hidden="true" />Bought: put it in the stash
      </button>
    {/if}
  </header>
  {#if bought && material.buy}
    <p class="font-bold">
      Buy {material.buy.count} × {material.buy.offer.name}{material.buy.mm > 0
        ? `: ${formatLength(material.buy.mm, unit)} in all`
        : ''}{material.buy.cost === null ? '' : `, ${material.buy.cost.toFixed(2)}`}
    </p>
  {/if}
  <div class="mt-2 grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-6 max-[1100px]:grid-cols-1">
    <ClothDrawing {planned} {unit} {nameOf} {letter} {onpick} {ondrag} {picked} />
    <div>
      <ol class="flex flex-col gap-1.5">
        {#each steps as { number, words, strip } (number)}
          <li class="flex items-start gap-2">
            <span class="head w-6 shrink-0 text-right text-lg leading-tight">{number}</span>
            <span class="flex-1">{words}</span>
            {#if strip !== null && !bought}
              {@const locked = planned.strips[strip]?.kept === true}
              <button
                type="button"
                class="button button-quiet no-print -my-2 px-2"
                aria-pressed={locked}
                aria-label={locked ? `Let strip ${strip + 1} go` : `Keep strip ${strip + 1} as it is`}
                title={locked ? 'Kept as it is: let it go' : 'Keep as it is'}
                onclick={() => onlock(strip, !locked)}
              >
                {#if locked}<Lock size={18} aria-hidden="true" />{:else}<LockOpen
                    size={18}
                    aria-hidden="true"
                  />{/if}
              </button>
            {/if}
          </li>
        {/each}
      </ol>
      <p class="mt-1.5 pl-8 text-soft">{leftWords(planned, unit)}</p>
      {#if !bought}
        <button type="button" class="button no-print mt-2 ml-8" onclick={oncut}>
          <Scissors size={20} aria-hidden="true" />Strip of {formatLength(
            planned.strips[0]?.strip.height ?? 0,
            unit
          )} is cut
        </button>
      {/if}
    </div>
  </div>
</article>
