<script lang="ts">
  import type { LengthUnit } from '$lib/core/base/units';
  import type { Item } from '$lib/core/documents/item';
  import { blockOf } from '$lib/core/craft/blocks';
  import { addVariant, blocksOf, madeFor } from '$lib/core/reading/matching';
  import QuestionField from '$lib/ui/fields/QuestionField.svelte';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';
  import { Dialog } from 'bits-ui';
  import { answered, constructionOf, questionsOf } from '$lib/core/craft/constructions';
  import { withUsual } from '$lib/core/craft/sequence';

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
  const blocks = $derived(blocksOf(item) ?? []);
  /** What the construction asks, and each block that has answers of its own: a name, a place, a cloth. */
  const questions = $derived(
    [
      ...(construction?.questions ?? []),
      ...blocks.flatMap((block) =>
        questionsOf(block).map((question) => ({
          ...question,
          where: undefined,
          ...(question.usual && {
            usual: { ...question.usual, key: `${block.id}.${question.usual.key}` }
          }),
          key: `${block.id}.${question.key}`,
          label: `${block.name ?? blockOf(block.kind)?.name ?? block.id}: ${question.label.toLowerCase()}`
        }))
      )
    ].filter(({ kind }) => kind !== 'thread' && kind !== 'threads')
  );
  /** Answers of blocks by their keys, as the item has them. */
  const ofBlocks = $derived(
    Object.fromEntries(
      blocks.flatMap((block) =>
        questionsOf(block).map(({ key }) => [
          `${block.id}.${key}`,
          block.answers[key] ?? blockOf(block.kind)?.defaults[key]
        ])
      )
    )
  );
  let name = $state('');
  let changed = $state.raw<Record<string, unknown>>({});
  const given = $derived<Record<string, unknown>>({ ...item.params, ...ofBlocks, ...changed });
  const made = $derived.by(() => {
    if (!open) return undefined;
    const own = answered(item.params, blocks, changed);
    return madeFor(item, own);
  });

  function save(): void {
    const old = madeFor(item);
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
    <div class="flex max-h-[50vh] flex-wrap items-start gap-x-6 gap-y-3 overflow-y-auto">
      {#each questions as question (question.key)}
        <QuestionField
          {question}
          {unit}
          value={given[question.key]}
          onanswer={(value) =>
            (changed = { ...changed, ...withUsual(questions, given, { [question.key]: value }) })}
        />
      {/each}
    </div>
    {#if made && !made.ok}<p class="border-l-4 border-hands bg-hands-pale p-3" role="alert">
        {made.problems.join(' ')}
      </p>{/if}
    <div class="flex justify-end gap-3">
      <Dialog.Close type="button" class="button button-quiet">Cancel</Dialog.Close>
      <button type="submit" class="button button-main" disabled={!made?.ok || name.trim() === ''}
        >Add the variant</button
      >
    </div>
  </form>
</DialogFrame>
