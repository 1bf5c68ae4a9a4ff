<script lang="ts">
  import { formatLength, type LengthUnit, otherUnit, parseLength } from '$lib/core/base/units';

  interface Props {
    label: string;
    value: number;
    unit: LengthUnit;
    /** Called when a length has been typed whole. */
    onchange: (mm: number) => void;
    help?: string | undefined;
    /** What is wrong with the value itself, as when it is out of bounds. */
    problem?: string | undefined;
  }
  let { label, value, unit, onchange, help, problem }: Props = $props();

  const id = $props.id();
  /** What stands in the field while it is no length. */
  let wrong = $state<{ text: string; problem: string } | null>(null);
  const complaint = $derived(wrong?.problem ?? problem);

  function take(input: HTMLInputElement): void {
    const found = parseLength(input.value, unit);
    if (!found.ok) {
      wrong = { text: input.value, problem: found.problem };
      return;
    }
    wrong = null;
    onchange(found.mm);
    // The same length typed another way is written our way again.
    input.value = formatLength(found.mm, unit);
  }
</script>

<div class="flex flex-col gap-1">
  <label for={id} class="label">{label}</label>
  <input
    {id}
    class="field w-36"
    autocomplete="off"
    value={wrong?.text ?? formatLength(value, unit)}
    onchange={(event) => take(event.currentTarget)}
    aria-invalid={complaint !== undefined}
    aria-describedby="{id}-help"
    title={formatLength(value, otherUnit(unit))}
  />
  <p id="{id}-help" class="min-h-5 text-sm {complaint ? 'text-hands' : 'text-soft'}">
    {complaint ?? help ?? ''}
  </p>
</div>
