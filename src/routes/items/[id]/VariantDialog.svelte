<script lang="ts">
  import type { LengthUnit } from '$lib/core/base/units';
  import type { Item } from '$lib/core/documents/item';
  import { addVariant } from '$lib/core/reading/matching';
  import QuestionField from '$lib/ui/fields/QuestionField.svelte';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';
  import { Dialog } from 'bits-ui';
  import { constructionOf } from '$lib/core/craft/constructions';

  /** Asks what is different in another variant of the item: size, edge, school. */
  interface Props {
    open: boolean;
    item: Item;
    unit: LengthUnit;
    freshId: () => string;
    onclose: () => void;
    onadd: (change: (item: Item) => Item, variantId: string) => void;
  }
  let { open, item, unit, freshId, onclose, onadd }: Props = $props();

  const construction = $derived(constructionOf(item.construction ?? ''));
  const questions = $derived(
    (construction?.questions ?? []).filter(({ kind }) => kind !== 'thread' && kind !== 'threads')
  );
  let name = $state('');
  let changed = $state.raw<Record<string, unknown>>({});
  const given = $derived({ ...item.params, ...changed });
  const made = $derived(open ? construction?.patternOf(given) : undefined);

  function save(): void {
    const old = construction?.patternOf(item.params);
    if (!made?.ok || !old?.ok || name.trim() === '') return;
    const id = freshId();
    const variant = { id, name: name.trim(), overrides: changed };
    const patterns = { old: old.pattern, next: made.pattern };
    onadd((now) => addVariant(now, variant, patterns), id);
    name = '';
    changed = {};
    onclose();
  }
</script>

<DialogFrame {open} title="Add a variant" {onclose}>
  <p class="mb-4 text-soft">
    What you change here is the variant’s own; steps, threads and notes stay shared. Charted counts are scaled
    with the size.
  </p>
  <form
    class="flex flex-col gap-4"
    onsubmit={(event) => {
      event.preventDefault();
      save();
    }}
  >
    <div class="flex flex-col gap-1">
      <label class="label" for="variant-name">Name of the variant</label>
      <input id="variant-name" class="field w-72" maxlength="80" placeholder="Large" bind:value={name} />
    </div>
    <div class="flex flex-wrap items-start gap-x-6 gap-y-3">
      {#each questions as question (question.key)}
        <QuestionField
          {question}
          {unit}
          value={given[question.key]}
          onanswer={(value) => (changed = { ...changed, [question.key]: value })}
        />
      {/each}
    </div>
    {#if made && !made.ok}<p class="border-l-4 border-hands bg-hands-pale p-3" role="alert">
        {made.problems.join(' ')}
      </p>{/if}
    <div class="flex justify-end gap-3">
      <Dialog.Close class="button button-quiet">Leave it</Dialog.Close>
      <button type="submit" class="button button-main" disabled={!made?.ok || name.trim() === ''}
        >Add the variant</button
      >
    </div>
  </form>
</DialogFrame>
