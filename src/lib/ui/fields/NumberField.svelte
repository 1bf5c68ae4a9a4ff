<script lang="ts">
  /** Asks for a number. Where `empty` says what an empty field means, emptying it gives null. */
  interface Props {
    label: string;
    value: number | null;
    onchange: (value: number | null) => void;
    whole?: boolean;
    empty?: string;
    class?: string;
  }
  let { label, value, onchange, whole = true, empty, class: width = 'w-28' }: Props = $props();

  function take(input: HTMLInputElement): void {
    const typed = input.valueAsNumber;
    if (Number.isFinite(typed)) onchange(whole ? Math.round(typed) : typed);
    else if (empty !== undefined && input.value.trim() === '') onchange(null);
    // What is no number at all is put back.
    else input.value = String(value ?? '');
  }
</script>

<label class="flex flex-col gap-1">
  <span class="label">{label}</span>
  <input
    type="number"
    min="0"
    step={whole ? 1 : 'any'}
    class="field {width}"
    placeholder={empty}
    value={value ?? ''}
    onchange={(event) => take(event.currentTarget)}
  />
</label>
