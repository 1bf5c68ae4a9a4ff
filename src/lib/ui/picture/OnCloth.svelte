<script lang="ts">
  import type { Item } from '$lib/core/documents/item';
  import { appearance, threadsOnCloth } from '$lib/core/making/appearance';
  import type { StackStep } from '$lib/core/craft/stack';

  /** How the thread of a stop stands against the cloths under it, in words. */
  let { item, trace, stepId }: { item: Item; trace: StackStep[]; stepId: string | null } = $props();

  const last = $derived(trace.at(-1)?.state);
  const words = $derived(
    last
      ? threadsOnCloth(appearance(last, item))
          .filter((each) => each.stepId === stepId && each.side === 'front')
          .flatMap(({ cloths }) => cloths.map(({ name, contrast }) => `${contrast} on ${name}`))
          .join(', ')
      : ''
  );
</script>

{#if words}<small class="block text-sm font-normal text-soft">{words}</small>{/if}
