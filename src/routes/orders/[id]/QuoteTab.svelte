<script lang="ts">
  import { formatMinutes } from '$lib/core/base/units';
  import { compareRun } from '$lib/core/running/runs';
  import TermsPanel from './TermsPanel.svelte';
  import { savePdf } from '../../savePdf';
  import type { Order, Rates } from '$lib/core/documents/order';
  import { type BatchPlan, NOTHING_DONE } from '$lib/core/ordering/day';
  import {
    earnedReally,
    orderCutInput,
    orderWants,
    priceByQuantity,
    quoteOf
  } from '$lib/core/ordering/quote';
  import { listStash, live, looksOf, type OrderTable } from '$lib/data';
  import { quoteCsv } from '$lib/files';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import { download, fileName } from '$lib/ui/files';
  import { BatchPlanning, CutPlanning, quotePdfInWorker } from '$lib/workers';
  import { FileText, Sheet } from '@lucide/svelte';
  import { onDestroy } from 'svelte';

  interface Props {
    order: Order;
    plan: BatchPlan;
    table: OrderTable;
    onchange: (to: (order: Order) => Order) => void;
  }
  let { order, plan: left, table, onchange }: Props = $props();

  // A quote is for the whole order, however much of it is stitched already.
  const whole = new BatchPlanning();
  $effect(() => {
    if (table.runs.length > 0) whole.follow({ ...table.input, progress: NOTHING_DONE });
  });
  onDestroy(() => whole.stop());
  const plan = $derived(table.runs.length > 0 ? whole.plan : left);

  const stash = live(() => null, listStash);
  const cutting = new CutPlanning();
  $effect(() => {
    if (stash.value && plan) cutting.follow(orderCutInput(table.input, plan, stash.value));
  });
  onDestroy(() => cutting.stop());
  const quote = $derived(
    stash.value && plan
      ? quoteOf({
          order,
          plan,
          cuts: cutting.plans,
          wants: orderWants(table.input, plan),
          stash: stash.value
        })
      : null
  );
  /** Hands of its runs that are over, s. */
  const handsTaken = $derived(
    table.runs
      .filter(({ finishedAt }) => finishedAt !== null)
      .reduce((sum, run) => sum + compareRun(run.plan, run.events).actual.hands, 0)
  );
  const money = (value: number): string => `${order.rates.currency}${value.toFixed(2)}`;
  const COLUMNS = ['material', 'stabiliser', 'thread', 'notions', 'machine', 'hands', 'overhead'] as const;
  const RATES = [
    ['handsHour', 'An hour of hands'],
    ['machineHour', 'An hour of a machine'],
    ['threadKm', 'Thread, 1,000 m'],
    ['clothM2', 'Material, m²'],
    ['overhead', 'Overhead, %'],
    ['margin', 'Margin, %']
  ] as const satisfies readonly (readonly [keyof Rates, string])[];
  const setRates = (change: Partial<Rates>): void =>
    onchange((now) => ({ ...now, rates: { ...now.rates, ...change } }));
  const setPrice = (id: string, price: number | null): void =>
    onchange((now) => ({
      ...now,
      lines: now.lines.map((line) => (line.id === id ? { ...line, price } : line))
    }));

  async function asPdf(): Promise<void> {
    if (!quote) return;
    await savePdf(
      fileName(`${order.name} quote`, 'pdf'),
      quotePdfInWorker(
        $state.snapshot(order),
        $state.snapshot(quote),
        await looksOf(order.lines.map(({ itemId }) => itemId))
      )
    );
  }
</script>

