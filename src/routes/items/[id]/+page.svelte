<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import type { Item } from '$lib/core/documents/item';
  import { defaultSetup, type Setup, type Shop } from '$lib/core/documents/shop';
  import { plan } from '$lib/core/making/plan';
  import { changeSetup, clientId, freshId, itemOnBench, live, prepareRun, saveItem } from '$lib/data';
  import { downloadJson } from '$lib/ui/files';
  import { toast } from 'svelte-sonner';
  import Sheet from './Sheet.svelte';

  const bench = live(() => page.params.id ?? '', itemOnBench);
  const found = $derived(bench.value);

  /** Edits that are being stored; the page is not left before they are. */
  let storing = $state(0);

  function keep(work: Promise<void>): void {
    storing += 1;
    void work.catch(notStored).finally(() => (storing -= 1));
  }

  const notStored = (): void => {
    toast.error(
      'The change could not be stored: the browser’s storage may be full. Download the item to keep it.'
    );
  };

  async function start(item: Item, setup: Setup, shop: Shop): Promise<void> {
    const now = Date.now();
    const id = freshId();
    const startedAt = new Date(now).toISOString();
    const snapshot = plan(item, setup, shop);
    try {
      await prepareRun(
        {
          schema: 'jolt-step/run',
          version: 1,
          id,
          itemId: item.id,
          itemName: item.name,
          startedAt,
          finishedAt: null,
          setup,
          plan: snapshot
        },
        now,
        clientId()
      );
    } catch {
      notStored();
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
  {@const setup = found.setup ?? defaultSetup(found.item, found.shop)}
  {#key found.item.id}
    <div class="contents" aria-busy={storing > 0}>
      <Sheet
        saved={found.item}
        {setup}
        shop={found.shop}
        {freshId}
        onsave={(item) => keep(saveItem(item, new Date().toISOString()))}
        onsetup={(wanted) => keep(changeSetup(setup, wanted))}
        onstart={start}
        ondownload={(item) => downloadJson(item.name, item)}
      />
    </div>
  {/key}
{:else if found}
  <h1 class="text-3xl">There is no such item.</h1>
  <a href="/items" class="button mt-6">To the shelf</a>
{/if}
