<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { type Snippet, untrack } from 'svelte';
  import { dialogs } from './dialogs.svelte';

  /** The frame of a dialog: its veil, its sheet in the middle of the page, and its title. */
  interface Props {
    open: boolean;
    title: string;
    /** For those that compare things side by side. */
    wide?: boolean;
    onclose: () => void;
    children: Snippet;
  }
  let { open, title, wide = false, onclose, children }: Props = $props();

  $effect(() => {
    if (!open) return;
    untrack(() => (dialogs.open += 1));
    return () => (dialogs.open -= 1);
  });
</script>

<Dialog.Root {open} onOpenChange={(next) => !next && onclose()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-20 bg-ink/40" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-30 max-h-[94vh] max-w-[96vw] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-md border-[1.5px] border-ink bg-sheet p-6 {wide
        ? 'w-[68rem]'
        : 'w-[42rem]'}"
    >
      <Dialog.Title class="head mb-2 text-2xl">{title}</Dialog.Title>
      {@render children()}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
