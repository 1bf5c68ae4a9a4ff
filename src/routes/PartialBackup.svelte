<script lang="ts">
  import type { LooseBackup } from '$lib/core/documents/files';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';
  import { Dialog } from 'bits-ui';

  /** What a backup that is not whole would bring back, and what it would leave out, before anything is replaced. */
  interface Props {
    name: string;
    read: LooseBackup;
    onbring: () => void;
    onclose: () => void;
  }
  let { name, read, onbring, onclose }: Props = $props();
  const { backup, left, truncated, newer } = $derived(read);
  const counts = $derived([
    [backup.items.length, 'items'],
    [backup.orders.length, 'orders'],
    [backup.runs.length, 'runs'],
    [backup.stash.length, 'lines of the stash'],
    [backup.photos.length + backup.pictures.length, 'pictures']
  ] as const);
  /** More are not read by anybody. */
  const MOST = 40;
</script>

<DialogFrame open title="This backup is not whole" {onclose}>
  {#if truncated}<p>The file breaks off: what stands behind that place is not in it.</p>{/if}
  {#if newer}<p>
      It was written by a newer Jolt Step. What this one cannot read is left out; update first, and nothing
      need be.
    </p>{/if}
  <p class="mt-2">
    It would bring back {counts.map(([count, words]) => `${count} ${words}`).join(', ')}{backup.shop
      ? ' and the shop'
      : ''}.
  </p>
  {#if left.length > 0}
    <h3 class="mt-4 text-lg">Left out: {left.length}</h3>
    <ul class="mt-1 max-h-64 overflow-y-auto border-t border-rule">
      {#each left.slice(0, MOST) as { what, name: own, why }, at (at)}
        <li class="border-b border-rule py-1.5"><strong>{what} {own}</strong>: {why}</li>
      {/each}
    </ul>
    {#if left.length > MOST}<p class="mt-1 text-soft">and {left.length - MOST} more.</p>{/if}
  {/if}
  <p class="mt-4">
    What is here now is replaced by what {name} has; that can be undone until you leave.
  </p>
  <div class="mt-4 flex justify-end gap-3">
    <Dialog.Close type="button" class="button button-main">Change nothing</Dialog.Close>
    <button type="button" class="button" onclick={onbring}>Bring back what can be read</button>
  </div>
</DialogFrame>
