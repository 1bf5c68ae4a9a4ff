<script lang="ts">
  import { formatDuration, formatLength } from '$lib/core/base/units';
  import type { Order, OrderLine, Placement } from '$lib/core/documents/order';
  import { type BatchPlan, placedKey, type PlannedHooping } from '$lib/core/ordering/day';
  import type { OrderTable } from '$lib/data';
  import { hoopingsCsv } from '$lib/files';
  import { download, fileName } from '$lib/ui/files';
  import CopiesView from '$lib/ui/hoop/CopiesView.svelte';
  import { Sheet } from '@lucide/svelte';
  import { atPanel, LineContext } from '$lib/core/ordering/hoopings';
  import PanelCard from './PanelCard.svelte';
  import { copyWords, sharedWords, stitchWords, WAY_WORDS } from './words';

  interface Props {
    order: Order;
    plan: BatchPlan;
    table: OrderTable;
    onchange: (to: (order: Order) => Order) => void;
    onstitch: (hooping: PlannedHooping) => void;
  }
  let { order, plan, table, onchange, onstitch }: Props = $props();

  let lineId = $state<string | null>(null);
  let hoopingId = $state<string | null>(null);
  const line = $derived(plan.lines.find((each) => each.lineId === lineId) ?? plan.lines[0]);
  const own = $derived(
    plan.hoopings.filter((each) => each.lineId === line?.lineId).toSorted((a, b) => a.from - b.from)
  );
  const hooping = $derived(own.find(({ id }) => id === hoopingId) ?? own[0]);
  const hoop = $derived(table.input.shop.hoops.find(({ id }) => id === hooping?.hoopId));
  const unit = $derived(table.input.shop.unit);
  const wish = $derived(order.lines.find(({ id }) => id === line?.lineId));
  const gap = $derived(wish?.gap ?? 20);
  const perHead = $derived(Math.max(0, ...(hooping?.heads ?? [])));
  const key = $derived(hooping ? placedKey(hooping.hoopId, hooping.stage, perHead) : '');
  const ownPlaces = $derived(wish?.placed[key] !== undefined);
  const panel = $derived.by(() => {
    const machine = table.input.shop.machines.find(({ id }) => id === hooping?.machineId);
    const found = table.input.items.find(({ item }) => item.id === hooping?.itemId);
    if (!machine?.panel || !found || !wish || !hoop || !hooping) return null;
    const context = new LineContext(wish, found.item, found.setup, table.input.shop);
    const stage = context.stagesOf(machine, hoop)[hooping.stage];
    return stage ? atPanel(machine, hooping, stage) : null;
  });
  const shared = $derived(hooping?.shared ?? null);
  const labels = $derived(
    shared
      ? shared.placements.map(({ part }) => shared.parts[part]?.name.split(' ').at(-1) ?? '')
      : (hooping?.numbers ?? []).slice(0, perHead).map((number, at) => hooping?.names[at] ?? String(number))
  );
  const hoopName = (id: string): string => table.input.shop.hoops.find((each) => each.id === id)?.name ?? '';

  function place(placements: Placement[] | null): void {
    const [id, at] = [line?.lineId, key];
    onchange((now) => ({
      ...now,
      lines: now.lines.map((each) => {
        if (each.id !== id) return each;
        const others = Object.fromEntries(Object.entries(each.placed).filter(([other]) => other !== at));
        return { ...each, placed: placements ? { ...others, [at]: placements } : others };
      })
    }));
  }
  function changeLine(change: Partial<OrderLine>): void {
    const id = line?.lineId;
    onchange((now) => ({
      ...now,
      lines: now.lines.map((each) => (each.id === id ? { ...each, ...change } : each))
    }));
  }
  const takeHoop = (hoopId: string | undefined): void => changeLine({ hoopId });
  const keepApart = (): void => changeLine({ alone: true });
</script>

