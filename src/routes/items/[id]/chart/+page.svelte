<script lang="ts">
  import { onDestroy } from 'svelte';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import type { Item } from '$lib/core/documents/item';
  import { constructionOf } from '$lib/core/craft/constructions';
  import { align, type FixedMatch, inPatternOrder, madeFor, withChart } from '$lib/core/reading/matching';
  import { changeItem, itemOnBench, live } from '$lib/data';
  import BringStage from '../../new/BringStage.svelte';
  import MatchStage from '../../new/MatchStage.svelte';
  import { Papers } from '../../new/papers.svelte';
  import { keepEdit } from '../../../undo';
  import { toast } from 'svelte-sonner';

  /** A chart, a stitch list or a drawing brought to an item that is there already. */
  const bench = live(() => page.params.id ?? '', itemOnBench);
  const found = $derived(bench.value?.item ? bench.value : undefined);
  const papers = new Papers(() => found?.shop.layouts ?? []);
  onDestroy(() => papers.close());
  let matching = $state(false);
  let fixed = $state.raw<FixedMatch[]>([]);

  const construction = $derived(constructionOf(found?.item.construction ?? ''));
  const made = $derived(found && madeFor(found.item));
  const expected = $derived(made?.ok ? made.pattern.expected : []);
  const rows = $derived.by(() => {
    const read = papers.rowsAround(null);
    return papers.source.kind === 'drawing' ? inPatternOrder(read, expected) : read;
  });
  const alignment = $derived(align(rows, expected, fixed));
  async function take(item: Item): Promise<void> {
    const chart = {
      ...papers.kept,
      rows,
      alignment
    };
    if (
      await keepEdit(
        changeItem(item.id, (now) => withChart(now, chart)),
        'The stops follow the chart now.'
      )
    )
      await goto(`/items/${item.id}`);
  }
</script>

<svelte:head><title>A chart for {found?.item.name ?? 'an item'} · Jolt Step</title></svelte:head>

{#if found}
  <h1 class="text-3xl">A chart for {found.item.name}</h1>
  <p class="text-soft">
    Its stops take their numbers, counts and colours from what you bring. Steps, notes and counts of your own
    stay.
    <a class="underline" href="/items/{found.item.id}/blocks">Cancel</a>
  </p>
  {#if !made?.ok}
    <p class="mt-4 border-l-4 border-rule-strong p-4">
      {#if made}
        Its answers do not make an item any more: {made.problems.join('; ')}.
        <a class="underline" href="/items/{found.item.id}/blocks">Change them on Build</a>, then bring the
        chart.
      {:else}
        This item was written by hand, so nothing says which stop is which: its stops are changed on the
        sheet.
      {/if}
    </p>
  {:else if matching}
    <MatchStage
      {rows}
      {expected}
      {alignment}
      construction={construction?.name ?? ''}
      onfix={(line, keys) =>
        (fixed = [...fixed.filter((match) => match.line !== line), ...(keys ? [{ line, keys }] : [])])}
    />
    <div class="mt-6 flex gap-3">
      <button type="button" class="button" onclick={() => (matching = false)}>Back to the paper</button>
      <button type="button" class="button button-main" onclick={() => void take(found.item)}
        >Take the chart</button
      >
    </div>
  {:else}
    <BringStage
      {papers}
      needed
      unit={found.shop.unit}
      ondocument={() => toast.error('That is a document of its own: open it from the shelf.')}
      onnext={() => (matching = true)}
    />
  {/if}
{:else if bench.value}
  <h1 class="text-3xl">There is no such item.</h1>
  <a href="/items" class="button mt-6">To the shelf</a>
{/if}
