<script lang="ts">
  import { BLOCK_GROUPS, type Offer } from '$lib/core/craft/blocks';
  import { Plus } from '@lucide/svelte';

  /** The blocks that can be put in at a place, those possible now first; what each would do is drawn before it is taken. */
  interface Props {
    offers: Offer[];
    /** The kind that is looked at. */
    tried: string | null;
    place: string;
    ontry: (kind: string) => void;
    onadd: (kind: string) => void;
  }
  let { offers, tried, place, ontry, onadd }: Props = $props();

  const possible = $derived(
    BLOCK_GROUPS.map((group) => ({
      group,
      offers: offers.filter(({ block, refusal }) => block.group === group && refusal === null)
    })).filter((each) => each.offers.length > 0)
  );
  const refused = $derived(offers.filter(({ refusal }) => refusal !== null));
</script>

<h2 class="text-2xl">Put in {place}</h2>
<p class="text-soft">Point at a block to see what it would do, press it to take it.</p>
<div class="mt-3 flex flex-col gap-3">
  {#each possible as { group, offers: own } (group)}
    <fieldset>
      <legend class="label">{group}</legend>
      <ul class="mt-1 flex flex-col gap-1">
        {#each own as { block } (block.kind)}
          <li>
            <button
              type="button"
              class="flex min-h-11 w-full items-center gap-3 rounded-md border-[1.5px] px-3 py-1 text-left leading-tight {tried ===
              block.kind
                ? 'border-ink bg-sheet'
                : 'border-rule-strong'}"
              onpointerenter={() => ontry(block.kind)}
              onfocus={() => ontry(block.kind)}
              onclick={() => onadd(block.kind)}
            >
              <Plus size={18} aria-hidden="true" />
              <span class="min-w-0 flex-1"
                ><span class="font-bold">{block.name}</span>{#if tried === block.kind}<span
                    class="block text-sm text-soft">{block.summary}</span
                  >{/if}</span
              >
            </button>
          </li>
        {/each}
      </ul>
    </fieldset>
  {/each}
  {#if refused.length > 0}
    <details>
      <summary class="min-h-11 cursor-pointer py-2 text-soft"
        >Not possible here: {refused.length}, and why</summary
      >
      <ul class="flex flex-col gap-1.5">
        {#each refused as { block, refusal } (block.kind)}
          <li class="border-l-4 border-rule-strong px-3 leading-tight">
            <span class="font-bold">{block.name}</span>
            <span class="block text-sm text-soft">{refusal?.why} {refusal?.repair}</span>
          </li>
        {/each}
      </ul>
    </details>
  {/if}
</div>
