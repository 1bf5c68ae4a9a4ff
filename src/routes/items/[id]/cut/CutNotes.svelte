<script lang="ts">
  import { formatSize } from '$lib/core/base/units';
  import type { Plan } from '$lib/core/documents/plan';
  import type { Shop } from '$lib/core/documents/shop';
  import type { ClothEntry } from '$lib/core/documents/stash';
  import type { Demand, Want } from '$lib/core/preparing/cutting';
  import DieNotes from './DieNotes.svelte';
  import StabiliserTrade from './StabiliserTrade.svelte';

  /** What is not cut from cloth, and what to know before the blade: ready-made things, stabiliser, a die. */
  interface Props {
    wants: readonly Want[];
    demands: readonly Demand[];
    plan: Plan;
    shop: Shop;
    entries: readonly ClothEntry[];
  }
  let { wants, demands, plan, shop, entries }: Props = $props();
</script>

{#each plan.cuts.filter(({ readyMade }) => readyMade) as { pieceId, count, name, material, cut } (pieceId)}
  <p class="border-t border-rule py-2">
    <span class="font-bold">{count} × {name}</span>, {material.name}, {formatSize(cut, shop.unit)}:
    ready-made, fetched and not cut
  </p>
{/each}
<StabiliserTrade {demands} {plan} {shop} {entries} />
<DieNotes {wants} dieLayers={shop.dieLayers} />
<p class="border-t border-rule py-3 text-soft">
  Cut away from yourself, on a mat, and cap the blade each time you put it down.
</p>
