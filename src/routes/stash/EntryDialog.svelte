<script lang="ts">
  import { type LengthUnit, parseLength } from '$lib/core/base/units';
  import { type ClothEntry, type CountedEntry, StashEntry } from '$lib/core/documents/stash';
  import { isUnseen, PRESETS, withoutCorner } from '$lib/core/preparing/stash';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import { Dialog } from 'bits-ui';
  import ClothPhotoField from './ClothPhotoField.svelte';
  import StitchedParts from './StitchedParts.svelte';
  import { CLOTH_KINDS, KIND_WORDS } from './words';

  /** One line of the stash: put in, or changed. */
  interface Props {
    entry: StashEntry;
    unit: LengthUnit;
    known: boolean;
    onkeep: (entry: StashEntry) => void;
    onclose: () => void;
  }
  let { entry, unit, known, onkeep, onclose }: Props = $props();

  // svelte-ignore state_referenced_locally
  let draft = $state<StashEntry>(structuredClone($state.snapshot(entry) as StashEntry));
  let problem = $state('');
  // svelte-ignore state_referenced_locally
  let outline = $state(entry.what === 'cloth' && entry.outline ? 'own' : 'whole');
  let corner = $state('60 × 60');

  const FORMS: Record<ClothEntry['form'], string> = {
    length: 'Length of cloth',
    roll: 'Roll',
    sheets: 'Sheets, fat quarters',
    scrap: 'Offcut'
  };
  const WHATS: Record<CountedEntry['what'], string> = {
    zip: 'Zip',
    bobbin: 'Bobbin',
    needle: 'Needle',
    notion: 'Notion'
  };
  const DIRECTIONS: Record<ClothEntry['direction'], string> = {
    any: 'Any way, turned too',
    'either-way': 'Up or down, not across',
    fixed: 'One way only: nap or one-way print'
  };
  const FIELDS: Record<string, string> = {
    name: 'The name',
    width: 'The width',
    height: 'The length',
    count: 'The count',
    metres: 'The length left',
    price: 'The price',
    along: 'The shrinkage along',
    across: 'The shrinkage across'
  };

  function keep(): void {
    const next = $state.snapshot(draft) as StashEntry;
    if (next.what === 'cloth') {
      if (next.form !== 'sheets') next.count = 1;
      const shape = next.form === 'scrap' && outline === 'cut-off' ? typedShape(next) : undefined;
      if (shape) next.outline = shape;
      else if (outline === 'whole' || next.form !== 'scrap') delete next.outline;
    }
    const checked = StashEntry.safeParse(next);
    if (checked.success) {
      onkeep(checked.data);
      return;
    }
    const issue = checked.error.issues[0];
    const field = String(issue?.path.findLast((part) => typeof part === 'string') ?? '');
    problem = `${FIELDS[field] ?? field}: ${issue?.message ?? 'cannot be kept'}.`;
  }

  /** The shape typed for an offcut; undefined where the corner is no pair of lengths. */
  function typedShape({ width, height }: ClothEntry): ClothEntry['outline'] {
    const [across, down] = corner.split(/[×x]/).map((part) => parseLength(part, unit));
    return across?.ok && down?.ok && across.mm > 0 && down.mm > 0
      ? withoutCorner(width, height, across.mm, down.mm)
      : undefined;
  }
</script>

