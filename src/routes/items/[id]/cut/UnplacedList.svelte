<script lang="ts">
  import type { Unplaced } from '$lib/core/preparing/cutting';

  /** Pieces no cloth takes, why, and the nearest way out. */
  let { unplaced }: { unplaced: readonly Unplaced[] } = $props();
</script>

{#each unplaced as { key, name, count, why, wayOut } (key)}
  <p class="my-2 border-l-4 border-hands bg-hands-pale px-3 py-2" role="alert">
    <b>{count} × {name}</b> found no place. {why}
    {wayOut}
  </p>
{/each}
