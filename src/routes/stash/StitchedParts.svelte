<script lang="ts">
  import type { LengthUnit } from '$lib/core/base/units';
  import type { ClothEntry } from '$lib/core/documents/stash';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import { Plus } from '@lucide/svelte';

  /** Parts of a hooped piece that are stitched already: it can be hooped again beside them. */
  interface Props {
    unit: LengthUnit;
    parts: ClothEntry['stitched'];
  }
  let { unit, parts = $bindable() }: Props = $props();

  const SIDES = [
    ['x', 'from the left'],
    ['y', 'from the top'],
    ['width', 'wide'],
    ['height', 'high']
  ] as const;
</script>

<fieldset>
  <legend class="label">Stitched already, so not to be used again</legend>
  {#each parts as part, at (at)}
    <div class="flex flex-wrap items-start gap-x-4">
      {#each SIDES as [side, words] (side)}
        <LengthField
          label="Part {at + 1}, {words}"
          {unit}
          value={part[side]}
          onchange={(mm) =>
            (parts = parts.map((each, index) => (index === at ? { ...each, [side]: mm } : each)))}
        />
      {/each}
      <button
        type="button"
        class="button button-quiet mt-6"
        onclick={() => (parts = parts.filter((_, index) => index !== at))}>Leave it out</button
      >
    </div>
  {/each}
  <button
    type="button"
    class="button button-quiet"
    onclick={() => (parts = [...parts, { x: 0, y: 0, width: 100, height: 100 }])}
    ><Plus size={18} aria-hidden="true" />A stitched part</button
  >
</fieldset>
