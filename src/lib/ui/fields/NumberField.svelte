<script lang="ts">
  /** Asks for a number. Where `empty` says what an empty field means, emptying it gives null. */
  interface Props {
    label: string;
    value: number | null;
    onchange: (value: number | null) => void;
    whole?: boolean;
    empty?: string;
    help?: string | undefined;
    /** Bounds; what lies outside is not taken, and stays to be mended. */
    least?: number;
    most?: number;
    class?: string;
  }
  let {
    label,
    value,
    onchange,
    whole = true,
    empty,
    help,
    least = 0,
    most = Infinity,
    class: width = 'w-28'
  }: Props = $props();

  const id = $props.id();
  /** What is being typed: it wins over a value that comes from elsewhere meanwhile. */
  let typed = $state<string | null>(null);
  /** What stands in the field while it is out of bounds. */
  let wrong = $state<string | null>(null);
  const outside = $derived(wrong !== null || (value !== null && (value < least || value > most)));
  const bounds = $derived(Number.isFinite(most) ? `From ${least} to ${most}.` : `At least ${least}.`);
  const said = $derived(outside ? bounds : help);

  function take(input: HTMLInputElement): void {
    typed = null;
    const number = whole ? Math.round(input.valueAsNumber) : input.valueAsNumber;
    if (Number.isFinite(number)) {
      wrong = number < least || number > most ? input.value : null;
      if (wrong === null) onchange(number);
      return;
    }
    wrong = null;
    if (empty !== undefined && input.value.trim() === '') onchange(null);
    // What is no number at all is put back.
    else input.value = String(value ?? '');
  }
</script>

<label class="flex flex-col gap-1">
  <span class="label">{label}</span>
  <input
    type="number"
    min={least}
    step={whole ? 1 : 'any'}
    class="field {width}"
    placeholder={empty}
    value={typed ?? wrong ?? value ?? ''}
    oninput={(event) => (typed = event.currentTarget.value)}
    onchange={(event) => take(event.currentTarget)}
    onblur={() => (typed = null)}
    aria-invalid={outside}
    aria-describedby={said ? `${id}-help` : undefined}
  />
  {#if said}<span id="{id}-help" class="text-sm {outside ? 'text-hands' : 'text-soft'}">{said}</span>{/if}
</label>