{#if quote}
  <div class="flex flex-wrap items-baseline gap-x-8 gap-y-2">
    <p><span class="head text-3xl">{money(quote.total.revenue)}</span> for the customer</p>
    <p><span class="head text-2xl">{money(quote.total.cost)}</span> cost</p>
    <p>
      <span class="head text-2xl text-hands">{money(quote.total.earnsHour)}</span> earned per hour of hand work
    </p>
    {#if handsTaken > 0}<p>
        <span class="head text-2xl text-hands">{money(earnedReally(quote.total, handsTaken))}</span> by the
        hands it has taken so far, {formatMinutes(handsTaken)}
      </p>{/if}
    <div class="ml-auto flex gap-2">
      <button type="button" class="button" onclick={() => void asPdf()}
        ><FileText size={20} aria-hidden="true" />Quote (PDF)</button
      >
      <button
        type="button"
        class="button"
        onclick={() => download(fileName(`${order.name} quote`, 'csv'), quoteCsv(quote), 'text/csv')}
        ><Sheet size={20} aria-hidden="true" />CSV</button
      >
    </div>
  </div>

  <div class="mt-3 overflow-x-auto">
    <table class="w-full text-right">
      <thead class="text-soft">
        <tr class="border-b-[1.5px] border-ink">
          <th class="py-1 text-left font-normal">Item</th><th class="font-normal">pieces</th>
          {#each COLUMNS as column (column)}<th class="font-normal">{column}</th>{/each}
          <th class="font-normal">cost each</th><th class="font-normal">suggested</th><th class="font-normal"
            >quoted each</th
          >
        </tr>
      </thead>
      <tbody>
        {#each quote.lines as line (line.lineId)}
          <tr class="border-b border-rule">
            <td class="py-2 pr-3 text-left font-bold">{line.name}</td><td>{line.pieces}</td>
            {#each COLUMNS as column (column)}<td>{line[column].toFixed(2)}</td>{/each}
            <td>{line.costEach.toFixed(2)}</td><td>{line.suggested.toFixed(2)}</td>
            <td class="pl-3">
              <input
                class="field w-24 text-right"
                type="number"
                min="0"
                step="any"
                aria-label="Quoted price of {line.name}"
                placeholder={line.suggested.toFixed(2)}
                value={line.quoted ? line.price : ''}
                onchange={({ currentTarget }) => {
                  const price = currentTarget.valueAsNumber;
                  setPrice(line.lineId, Number.isFinite(price) && price >= 0 ? price : null);
                }}
              />
            </td>
          </tr>
        {/each}
        <tr class="font-bold">
          <td class="py-2 text-left">All</td><td>{quote.total.pieces}</td>
          {#each COLUMNS as column (column)}<td>{quote.total[column].toFixed(2)}</td>{/each}
          <td colspan="2"></td><td>{quote.total.revenue.toFixed(2)}</td>
        </tr>
      </tbody>
    </table>
  </div>
  <p class="mt-2 text-soft">
    A quoted price stays as it is, whatever machine takes part; the cost follows the plan. Of the cost, {money(
      quote.total.spoilage
    )} goes into copies that are usually spoiled.
    {#if quote.guessed.length > 0}Priced by the rates below, since neither stash nor shop has a price: {quote.guessed.join(
        ', '
      )}.{/if}
  </p>

  <div class="mt-4 grid grid-cols-2 gap-8 max-[900px]:grid-cols-1">
    <section aria-labelledby="rates">
      <h2 id="rates" class="text-xl">Your rates</h2>
      <div class="mt-2 flex flex-wrap items-end gap-3">
        {#each RATES as [key, label] (key)}
          <NumberField
            {label}
            whole={false}
            value={order.rates[key]}
            onchange={(value) =>
              value !== null &&
              value >= 0 &&
              value <= 500_000 &&
              !((key === 'overhead' || key === 'margin') && value > 500) &&
              setRates({ [key]: value })}
          />
        {/each}
        <label class="flex flex-col gap-1">
          <span class="label">Currency</span>
          <input
            class="field w-20"
            value={order.rates.currency}
            maxlength="6"
            placeholder="none"
            onchange={({ currentTarget }) => setRates({ currency: currentTarget.value.trim() })}
          />
        </label>
      </div>
    </section>
    <section aria-labelledby="by-quantity">
      <h2 id="by-quantity" class="text-xl">Price of one piece by quantity</h2>
      <table class="mt-1 w-full text-right">
        <tbody>
          {#each quote.lines as line (line.lineId)}
            {@const prices = priceByQuantity(
              line,
              plan?.lines.find(({ lineId }) => lineId === line.lineId)?.byQuantity ?? [],
              order.rates
            )}
            <tr class="border-b border-rule text-soft"
              ><td class="py-1 text-left">{line.name}</td>{#each prices as { quantity } (quantity)}<td
                  >{quantity}</td
                >{/each}</tr
            >
            <tr class="border-b border-rule"
              ><td></td>{#each prices as { quantity, price } (quantity)}<td
                  class="py-1 {quantity === line.pieces ? 'font-bold' : ''}">{price.toFixed(2)}</td
                >{/each}</tr
            >
          {/each}
        </tbody>
      </table>
    </section>
  </div>
  <TermsPanel {order} {onchange} />
{/if}
