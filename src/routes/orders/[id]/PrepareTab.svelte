<script lang="ts">
  import { savePdf } from '../../savePdf';
  import { formatSize, formatThread } from '$lib/core/base/units';
  import { comparedName } from '$lib/core/documents/item';
  import type { Order } from '$lib/core/documents/order';
  import type { BatchPlan } from '$lib/core/ordering/day';
  import { endWords, orderCutInput, orderHoops, orderThreads, orderWants } from '$lib/core/ordering/quote';
  import { shoppingList } from '$lib/core/preparing/cutting';
  import { listStash, live, looksOf, type OrderTable } from '$lib/data';
  import { shoppingCsv, threadsCsv } from '$lib/files';
  import { download, fileName } from '$lib/ui/files';
  import Swatch from '$lib/ui/Swatch.svelte';
  import { CutPlanning, jobSheetPdfInWorker } from '$lib/workers';
  import { FileText, Sheet } from '@lucide/svelte';
  import { onDestroy } from 'svelte';

  let { order, plan, table }: { order: Order; plan: BatchPlan; table: OrderTable } = $props();

  const stash = live(() => null, listStash);
  const unit = $derived(table.input.shop.unit);
  const cutting = new CutPlanning();
  const input = $derived(stash.value ? orderCutInput(table.input, plan, stash.value) : null);
  $effect(() => {
    if (input) cutting.follow(input);
  });
  onDestroy(() => cutting.stop());
  const wants = $derived(orderWants(table.input, plan));
  const made = $derived(
    stash.value ? orderThreads(table.input, plan, stash.value, table.measured) : { threads: [], bobbins: [] }
  );
  const spools = $derived(new Map(made.threads.map((row) => [comparedName(row.name), row.spools])));
  const rows = $derived(stash.value ? shoppingList(wants, cutting.plans, stash.value, unit, spools) : []);
  /** Hoops by size: how many hoopings, and how many are wanted at the same time on the heads of one machine. */
  const hoops = $derived(orderHoops(plan, table.input.shop));
  const strips = $derived(
    cutting.plans.reduce(
      (sum, { cloths }) => sum + cloths.reduce((all, each) => all + each.strips.length, 0),
      0
    )
  );

  async function jobSheet(): Promise<void> {
    await savePdf(
      fileName(`${order.name} job sheet`, 'pdf'),
      jobSheetPdfInWorker({
        order: $state.snapshot(order),
        plan,
        from: table.input.order.from,
        hoops: Object.fromEntries(table.input.shop.hoops.map(({ id, name }) => [id, name])),
        demands: input ? [...input.demands] : [],
        threads: made.threads,
        bobbins: made.bobbins,
        shopping: rows,
        looks: await looksOf(order.lines.map(({ itemId }) => itemId)),
        unit
      })
    );
  }
</script>

<div class="flex flex-wrap items-center gap-2">
  <p class="mr-auto">
    Everything for what is still to be stitched. Cut, wind and lay it out before the first hooping.
  </p>
  <button type="button" class="button" onclick={() => void jobSheet()}
    ><FileText size={20} aria-hidden="true" />Job sheet (PDF)</button
  >
  <button
    type="button"
    class="button"
    onclick={() => download(fileName(`${order.name} shopping`, 'csv'), shoppingCsv(rows), 'text/csv')}
    ><Sheet size={20} aria-hidden="true" />Shopping (CSV)</button
  >
  <button
    type="button"
    class="button"
    onclick={() =>
      download(fileName(`${order.name} threads`, 'csv'), threadsCsv(made.threads, made.bobbins), 'text/csv')}
    ><Sheet size={20} aria-hidden="true" />Threads (CSV)</button
  >
</div>

