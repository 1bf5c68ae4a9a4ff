<script lang="ts">
  import { report } from '../../report';
  import { RUN_VERSION } from '$lib/core/documents/run';
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import type { Item } from '$lib/core/documents/item';
  import { defaultSetup, inVariant, type Setup, type Shop } from '$lib/core/documents/shop';
  import { plan } from '$lib/core/making/plan';
  import {
    changeItem,
    changeItemAndSetup,
    changeSetup,
    clientId,
    freshId,
    itemFile,
    itemOnBench,
    live,
    prepareRun,
    putAway
  } from '$lib/data';
  import { downloadJson } from '$lib/ui/files';
  import { keepEdit } from '../../undo';
  import NotReadable from './NotReadable.svelte';
  import Sheet from './Sheet.svelte';

  const bench = live(() => page.params.id ?? '', itemOnBench);
  const found = $derived(bench.value);

  /** Edits that are being stored; the page is not left before they are. */
  let storing = $state(0);

  function keep(work: Promise<void>, said?: string): void {
    storing += 1;
    void keepEdit(work, said).finally(() => (storing -= 1));
  }

  /** Another variant brings the hoop of its own size, unless one is chosen with it. */
  function setUp(item: Item, { hoops }: Shop, change: Partial<Setup>): void {
    const { variantId } = change;
    const made = (now: Setup): Setup => ({
      ...(variantId === undefined ? now : inVariant(now, item, hoops, variantId)),
      ...change
    });
    keep(changeSetup(item.id, made));
  }
  function addVariant(id: string, { hoops }: Shop, change: (item: Item) => Item, variantId: string): void {
    const chosen = (now: Setup, changed: Item): Setup => inVariant(now, changed, hoops, variantId);
    keep(changeItemAndSetup(id, change, chosen, 'a variant'));
  }

  async function start(item: Item, setup: Setup, shop: Shop): Promise<void> {
    const now = Date.now();
    const id = freshId();
    const startedAt = new Date(now).toISOString();
    const snapshot = plan(item, setup, shop);
    try {
      await prepareRun(
        {
          schema: 'jolt-step/run',
          version: RUN_VERSION,
          id,
          itemId: item.id,
          itemName: item.name,
          startedAt,
          finishedAt: null,
          setup,
          plan: snapshot,
          item
        },
        now,
        clientId()
      );
    } catch (problem) {
      report(problem, 'The run was not begun.');
      return;
    }
    await goto(`/run/${id}`);
  }
</script>

<svelte:window
  onbeforeunload={(event) => {
    if (storing > 0) event.preventDefault();
  }}
/>

{#if found?.item}
  {@const { item, shop } = found}
  {@const setup = found.setup ?? defaultSetup(item, shop)}
  {#key item.id}
    <!-- What goes wrong with one item is said of that item, and it can still be taken along or put away. -->
    <svelte:boundary>
      <div class="contents" aria-busy={storing > 0}>
        <Sheet
          {item}
          {setup}
          {shop}
          {freshId}
          onedit={(change, said) => keep(changeItem(item.id, change), said)}
          onsetup={(change) => setUp(item, shop, change)}
          onvariant={(change, variantId) => addVariant(item.id, shop, change, variantId)}
          onstart={start}
          ondownload={(whole) => downloadJson(whole.name, itemFile(whole, setup, shop))}
        />
      </div>
      {#snippet failed(problem)}
        <NotReadable
          name={item.name}
          problem="This item cannot be planned as it stands: {problem instanceof Error
            ? problem.message
            : ''}"
          ondownload={() => downloadJson(item.name, itemFile(item, setup, shop))}
          onputaway={() => putAway('item', item.id, true, `putting away · ${item.name}`)}
        />
      {/snippet}
    </svelte:boundary>
  {/key}
{:else if found?.aside}
  {@const { name, problem, row } = found.aside}
  <NotReadable
    {name}
    {problem}
    ondownload={() => downloadJson(name, row)}
    onputaway={() => putAway('item', page.params.id ?? '', true, `putting away · ${name}`)}
  />
{:else if found}
  <h1 class="text-3xl">There is no such item.</h1>
  <a href="/items" class="button mt-6">To the shelf</a>
{/if}
