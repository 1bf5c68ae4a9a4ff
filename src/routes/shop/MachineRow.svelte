<script lang="ts">
  import type { LengthUnit } from '$lib/core/base/units';
  import { type Machine, paceOf, reachWords, readReach } from '$lib/core/documents/shop';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import { Trash2 } from '@lucide/svelte';
  import { toast } from 'svelte-sonner';

  /** One machine of the shop. */
  interface Props {
    machine: Machine;
    unit: LengthUnit;
    /** The last one cannot go. */
    only: boolean;
    onset: (change: Partial<Machine>) => void;
    onremove: () => void;
  }
  let { machine, unit, only, onset, onremove }: Props = $props();

  const EXAMPLE = [{ left: 12.7, right: 0 }];
</script>

<li class="flex flex-wrap items-end gap-4 border-b border-rule py-3">
  <label class="flex flex-col gap-1"
    ><span class="label">Name</span><input
      class="field w-52"
      value={machine.name}
      onchange={(event) => onset({ name: event.currentTarget.value })}
    /></label
  >
  <NumberField
    label="Needles"
    value={machine.needles}
    onchange={(needles) => needles !== null && onset({ needles })}
    class="w-24"
  />
  <NumberField
    label="Heads"
    value={machine.heads}
    onchange={(heads) => heads !== null && heads >= 1 && heads <= 24 && onset({ heads })}
    class="w-20"
  />
  {#if machine.heads > 1}
    <label class="flex flex-col gap-1"
      ><span class="label">Its heads run</span><select
        class="field"
        value={machine.headsRun ?? 'together'}
        onchange={(event) =>
          onset({ headsRun: event.currentTarget.value === 'apart' ? 'apart' : 'together' })}
      >
        <option value="together">together, one start</option>
        <option value="apart">each by itself</option>
      </select></label
    >
  {/if}
  <NumberField
    label="Speed you set, spm"
    value={machine.setSpm}
    onchange={(setSpm) => setSpm !== null && onset({ setSpm })}
  />
  <NumberField
    label="Highest, spm"
    value={machine.maxSpm}
    onchange={(maxSpm) => maxSpm !== null && onset({ maxSpm })}
  />
  <NumberField
    label="Really averages, spm"
    value={machine.paceSpm}
    empty="{paceOf({ ...machine, paceSpm: null })} assumed"
    onchange={(paceSpm) => onset({ paceSpm })}
    class="w-36"
  />
  <label class="flex flex-col gap-1"
    ><span class="label">Its files end in</span><input
      class="field w-28"
      placeholder="any"
      value={machine.fileEnding ?? ''}
      onchange={(event) => onset({ fileEnding: event.currentTarget.value.trim() || undefined })}
    /></label
  >
  <label class="flex flex-col gap-1"
    ><span class="label">It counts stitches</span><select
      class="field"
      value={machine.counts ?? 'stop'}
      onchange={(event) => onset({ counts: event.currentTarget.value === 'design' ? 'design' : 'stop' })}
    >
      <option value="stop">within the stop</option>
      <option value="design">over the design</option>
    </select></label
  >
  <label class="flex flex-col gap-1"
    ><span class="label">Copies in one hoop</span><select
      class="field"
      value={machine.panel?.copies ?? 'placed'}
      onchange={({ currentTarget: { value } }) =>
        onset({
          panel:
            value === 'grid' || value === 'one'
              ? { unit: 'mm', asks: 'across-first', ...machine.panel, copies: value }
              : undefined
        })}
    >
      <option value="placed">each placed by itself</option>
      <option value="grid">in rows and columns only</option>
      <option value="one">one at a time</option>
    </select></label
  >
  {#if machine.panel?.copies === 'grid'}
    <label class="flex flex-col gap-1"
      ><span class="label">Its panel shows</span><select
        class="field"
        value={machine.panel.unit}
        onchange={({ currentTarget: { value } }) =>
          machine.panel &&
          onset({ panel: { ...machine.panel, unit: value === 'in' || value === 'tenths' ? value : 'mm' } })}
      >
        <option value="mm">millimetres</option>
        <option value="tenths">tenths of a millimetre</option>
        <option value="in">inches</option>
      </select></label
    >
    <label class="flex flex-col gap-1"
      ><span class="label">It asks for</span><select
        class="field"
        value={machine.panel.asks}
        onchange={({ currentTarget: { value } }) =>
          machine.panel &&
          onset({
            panel: { ...machine.panel, asks: value === 'counts-first' ? 'counts-first' : 'across-first' }
          })}
      >
        <option value="across-first">columns with their pitch, then rows</option>
        <option value="counts-first">columns and rows, then both pitches</option>
      </select></label
    >
  {/if}
  <label class="flex min-h-11 items-center gap-2"
    ><input
      type="checkbox"
      class="size-5"
      checked={machine.trimmer}
      onchange={(event) => onset({ trimmer: event.currentTarget.checked })}
    />Trims by itself</label
  >
  {#if machine.needles > 1}
    <label class="flex flex-col gap-1"
      ><span class="label">Out of reach at the sides, {unit}</span><input
        class="field w-64"
        placeholder={reachWords(EXAMPLE, unit)}
        value={reachWords(machine.unreached, unit)}
        onchange={({ currentTarget }) => {
          const read = readReach(currentTarget.value, machine.needles, unit);
          if (read) onset({ unreached: read.length > 0 ? read : undefined });
          else {
            toast.error(
              `Write a needle, a length and a side, as “${reachWords(EXAMPLE, unit)}”. Nothing was changed.`
            );
            currentTarget.value = reachWords(machine.unreached, unit);
          }
        }}
      /></label
    >
  {/if}
  <button
    type="button"
    class="button button-quiet ml-auto"
    aria-label="Remove {machine.name}"
    disabled={only}
    onclick={onremove}><Trash2 size={20} aria-hidden="true" /></button
  >
</li>
