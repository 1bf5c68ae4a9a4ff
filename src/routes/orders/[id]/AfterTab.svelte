<script lang="ts">
  import { formatMinutes, formatSize } from '$lib/core/base/units';
  import type { Order } from '$lib/core/documents/order';
  import type { ClothEntry } from '$lib/core/documents/stash';
  import { afterOrder, learnedSpoilage, type Leftover } from '$lib/core/ordering/after';
  import { changeShop, changeStash, freshId, type OrderTable } from '$lib/data';
  import { PackagePlus } from '@lucide/svelte';
  import { keepEdit } from '../../undo';

  /** What an order tells once it is over: what went wrong, what was spoiled, how its times came out, what is left over. */
  interface Props {
    order: Order;
    table: OrderTable;
  }
  let { order, table }: Props = $props();

  const after = $derived(afterOrder(table.input, table.runs));
  const unit = $derived(table.input.shop.unit);
  const made = $derived(after.spoiled.reduce((sum, each) => sum + each.made, 0));
  const learned = $derived(learnedSpoilage({ badShare: after.badShare, reckoned: after.reckoned, made }));
  const percent = (share: number): string => `${Math.round(share * 1000) / 10} %`;
  let kept = $state<string[]>([]);
  const left = $derived(after.leftovers.filter(({ key }) => !kept.includes(key)));

  /** As a line of the stash. */
  function entryOf({ name, material, width, height, count, stitched }: Leftover): ClothEntry {
    return {
      what: 'cloth',
      id: freshId(),
      name: stitched.length > 0 || count === 1 ? material.name : name.slice(0, 80),
      kind: material.kind,
      colour: material.colour,
      form: stitched.length > 0 || count === 1 ? 'scrap' : 'sheets',
      width,
      height,
      count,
      stitched,
      alike: false,
      direction: 'any',
      prewashed: false,
      shrinkage: { along: 0, across: 0 },
      place: '',
      price: null,
      note: `Left over from ${order.name}`.slice(0, 500)
    };
  }
  async function keep(leftover: Leftover): Promise<void> {
    const entry = entryOf(leftover);
    if (
      await keepEdit(
        changeStash(entry.id, () => entry, `left over from ${order.name}`),
        'It is in the stash.'
      )
    )
      kept = [...kept, leftover.key];
  }
  const reckonWith = (spoilage: number): Promise<boolean> =>
    keepEdit(
      changeShop((shop) => ({ ...shop, spoilage }), 'what is spoiled'),
      `New orders are reckoned with ${percent(spoilage)}.`
    );
  const TIMES = [
    ['hands', 'Hands'],
    ['needle', 'Needle']
  ] as const;
</script>

{#if table.runs.length === 0}
  <p class="max-w-xl text-lg">
    Nothing of this order is stitched yet. Afterwards this says what went wrong, what was spoiled, how long it
    really took, and what goes back into the stash.
  </p>
{:else}
  <div class="grid gap-8 min-[900px]:grid-cols-2">
    <section aria-labelledby="wrong">
      <h2 id="wrong" class="text-xl">What went wrong</h2>
      {#if after.wrong.length === 0}<p class="mt-1 text-lg">
          No fault is logged in its {table.runs.length} runs.
        </p>{/if}
      <ul class="mt-1 border-t border-rule">
        {#each after.wrong as { words, times, seconds } (words)}
          <li class="flex gap-4 border-b border-rule py-2 text-lg">
            <span class="flex-1">{words}</span><strong>{times} ×</strong><span class="text-soft"
              >{formatMinutes(seconds)} in all</span
            >
          </li>
        {/each}
      </ul>
      <p class="mt-2"><a class="underline" href="/trouble">Find the cause of what you see</a></p>
    </section>
    <section aria-labelledby="took">
      <h2 id="took" class="text-xl">Planned, and what it took</h2>
      <ul class="mt-1 border-t border-rule">
        {#each TIMES as [kind, words] (kind)}
          <li class="flex gap-4 border-b border-rule py-2 text-lg">
            <span class="flex-1">{words}</span><span class="text-soft"
              >{formatMinutes(after.predicted[kind])}</span
            ><strong>{formatMinutes(after.actual[kind])}</strong>
          </li>
        {/each}
      </ul>
      <p class="mt-2 text-soft">Estimates learn from these runs by themselves.</p>
      <h2 class="mt-5 text-xl">Spoiled</h2>
      <ul class="mt-1 border-t border-rule">
        {#each after.spoiled as { lineId, name, made: all, bad } (lineId)}
          <li class="flex gap-4 border-b border-rule py-2 text-lg">
            <span class="flex-1">{name}</span><strong>{bad} of {all}</strong>
          </li>
        {/each}
      </ul>
      {#if after.badShare !== null}
        <p class="mt-2">
          {percent(after.badShare)} were spoiled; {percent(after.reckoned)} were reckoned with.
          {#if learned !== (table.input.shop.spoilage ?? after.reckoned)}<button
              type="button"
              class="button ml-2"
              onclick={() => void reckonWith(learned)}>Reckon with {percent(learned)} in new orders</button
            >{/if}
        </p>
      {/if}
    </section>
  </div>
  <section class="mt-8" aria-labelledby="left-over">
    <h2 id="left-over" class="text-xl">Left over</h2>
    {#if left.length === 0}<p class="mt-1 text-lg">Nothing that can be used again.</p>{/if}
    <ul class="mt-1">
      {#each left as leftover (leftover.key)}
        <li class="flex flex-wrap items-center gap-4 border-b border-rule py-2">
          <span class="flex-1"
            ><strong>{leftover.count} × {leftover.name}</strong><br /><span class="text-soft"
              >{formatSize(leftover, unit)}{leftover.stitched.length > 0
                ? `, ${leftover.stitched.length} ${leftover.stitched.length === 1 ? 'part' : 'parts'} stitched already`
                : ''}</span
            ></span
          >
          <button type="button" class="button" onclick={() => void keep(leftover)}
            ><PackagePlus size={20} aria-hidden="true" />Into the stash</button
          >
        </li>
      {/each}
    </ul>
  </section>
{/if}
