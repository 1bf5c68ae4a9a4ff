<script lang="ts">
  import type { Item } from '$lib/core/documents/item';
  import type { StackStep } from '$lib/core/craft/stack';
  import { whyOf } from '$lib/core/making/why';

  /** Why a step is as it is; nothing where the step says it itself. */
  let { item, trace, stepId }: { item: Item; trace: StackStep[]; stepId: string | null } = $props();
  const why = $derived(stepId === null ? null : whyOf(item, trace, stepId));
</script>

{#if why}
  <p class="mt-2 border-l-4 border-needle bg-needle-pale px-3 py-1.5 leading-snug">
    <strong>Why?</strong>
    {why}
  </p>
{/if}
