<script lang="ts">
  import { defaultOffers, type OffcutRule, Offer, type Shop } from '$lib/core/documents/shop';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import { KIND_WORDS } from './words';

  /** When an offcut is kept, and how materials are sold. */
  let { shop, onchange }: { shop: Shop; onchange: (change: (shop: Shop) => Shop) => void } = $props();

  const offers = $derived(shop.offers ?? defaultOffers(shop.unit));
  const BY: Record<OffcutRule['by'], string> = {
    kind: 'stabiliser when a hoop can use it, the rest by its shorter side',
    ring: 'everything when a hoop can use it',
    side: 'everything by its shorter side'
  };
  const setOffer = (id: string, change: Partial<Offer>): void => {
    const changed = offers.find((offer) => offer.id === id);
    // A width or step of nothing is not kept.
    if (!Offer.safeParse({ ...changed, ...change }).success) return;
    onchange((now) => ({
      ...now,
      offers: (now.offers ?? defaultOffers(now.unit)).map((offer) =>
        offer.id === id ? { ...offer, ...change } : offer
      )
    }));
  };
  const HEIGHTS: Record<Offer['by'], string> = { length: 'Step', sheet: 'Height', roll: 'Length' };
</script>

<section class="mt-8 grid grid-cols-[22rem_minmax(0,1fr)] gap-8 max-[900px]:grid-cols-1" aria-label="Rules">
  <div>
    <h2 class="text-xl">Offcuts worth keeping</h2>
    <p class="mb-2 text-soft">They go back into the stash by themselves when a strip is cut.</p>
    <label class="flex flex-col gap-1"
      ><span class="label">Keep</span>
      <select
        class="field"
        value={shop.offcuts.by}
        onchange={(event) => {
          const by = event.currentTarget.value as OffcutRule['by'];
          onchange((now) => ({ ...now, offcuts: { ...now.offcuts, by } }));
        }}
        >{#each Object.entries(BY) as [by, words] (by)}<option value={by}>{words}</option>{/each}</select
      ></label
    >
    <div class="mt-2 flex gap-4">
      <LengthField
        label="Shorter side from"
        unit={shop.unit}
        value={shop.offcuts.side}
        onchange={(side) => onchange((now) => ({ ...now, offcuts: { ...now.offcuts, side } }))}
      />
      <LengthField
        label="Round the ring"
        unit={shop.unit}
        value={shop.offcuts.margin}
        onchange={(margin) => onchange((now) => ({ ...now, offcuts: { ...now.offcuts, margin } }))}
      />
    </div>
  </div>
  <div>
    <h2 class="text-xl">What can be bought</h2>
    <p class="text-soft">Steps and sizes of your shops. With a price the plan takes what is cheapest.</p>
    <table class="mt-1 w-full border-collapse text-left">
      <tbody class="border-t-[1.5px] border-ink">
        {#each offers as offer (offer.id)}
          <tr class="border-b border-rule align-top">
            <td class="py-1 pr-4 font-bold">{offer.name}</td>
            <td class="pr-4 text-soft"
              >{offer.kinds.length > 3
                ? 'several kinds'
                : offer.kinds.map((kind) => KIND_WORDS[kind]).join(', ')}</td
            >
            <td class="pr-2"
              ><LengthField
                label="Width"
                unit={shop.unit}
                value={offer.width}
                onchange={(width) => setOffer(offer.id, { width })}
              /></td
            >
            <td class="pr-2"
              ><LengthField
                label={HEIGHTS[offer.by]}
                unit={shop.unit}
                value={offer.height}
                onchange={(height) => setOffer(offer.id, { height })}
              /></td
            >
            <td class="w-44"
              ><NumberField
                label="Price of {offer.by === 'length'
                  ? 'a step'
                  : offer.by === 'roll'
                    ? 'a roll'
                    : 'a sheet'}"
                whole={false}
                value={offer.price}
                empty="unknown"
                onchange={(price) => setOffer(offer.id, { price })}
              /></td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</section>