<div class="flex flex-wrap items-center gap-2" role="group" aria-label="Items of the order">
  {#each plan.lines as each (each.lineId)}
    <button
      type="button"
      class="button {each === line ? 'button-main' : ''}"
      aria-pressed={each === line}
      onclick={() => ((lineId = each.lineId), (hoopingId = null))}>{each.name}</button
    >
  {/each}
  <button
    type="button"
    class="button button-quiet ml-auto"
    onclick={() =>
      download(
        fileName(`${order.name} hoopings`, 'csv'),
        hoopingsCsv(plan, table.input.order.from, hoopName),
        'text/csv'
      )}><Sheet size={20} aria-hidden="true" />CSV</button
  >
</div>

{#if line}
  <div class="mt-4 grid grid-cols-[minmax(0,24rem)_minmax(0,1fr)] gap-8 max-[900px]:grid-cols-1">
    <section aria-labelledby="in-hoop">
      {#if hooping && hoop}
        <h2 id="in-hoop" class="text-xl">{line.name} {copyWords(hooping)}, {hoop.name.toLowerCase()}</h2>
        <div class="mt-2 h-[24rem]">
          <CopiesView
            ring={hoop.ring}
            field={hoop.field}
            area={hooping.area}
            outlines={shared?.outlines ?? [hooping.outline]}
            placements={shared?.placements ?? hooping.placements}
            findings={hooping.findings}
            {labels}
            words="{shared ? sharedWords(shared) : `${perHead} copies`} in {hoop.name}, from above"
            onmove={shared ? undefined : (placements) => place(placements)}
          />
        </div>
        {#if shared}
          <p class="mt-1 text-lg">
            {sharedWords(shared)} share this hoop, on the same hooped material: that saves a hooping and its stabiliser.
          </p>
          <p class="text-soft">
            Stitch the first, leave the hoop on, call up the next.
            {#if !hooping.runId}<button
                type="button"
                class="font-semibold underline"
                onclick={() => keepApart()}>Give {line.name} its own hoop</button
              >{/if}
          </p>
        {:else}
          <p class="mt-1 text-soft">
            Drag a copy, or choose it and use the arrow keys; R turns it, M mirrors it.
            {#if ownPlaces}<button type="button" class="font-semibold underline" onclick={() => place(null)}
                >Lay them out again</button
              >{/if}
          </p>
        {/if}
        {#if panel}<PanelCard {panel} {unit} />{/if}
        {#each hooping.findings as { id, severity, text }, at (id + at)}
          <p
            class="mt-1 border-l-4 px-3 py-1 {severity === 'stop'
              ? 'border-hands bg-hands-pale'
              : 'border-warn bg-warn-pale'}"
          >
            {text}
          </p>
        {/each}
        {#if hooping.findings.length > 0}<p class="mt-1 text-sm text-soft">
            Trace the design before the first stitch, eyes protected: a needle that strikes the ring breaks.
          </p>{/if}
      {:else}
        <h2 id="in-hoop" class="text-xl">{line.name}</h2>
        <p class="mt-1">Nothing is left to stitch.</p>
      {/if}
    </section>

    <div class="flex flex-col gap-5">
      <section aria-labelledby="which-hoop">
        <h2 id="which-hoop" class="text-xl">Which hoop</h2>
        <table class="mt-1 w-full text-left">
          <thead class="text-soft">
            <tr class="border-b-[1.5px] border-ink"
              ><th class="py-1 font-normal">Hoop</th><th class="font-normal">in a hoop</th><th
                class="font-normal">hoopings</th
              ><th class="font-normal">hands each</th><th class="font-normal">needle each</th><th
                class="font-normal">stabiliser each</th
              ><th class="text-right font-normal">choice</th></tr
            >
          </thead>
          <tbody>
            {#each line.hoops as option (option.hoopId)}
              {@const isTaken = option.hoopId === line.hoopId}
              <tr class="border-b border-rule {isTaken ? 'font-bold' : ''}">
                <td class="py-1.5 pr-2">{option.name}</td>
                <td
                  >{option.copies}{#if option.nested}<span class="font-normal text-soft"
                      >{` nested, ${option.inRows} in rows`}</span
                    >{/if}</td
                >
                <td>{option.hoopings}</td>
                <td class="text-hands">{formatDuration(option.hands)}</td>
                <td class="text-needle">{formatDuration(option.needle)}</td>
                <td>{Math.round(option.stabiliser * 10_000)} cm²</td>
                <td class="text-right">
                  {#if isTaken}taken{:else}<button
                      type="button"
                      class="button button-quiet"
                      aria-label="Take {option.name}"
                      onclick={() => takeHoop(option.recommended ? undefined : option.hoopId)}>Take</button
                    >{/if}
                </td>
              </tr>
              <tr class="border-b border-rule"
                ><td colspan="7" class="pb-1.5 text-soft"
                  >{option.recommended ? `Recommended. ${option.why}` : option.why}</td
                ></tr
              >
            {/each}
          </tbody>
        </table>
        {#if hooping}
          <p class="mt-1">
            Gap {formatLength(gap, unit)},
            {hooping.pitch && hooping.copies > 1
              ? `pitch ${formatLength(hooping.pitch.x, unit)} across and ${formatLength(hooping.pitch.y, unit)} down.`
              : 'no even pitch.'}
            {line.words.charAt(0).toUpperCase() + line.words.slice(1)}.
          </p>
        {/if}
      </section>

      {#if line.ways.length > 1}
        <section aria-labelledby="which-order">
          <h2 id="which-order" class="text-xl">Order within the hoop</h2>
          <table class="mt-1 w-full text-left">
            <thead class="text-soft">
              <tr class="border-b-[1.5px] border-ink"
                ><th class="py-1 font-normal">Way</th><th class="px-2 font-normal">halts</th><th
                  class="font-normal">threads</th
                ><th class="px-2 font-normal">jumps</th><th class="font-normal">hands</th><th
                  class="font-normal">needle</th
                ></tr
              >
            </thead>
            <tbody>
              {#each line.ways as way (way.way)}
                {@const isTaken = own.some((each) => each.way === way.way)}
                <tr class="border-b border-rule {isTaken ? 'font-bold' : ''}">
                  <td class="py-1.5 pr-3">{WAY_WORDS[way.way]}</td><td class="px-2">{way.halts}</td><td
                    >{way.threadChanges}</td
                  ><td class="px-2">{way.jumps}</td>
                  <td class="px-2 whitespace-nowrap text-hands">{formatDuration(way.hands)}</td><td
                    class="whitespace-nowrap text-needle">{formatDuration(way.needle)}</td
                  >
                </tr>
              {/each}
            </tbody>
          </table>
        </section>
      {/if}

      <section aria-labelledby="hoopings-of">
        <h2 id="hoopings-of" class="text-xl">Hoopings</h2>
        <ul class="mt-1 flex flex-wrap gap-2">
          {#each own as each (each.id)}
            <li>
              <button
                type="button"
                class="button {each === hooping ? 'button-main' : ''}"
                aria-pressed={each === hooping}
                onclick={() => (hoopingId = each.id)}
              >
                {copyWords(each)}{#if each.stages > 1}, hooping {each.stage + 1}{/if}{#if each.shared}, shared{/if}{#if each.findings.length > 0}<span
                    class="text-warn">!</span
                  >{/if}
              </button>
            </li>
          {/each}
        </ul>
        {#if hooping}
          <button type="button" class="button mt-3" onclick={() => onstitch(hooping)}
            >{stitchWords(hooping, `Stitch ${copyWords(hooping)}`)}</button
          >
        {/if}
      </section>
    </div>
  </div>
{/if}
