<script lang="ts">
  import { freshId, type OrderTable } from '$lib/data';
  import { constructionOf } from '$lib/core/craft/constructions';
  import { newLine, type Order, type OrderLine, piecesToStitch } from '$lib/core/documents/order';
  import type { BatchPlan } from '$lib/core/ordering/day';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import { Trash2 } from '@lucide/svelte';
  import BenchHours from './BenchHours.svelte';
  import LineDetails from './LineDetails.svelte';

  interface Props {
    order: Order;
    plan: BatchPlan | null;
    table: OrderTable;
    onchange: (to: (order: Order) => Order, said?: string) => void;
  }
  let { order, plan, table, onchange }: Props = $props();

  let adding = $state('');
  const set = (change: Partial<Order>): void => onchange((now) => ({ ...now, ...change }));
  const setLine = (id: string, change: Partial<OrderLine>): void =>
    onchange((now) => ({
      ...now,
      lines: now.lines.map((line) => (line.id === id ? { ...line, ...change } : line))
    }));

  function add(): void {
    if (adding === '') return;
    const found = table.shelf.find(({ id }) => id === adding);
    const line = {
      ...newLine(freshId(), adding, 10),
      perFile: (found?.construction && constructionOf(found.construction)?.piecesPerFile(found.params)) || 1
    };
    onchange((now) => ({ ...now, lines: [...now.lines, line] }));
    adding = '';
  }
  function remove(id: string, name: string): void {
    onchange(
      (now) => ({ ...now, lines: now.lines.filter((line) => line.id !== id) }),
      `${name} is off the order.`
    );
  }
  const itemOf = (id: string): (typeof table.input.items)[number]['item'] | undefined =>
    table.input.items.find(({ item }) => item.id === id)?.item;
  const plannedOf = (id: string): BatchPlan['lines'][number] | undefined =>
    plan?.lines.find(({ lineId }) => lineId === id);
  let open = $state<string | null>(null);
</script>

