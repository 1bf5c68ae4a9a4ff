<script lang="ts">
  import type { LengthUnit } from '$lib/core/base/units';
  import type { Art, Item } from '$lib/core/documents/item';
  import { appearance, placedIn, stopsInPlace } from '$lib/core/making/appearance';
  import type { StackStep } from '$lib/core/craft/stack';
  import { addPicture } from '$lib/data';
  import { whyNot } from '$lib/core/base/problems';
  import { PICTURE_SIZES, smallPicture } from '$lib/files';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import PickFile from '$lib/ui/PickFile.svelte';
  import ItemPicture from '$lib/ui/picture/ItemPicture.svelte';
  import { Image } from '@lucide/svelte';
  import PlaceArt from './PlaceArt.svelte';

  /** The design’s own picture for stops whose stitches nobody has: chosen, cropped and put in its place by hand. */
  interface Props {
    item: Item;
    trace: StackStep[];
    /** The stop it was opened from. */
    stopId: string;
    unit: LengthUnit;
    freshId: () => string;
    onclose: () => void;
    onkeep: (art: Art | null, id: string) => void;
  }
  let { item, trace, stopId, unit, freshId, onclose, onkeep }: Props = $props();

  const known = $derived(item.art?.find(({ stopIds }) => stopIds.includes(stopId)) ?? null);
  const end = $derived(trace.at(-1)?.state);
  const place = $derived(stopsInPlace(item, stopId));
  // svelte-ignore state_referenced_locally
  let draft = $state<Art | null>(known);
  let problem = $state('');
  const look = $derived(
    end && draft
      ? appearance(end, { ...item, art: [...(item.art ?? []).filter(({ id }) => id !== draft?.id), draft] })
      : null
  );
  const CROPS = [
    { side: 'left', label: 'Crop left, %' },
    { side: 'right', label: 'right, %' },
    { side: 'top', label: 'top, %' },
    { side: 'bottom', label: 'bottom, %' }
  ] as const;
  const MOST_CROPPED = 90;

  async function take(file: File): Promise<void> {
    problem = '';
    try {
      const small = await smallPicture(file, PICTURE_SIZES.design);
      const { id: picture } = await addPicture({ id: freshId(), at: Date.now(), image: small.image });
      draft = { ...placedIn(place.box, small), id: draft?.id ?? freshId(), picture, stopIds: place.stopIds };
    } catch (error) {
      problem = whyNot(error);
    }
  }

  /** Takes more or less off a side; what is left keeps its scale and its middle. */
  function crop(side: (typeof CROPS)[number]['side'], percent: number): void {
    if (!draft) return;
    const { crop: was } = draft;
    const opposite = { left: 'right', right: 'left', top: 'bottom', bottom: 'top' } as const;
    const most = MOST_CROPPED / 100 - was[opposite[side]];
    const now = { ...was, [side]: Math.min(most, Math.max(0, percent / 100)) };
    const [across, down] = [1 - was.left - was.right, 1 - was.top - was.bottom];
    draft = {
      ...draft,
      crop: now,
      width: Math.max(1, (draft.width * (1 - now.left - now.right)) / across),
      height: Math.max(1, (draft.height * (1 - now.top - now.bottom)) / down)
    };
  }
</script>

<DialogFrame open title="The design’s own picture" wide {onclose}>
  <p class="mb-3 text-soft">
    {place.names.join(', ')}: until its stitches are known, the item’s picture shows this here. Nothing that
    is counted changes.
  </p>
  {#if problem}<p class="mb-3 border-l-4 border-hands bg-hands-pale p-3" role="alert">{problem}</p>{/if}
  <div class="grid gap-5 min-[900px]:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
    <div class="relative h-[24rem] rounded border border-rule min-[900px]:h-full">
      {#if look && draft}
        <PlaceArt box={look.box} art={draft} onplace={(at) => draft && (draft = { ...draft, ...at })}>
          <ItemPicture {look} name={item.name} />
        </PlaceArt>
      {:else if end}
        <ItemPicture look={appearance(end, item)} name={item.name} />
      {/if}
    </div>
    <div class="flex flex-col gap-3">
      <PickFile
        label="Picture of the design"
        accept="image/*,application/pdf"
        class="button {draft ? '' : 'button-main'}"
        onfiles={([file]) => file && void take(file)}
        ><Image size={20} aria-hidden="true" />{draft ? 'Another picture' : 'Choose a picture'}</PickFile
      >
      <p class="text-soft">A photo, a drawing, or the first page of a PDF; crop it to the design.</p>
      {#if draft}
        <div class="flex flex-wrap gap-x-4">
          <LengthField
            label="Width"
            {unit}
            value={draft.width}
            onchange={(mm) =>
              mm >= 1 &&
              draft &&
              (draft = { ...draft, width: mm, height: Math.max(1, (draft.height * mm) / draft.width) })}
          />
          <label class="flex flex-col gap-1"
            ><span class="label">Turn, degrees</span><input
              type="number"
              class="field w-24"
              min="-180"
              max="180"
              value={draft.turn}
              onchange={({ currentTarget }) =>
                draft &&
                Number.isFinite(currentTarget.valueAsNumber) &&
                (draft = { ...draft, turn: Math.max(-180, Math.min(180, currentTarget.valueAsNumber)) })}
            /></label
          >
        </div>
        <div class="grid grid-cols-2 gap-x-4 gap-y-2">
          {#each CROPS as { side, label } (side)}
            <label class="flex flex-col"
              ><span class="label">{label}</span><input
                type="range"
                class="h-11"
                min="0"
                max={MOST_CROPPED}
                value={Math.round(draft.crop[side] * 100)}
                oninput={({ currentTarget }) => crop(side, currentTarget.valueAsNumber)}
              /></label
            >
          {/each}
        </div>
        <p class="text-soft">Drag the picture to its place; arrow keys move it by a millimetre.</p>
      {/if}
      <div class="mt-auto flex flex-wrap justify-end gap-3">
        {#if known}<button
            type="button"
            class="button button-quiet"
            onclick={() => known && onkeep(null, known.id)}>Take it out</button
          >{/if}
        <button type="button" class="button button-quiet" onclick={onclose}>Cancel</button>
        <button
          type="button"
          class="button button-main"
          disabled={!draft}
          onclick={() => draft && onkeep(draft, draft.id)}>Keep it</button
        >
      </div>
    </div>
  </div>
</DialogFrame>
