<script lang="ts">
  import { report } from '../../../report';
  import { goto } from '$app/navigation';
  import type { Item } from '$lib/core/documents/item';
  import { defaultSetup, type Shop } from '$lib/core/documents/shop';
  import { trialCloth, trialFor, trialItem, trialWords } from '$lib/core/running/trial';
  import { addItem, freshId } from '$lib/data';
  import { FlaskConical } from '@lucide/svelte';

  /** A small trial before a costly item, and what the last one showed. */
  let { item, shop }: { item: Item; shop: Shop } = $props();

  const cloth = $derived(trialCloth(item));
  const known = $derived(trialFor(shop, item));
  const STRETCHES = new Set(['knit', 'fleece', 'towelling']);

  async function make(): Promise<void> {
    if (!cloth) return;
    try {
      const stretches = STRETCHES.has(cloth.kind);
      const made = trialItem(
        { cloth, threads: item.threads, stabiliser: stretches ? 'cutaway' : 'tear-away', of: item.id },
        {
          id: freshId(),
          name: `Test for ${item.name}`.slice(0, 120),
          now: new Date().toISOString()
        }
      );
      await addItem(made, defaultSetup(made, shop));
      await goto(`/items/${made.id}`);
    } catch (error) {
      report(error, 'The test could not be made.');
    }
  }
</script>

{#if cloth && !item.trial}
  <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
    <button type="button" class="button" onclick={() => void make()}
      ><FlaskConical size={18} aria-hidden="true" />Make a test stitch first</button
    >
    <p class="min-w-64 flex-1 text-soft">
      {known
        ? `Your last test on ${known.cloth}: ${trialWords(known).join(' ')}`
        : `H shapes and columns for the tension, four densities, four overlaps and a square to cut, on ${cloth.name}: ten minutes.`}
    </p>
  </div>
{/if}
