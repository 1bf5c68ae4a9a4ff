<script lang="ts">
  import type { OrderLine, Repeats } from '$lib/core/documents/order';
  import { type Way, WAYS } from '$lib/core/documents/run';
  import type { OrderTable } from '$lib/data';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import { WAY_WORDS } from './words';

  /** What is special about one line: names, hoop, machines, gap, order of the stops, repeats on one cloth. */
  interface Props {
    line: OrderLine;
    table: OrderTable;
    onchange: (change: Partial<OrderLine>) => void;
  }
  let { line, table, onchange }: Props = $props();
  const shop = $derived(table.input.shop);

  function repeats(of: string): void {
    const next: Repeats | undefined =
      of === 'border' ? { of, length: 1600, sides: 4 } : of === 'corners' ? { of, corners: 4 } : undefined;
    onchange({ repeats: next });
  }
</script>

<div class="mt-3 grid grid-cols-2 gap-x-6 gap-y-3 max-[800px]:grid-cols-1">
  <label class="flex flex-col gap-1">
    <span class="label">Personal names, one a line</span>
    <textarea
      class="field min-h-28 py-2"
      rows="4"
      value={line.names.join('\n')}
      onchange={({ currentTarget }) =>
        onchange({
          names: currentTarget.value
            .split('\n')
            .map((name) => name.trim().slice(0, 60))
            .filter((name, at, all) => name !== '' || at < all.length - 1)
            .slice(0, 5000)
        })}></textarea>
  </label>
  <div class="flex flex-wrap content-start items-end gap-3">
    <label class="flex flex-col gap-1">
      <span class="label">Hoop</span>
      <select
        class="field w-44"
        value={line.hoopId ?? ''}
        onchange={({ currentTarget }) => onchange({ hoopId: currentTarget.value || undefined })}
      >
        <option value="">The best</option>
        {#each shop.hoops as { id, name } (id)}<option value={id}>{name}</option>{/each}
      </select>
    </label>
    <label class="flex flex-col gap-1">
      <span class="label">Machine</span>
      <select
        class="field w-44"
        value={line.machineIds[0] ?? ''}
        onchange={({ currentTarget }) =>
          onchange({ machineIds: currentTarget.value ? [currentTarget.value] : [] })}
      >
        <option value="">Any</option>
        {#each shop.machines as { id, name } (id)}<option value={id}>{name}</option>{/each}
      </select>
    </label>
    <LengthField
      label="Gap between copies"
      value={line.gap ?? 20}
      unit={shop.unit}
      onchange={(gap) => onchange({ gap: Math.min(200, Math.max(0, gap)) })}
    />
    <NumberField
      label="Most in one hoop"
      value={line.most ?? null}
      empty="as fit"
      onchange={(most) => onchange({ most: most === null || most < 1 ? undefined : Math.min(most, 200) })}
    />
    <NumberField
      label="Pieces from one file"
      value={line.perFile}
      onchange={(value) => value && value >= 1 && onchange({ perFile: Math.min(value, 100) })}
    />
    <NumberField
      label="Spoiled so far"
      value={line.spoiled}
      onchange={(value) => value !== null && onchange({ spoiled: Math.min(value, 5000) })}
    />
    <label class="flex flex-col gap-1">
      <span class="label">Order in the hoop</span>
      <select
        class="field w-44"
        value={line.way ?? ''}
        onchange={({ currentTarget }) =>
          onchange({ way: (currentTarget.value || undefined) as Way | undefined })}
      >
        <option value="">The quickest</option>
        {#each WAYS as way (way)}<option value={way}>{WAY_WORDS[way].split(',')[0]}</option>{/each}
      </select>
    </label>
    <label class="flex flex-col gap-1">
      <span class="label">On one cloth</span>
      <select
        class="field w-44"
        value={line.repeats?.of ?? ''}
        onchange={({ currentTarget }) => repeats(currentTarget.value)}
      >
        <option value="">Once</option>
        <option value="border">A border round a hem</option>
        <option value="corners">At its corners</option>
      </select>
    </label>
    {#if line.repeats?.of === 'border'}
      {@const { length, sides } = line.repeats}
      <LengthField
        label="Length of the hem"
        value={length}
        unit={shop.unit}
        onchange={(mm) =>
          mm >= 10 && mm <= 20_000 && onchange({ repeats: { of: 'border', length: mm, sides } })}
      />
      <NumberField
        label="Sides"
        class="w-20"
        value={sides}
        onchange={(value) =>
          value && value <= 12 && onchange({ repeats: { of: 'border', length, sides: value } })}
      />
    {:else if line.repeats}
      <NumberField
        label="Corners"
        class="w-20"
        value={line.repeats.corners}
        onchange={(value) => value && value <= 8 && onchange({ repeats: { of: 'corners', corners: value } })}
      />
    {/if}
    <label class="flex min-h-11 items-center gap-2">
      <input
        type="checkbox"
        class="size-5"
        checked={line.turned}
        onchange={() => onchange({ turned: !line.turned })}
      />Copies may be turned
    </label>
    <label class="flex min-h-11 items-center gap-2">
      <input
        type="checkbox"
        class="size-5"
        checked={line.alone !== true}
        onchange={() => onchange({ alone: line.alone === true ? undefined : true })}
      />May share a hoop with other items
    </label>
  </div>
</div>
