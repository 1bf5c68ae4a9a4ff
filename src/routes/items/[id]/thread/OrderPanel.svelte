<script lang="ts">
  import { formatMinutes } from '$lib/core/base/units';
  import type { Thread } from '$lib/core/documents/item';
  import type { Plan } from '$lib/core/documents/plan';
  import type { OrderPlan } from '$lib/core/preparing/threads';
  import type { OrderCost } from '$lib/core/solvers/stopOrder';
  import { stopList } from '$lib/core/stitching/thread';
  import Swatch from '$lib/ui/Swatch.svelte';
  import { Check } from '@lucide/svelte';

  /** What another order of the stops saves, its jumps, and what the maker says of the order. */
  interface Props {
    order: OrderPlan;
    /** The plan of the sheet as it stands. */
    plan: Plan;
    /** Seconds of hands that the better order saves. */
    saved: number;
    anyHidden: boolean;
    onhidden: (any: boolean) => void;
    onapart: (stepId: string, apart: boolean) => void;
    ontake: () => void;
    numberOf: (stepId: string) => number | null;
    nameOf: (stepId: string) => string;
  }
  let { order, plan, saved, anyHidden, onhidden, onapart, ontake, numberOf, nameOf }: Props = $props();

  const words = ({ threads, bobbins, jumps }: OrderCost): string =>
    [
      `${threads} ${threads === 1 ? 'thread' : 'threads'} put on`,
      ...(bobbins > 1 ? [`${bobbins} bobbin colours put in`] : []),
      jumps === 0 ? 'no jumps in the file' : `${jumps} ${jumps === 1 ? 'jump' : 'jumps'} in the file`
    ].join(', ');
  /** Spools as they go on, with the stops each is on for. */
  const spools = $derived.by(() => {
    const rows: { thread: Thread; stops: number[] }[] = [];
    for (const { stop, thread } of order.better?.plan.steps ?? plan.steps) {
      const number = stop?.machineNumber ?? null;
      if (number === null || !thread) continue;
      const last = rows.at(-1);
      if (last?.thread.id === thread.id) last.stops.push(number);
      else rows.push({ thread, stops: [number] });
    }
    return rows;
  });
  const apartOf = (stepId: string): boolean =>
    order.tasks.some(({ stop, steps }) => stop?.apart === true && steps.some(({ id }) => id === stepId));
</script>

<div class="grid grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)] gap-8 max-[900px]:grid-cols-1">
  <div>
    {#if order.better}
      <p class="text-lg">
        As the sheet stands: {words(order.now)}.<br />
        <strong>In another order: {words(order.better.cost)}.</strong>
        {saved > 0 ? `That saves ${formatMinutes(saved)} of hands.` : ''}
      </p>
      {#if order.better.jumps.length > 0}
        <h3 class="mt-3 text-lg">Where to send the machine</h3>
        <ol class="mt-1">
          {#each order.better.jumps as { stepId, words: jump } (stepId)}<li class="border-b border-rule py-1">
              {jump}
            </li>{/each}
        </ol>
      {/if}
      <p class="mt-2 text-sm text-soft">
        {order.proven
          ? 'Proven: no order has fewer thread changes, then fewer bobbin changes, then fewer jumps.'
          : 'The best found; too many orders are possible to prove that none is better.'}
        Simulated in this order, the item ends the same.
      </p>
      <button type="button" class="button button-main mt-3" onclick={ontake}
        ><Check size={20} aria-hidden="true" />Stitch it in this order</button
      >
    {:else}
      <p class="text-lg">
        {words(order.now)}: {order.proven ? 'no order saves any of it.' : 'no better order was found.'}
      </p>
      {#if order.now.jumps === 0 && order.proven}<p class="mt-1 text-soft">
          Stitch it as the sheet says.
        </p>{/if}
    {/if}
    <h3 class="mt-4 text-lg">Lay the spools out {order.better ? 'for it' : ''} in this order</h3>
    <ol class="mt-1">
      {#each spools as { thread, stops }, at (at)}
        <li class="flex items-center gap-3 border-b border-rule py-1.5">
          <span class="head w-6 text-right text-lg">{at + 1}</span>
          <Swatch colour={thread.colour} />{thread.name}
          <span class="text-soft">{stopList(stops)}</span>
        </li>
      {/each}
    </ol>
  </div>
  <fieldset>
    <legend class="head text-lg">What you say about the order</legend>
    <label class="flex min-h-11 items-center gap-3"
      ><input
        type="checkbox"
        class="size-5"
        checked={anyHidden}
        onchange={(event) => onhidden(event.currentTarget.checked)}
      />Stops nobody will see take the thread that is on</label
    >
    {#if order.unsure.length > 0}
      <p class="mt-2 text-soft">
        Nobody knows where these stitch inside their line, so each keeps its place. Tick those that lie clear
        of all others: they may come before or after.
      </p>
      <div class="mt-1 grid grid-cols-2 gap-x-4">
        {#each order.unsure as stepId (stepId)}
          <label class="flex min-h-11 items-center gap-3"
            ><input
              type="checkbox"
              class="size-5"
              checked={apartOf(stepId)}
              onchange={(event) => onapart(stepId, event.currentTarget.checked)}
            />{stopList([numberOf(stepId) ?? 0])}, {nameOf(stepId)}</label
          >
        {/each}
      </div>
    {/if}
  </fieldset>
</div>
