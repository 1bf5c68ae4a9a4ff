<script lang="ts">
  import { readDocument } from '$lib/core/documents/files';
  import type { OwnPattern } from '$lib/core/documents/pattern';
  import { changeShop, freshId } from '$lib/data';
  import { downloadJson, MAX_ITEM_BYTES } from '$lib/ui/files';
  import PickFile from '$lib/ui/PickFile.svelte';
  import { Download, Trash2 } from '@lucide/svelte';
  import { toast } from 'svelte-sonner';
  import { keepEdit } from '../undo';

  /** Patterns the maker has kept: given away as files, brought in, and taken out. */
  let { patterns }: { patterns: OwnPattern[] } = $props();

  async function bring([file]: File[]): Promise<void> {
    if (!file) return;
    if (file.size > MAX_ITEM_BYTES) {
      toast.error(`${file.name} is too large to be a pattern.`);
      return;
    }
    const read = readDocument('pattern', await file.text());
    if (!read.ok) {
      toast.error(`${file.name}: ${read.error.message}`);
      return;
    }
    const pattern = { ...read.document, id: freshId() };
    await keepEdit(
      changeShop((now) => ({ ...now, patterns: [...(now.patterns ?? []), pattern] })),
      `“${pattern.name}” is among your patterns.`
    );
  }
</script>

<div class="mt-8 flex flex-wrap items-center gap-4">
  <h2 class="text-2xl">Your own patterns</h2>
  <PickFile label="Pattern to bring" accept=".json,application/json" onfiles={(files) => void bring(files)}
    >Bring a pattern</PickFile
  >
</div>
{#if patterns.length === 0}
  <p class="mt-1 text-soft">None yet. On the Build page of an item, “Keep it as a pattern” puts it here.</p>
{:else}
  <ul class="mt-2 grid grid-cols-2 gap-x-8 max-[1000px]:grid-cols-1">
    {#each patterns as pattern (pattern.id)}
      <li class="flex items-center gap-2 border-t border-rule py-1">
        <a class="min-w-0 flex-1 truncate text-lg font-bold hover:underline" href="/guide/own:{pattern.id}"
          >{pattern.name}</a
        >
        <button
          type="button"
          class="button button-quiet"
          aria-label="Give {pattern.name} away as a file"
          title="Give it away as a file"
          onclick={() => downloadJson(pattern.name, pattern)}
          ><Download size={18} aria-hidden="true" /></button
        >
        <button
          type="button"
          class="button button-quiet"
          aria-label="Take {pattern.name} out"
          title="Take it out; items made from it stay"
          onclick={() =>
            void keepEdit(
              changeShop((now) => ({
                ...now,
                patterns: (now.patterns ?? []).filter(({ id }) => id !== pattern.id)
              })),
              `“${pattern.name}” is out; items made from it stay.`
            )}><Trash2 size={18} aria-hidden="true" /></button
        >
      </li>
    {/each}
  </ul>
{/if}
