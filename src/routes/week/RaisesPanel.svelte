<script lang="ts">
  import type { Spread } from '$lib/core/ordering/promise';
  import type { Raise, WeekInput } from '$lib/core/ordering/week';
  import { sayTime } from '$lib/core/ordering/day';
  import { WeekRaising } from '$lib/workers';
  import { format, parseISO } from 'date-fns';
  import { onDestroy } from 'svelte';

  /** What would bring an order forward, each tried with the whole week; what is the maker’s to change is done by a press. */
  interface Props {
    input: WeekInput;
    spread: Spread;
    order: { id: string; name: string };
    nameOf: (orderId: string) => string;
    ontake: (raise: Raise) => void;
    onclose: () => void;
  }
  let { input, spread, order, nameOf, ontake, onclose }: Props = $props();

  const raising = new WeekRaising();
  $effect(() => raising.follow({ input, spread, orderId: order.id }));
  onDestroy(() => raising.stop());
  const found = $derived(raising.working ? null : raising.answer);
  const clock = (minutes: number): string =>
    `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;

  function wordsOf(raise: Raise): string {
    if (raise.do === 'leave')
      return `Leave ${nameOf(raise.orderId)} for ${format(parseISO(raise.from), 'EEEE d MMMM')}`;
    if (raise.do === 'hours')
      return `An hour more on ${format(parseISO(raise.day), 'EEEE d MMMM')}, until ${clock(raise.to)}`;
    if (raise.do === 'hoops') return 'A second hoop of each size, loaded while the first is stitched';
    return raise.do === 'bobbins' ? 'Every bobbin wound beforehand' : 'Somebody to help';
  }
</script>

<section class="mt-4 border-t-[1.5px] border-ink pt-3" aria-labelledby="raises">
  <div class="flex flex-wrap items-center gap-4">
    <h2 id="raises" class="mr-auto text-xl">What would help {order.name}</h2>
    <button type="button" class="button button-quiet" onclick={onclose}>Close</button>
  </div>
  {#if found}
    <ul>
      {#each found as { raise, chance, fourInFive } (wordsOf(raise))}
        <li class="flex flex-wrap items-center gap-x-4 border-b border-rule py-1.5">
          <span class="mr-auto">{wordsOf(raise)}</span>
          <span class="text-soft"
            ><strong class="text-needle">{Math.round(chance * 100)} %</strong> in time,
            {sayTime(input.room.from, fourInFive)} four times in five</span
          >
          {#if raise.do === 'leave' || raise.do === 'hours'}<button
              type="button"
              class="button"
              aria-label="Take it: {wordsOf(raise)}"
              onclick={() => ontake(raise)}>Take it</button
            >{/if}
        </li>
      {/each}
    </ul>
    {#if found.length === 0}<p class="mt-1">
        Nothing tried brings it forward: no other order, hour, hoop, bobbin or pair of hands. Speak of another
        date, or of fewer pieces.
      </p>{/if}
  {:else}<p class="mt-1 text-soft" role="status">
      {raising.failed
        ? `The trials stopped before their end. ${raising.failed}`
        : 'Trying each with the whole week.'}
    </p>{/if}
</section>
