<script lang="ts">
  import EmptyState from '$lib/ui/EmptyState.svelte';
  import PickFile from '$lib/ui/PickFile.svelte';
  import type { StashEntry } from '$lib/core/documents/stash';
  import {
    changeShop,
    changeStash,
    freshId,
    getShop,
    importStash,
    listStash,
    live,
    stashDocument
  } from '$lib/data';
  import { stashCsv } from '$lib/files';
  import { download, downloadJson, fileName, MAX_ITEM_BYTES } from '$lib/ui/files';
  import { Download, Plus, ShoppingBasket, Upload } from '@lucide/svelte';
  import { toast } from 'svelte-sonner';
  import { carried } from '$lib/core/documents/changes';
  import UndoBar from '../UndoBar.svelte';
  import { keepEdit } from '../undo';
  import BuyingRules from './BuyingRules.svelte';
  import EntryDialog from './EntryDialog.svelte';
  import { blankCloth, blankCounted, blankThread, GROUPS, kindWords, leftOf } from './words';

  const stored = live(
    () => null,
    async () => ({ entries: await listStash(), shop: await getShop() })
  );
  const entries = $derived(stored.value?.entries ?? []);
  const shop = $derived(stored.value?.shop);
  let search = $state('');
  let editing = $state<StashEntry | null>(null);

  const shown = $derived(
    entries.filter((entry) =>
      `${entry.name} ${entry.place} ${kindWords(entry)}`.toLowerCase().includes(search.trim().toLowerCase())
    )
  );
  const groups = $derived(
    GROUPS.map((group) => ({ ...group, entries: shown.filter((entry) => group.holds(entry)) })).filter(
      (group) => group.entries.length > 0
    )
  );

  async function remove(entry: StashEntry): Promise<void> {
    await keepEdit(
      changeStash(entry.id, () => null, `taking out ${entry.name}`),
      `${entry.name} is gone from the stash.`
    );
  }
  async function bringIn(file: File | undefined): Promise<void> {
    if (!file) return;
    if (file.size > MAX_ITEM_BYTES) {
      toast.error(`${file.name} is larger than a stash can be, so it was not read.`);
      return;
    }
    const read = await importStash(await file.text());
    if (read.ok) toast.success(`${read.added} lines came in; what was here stays as it was.`);
    else toast.error(read.error.message);
  }
</script>

<svelte:head><title>Stash · Jolt Step</title></svelte:head>

{#if shop}
  <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
    <h1 class="text-3xl">Stash</h1>
    <input
      class="field w-64"
      type="search"
      placeholder="Name, kind or place"
      aria-label="Look for"
      bind:value={search}
    />
    <div class="ml-auto flex flex-wrap gap-2">
      <UndoBar />
      <a href="/stash/shopping" class="button"><ShoppingBasket size={20} aria-hidden="true" />Shopping list</a
      >
      <PickFile
        label="Stash to bring in"
        accept="application/json,.json"
        class="button button-quiet"
        onfiles={([file]) => void bringIn(file)}><Upload size={20} aria-hidden="true" />Bring in</PickFile
      >
      <button
        type="button"
        class="button button-quiet"
        onclick={async () => downloadJson('stash', await stashDocument())}
        ><Download size={20} aria-hidden="true" />Save as file</button
      >
      <button
        type="button"
        class="button button-quiet"
        onclick={() => download(fileName('stash', 'csv'), stashCsv(entries), 'text/csv')}>As CSV</button
      >
    </div>
  </div>
  <div class="mt-3 flex flex-wrap items-center gap-2">
    <span class="text-soft">Put in</span>
    <button type="button" class="button button-main" onclick={() => (editing = blankCloth(freshId()))}
      ><Plus size={20} aria-hidden="true" />Cloth or stabiliser</button
    >
    <button type="button" class="button" onclick={() => (editing = blankThread(freshId()))}
      ><Plus size={20} aria-hidden="true" />Thread</button
    >
    <button type="button" class="button" onclick={() => (editing = blankCounted(freshId()))}
      ><Plus size={20} aria-hidden="true" />Zip, bobbin, needle, notion</button
    >
  </div>

  {#if entries.length === 0}
    <EmptyState picture="stash"
      ><p>
        Nothing is in the stash yet. Put in what lies in your cupboard: the cutting plan uses offcuts first,
        and the shopping list leaves out what you have. Each strip you mark as cut is taken off by itself.
      </p></EmptyState
    >
  {:else if groups.length === 0}
    <p class="mt-8 text-lg">Nothing in the stash is called “{search}”.</p>
  {/if}
  {#each groups as { name, entries: own } (name)}
    <section class="mt-5" aria-label={name}>
      <h2 class="text-xl">{name}</h2>
      <div class="overflow-x-auto">
        <table class="mt-1 w-full border-collapse text-left">
          <thead class="sr-only"
            ><tr
              ><th scope="col">Name</th><th scope="col">What it is</th><th scope="col">Left</th><th
                scope="col">Where</th
              ><th scope="col">Price</th><th scope="col">Change</th></tr
            ></thead
          >
          <tbody class="border-t-[1.5px] border-ink">
            {#each own as entry (entry.id)}
              {@const left = leftOf(entry, shop.unit)}
              <tr class="border-b border-rule">
                <td class="w-[26%] py-1.5 pr-4"
                  ><span class="flex items-center gap-2.5"
                    ><span
                      class="inline-block size-5 shrink-0 border-[1.5px] border-ink"
                      style:background={entry.colour}
                    ></span><button
                      type="button"
                      class="min-h-11 text-left font-bold underline-offset-2 hover:underline"
                      onclick={() => (editing = entry)}>{entry.name}</button
                    ></span
                  ></td
                >
                <td class="w-[25%] pr-4 text-soft">{kindWords(entry)}</td>
                <td class="head w-[20%] pr-4 text-lg whitespace-nowrap"
                  >{left.words}{#if left.low}<span class="ml-2 text-sm text-hands">running out</span>{/if}</td
                >
                <td class="w-[13%] pr-4">{entry.place}</td>
                <td class="pr-4 text-right whitespace-nowrap"
                  >{entry.price === null ? '' : `${entry.price.toFixed(2)}${left.per}`}</td
                >
                <td class="text-right"
                  ><button
                    type="button"
                    class="button button-quiet px-2"
                    onclick={() => void remove(entry)}
                    aria-label="Take {entry.name} out of the stash">Take out</button
                  ></td
                >
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
    </section>
  {/each}

  <BuyingRules {shop} onchange={(change) => void keepEdit(changeShop(change))} />

  {#if editing}
    {#key editing.id}
      <EntryDialog
        entry={editing}
        unit={shop.unit}
        known={entries.some(({ id }) => id === editing?.id)}
        onkeep={async (entry) => {
          const shown = editing;
          const known = entries.some(({ id }) => id === entry.id);
          // Only what the form changed goes to the line as it stands now.
          const change = (now: StashEntry | null): StashEntry =>
            now && shown ? carried(shown, entry, now) : entry;
          const words = known ? `a change · ${entry.name}` : `adding ${entry.name}`;
          if (await keepEdit(changeStash(entry.id, change, words))) editing = null;
        }}
        onclose={() => (editing = null)}
      />
    {/key}
  {/if}
{/if}
