<script lang="ts" module>
  /** A block as the list shows it. */
  export interface BlockRow {
    id: string;
    name: string;
    /** What it is made of. */
    words: string;
    /** Why it cannot stand there, and what mends it. */
    trouble: string | null;
    /** Findings at its steps. */
    findings: number;
  }
</script>

<script lang="ts">
  import { GripVertical, Plus, TriangleAlert } from '@lucide/svelte';
  import { dragHandle, dragHandleZone, type DndEvent } from 'svelte-dnd-action';

  interface Props {
    rows: BlockRow[];
    /** The block that is open, or `item` for the whole. */
    open: string | null;
    /** Where a block is being put in. */
    place: number | null;
    /** The size of the item. */
    words: string;
    onitem: () => void;
    onblock: (id: string) => void;
    onplace: (at: number) => void;
    onmove: (id: string, to: number) => void;
    onorder: (ids: string[]) => void;
  }
  let { rows, open, place, words, onitem, onblock, onplace, onmove, onorder }: Props = $props();

  /** The rows while one of them is dragged; what is stored otherwise. */
  let dragged = $state.raw<BlockRow[] | null>(null);
  const shown = $derived(dragged ?? rows);

  function onkeydown(event: KeyboardEvent, id: string, at: number): void {
    if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
    event.preventDefault();
    const to = at + (event.key === 'ArrowUp' ? -1 : 1);
    if (to >= 0 && to < rows.length) onmove(id, to);
  }
</script>

<nav aria-label="The item, block by block" class="min-w-0">
  <button
    type="button"
    class="row min-h-12 font-bold {open === 'item' ? 'open' : ''}"
    aria-current={open === 'item' ? 'true' : undefined}
    onclick={onitem}
    ><span class="flex-1 text-left">Size and answers</span><span class="font-normal text-soft">{words}</span
    ></button
  >
  {#snippet gap(at: number)}
    <button
      type="button"
      class="gap {place === at ? 'here' : ''}"
      aria-label={at === 0
        ? 'Put a block in at the start'
        : `Put a block in after ${rows[at - 1]?.name ?? ''}`}
      aria-pressed={place === at}
      onclick={() => onplace(at)}
      ><Plus size={16} aria-hidden="true" />{#if place === at}here{/if}</button
    >
  {/snippet}
  {@render gap(0)}
  <ol
    class="flex flex-col"
    use:dragHandleZone={{ items: shown, flipDurationMs: 120, dropTargetStyle: {}, zoneTabIndex: -1 }}
    onconsider={(event: CustomEvent<DndEvent<BlockRow>>) => (dragged = event.detail.items)}
    onfinalize={(event: CustomEvent<DndEvent<BlockRow>>) => {
      dragged = null;
      const ids = event.detail.items.map(({ id }) => id);
      if (ids.join() !== rows.map(({ id }) => id).join()) onorder(ids);
    }}
  >
    {#each shown as row, at (row.id)}
      <li>
        <div class="row {open === row.id ? 'open' : ''} {row.trouble ? 'border-hands!' : ''}">
          <span use:dragHandle aria-label="Drag {row.name}" class="cursor-grab py-2 text-soft" tabindex="-1"
            ><GripVertical size={18} aria-hidden="true" /></span
          >
          <button
            type="button"
            class="min-h-11 min-w-0 flex-1 py-1.5 text-left leading-tight"
            aria-current={open === row.id ? 'true' : undefined}
            title="Alt and the arrow keys move it"
            onclick={() => onblock(row.id)}
            onkeydown={(event) => onkeydown(event, row.id, at)}
          >
            <span class="font-bold">{row.name}</span>
            {#if row.words}<span class="block truncate text-sm text-soft">{row.words}</span>{/if}
            {#if row.trouble}<span class="block text-sm font-bold text-hands">{row.trouble}</span>{/if}
          </button>
          {#if row.findings > 0}<span
              class="flex items-center gap-1 text-sm font-bold text-hands"
              title="{row.findings} to look at"
              ><TriangleAlert size={16} aria-hidden="true" />{row.findings}</span
            >{/if}
        </div>
        {@render gap(at + 1)}
      </li>
    {/each}
  </ol>
</nav>

<style>
  .row {
    display: flex;
    width: 100%;
    align-items: center;
    gap: 0.5rem;
    border: 1.5px solid var(--rule-strong);
    border-radius: 6px;
    padding: 0 0.6rem;
    background: var(--sheet);
  }
  .open {
    border-color: var(--ink);
    box-shadow: inset 4px 0 0 var(--needle);
  }
  .gap {
    display: flex;
    width: 100%;
    min-height: 44px;
    align-items: center;
    justify-content: center;
    gap: 0.25rem;
    color: var(--soft);
    font-size: 0.875rem;
  }
  .gap:hover,
  .here {
    color: var(--needle);
    font-weight: 700;
  }
</style>
