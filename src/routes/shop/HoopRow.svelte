<script lang="ts">
  import type { LengthUnit } from '$lib/core/base/units';
  import type { Hoop } from '$lib/core/documents/shop';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import { Trash2 } from '@lucide/svelte';

  /** One hoop of the shop. */
  interface Props {
    hoop: Hoop;
    unit: LengthUnit;
    /** The only one cannot go. */
    only: boolean;
    onchange: (change: Partial<Hoop>) => void;
    onremove: () => void;
  }
  let { hoop, unit, only, onchange, onremove }: Props = $props();
</script>

<li class="flex flex-wrap items-start gap-4 border-b border-rule pt-3">
  <label class="flex flex-col gap-1"
    ><span class="label">Name</span><input
      class="field w-44"
      value={hoop.name}
      onchange={(event) => onchange({ name: event.currentTarget.value })}
    /></label
  >
  <LengthField
    label="Field, width"
    {unit}
    value={hoop.field.width}
    onchange={(width) => onchange({ field: { ...hoop.field, width } })}
  />
  <LengthField
    label="Field, height"
    {unit}
    value={hoop.field.height}
    onchange={(height) => onchange({ field: { ...hoop.field, height } })}
  />
  <LengthField
    label="Ring outside, width"
    {unit}
    value={hoop.ring.width}
    onchange={(width) => onchange({ ring: { ...hoop.ring, width } })}
  />
  <LengthField
    label="Ring outside, height"
    {unit}
    value={hoop.ring.height}
    onchange={(height) => onchange({ ring: { ...hoop.ring, height } })}
  />
  <NumberField
    label="Speed limit, spm"
    value={hoop.capSpm}
    empty="none"
    onchange={(capSpm) => onchange({ capSpm })}
  />
  <NumberField
    label="You own"
    value={hoop.count ?? 1}
    class="w-20"
    onchange={(count) => count !== null && count >= 1 && count <= 50 && onchange({ count })}
  />
  <NumberField
    label="Mounting positions"
    value={hoop.positions ?? 1}
    class="w-20"
    onchange={(positions) => positions !== null && onchange({ positions })}
  />
  <LengthField
    label="Keep off its edge"
    {unit}
    value={hoop.safe ?? 0}
    onchange={(safe) => safe <= 100 && onchange({ safe })}
  />
  <button
    type="button"
    class="button button-quiet mt-6 ml-auto"
    aria-label="Remove {hoop.name}"
    disabled={only}
    onclick={onremove}><Trash2 size={20} aria-hidden="true" /></button
  >
</li>