<div class="grid grid-cols-[minmax(0,1fr)_20rem] gap-8 max-[1000px]:grid-cols-1">
  <section aria-labelledby="lines">
    <h2 id="lines" class="text-xl">What is ordered</h2>
    {#if order.lines.length === 0}<p class="mt-1 text-lg">
        Choose an item of your shelf, then say how many.
      </p>{/if}
    <ul class="mt-2 border-t-[1.5px] border-ink">
      {#each order.lines as line (line.id)}
        {@const item = itemOf(line.itemId)}
        {@const planned = plannedOf(line.id)}
        {@const name = item?.name ?? 'An item that is gone'}
        <li class="border-b border-rule py-3">
          <div class="flex flex-wrap items-end gap-x-5 gap-y-2">
            <div class="min-w-60 flex-1">
              <h3 class="text-lg">{name}</h3>
              <p class="text-soft">
                {#if planned}
                  {#if planned.done > 0}<strong class="text-needle"
                      >{planned.done} of {planned.copies} stitched{line.spoiled > 0
                        ? `, ${planned.good} good`
                        : ''}</strong
                    >;&nbsp;left:&nbsp;{/if}{planned.words}
                {/if}
              </p>
            </div>
            <NumberField
              label="Pieces"
              class="w-24"
              value={line.quantity}
              onchange={(value) =>
                value && value >= 1 && setLine(line.id, { quantity: Math.min(value, 5000) })}
            />
            {#if item && item.variants.length > 1}
              <label class="flex flex-col gap-1">
                <span class="label">Variant</span>
                <select
                  class="field w-40"
                  value={line.variantId ?? item.variants[0]?.id}
                  onchange={(event) => setLine(line.id, { variantId: event.currentTarget.value })}
                >
                  {#each item.variants as { id, name: variant } (id)}<option value={id}>{variant}</option
                    >{/each}
                </select>
              </label>
            {/if}
            <p class="w-24 pb-2.5 text-soft">{piecesToStitch(line.quantity, order.spoilage)} to stitch</p>
            <button
              type="button"
              class="button button-quiet"
              aria-expanded={open === line.id}
              onclick={() => (open = open === line.id ? null : line.id)}
              >{open === line.id ? 'Less' : 'Names, hoop, machines'}</button
            >
            <button
              type="button"
              class="button button-quiet"
              aria-label="Take {name} off the order"
              onclick={() => remove(line.id, name)}><Trash2 size={20} aria-hidden="true" /></button
            >
          </div>
          {#if open === line.id}<LineDetails
              {line}
              {table}
              onchange={(change) => setLine(line.id, change)}
            />{/if}
        </li>
      {/each}
    </ul>
    <div class="mt-4 flex flex-wrap items-end gap-3">
      <label class="flex flex-col gap-1">
        <span class="label">Item of the shelf</span>
        <select class="field w-80" bind:value={adding}>
          <option value="">Choose an item</option>
          {#each table.shelf as { id, name } (id)}<option value={id}>{name}</option>{/each}
        </select>
      </label>
      <button
        type="button"
        class="button {order.lines.length === 0 ? 'button-main' : ''}"
        disabled={adding === ''}
        onclick={add}>Add to the order</button
      >
    </div>
    {#if table.shelf.length === 0}<p class="mt-2">
        Your shelf is empty. <a href="/items/new" class="underline">Make an item</a> first.
      </p>{/if}
  </section>

  <section aria-labelledby="when" class="flex flex-col gap-3">
    <h2 id="when" class="text-xl">When, and with what</h2>
    <label class="flex flex-col gap-1">
      <span class="label">Name of the order</span>
      <input
        class="field"
        value={order.name}
        maxlength="120"
        onchange={(event) =>
          event.currentTarget.value.trim() && set({ name: event.currentTarget.value.trim() })}
      />
    </label>
    <label class="flex flex-col gap-1">
      <span class="label">For whom</span>
      <input
        class="field"
        value={order.customer}
        maxlength="200"
        onchange={(event) => set({ customer: event.currentTarget.value })}
      />
    </label>
    <label class="flex flex-col gap-1">
      <span class="label">Work begins</span>
      <input
        class="field"
        type="datetime-local"
        value={order.from}
        onchange={(event) => event.currentTarget.value && set({ from: event.currentTarget.value })}
      />
    </label>
    <label class="flex flex-col gap-1">
      <span class="label">Due</span>
      <input
        class="field"
        type="datetime-local"
        value={order.due ?? ''}
        onchange={(event) => set({ due: event.currentTarget.value || null })}
      />
    </label>
    <label class="flex flex-col gap-1">
      <span class="label">Beside other orders it goes</span>
      <select
        class="field"
        value={order.goes ?? ''}
        onchange={({ currentTarget: { value } }) =>
          set({ goes: value === 'first' || value === 'last' ? value : undefined })}
      >
        <option value="">by its date</option>
        <option value="first">before all others</option>
        <option value="last">after all others</option>
      </select>
    </label>
    <div class="flex flex-wrap gap-3">
      <NumberField
        label="Likely to be spoiled, %"
        whole={false}
        value={Math.round(order.spoilage * 1000) / 10}
        onchange={(value) => value !== null && value <= 50 && set({ spoilage: value / 100 })}
      />
      <NumberField
        label="People"
        class="w-20"
        value={order.people}
        onchange={(value) => value && value <= 8 && set({ people: value })}
      />
    </div>
    <fieldset>
      <legend class="label">Machines</legend>
      {#each table.input.shop.machines as { id, name } (id)}
        {@const on = order.machineIds.length === 0 || order.machineIds.includes(id)}
        <label class="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            class="size-5"
            checked={on}
            onchange={() => {
              const all = table.input.shop.machines.map((machine) => machine.id);
              const now = order.machineIds.length === 0 ? all : order.machineIds;
              const next = on ? now.filter((each) => each !== id) : [...now, id];
              // An order needs a machine: the last one stays.
              set({ machineIds: next.length === 0 ? [id] : next.length === all.length ? [] : next });
            }}
          />{name}
        </label>
      {/each}
    </fieldset>
    <BenchHours bench={order.bench} onchange={(bench) => set({ bench })} />
  </section>
</div>
