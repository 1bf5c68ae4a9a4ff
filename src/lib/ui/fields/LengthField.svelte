<script lang="ts">
  import { formatLength, type LengthUnit, otherUnit, parseLength } from '$lib/core/base/units';

  interface Props {
    label: string;
    value: number;
    unit: LengthUnit;
    /** Called when a length has been typed whole. */
    onchange: (mm: number) => void;
    help?: string | undefined;
    /** What is wrong with the value itself. */
    problem?: string | undefined;
    /** Bounds, mm; what lies outside is not taken, and stays to be mended. */
    least?: number;
    most?: number;
  }
  let { label, value, unit, onchange, help, problem, least = 0, most = Infinity }: Props = $props();

  const id = $props.id();
  /** What stands in the field while it is no length. */
  let wrong = $state<{ text: string; problem: string } | null>(null);
  /** What is being typed: it wins over a value that comes from elsewhere meanwhile. */
  let typed = $state<string | null>(null);
  const outside = $derived(value < least - 0.05 || value > most + 0.05 ? bounds() : undefined);
  const complaint = $derived(wrong?.problem ?? problem ?? outside);

  function bounds(): string {
    const [from, to] = [formatLength(least, unit), formatLength(most, unit)];
    return Number.isFinite(most) ? `From ${from} to ${to}.` : `At least ${from}.`;
  }

  function take(input: HTMLInputElement): void {
    typed = null;
    const found = parseLength(input.value, unit);
    if (!found.ok || found.mm < least - 0.05 || found.mm > most + 0.05) {
      wrong = { text: input.value, problem: found.ok ? `${input.value.trim()}: ${bounds()}` : found.problem };
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
    value={typed ?? wrong?.text ?? formatLength(value, unit)}
    oninput={(event) => (typed = event.currentTarget.value)}
    onchange={(event) => take(event.currentTarget)}
    onblur={() => (typed = null)}
    aria-invalid={complaint !== undefined}
    aria-describedby="{id}-help"
    title={formatLength(value, otherUnit(unit))}
  />
  <p id="{id}-help" class="min-h-5 text-sm {complaint ? 'text-hands' : 'text-soft'}">
    {complaint ?? help ?? ''}
  </p>
</div>