<div class="mt-3 grid grid-cols-2 gap-8 max-[900px]:grid-cols-1">
  <section aria-labelledby="to-cut">
    <h2 id="to-cut" class="text-xl">Cut</h2>
    <ul class="mt-1 border-t-[1.5px] border-ink">
      {#each input?.demands ?? [] as { key, count, name, itemName, material, cut, hooped } (key)}
        <li class="grid grid-cols-[3rem_minmax(0,1fr)_auto] items-baseline gap-3 border-b border-rule py-1.5">
          <span class="head text-right text-lg">{count}</span>
          <span
            ><strong>{name}</strong>, {material.name}
            <span class="text-soft">{itemName}{hooped ? ', hooped' : ''}</span></span
          >
          <span>{formatSize(cut, unit)}</span>
        </li>
      {/each}
    </ul>
    {#if cutting.plans.length > 0}
      <p class="mt-1 text-soft">
        {strips}
        {strips === 1 ? 'strip' : 'strips'} on {cutting.plans.reduce(
          (sum, { cloths }) => sum + cloths.length,
          0
        )} cloths{cutting.working ? '; a better layout is looked for' : ''}.
      </p>
      {#each cutting.plans.flatMap(({ unplaced }) => unplaced) as { key, name, count, why, wayOut } (key)}
        <p class="mt-1 border-l-4 border-warn bg-warn-pale px-3 py-1">{count} × {name}: {why} {wayOut}</p>
      {/each}
    {/if}
  </section>

  <div class="flex flex-col gap-5">
    <section aria-labelledby="to-hoop">
      <h2 id="to-hoop" class="text-xl">Hoops</h2>
      <ul class="mt-1 border-t-[1.5px] border-ink">
        {#each hoops as { id, name, hoopings, atOnce } (id)}
          <li class="grid grid-cols-[minmax(0,1fr)_auto] gap-3 border-b border-rule py-1.5">
            <span>{name}{atOnce > 1 ? `, ${atOnce} at once` : ''}</span>
            <span>{hoopings} {hoopings === 1 ? 'hooping' : 'hoopings'}</span>
          </li>
        {/each}
      </ul>
    </section>
    <section aria-labelledby="to-thread">
      <h2 id="to-thread" class="text-xl">Threads and bobbins</h2>
      <ul class="mt-1 border-t-[1.5px] border-ink">
        {#each made.threads as row (row.name)}
          <li class="grid grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-3 border-b border-rule py-1.5">
            <Swatch colour={row.colour} />
            <span
              >{row.name}<span class="text-soft"
                >, {row.spools}
                {row.spools === 1 ? 'spool' : 'spools'}{row.atOnce > 1
                  ? `, ${row.atOnce} on machines or heads at once`
                  : ''}</span
              >{#each endWords(row) as words (words)}<span class="block text-soft">{words}</span>{/each}</span
            >
            <span class="text-right">
              {formatThread(row.upper + row.bobbin, unit)}
              {#if row.have === null}<span class="text-warn">&nbsp;none of it</span>
              {:else if row.lacks > 0}<span class="text-warn"
                  >{` ${formatThread(row.lacks, unit)} short`}</span
                >
              {:else if row.lacksSpools > 0}<span class="text-warn"
                  >{` ${row.lacksSpools} ${row.lacksSpools === 1 ? 'spool' : 'spools'} short`}</span
                >{/if}
            </span>
          </li>
        {/each}
        {#each made.bobbins as { name, metres, bobbins } (name)}
          <li
            class="grid grid-cols-[auto_minmax(0,1fr)_auto] items-baseline gap-3 border-b border-rule py-1.5"
          >
            <span class="head text-lg">{bobbins}</span><span
              >{bobbins === 1 ? 'bobbin' : 'bobbins'} of {name} to wind</span
            ><span>{formatThread(metres, unit)}</span>
          </li>
        {/each}
      </ul>
    </section>
    <section aria-labelledby="to-buy">
      <h2 id="to-buy" class="text-xl">Buy</h2>
      <ul class="mt-1 border-t-[1.5px] border-ink">
        {#each rows as { what, name, need, have, buy, cost }, at (what + name + at)}
          <li class="grid grid-cols-[minmax(0,1fr)_auto] gap-3 border-b border-rule py-1.5">
            <span
              ><strong>{name}</strong>: {buy}<br /><span class="text-soft"
                >needed {need}; in the stash {have}</span
              ></span
            >
            <span>{cost === null ? '' : cost.toFixed(2)}</span>
          </li>
        {:else}<li class="py-1.5">Nothing: the stash has all of it.</li>{/each}
      </ul>
    </section>
  </div>
</div>
