<script lang="ts">
  import type { Interpreted } from '$lib/workers';

  /** What a sheet comes to. */
  let { name, told }: { name: string; told: Interpreted | null } = $props();
</script>

<p class="w-full text-lg">
  {name || 'It'} can be stitched as its sheet says: {told?.steps.length} steps{told?.findings.length
    ? `, ${told.findings.length} of them to look at`
    : ''}.
</p>
