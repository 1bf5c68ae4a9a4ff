<script lang="ts">
  import PickFile from '$lib/ui/PickFile.svelte';
  import type { Item } from '$lib/core/documents/item';
  import type { Run } from '$lib/core/documents/run';
  import {
    addPhoto,
    addPicture,
    changeItem,
    freshId,
    getItem,
    live,
    markRun,
    photosOf,
    removePhoto,
    type Photo
  } from '$lib/data';
  import { report } from '../../report';
  import { PICTURE_SIZES, smallPicture } from '$lib/files';
  import { keepEdit } from '../../undo';
  import { Camera, Image, X } from '@lucide/svelte';
  import { toast } from 'svelte-sonner';

  /** What the maker adds to a run that is over: a note, photos, and whether it teaches. */
  let { run }: { run: Run } = $props();
  const photos = live(() => run.id, photosOf);

  /** Pixels of a photo on a card. */
  const CARD = 640;
  /** An address for each photo as long as it is shown. */
  const shown = $derived(
    (photos.value ?? []).map((photo) => ({ photo, url: URL.createObjectURL(photo.image) }))
  );
  $effect(() => {
    const made = shown;
    return () => made.forEach(({ url }) => URL.revokeObjectURL(url));
  });

  async function add(image: File): Promise<void> {
    try {
      const small = await smallPicture(image, PICTURE_SIZES.photo);
      await addPhoto({
        id: freshId(),
        runId: run.id,
        at: Date.now(),
        stepId: null,
        name: image.name,
        image: small.image
      });
    } catch (error) {
      report(error, 'The photo is not kept.');
    }
  }
  /** The item of the run, to know whether a photo takes the place of its drawn picture. */
  const item = live(
    () => run.itemId,
    async (id) => ({ found: await getItem(id) })
  );
  const photoOfItem = $derived(item.value?.found?.photo);
  async function showForItem(photo: Photo): Promise<void> {
    try {
      const { image } = await smallPicture(photo.image, CARD);
      const { id } = await addPicture({ id: freshId(), at: Date.now(), image });
      await keepEdit(
        changeItem(run.itemId, (now) => ({ ...now, photo: id }), 'the photo of the item'),
        `This photo stands for ${run.itemName} on the shelf and in lists.`
      );
    } catch (error) {
      report(error, 'The photo is not kept.');
    }
  }
  function withoutPhoto(item: Item): Item {
    const drawn = { ...item };
    delete drawn.photo;
    return drawn;
  }
  const showDrawn = (): Promise<boolean> =>
    keepEdit(
      changeItem(run.itemId, withoutPhoto, 'the photo of the item'),
      `${run.itemName} is shown as it is drawn.`
    );
  async function remove(photo: Photo): Promise<void> {
    await removePhoto(photo.id);
    toast('The photo is gone.', { action: { label: 'Undo', onClick: () => void addPhoto(photo) } });
  }
  const stepOf = ({ stepId }: Photo): string => {
    const step = run.plan.steps.find(({ id }) => id === stepId);
    return step ? `step ${step.number}, ${step.title}` : run.itemName;
  };
</script>

<label class="flex min-h-11 items-center gap-3"
  ><input
    type="checkbox"
    class="size-5"
    checked={run.leftOut !== true}
    onchange={(event) => void markRun(run.id, { leftOut: !event.currentTarget.checked })}
  />Estimates learn from this run</label
>
<label class="mt-1 flex flex-col gap-1"
  ><span class="label">Note</span><textarea
    class="field min-h-16 py-2"
    maxlength="5000"
    value={run.note ?? ''}
    onchange={(event) => void markRun(run.id, { note: event.currentTarget.value })}></textarea></label
>
<div class="mt-2 flex flex-wrap items-center gap-3">
  {#each shown as { photo, url } (photo.id)}
    <figure class="relative">
      <img src={url} alt="{photo.name}, {stepOf(photo)}" class="h-24 rounded border border-rule-strong" />
      <button
        type="button"
        class="absolute top-0 right-0 grid size-11 place-items-center rounded bg-sheet"
        aria-label="Remove the photo {photo.name}"
        onclick={() => void remove(photo)}><X size={18} aria-hidden="true" /></button
      >
      {#if item.value?.found}<button
          type="button"
          class="button button-quiet"
          onclick={() => void showForItem(photo)}
          ><Image size={18} aria-hidden="true" />Show it for the item</button
        >{/if}
    </figure>
  {/each}
  <PickFile label="Photo of this run" accept="image/*" onfiles={([file]) => file && void add(file)}
    ><Camera size={20} aria-hidden="true" />Add a photo</PickFile
  >
  {#if photoOfItem !== undefined}<button type="button" class="button" onclick={() => void showDrawn()}
      >Show the item as drawn</button
    >{/if}
</div>
