<script lang="ts">
  import { formatSize, type LengthUnit } from '$lib/core/base/units';
  import type { ClothPhoto } from '$lib/core/documents/item';
  import { addPicture, freshId } from '$lib/data';
  import { whyNot } from '$lib/core/base/problems';
  import { PICTURE_SIZES, smallPicture } from '$lib/files';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import PickFile from '$lib/ui/PickFile.svelte';
  import { photoUrl, wantPhotos } from '$lib/ui/picture/photos.svelte';
  import { Camera, X } from '@lucide/svelte';

  /** A photo of a cloth and how much of it the photo shows, so that its print is drawn true to size. */
  interface Props {
    photo: ClothPhoto | undefined;
    unit: LengthUnit;
    onchange: (photo: ClothPhoto | undefined) => void;
  }
  let { photo, unit, onchange }: Props = $props();

  /** What a photo of a cloth shows across until the maker has measured it, mm. */
  const USUAL = 200;
  let problem = $state('');
  $effect(() => {
    if (photo) wantPhotos([photo.picture]);
  });
  const url = $derived(photo && photoUrl(photo.picture));

  async function take(file: File): Promise<void> {
    problem = '';
    try {
      const small = await smallPicture(file, PICTURE_SIZES.cloth);
      const { id } = await addPicture({ id: freshId(), at: Date.now(), image: small.image });
      const width = photo?.width ?? USUAL;
      onchange({ picture: id, width, height: Math.max(1, (width * small.height) / small.width) });
    } catch (error) {
      problem = whyNot(error);
    }
  }
</script>

<div class="flex flex-wrap items-end gap-x-5 gap-y-3">
  {#if photo && url}
    <img src={url} alt="The cloth" class="h-24 max-w-40 rounded border border-rule-strong object-cover" />
    <LengthField
      label="The photo shows, across"
      {unit}
      value={photo.width}
      onchange={(mm) =>
        mm > 0 && photo && onchange({ ...photo, width: mm, height: (photo.height * mm) / photo.width })}
    />
    <p class="pb-2.5 text-soft">that is {formatSize(photo, unit)} of cloth</p>
  {/if}
  <PickFile label="Photo of the cloth" accept="image/*" onfiles={([file]) => file && void take(file)}
    ><Camera size={20} aria-hidden="true" />{photo ? 'Another photo' : 'Photo of the cloth'}</PickFile
  >
  {#if photo}<button
      type="button"
      class="button button-quiet"
      aria-label="No photo of the cloth"
      onclick={() => onchange(undefined)}><X size={18} aria-hidden="true" /></button
    >{/if}
</div>
{#if problem}<p class="mt-1 text-hands" role="alert">{problem}</p>{/if}
{#if photo && url}<p class="mt-1 text-sm text-soft">
    Lay a ruler on the cloth for the photo, then say how much cloth it shows from its left to its right edge.
  </p>{/if}