<DialogFrame open title={known ? `Change ${entry.name}` : 'Put into the stash'} {onclose}>
  <form
    class="flex flex-col gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      keep();
    }}
  >
    {#if problem}<p class="border-l-4 border-hands bg-hands-pale p-3" role="alert">{problem}</p>{/if}
    <div class="flex flex-wrap items-end gap-x-5 gap-y-3">
      <label class="flex flex-col gap-1"
        ><span class="label">Name</span><input
          class="field w-64"
          maxlength="80"
          bind:value={draft.name}
        /></label
      >
      <label class="flex flex-col gap-1"
        ><span class="label">Colour</span><input
          type="color"
          class="field h-11 w-16 p-1"
          bind:value={draft.colour}
        /></label
      >
      <label class="flex flex-col gap-1"
        ><span class="label">Where it is kept</span><input
          class="field w-44"
          maxlength="80"
          bind:value={draft.place}
        /></label
      >
    </div>
    {#if draft.what === 'cloth'}
      <div class="flex flex-wrap items-end gap-x-5 gap-y-3">
        <label class="flex flex-col gap-1"
          ><span class="label">Kind</span><select class="field" bind:value={draft.kind}
            >{#each CLOTH_KINDS as kind (kind)}<option value={kind}>{KIND_WORDS[kind]}</option>{/each}</select
          ></label
        >
        <label class="flex flex-col gap-1"
          ><span class="label">As</span><select class="field" bind:value={draft.form}
            >{#each Object.entries(FORMS) as [form, words] (form)}<option value={form}>{words}</option
              >{/each}</select
          ></label
        >
        <label class="flex flex-col gap-1"
          ><span class="label">Sizes that are sold</span><select
            class="field"
            value=""
            onchange={(event) => {
              const preset = PRESETS.find(({ name }) => name === event.currentTarget.value);
              if (preset && draft.what === 'cloth') {
                draft.form = preset.form;
                draft.width = preset.width;
                draft.height = preset.height;
              }
              event.currentTarget.value = '';
            }}
            ><option value="">choose…</option>{#each PRESETS as { name } (name)}<option value={name}
                >{name}</option
              >{/each}</select
          ></label
        >
      </div>
      <div class="flex flex-wrap gap-x-5">
        <LengthField
          label={draft.form === 'length' ? 'Width between selvedges' : 'Width'}
          {unit}
          value={draft.width}
          onchange={(mm) => draft.what === 'cloth' && (draft.width = mm)}
        />
        <LengthField
          label={draft.form === 'length' || draft.form === 'roll' ? 'Length left' : 'Other side'}
          {unit}
          value={draft.height}
          onchange={(mm) => draft.what === 'cloth' && (draft.height = mm)}
        />
        {#if draft.form === 'sheets'}
          <NumberField
            label="Sheets"
            value={draft.count}
            onchange={(count) => draft.what === 'cloth' && count !== null && (draft.count = count)}
          />
        {/if}
        {#if draft.form === 'scrap'}
          <label class="flex flex-col gap-1"
            ><span class="label">Its shape</span><select class="field" bind:value={outline}
              >{#if known && entry.what === 'cloth' && entry.outline}<option value="own">As it is</option
                >{/if}<option value="whole">A rectangle</option><option value="cut-off"
                >One corner is gone</option
              ></select
            ></label
          >
          {#if outline === 'cut-off'}
            <label class="flex flex-col gap-1"
              ><span class="label">That corner, {unit}</span><input
                class="field w-32"
                bind:value={corner}
              /></label
            >
          {/if}
        {/if}
      </div>
      {#if draft.form === 'scrap' && isUnseen(draft.kind)}
        <StitchedParts {unit} bind:parts={draft.stitched} />
      {/if}
      <div class="flex flex-wrap items-end gap-x-5 gap-y-3">
        <label class="flex flex-col gap-1"
          ><span class="label">How pieces may lie</span><select class="field" bind:value={draft.direction}
            >{#each Object.entries(DIRECTIONS) as [value, words] (value)}<option {value}>{words}</option
              >{/each}</select
          ></label
        >
        <label class="flex min-h-11 items-center gap-2"
          ><input type="checkbox" class="size-5" bind:checked={draft.alike} />Both sides alike</label
        >
        <label class="flex min-h-11 items-center gap-2"
          ><input type="checkbox" class="size-5" bind:checked={draft.prewashed} />Washed already</label
        >
      </div>
      {#if !draft.prewashed}
        <div class="flex flex-wrap gap-x-5">
          <NumberField
            label="Shrinks in the wash, along, %"
            whole={false}
            value={draft.shrinkage.along}
            onchange={(share) => draft.what === 'cloth' && share !== null && (draft.shrinkage.along = share)}
          />
          <NumberField
            label="and across, %"
            whole={false}
            value={draft.shrinkage.across}
            onchange={(share) => draft.what === 'cloth' && share !== null && (draft.shrinkage.across = share)}
          />
        </div>
      {/if}
      <ClothPhotoField
        photo={draft.photo}
        {unit}
        onchange={(photo) => {
          if (draft.what !== 'cloth') return;
          if (photo) draft.photo = photo;
          else delete draft.photo;
        }}
      />
    {:else if draft.what === 'thread'}
      <div class="flex flex-wrap gap-x-5">
        <NumberField
          label="Spools"
          value={draft.spools}
          onchange={(spools) => draft.what === 'thread' && spools !== null && (draft.spools = spools)}
        />
        <NumberField
          label="Left on all of them, m"
          whole={false}
          value={draft.metres}
          onchange={(metres) => draft.what === 'thread' && metres !== null && (draft.metres = metres)}
        />
      </div>
    {:else}
      <div class="flex flex-wrap items-end gap-x-5">
        <label class="flex flex-col gap-1"
          ><span class="label">What</span><select class="field" bind:value={draft.what}
            >{#each Object.entries(WHATS) as [what, words] (what)}<option value={what}>{words}</option
              >{/each}</select
          ></label
        >
        <NumberField
          label="How many"
          value={draft.count}
          onchange={(count) => 'count' in draft && count !== null && (draft.count = count)}
        />
        <label class="flex flex-col gap-1"
          ><span class="label">Size</span><input
            class="field w-28"
            maxlength="40"
            bind:value={draft.size}
          /></label
        >
        {#if draft.what === 'zip'}
          <LengthField
            label="Length"
            {unit}
            value={draft.length ?? 0}
            onchange={(mm) => 'length' in draft && (draft.length = mm)}
          />
        {/if}
      </div>
    {/if}
    <div class="flex flex-wrap items-end gap-x-5 gap-y-3">
      <NumberField
        label={draft.what === 'cloth' && (draft.form === 'length' || draft.form === 'roll')
          ? 'Price of a metre'
          : 'Price of one'}
        whole={false}
        value={draft.price}
        empty="unknown"
        onchange={(price) => (draft.price = price)}
      />
      <label class="flex flex-1 flex-col gap-1"
        ><span class="label">Note</span><input
          class="field w-full"
          maxlength="500"
          bind:value={draft.note}
        /></label
      >
    </div>
    <div class="flex justify-end gap-3">
      <Dialog.Close type="button" class="button button-quiet">Cancel</Dialog.Close>
      <button type="submit" class="button button-main">{known ? 'Keep the changes' : 'Put it in'}</button>
    </div>
  </form>
</DialogFrame>
