<script lang="ts">
  import { whyNot } from '$lib/core/base/problems';
  import { newLine } from '$lib/core/documents/order';
  import { sayTime } from '$lib/core/ordering/day';
  import type { Spread } from '$lib/core/ordering/promise';
  import type { WeekInput } from '$lib/core/ordering/week';
  import { blankOrder, weekItems } from '$lib/data';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import { WeekPlanning } from '$lib/workers';
  import { onDestroy } from 'svelte';

  /** When so many of an item could be promised beside all that is open, before there is an order. */
  interface Props {
    input: WeekInput;
    spread: Spread;
    shelf: readonly { id: string; name: string }[];
    onorder: (itemId: string, count: number) => void;
    /** It is made for its own sake, beside the orders. */
    onweek: (itemId: string, count: number) => void;
  }
  let { input, spread, shelf, onorder, onweek }: Props = $props();

  const ASKED = 'asked';
  let itemId = $state('');
  let count = $state(1);
  const planning = new WeekPlanning();
  onDestroy(() => planning.stop());
  const chosen = $derived(shelf.find(({ id }) => id === itemId));
  const told = $derived(planning.answer?.orders.find(({ orderId }) => orderId === ASKED));
  let problem = $state('');

  async function ask(): Promise<void> {
    problem = '';
    try {
      const order = {
        ...blankOrder(ASKED, input.room),
        lines: [newLine('line', itemId, count)],
        name: 'What is asked',
        spoilage: input.shop.spoilage ?? 0.03
      };
      const items = await weekItems([itemId]);
      const known = input.items.filter(({ item }) => item.id !== itemId);
      planning.follow({
        input: { ...input, orders: [...input.orders, { order }], items: [...known, ...items] },
        spread
      });
    } catch (error) {
      problem = whyNot(error);
    }
  }
</script>

<section class="mt-8" aria-labelledby="ask">
  <h2 id="ask" class="text-xl">One more in the week?</h2>
  <form
    class="mt-2 flex flex-wrap items-end gap-4"
    onsubmit={(event) => {
      event.preventDefault();
      void ask();
    }}
  >
    <NumberField label="How many" value={count} onchange={(next) => next && next > 0 && (count = next)} />
    <label class="flex flex-col gap-1"
      ><span class="label">Of which item</span><select class="field max-w-72" bind:value={itemId}
        ><option value="">Choose an item</option>
        {#each shelf as { id, name } (id)}<option value={id}>{name}</option>{/each}</select
      ></label
    >
    <button type="submit" class="button" disabled={!chosen || planning.working}
      >When could I promise it?</button
    >
    <button type="button" class="button" disabled={!chosen} onclick={() => onweek(itemId, count)}
      >Into the week</button
    >
    {#if planning.working}<p class="pb-2.5 text-soft" role="status">
        planning it beside all that is open
      </p>{/if}
  </form>
  {#if problem}<p class="mt-2 text-hands" role="alert">{problem}</p>{/if}
  {#if told && chosen && !planning.working}
    <p class="mt-3 text-lg" data-asked>
      <strong>{count} × {chosen.name}</strong>, after what is open:
      {#if told.fourInFive !== null && told.half !== null && told.nineteenInTwenty !== null}
        done by <strong>{sayTime(input.room.from, told.half)}</strong> one time in two,
        <strong>{sayTime(input.room.from, told.fourInFive)}</strong> four times in five,
        <strong>{sayTime(input.room.from, told.nineteenInTwenty)}</strong> nineteen in twenty.
      {:else}done by <strong>{sayTime(input.room.from, told.finish)}</strong>.{/if}
      <button type="button" class="button ml-2" onclick={() => onorder(itemId, count)}
        >Make it an order</button
      >
    </p>
  {/if}
</section>
