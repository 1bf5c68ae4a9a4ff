<script lang="ts">
  import { type Order, Terms } from '$lib/core/documents/order';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import { format, parseISO } from 'date-fns';

  /** What the quote says beside its prices, and what the customer answered. */
  interface Props {
    order: Order;
    onchange: (change: (order: Order) => Order) => void;
  }
  let { order, onchange }: Props = $props();

  const terms = $derived(order.terms ?? Terms.parse({}));
  const set = (change: Partial<Terms>): void =>
    onchange((now) => ({ ...now, terms: { ...Terms.parse({}), ...now.terms, ...change } }));
  const ANSWERS = {
    open: 'Not answered yet',
    accepted: 'Accepted',
    changed: 'Accepted with changes',
    declined: 'Declined'
  } as const;
</script>

<section class="mt-6" aria-labelledby="terms">
  <h2 id="terms" class="text-xl">What the quote says</h2>
  <div class="mt-2 flex flex-wrap items-end gap-3">
    <label class="flex flex-col gap-1"
      ><span class="label">Valid until</span><input
        class="field"
        type="date"
        value={terms.validUntil ?? ''}
        onchange={({ currentTarget }) => set({ validUntil: currentTarget.value || null })}
      /></label
    >
    <NumberField
      label="Paid first, %"
      class="w-24"
      value={terms.deposit}
      onchange={(deposit) => deposit !== null && deposit >= 0 && deposit <= 100 && set({ deposit })}
    />
    <label class="flex min-w-64 flex-1 flex-col gap-1"
      ><span class="label">What is included</span><input
        class="field"
        maxlength="500"
        placeholder="names, packing, delivery to the stall"
        value={terms.includes}
        onchange={({ currentTarget }) => set({ includes: currentTarget.value.trim() })}
      /></label
    >
    <label class="flex flex-col gap-1"
      ><span class="label">Answer</span><select
        class="field"
        value={terms.answer}
        onchange={({ currentTarget }) => {
          const answer = Terms.shape.answer.parse(currentTarget.value);
          set({ answer, ...(answer !== 'open' && { answeredAt: new Date().toISOString() }) });
        }}
      >
        {#each Object.entries(ANSWERS) as [value, words] (value)}<option {value}>{words}</option>{/each}
      </select></label
    >
  </div>
  {#if terms.answer !== 'open' && terms.answeredAt}<p class="mt-1 text-soft">
      {ANSWERS[terms.answer]} on {format(parseISO(terms.answeredAt), 'EEEE d MMMM yyyy')}.
    </p>{/if}
</section>
