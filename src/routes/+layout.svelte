<script lang="ts">
  import { report, reportUncaught } from './report';
  import '../app.css';
  import { page } from '$app/state';
  import {
    bringInDemo,
    clearPictures,
    demoWasLoaded,
    getPicture,
    isEmpty,
    live,
    openOrders,
    serverOffersDemo,
    shelfRows,
    watchStorage
  } from '$lib/data';
  import { followSummaries } from '$lib/workers';
  import { picturesFrom } from '$lib/ui/picture/photos.svelte';
  import { dialogs } from '$lib/ui/dialogs.svelte';
  import Rail from '$lib/ui/Rail.svelte';
  import Palette from '$lib/ui/Palette.svelte';
  import KeysHelp from './KeysHelp.svelte';
  import NewVersion from './NewVersion.svelte';
  import StorageNotice from './StorageNotice.svelte';
  import TourBar from './TourBar.svelte';
  import { onUndoKey } from './undo';
  import { Toaster } from 'svelte-sonner';
  import { onMount, type Snippet } from 'svelte';

  let { children }: { children: Snippet } = $props();
  let finding = $state(false);
  /** What the palette can go to, read when it opens. */
  const items = live(
    () => finding,
    async (wanted) => (wanted ? shelfRows() : [])
  );
  const orders = live(
    () => finding,
    async (wanted) => (wanted ? openOrders() : [])
  );
  picturesFrom(getPicture);
  watchStorage();
  const atMachine = $derived(page.url.pathname.startsWith('/run/'));

  // An empty workroom has nothing to summarise.
  const empty = live(() => null, isEmpty);
  $effect(() => (empty.value === false ? followSummaries() : undefined));
  onMount(reportUncaught);
  onMount(async () => {
    void clearPictures(Date.now());
    // A server started for showing fills an empty browser once; what is there is never touched.
    try {
      if ((await demoWasLoaded()) || !(await isEmpty()) || !(await serverOffersDemo())) return;
      await bringInDemo();
    } catch (error) {
      report(error, 'The demo could not be brought in.');
    }
  });
</script>

<svelte:head><title>Jolt Step</title></svelte:head>

<!-- At the machine nothing is edited, so nothing is taken back there. -->
<svelte:window onkeydown={(event) => !atMachine && onUndoKey(event)} />

<StorageNotice />
{#if atMachine}
  {@render children()}
{:else}
  <a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-10 focus:bg-sheet focus:p-3"
    >To the page</a
  >
  <div class="flex min-h-screen max-[900px]:flex-col-reverse print:block">
    <Rail />
    <main
      id="main"
      tabindex="-1"
      class="min-w-0 flex-1 px-7 py-5 outline-none max-[900px]:px-5 max-[900px]:pb-24 print:p-0"
    >
      {@render children()}
    </main>
  </div>
  <TourBar />
  <KeysHelp />
  <Palette items={items.value ?? []} orders={orders.value ?? []} bind:open={finding} />
{/if}
<NewVersion />
<!-- The buttons of a dialog stand at its lower right. -->
<Toaster position={dialogs.open > 0 ? 'top-right' : 'bottom-right'} closeButton duration={12_000} />
