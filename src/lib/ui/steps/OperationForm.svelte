<script lang="ts">
  import { impossible } from '$lib/core/base/problems';
  import type { LengthUnit } from '$lib/core/base/units';
  import { type Field, newOperation, OPERATION_KINDS, traitsOf } from '$lib/core/craft/operations';
  import { type Item, Operation, type OperationKind } from '$lib/core/documents/item';
  import LengthField from '$lib/ui/fields/LengthField.svelte';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import { HOLDS } from './choices';

  /** Asks for an operation: its kind, and only the arguments that kind has. */
  interface Props {
    item: Item;
    unit: LengthUnit;
    op: Operation;
    onchange: (op: Operation) => void;
  }
  let { item, unit, op, onchange }: Props = $props();

  const id = $props.id();
  let problem = $state('');
  const kinds = $derived(OPERATION_KINDS.filter((kind) => newOperation(kind, item)));
  const args = $derived(
    Object.entries(traitsOf(op.do).fields as Record<string, Field | null>).flatMap(([key, field]) =>
      field && key in op ? [{ key, value: op[key as keyof Operation] as unknown, ...field }] : []
    )
  );

  function set(key: string, value: unknown): void {
    const found = Operation.safeParse({ ...op, [key]: value });
    problem = found.success ? '' : (found.error.issues[0]?.message ?? 'That does not fit here.');
    if (found.success) onchange(found.data);
  }

  function changeKind(kind: string): void {
    const fresh = newOperation(kind as OperationKind, item);
    if (fresh) onchange(fresh);
  }

  const names = (rows: { id: string; name: string }[]): [string, string][] =>
    rows.map(({ id: value, name }) => [value, name]);
  const listed = (value: unknown): string[] => (Array.isArray(value) ? value.map(String) : []);
  const holdOf = (value: unknown): { by: string; strips?: number; pins?: number } =>
    value as { by: string; strips?: number; pins?: number };
  const freshHold = (by: string): unknown =>
    by === 'tape' ? { by, strips: 4 } : by === 'pins' ? { by, pins: 4, away: 12 } : { by };
</script>

{#snippet choose(
  key: string,
  label: string,
  value: string,
  options: [string, string][],
  take: (value: string) => void
)}
  <div class="flex flex-col gap-1">
    <label class="label" for="{id}-{key}">{label}</label>
    <select id="{id}-{key}" class="field" {value} onchange={(event) => take(event.currentTarget.value)}>
      {#each options as [option, words] (option)}<option value={option}>{words}</option>{/each}
    </select>
  </div>
{/snippet}

<div class="grid grid-cols-2 gap-3">
  <div class="col-span-2">
    {@render choose(
      'kind-of-step',
      'Step',
      op.do,
      kinds.map((kind): [string, string] => [kind, traitsOf(kind).label]),
      changeKind
    )}
  </div>
  {#each args as { key, value, label, ...field } (`${op.do}-${key}`)}
    {#if field.kind === 'piece'}
      {@render choose(key, label, String(value), names(item.pieces), (next) => set(key, next))}
    {:else if field.kind === 'line'}
      {@render choose(key, label, String(value), names(item.lines), (next) => set(key, next))}
    {:else if field.kind === 'thread'}
      {@render choose(key, label, String(value), names(item.threads), (next) => set(key, next))}
    {:else if field.kind === 'choice'}
      {@render choose(key, label, String(value), Object.entries(field.choices), (next) => set(key, next))}
    {:else if field.kind === 'length'}
      <LengthField {label} value={Number(value)} {unit} onchange={(mm) => set(key, mm)} />
    {:else if field.kind === 'number'}
      <NumberField {label} value={Number(value)} onchange={(next) => set(key, next)} class="w-full" />
    {:else if field.kind === 'text'}
      <div class="col-span-2 flex flex-col gap-1">
        <label class="label" for="{id}-{key}">{label}</label>
        <input
          id="{id}-{key}"
          class="field"
          value={String(value)}
          maxlength="120"
          onchange={(event) => set(key, event.currentTarget.value)}
        />
      </div>
    {:else if field.kind === 'yes'}
      <label class="flex min-h-11 items-center gap-2"
        ><input
          type="checkbox"
          class="size-5"
          checked={value === true}
          onchange={(event) => set(key, event.currentTarget.checked)}
        />{label}</label
      >
    {:else if field.kind === 'pieces'}
      <fieldset class="col-span-2">
        <legend class="label">{label}</legend>
        <div class="flex flex-wrap gap-4">
          {#each item.pieces as piece (piece.id)}
            <label class="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                class="size-5"
                checked={listed(value).includes(piece.id)}
                onchange={(event) =>
                  set(
                    key,
                    event.currentTarget.checked
                      ? [...listed(value), piece.id]
                      : listed(value).filter((other) => other !== piece.id)
                  )}
              />{piece.name}
            </label>
          {/each}
        </div>
      </fieldset>
    {:else if field.kind === 'hold'}
      {@render choose(key, label, holdOf(value).by, Object.entries(HOLDS), (by) => set(key, freshHold(by)))}
      {@const hold = holdOf(value)}
      {#if hold.by === 'tape' || hold.by === 'pins'}
        <NumberField
          label={hold.by === 'tape' ? 'Strips of tape' : 'Pins'}
          value={hold.strips ?? hold.pins ?? 4}
          onchange={(count) =>
            set(
              key,
              hold.by === 'tape' ? { by: 'tape', strips: count } : { by: 'pins', pins: count, away: 12 }
            )}
          class="w-full"
        />
      {/if}
    {:else}{impossible(field.kind)}{/if}
  {/each}
  {#if problem}<p class="col-span-2 text-hands" role="alert">{problem}</p>{/if}
</div>
