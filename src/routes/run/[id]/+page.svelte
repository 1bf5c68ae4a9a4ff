<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { foldRun } from '$lib/core/run';
  import { appendEvent, clientId, eventsOf, getItem, getRun, live, type EventDraft } from '$lib/data';
  import { toast } from 'svelte-sonner';
  import RunScreen from './RunScreen.svelte';

  const run = live(
    () => page.params.id ?? '',
    async (id) => ({ head: await getRun(id), events: await eventsOf(id) })
  );
  const head = $derived(run.value?.head);
  const item = live(
    () => head?.itemId,
    async (id) => (id === undefined ? undefined : getItem(id))
  );
  const folded = $derived(head && foldRun(head.plan.steps, run.value?.events ?? []));

  // A run that is over, here or on another screen, stands in the log.
  $effect(() => {
    if (head && (folded?.phase === 'finished' || folded?.phase === 'stopped-early'))
      void goto(`/log/${head.id}`);
  });

  /**
   * Stores what was pressed; the screen follows the store. Nothing locks a press out: one that bounces names the step
   * that was on the screen, and the fold counts a step done once.
   */
  async function write(draft: EventDraft): Promise<void> {
    if (!head) return;
    try {
      await appendEvent(head.id, draft, Date.now(), clientId());
    } catch {
      toast.error(
        'This could not be stored, so the screen has not moved. The browser’s storage may be full.'
      );
    }
  }
</script>

<svelte:head><title>{head?.itemName ?? 'Run'} · Jolt Step</title></svelte:head>

{#if head && folded}
  <RunScreen
    {head}
    state={folded}
    item={item.value}
    onevent={(draft) => void write(draft)}
    onleave={() => void goto('/')}
  />
{:else if run.value}
  <main class="p-10">
    <h1 class="text-3xl">There is no such run.</h1>
    <a href="/" class="button mt-6">To the bench</a>
  </main>
{/if}
