<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import { X } from '@lucide/svelte';
  import { TOUR, tour } from './tour.svelte';

  /** The first visit, in place: what this page is for, and the next one. */
  async function to(at: number): Promise<void> {
    const stop = tour.go(at);
    if (stop) await goto(stop.path);
  }
  const here = $derived(tour.stop?.path === page.url.pathname);

  // What is spoken of is marked once it is on the page.
  $effect(() => {
    const marks = here ? tour.stop?.marks : undefined;
    if (marks === undefined) return;
    let marked: Element | null = null;
    const look = (): void => {
      if (marked?.isConnected) return;
      marked = document.querySelector(marks);
      marked?.classList.add('toured');
    };
    look();
    const watching = new MutationObserver(look);
    watching.observe(document.body, { childList: true, subtree: true });
    return () => {
      watching.disconnect();
      marked?.classList.remove('toured');
    };
  });
</script>

{#if tour.stop && tour.at !== null}
  {@const at = tour.at}
  <div class="h-40" aria-hidden="true"></div>
  <aside class="tour" aria-label="First visit">
    <div class="min-w-0 flex-1">
      <p class="head text-lg">
        {tour.stop.title} <span class="text-sm font-normal text-soft">{at + 1} of {TOUR.length}</span>
      </p>
      <p class="leading-snug">{tour.stop.words}</p>
    </div>
    {#if !here}<button type="button" class="button" onclick={() => void to(at)}>Go there</button>
    {:else if at > 0}<button type="button" class="button" onclick={() => void to(at - 1)}>Before</button>{/if}
    {#if at < TOUR.length - 1}
      <button type="button" class="button button-main" onclick={() => void to(at + 1)}>Next</button>
    {:else}
      <button type="button" class="button button-main" onclick={() => tour.go(null)}>Finish</button>
    {/if}
    <button
      type="button"
      class="button button-quiet"
      aria-label="Leave the first visit; the guide has it"
      title="Leave the first visit; the guide has it"
      onclick={() => tour.go(null)}><X size={20} aria-hidden="true" /></button
    >
  </aside>
{/if}

<style>
  .tour {
    position: fixed;
    right: 1rem;
    bottom: 1rem;
    z-index: 20;
    display: flex;
    flex-wrap: wrap;
    gap: 0.75rem;
    align-items: center;
    width: min(46rem, calc(100vw - 2rem));
    padding: 1rem 1.25rem;
    border: 2px solid var(--needle);
    border-radius: 8px;
    background: var(--sheet);
    box-shadow: 0 6px 24px rgb(0 0 0 / 18%);
  }
  @media (max-width: 900px) {
    .tour {
      bottom: 5.5rem;
    }
  }
  :global(.toured) {
    outline: 3px solid var(--needle);
    outline-offset: 4px;
    border-radius: 4px;
  }
</style>
