<script lang="ts">
  import { storageTrouble } from '$lib/data';
</script>

{#if storageTrouble.words !== null}
  <p class="sticky top-0 z-10 border-b-4 border-hands bg-hands-pale px-5 py-3 text-lg" role="alert">
    {storageTrouble.words}
  </p>
{/if}
