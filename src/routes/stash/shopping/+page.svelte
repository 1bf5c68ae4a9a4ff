<script lang="ts">
  import EmptyState from '$lib/ui/EmptyState.svelte';
  import { savePdf } from '../../savePdf';
  import { cutInputOf, plannedWants, shoppingList } from '$lib/core/preparing/cutting';
  import { keepShoppingWants, live, shoppingMat } from '$lib/data';
  import { shoppingCsv } from '$lib/files';
  import { download } from '$lib/ui/files';
  import WantsBar from '$lib/ui/WantsBar.svelte';
  import { CutPlanning, shoppingPdfInWorker } from '$lib/workers';
  import { FileText, Sheet } from '@lucide/svelte';
  import { onDestroy } from 'svelte';

  const stored = live(() => null, shoppingMat);
  const mat = $derived(stored.value);
  const planning = new CutPlanning();
  const input = $derived(mat && cutInputOf(mat));
  $effect(() => {
    if (input) planning.follow(input);
  });
  onDestroy(() => planning.stop());

  const wants = $derived(mat ? plannedWants(mat) : []);
  const rows = $derived(mat ? shoppingList(wants, planning.plans, mat.stash, mat.shop.unit) : []);
  const known = $derived(rows.filter(({ cost }) => cost !== null));
  const total = $derived(known.reduce((sum, { cost }) => sum + (cost ?? 0), 0));
  const WHAT = { cloth: 'Cloth', zip: 'Zip', thread: 'Thread', notion: 'Notion' } as const;
  const title = $derived(
    `Shopping list for ${wants.map(({ item, copies }) => `${copies} × ${item.name}`).join(', ')}`
  );

  const keep = (next: { itemId: string; copies: number }[]): void => void keepShoppingWants(next);
  const now = $derived(wants.map(({ item, copies }) => ({ itemId: item.id, copies })));

  async function asPdf(): Promise<void> {
    await savePdf('shopping-list.pdf', shoppingPdfInWorker(title, $state.snapshot(rows)));
  }
</script>

<svelte:head><title>Shopping list · Jolt Step</title></svelte:head>

{#if mat}
  <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
    <h1 class="text-3xl">Shopping list</h1>
    <a href="/stash" class="inline-flex min-h-11 items-center underline">Stash</a>
    {#if rows.length > 0}
      <div class="ml-auto flex gap-2">
        <button
          type="button"
          class="button"
          onclick={() => download('shopping-list.csv', shoppingCsv(rows), 'text/csv')}
          ><Sheet size={20} aria-hidden="true" />CSV</button
        >
        <button type="button" class="button" onclick={() => void asPdf()}
          ><FileText size={20} aria-hidden="true" />PDF</button
        >
      </div>
    {/if}
  </div>
  <div class="mt-3 flex flex-wrap items-end gap-x-5 gap-y-2">
    <WantsBar
      wants={mat.wants}
      others={mat.others}
      main={null}
      add="Buy for"
      oncopies={(itemId, copies) =>
        keep(now.map((want) => (want.itemId === itemId ? { itemId, copies } : want)))}
      onadd={(itemId) => keep([...now, { itemId, copies: 1 }])}
      onleave={(itemId) => keep(now.filter((want) => want.itemId !== itemId))}
    />
  </div>
  {#if mat.wants.length === 0}
    <EmptyState picture="shopping"
      ><p>
        Choose what you are going to make, and how many. What the stash holds is used up first; the rest is
        listed here in the steps your shops sell.
      </p></EmptyState
    >
  {:else if rows.length === 0}
    <p class="mt-8 border-l-4 border-needle px-3 py-2 text-lg">
      {planning.working ? 'Looking through the stash…' : 'Nothing is missing: the stash holds all of it.'}
    </p>
  {:else}
    <table class="mt-5 w-full border-collapse text-left" aria-busy={planning.working}>
      <thead>
        <tr class="border-b-[1.5px] border-ink text-soft">
          <th scope="col" class="py-2 pr-4 font-normal">What</th>
          <th scope="col" class="pr-4 font-normal">Needed</th>
          <th scope="col" class="pr-4 font-normal">In the stash</th>
          <th scope="col" class="pr-4 font-normal">Buy</th>
          <th scope="col" class="text-right font-normal">Cost</th>
        </tr>
      </thead>
      <tbody>
        {#each rows as row (`${row.what} ${row.name} ${row.need}`)}
          <tr class="border-b border-rule">
            <td class="py-2.5 pr-4"
              ><span class="flex items-center gap-2.5"
                ><span
                  class="inline-block size-5 shrink-0 border-[1.5px] border-ink"
                  style:background={row.colour ?? 'transparent'}
                ></span><span
                  ><b>{row.name}</b><span class="block text-sm text-soft">{WHAT[row.what]}</span></span
                ></span
              ></td
            >
            <td class="pr-4">{row.need}</td>
            <td class="pr-4 text-soft">{row.have}</td>
            <td class="head pr-4 text-lg">{row.buy}</td>
            <td class="text-right">{row.cost === null ? 'unknown' : row.cost.toFixed(2)}</td>
          </tr>
        {/each}
      </tbody>
      <tfoot>
        <tr>
          <td colspan="4" class="py-2 text-right text-soft"
            >{known.length === rows.length ? 'In all' : `In all, of the ${known.length} with a price`}</td
          >
          <td class="head text-right text-lg">{total.toFixed(2)}</td>
        </tr>
      </tfoot>
    </table>
  {/if}
{/if}
