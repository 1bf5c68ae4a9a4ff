<script lang="ts">
  import { blockOf } from '$lib/core/craft/blocks';
  import { constructionOf, questionsOf } from '$lib/core/craft/constructions';
  import type { Item } from '$lib/core/documents/item';
  import { type OwnPattern, PATTERN_VERSION } from '$lib/core/documents/pattern';
  import { blocksOf } from '$lib/core/reading/matching';
  import { changeShop, freshId } from '$lib/data';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';
  import { Dialog } from 'bits-ui';
  import { keepEdit } from '../../../undo';

  /** Keeps how an item is built as a pattern, and asks which answers stay open for the next one. */
  interface Props {
    open: boolean;
    item: Item;
    onclose: () => void;
  }
  let { open, item, onclose }: Props = $props();

  /** Sizes and names are what differs most from one to the next. */
  const USUALLY_OPEN = ['width', 'height'];

  const rows = $derived.by(() => {
    if (!open) return [];
    const base = constructionOf(item.construction ?? '');
    return [
      ...(base?.questions ?? []).map(({ key, label }) => ({
        key,
        label,
        usually: USUALLY_OPEN.includes(key)
      })),
      ...(blocksOf(item) ?? []).flatMap((block) =>
        questionsOf(block).map(({ key, label }) => ({
          key: `${block.id}.${key}`,
          usually: block.kind === 'name' && key === 'name',
          label: `${block.name ?? blockOf(block.kind)?.name ?? block.id}: ${label.toLowerCase()}`
        }))
      )
    ];
  });
  let changed = $state.raw<Readonly<Record<string, boolean>>>({});
  const asks = $derived(rows.flatMap(({ key, usually }) => ((changed[key] ?? usually) ? [key] : [])));
  let name = $state('');

  async function keep(): Promise<void> {
    const pattern: OwnPattern = {
      schema: 'jolt-step/pattern',
      version: PATTERN_VERSION,
      id: freshId(),
      name: name.trim(),
      summary: '',
      construction: item.construction ?? '',
      params: $state.snapshot(item.params),
      blocks: $state.snapshot(blocksOf(item) ?? []),
      asks
    };
    const kept = await keepEdit(
      changeShop((now) => ({ ...now, patterns: [...(now.patterns ?? []), pattern] })),
      `“${pattern.name}” is among the patterns for a new item, and in the guide.`
    );
    if (kept) onclose();
  }
</script>

<DialogFrame {open} title="Keep it as a pattern" {onclose}>
  <form
    class="flex flex-col gap-4"
    onsubmit={(event) => {
      event.preventDefault();
      if (name.trim() !== '') void keep();
    }}
  >
    <div class="flex flex-col gap-1">
      <label class="label" for="pattern-name">Name of the pattern</label>
      <input id="pattern-name" class="field w-72" maxlength="80" placeholder={item.name} bind:value={name} />
    </div>
    <fieldset>
      <legend class="label">What the next one is asked again; the rest stays as you answered it here</legend>
      <div class="mt-1 grid max-h-80 grid-cols-2 gap-x-4 overflow-y-auto border-y border-rule py-1">
        {#each rows as { key, label } (key)}
          <label class="flex min-h-10 items-center gap-2.5 leading-tight">
            <input
              type="checkbox"
              class="size-5 shrink-0"
              checked={asks.includes(key)}
              onchange={(event) => (changed = { ...changed, [key]: event.currentTarget.checked })}
            />
            {label}
          </label>
        {/each}
      </div>
    </fieldset>
    <div class="flex justify-end gap-3">
      <Dialog.Close type="button" class="button button-quiet">Cancel</Dialog.Close>
      <button type="submit" class="button button-main" disabled={name.trim() === ''}>Keep the pattern</button>
    </div>
  </form>
</DialogFrame>
