<script lang="ts">
  import type { Piece } from '$lib/core/documents/item';
  import type { Shop } from '$lib/core/documents/shop';
  import { MARGIN_MM } from '$lib/core/craft/sizes';
  import type { Demand } from '$lib/core/preparing/cutting';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import { Dialog } from 'bits-ui';

  /** One piece cut otherwise than by the rules, or the rule of its use changed. */
  interface Props {
    demand: Demand;
    piece: Piece;
    shop: Shop;
    onpiece: (overrides: Piece['overrides'], grain: Piece['grain']) => void;
    onrule: (margin: number) => void;
    onclose: () => void;
  }
  let { demand, piece, shop, onpiece, onrule, onclose }: Props = $props();

  const USES: Record<Piece['use'], string> = {
    hooped: 'everything the ring holds',
    applique: 'all appliqué',
    backing: 'all backs',
    batting: 'all batting',
    flipped: 'all that is sewn and flipped',
    'zip-tape': 'all zips',
    adhesive: 'all adhesive'
  };
  const GRAINS: Record<Piece['grain'], string> = {
    any: 'May be turned by 90 degrees',
    'either-way': 'Up or down, not across',
    fixed: 'One way only'
  };
  // svelte-ignore state_referenced_locally
  let size = $state({ ...demand.cut });
  // svelte-ignore state_referenced_locally
  let margin = $state(demand.margin);
  // svelte-ignore state_referenced_locally
  let grain = $state(piece.grain);
  const ruled = $derived(shop.margins[piece.use] ?? MARGIN_MM[piece.use]);

  function keep(): void {
    const sized = size.width !== demand.cut.width || size.height !== demand.cut.height;
    onpiece(sized ? { ...size } : margin === ruled ? {} : { margin }, grain);
    onclose();
  }
</script>

<DialogFrame open title="Cut {demand.name} otherwise" {onclose}>
  <div class="flex flex-wrap gap-x-5 gap-y-2">
    <LengthField
      label="Margin on each side"
      unit={shop.unit}
      value={margin}
      onchange={(mm) => (margin = mm)}
      help="usual for it: {ruled} mm"
    />
    <label class="flex flex-col gap-1"
      ><span class="label">How it may lie</span>
      <select class="field" bind:value={grain}>
        {#each Object.entries(GRAINS) as [value, words] (value)}<option {value}>{words}</option>{/each}
      </select></label
    >
  </div>
  <p class="mt-1">Or the size outright:</p>
  <div class="flex flex-wrap gap-x-5">
    <LengthField
      label="Cut, width"
      unit={shop.unit}
      value={size.width}
      onchange={(width) => (size = { ...size, width })}
    />
    <LengthField
      label="Cut, height"
      unit={shop.unit}
      value={size.height}
      onchange={(height) => (size = { ...size, height })}
    />
  </div>
  <div class="mt-3 flex flex-wrap justify-end gap-3">
    <button
      type="button"
      class="button button-quiet mr-auto"
      onclick={() => {
        onpiece({}, 'any');
        onclose();
      }}>Back to the shop’s rules</button
    >
    <button
      type="button"
      class="button"
      onclick={() => {
        onrule(margin);
        onclose();
      }}>This margin for {USES[piece.use]}</button
    >
    <Dialog.Close type="button" class="button button-quiet">Cancel</Dialog.Close>
    <button type="button" class="button button-main" onclick={keep}>Cut it like this</button>
  </div>
</DialogFrame>
