<script lang="ts">
  import { page } from '$app/state';
  import type { CutPiece } from '$lib/core/cutting';
  import { plan } from '$lib/core/plan';
  import { defaultSetup } from '$lib/core/shop';
  import { formatLength, formatSize, otherUnit } from '$lib/core/units';
  import { itemOnBench, live, saveSetup } from '$lib/data';
  import ItemHeader from '$lib/ui/ItemHeader.svelte';
  import { Printer } from '@lucide/svelte';

  const bench = live(() => page.params.id ?? '', itemOnBench);
  const found = $derived(bench.value?.item ? bench.value : undefined);
  const setup = $derived(found && (found.setup ?? defaultSetup(found.item, found.shop)));
  const planned = $derived(found && setup && plan(found.item, setup, found.shop));
  /** One millimetre of cloth on the screen, the same for all pieces, so that they compare by eye. */
  const largest = $derived(
    Math.max(1, ...(planned?.cuts ?? []).map(({ cut }) => Math.max(cut.width, cut.height)))
  );
  const scale = $derived(150 / largest);

  function why(cut: CutPiece): string {
    const unit = found?.shop.unit ?? 'mm';
    const covers = `${cut.coversName} ${formatSize(cut.covers, unit)}`;
    return `${covers}, ${formatLength(cut.margin, unit)} more on each side${cut.overridden ? ', then as you set it' : `, rounded up to ${found?.shop.rounding === '5mm' ? '5 mm' : '¼ in'}`}`;
  }
</script>

<svelte:head><title>Cut · {planned?.itemName ?? ''} · Jolt Step</title></svelte:head>

{#if found && planned && setup}
  <ItemHeader plan={planned} />
  <div class="mt-4 flex flex-wrap items-end gap-6">
    <h2 class="text-2xl">Cut for</h2>
    <div class="flex items-center gap-2">
      <input
        class="field w-20"
        type="number"
        min="1"
        max="500"
        aria-label="How many"
        value={setup.copies}
        onchange={(event) => {
          const copies = Math.round(event.currentTarget.valueAsNumber);
          if (copies >= 1 && copies <= 500) void saveSetup({ ...setup, copies });
          else event.currentTarget.value = String(setup.copies);
        }}
      />
      <span>{setup.copies === 1 ? 'piece' : 'pieces'}</span>
    </div>
    <button type="button" class="button no-print ml-auto" onclick={() => window.print()}
      ><Printer size={20} aria-hidden="true" />Print</button
    >
  </div>

  <table class="mt-4 w-full border-collapse text-left">
    <thead>
      <tr class="border-b-[1.5px] border-ink text-soft">
        <th scope="col" class="py-2 pr-4 font-normal">Piece</th>
        <th scope="col" class="py-2 pr-4 font-normal">Cut</th>
        <th scope="col" class="py-2 pr-4 font-normal">Count</th>
        <th scope="col" class="py-2 pr-4 font-normal">Covers, finished</th>
        <th scope="col" class="py-2 pr-4 font-normal">Margin</th>
        <th scope="col" class="py-2 font-normal">To scale</th>
      </tr>
    </thead>
    <tbody>
      {#each planned.cuts as cut (cut.pieceId)}
        <tr class="border-b border-rule align-top">
          <td class="py-4 pr-4"
            ><span class="head text-xl">{cut.name}</span><br /><span class="text-soft"
              >{cut.material.name}{cut.cutFrom === null
                ? ''
                : `, cut from ${cut.cutFrom} after its hooping`}</span
            ></td
          >
          <td class="py-4 pr-4">
            <span class="head text-2xl">{formatSize(cut.cut, planned.unit)}</span><br />
            <span class="text-soft">{formatSize(cut.cut, otherUnit(planned.unit))}</span>
          </td>
          <td class="head py-4 pr-4 text-2xl">{cut.count}</td>
          <td class="py-4 pr-4"
            >{formatSize(cut.covers, planned.unit)}<br /><span class="text-sm text-soft"
              >{formatSize(cut.covers, otherUnit(planned.unit))}</span
            ></td
          >
          <td class="py-4 pr-4"
            >{formatLength(cut.margin, planned.unit)}<br /><span class="text-sm text-soft"
              >{formatLength(cut.margin, otherUnit(planned.unit))}</span
            ></td
          >
          <td class="py-4">
            <svg
              width={cut.cut.width * scale + 2}
              height={cut.cut.height * scale + 2}
              role="img"
              aria-label="{cut.name}: {why(cut)}"
            >
              <title>{why(cut)}</title>
              <rect
                x="1"
                y="1"
                width={cut.cut.width * scale}
                height={cut.cut.height * scale}
                fill={cut.material.colour}
                class="cloth"
              />
              <rect
                x={1 + ((cut.cut.width - cut.covers.width) / 2) * scale}
                y={1 + ((cut.cut.height - cut.covers.height) / 2) * scale}
                width={cut.covers.width * scale}
                height={cut.covers.height * scale}
                class="covered"
              />
            </svg>
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
  <p class="mt-4 max-w-3xl text-soft">
    Hooped material follows the ring of {planned.hoop.name.toLowerCase()}, {formatSize(
      planned.hoop.ring,
      planned.unit
    )} outside, and must be caught on all four edges. The dashed box is what a piece has to cover. Cut away from
    yourself, on a mat, and cap the blade.
  </p>
{:else if bench.value}
  <h1 class="text-3xl">There is no such item.</h1>
  <a href="/items" class="button mt-6">To the shelf</a>
{/if}

<style>
  .cloth {
    stroke: var(--edge);
    stroke-width: 1.5;
  }
  .covered {
    fill: none;
    stroke: var(--hands);
    stroke-width: 2;
    stroke-dasharray: 5 3;
    paint-order: stroke;
  }
</style>
