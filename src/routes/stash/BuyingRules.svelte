<script lang="ts">
  import { defaultOffers, type OffcutRule, Offer, type Shop } from '$lib/core/documents/shop';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import type { MaterialKind } from '$lib/core/documents/item';
  import { DIE_LAYERS } from '$lib/core/preparing/cutting';
  import { X } from '@lucide/svelte';
  import { CLOTH_KINDS, KIND_WORDS } from './words';

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
    setOffers((now) => now.map((offer) => (offer.id === id ? { ...offer, ...change } : offer)));
  };
  const setOffers = (change: (offers: Offer[]) => Offer[]): void =>
    onchange((now) => ({ ...now, offers: change(now.offers ?? defaultOffers(now.unit)) }));
  let [newName, newKind, newBy] = $state<[string, MaterialKind, Offer['by']]>(['', 'woven', 'length']);
  function addOffer(): void {
    const added: Offer = {
      id: crypto.randomUUID(),
      name: newName.trim(),
      kinds: [newKind],
      by: newBy,
      width: 1100,
      height: newBy === 'roll' ? 5000 : newBy === 'sheet' ? 500 : 100,
      price: null
    };
    if (!Offer.safeParse(added).success) return;
    setOffers((offers) => [...offers, added]);
    newName = '';
  }
  const BY_WORDS: Record<Offer['by'], string> = {
    length: 'by length',
    sheet: 'by the sheet',
    roll: 'by the roll'
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
    <h2 class="mt-6 text-xl">With a die</h2>
    <div class="mt-1 w-44">
      <NumberField
        label="Layers it takes"
        value={shop.dieLayers ?? DIE_LAYERS}
        onchange={(dieLayers) =>
          dieLayers !== null &&
          dieLayers >= 1 &&
          dieLayers <= 20 &&
          onchange((now) => ({ ...now, dieLayers }))}
      />
    </div>
  </div>
  <div>
    <h2 class="text-xl">What can be bought</h2>
    <p class="text-soft">
      The lengths and sizes your suppliers sell. With a price, the plan buys whatever costs least.
    </p>
    <div class="overflow-x-auto">
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
              <td class="pt-6 pl-2"
                ><button
                  type="button"
                  class="button button-quiet"
                  aria-label="No longer sold: {offer.name}"
                  disabled={offers.length === 1}
                  onclick={() => setOffers((now) => now.filter(({ id }) => id !== offer.id))}
                  ><X size={18} aria-hidden="true" /></button
                ></td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    <form
      class="mt-3 flex flex-wrap items-end gap-3"
      onsubmit={(event) => {
        event.preventDefault();
        addOffer();
      }}
    >
      <label class="flex flex-col gap-1"
        ><span class="label">Also sold</span>
        <input class="field w-56" maxlength="80" placeholder="Half-metre cut" bind:value={newName} /></label
      >
      <label class="flex flex-col gap-1"
        ><span class="label">Material</span>
        <select class="field" bind:value={newKind}
          >{#each CLOTH_KINDS as kind (kind)}<option value={kind}>{KIND_WORDS[kind]}</option>{/each}</select
        ></label
      >
      <label class="flex flex-col gap-1"
        ><span class="label">Sold</span>
        <select class="field" bind:value={newBy}
          >{#each Object.entries(BY_WORDS) as [by, words] (by)}<option value={by}>{words}</option
            >{/each}</select
        ></label
      >
      <button type="submit" class="button" disabled={newName.trim() === ''}>Add it</button>
    </form>
  </div>
</section>
