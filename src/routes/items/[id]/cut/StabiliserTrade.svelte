<script lang="ts">
  import { formatLength, formatSize } from '$lib/core/base/units';
  import { isStabiliserKind } from '$lib/core/documents/item';
  import type { Plan } from '$lib/core/documents/plan';
  import { defaultOffers, type Shop } from '$lib/core/documents/shop';
  import type { ClothEntry } from '$lib/core/documents/stash';
  import { type Demand, reuseSpot, rollWays } from '$lib/core/preparing/cutting';

  /** Which way round to cut what the ring holds, off which roll, and what the offcuts are good for. */
  interface Props {
    demands: readonly Demand[];
    plan: Plan;
    shop: Shop;
    entries: readonly ClothEntry[];
  }
  let { demands, plan, shop, entries }: Props = $props();

  const length = (mm: number): string => formatLength(mm, shop.unit);
  const hooped = $derived(
    demands.filter(({ hooped: held, material }) => held && isStabiliserKind(material.kind))
  );
  const trades = $derived(
    hooped.map((demand) => {
      const own = entries.filter(({ kind, form }) => kind === demand.material.kind && form === 'roll');
      const sold = (shop.offers ?? defaultOffers(shop.unit))
        .filter(({ by, kinds }) => by === 'roll' && kinds.includes(demand.material.kind))
        .filter(({ width }) => !own.some((roll) => Math.abs(roll.width - width) < 1));
      const again = entries.find(
        (entry) =>
          entry.kind === demand.material.kind &&
          entry.stitched.length > 0 &&
          reuseSpot(entry, plan.hoop, plan.finished)
      );
      const spot = again && reuseSpot(again, plan.hoop, plan.finished);
      return {
        demand,
        ways: rollWays(demand.cut, demand.margin, [...own, ...sold], shop.hoops).slice(0, 4),
        ownIds: new Set(own.map(({ id }) => id)),
        again: again && spot ? { entry: again, spot } : undefined
      };
    })
  );
</script>

{#each trades as { demand, ways, ownIds, again } (demand.key)}
  <section class="border-t-[1.5px] border-ink py-3" aria-label="{demand.material.name} off the roll">
    <h3 class="text-xl">
      {demand.name} for {plan.hoop.name.toLowerCase()}: {formatSize(demand.cut, shop.unit)} off the roll
    </h3>
    {#if again}
      <p class="my-1 border-l-4 border-needle px-3 py-1">
        {again.entry.name}{again.entry.place ? `, ${again.entry.place.toLowerCase()},` : ''} can be hooped again:
        the ring{again.spot.turned ? ', turned a quarter,' : ''}
        {again.spot.x === 0 ? 'at its left edge' : `${length(again.spot.x)} from its left edge`} and {again
          .spot.y === 0
          ? 'at the top'
          : `${length(again.spot.y)} from the top`}.
      </p>
    {/if}
    <table class="w-full border-collapse text-left">
      <thead>
        <tr class="border-b border-rule-strong text-soft">
          <th scope="col" class="py-1 pr-4 font-normal">Roll</th>
          <th scope="col" class="pr-4 font-normal">Across it lies</th>
          <th scope="col" class="pr-4 font-normal">Side by side</th>
          <th scope="col" class="pr-4 font-normal">A metre gives</th>
          <th scope="col" class="pr-4 font-normal">Offcut of each row</th>
          <th scope="col" class="font-normal">Leave a little more?</th>
        </tr>
      </thead>
      <tbody>
        {#each ways as way, at (`${way.rollId} ${way.longAcross}`)}
          <tr class="border-b border-rule {at === 0 ? 'font-bold' : ''}">
            <td class="py-1.5 pr-4"
              >{length(way.rollWidth)} wide{ownIds.has(way.rollId) ? '' : ', to buy'}{at === 0
                ? ' ← least spent'
                : ''}</td
            >
            <td class="pr-4"
              >{demand.cut.width === demand.cut.height
                ? 'either side'
                : way.longAcross
                  ? 'the long side'
                  : 'the short side'}</td
            >
            <td class="pr-4">{way.across}</td>
            <td class="pr-4">{way.perMetre}</td>
            <td class="pr-4"
              >{way.offcut.width < 1 ? 'none' : formatSize(way.offcut, shop.unit)}{way.offcutFits === null
                ? ''
                : `: serves the ${way.offcutFits.toLowerCase()}`}</td
            >
            <td>
              {#if way.leaveMore}{length(way.leaveMore.mm)} more and the offcut serves the {way.leaveMore.hoop.toLowerCase()}{:else}no
                use{/if}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
{/each}
