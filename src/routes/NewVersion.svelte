<script lang="ts">
  import { page } from '$app/state';
  import { useRegisterSW } from 'virtual:pwa-register/svelte';

  /** Keeps the application in the browser for when the server is away; a new version is offered, never during a run. */
  const { needRefresh, updateServiceWorker } = useRegisterSW();
  const atMachine = $derived(page.url.pathname.startsWith('/run/'));
  let later = $state(false);
</script>

{#if $needRefresh && !atMachine && !later}
  <aside class="offer" aria-label="A new version">
    <p class="mr-auto">A new version of Jolt Step is here. What you have kept stays as it is.</p>
    <button type="button" class="button" onclick={() => (later = true)}>Later</button>
    <button type="button" class="button button-main" onclick={() => void updateServiceWorker(true)}
      >Update now</button
    >
  </aside>
{/if}

<style>
  .offer {
    position: fixed;
    right: 1rem;
    bottom: 1rem;
    z-index: 30;
    display: flex;
    flex-wrap: wrap;
    gap: 0.75rem;
    align-items: center;
    max-width: 36rem;
    padding: 1rem;
    border: 2px solid var(--ink);
    border-radius: 8px;
    background: var(--sheet);
  }
</style>
