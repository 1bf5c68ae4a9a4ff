<script lang="ts">
  import DialogFrame from '$lib/ui/DialogFrame.svelte';
  import { Dialog } from 'bits-ui';

  /** What a change leaves no place for, told before it is done. */
  interface Props {
    lost: string[] | null;
    onclose: () => void;
    ontake: () => void;
  }
  let { lost, onclose, ontake }: Props = $props();
</script>

<DialogFrame open={lost !== null} title="This has no place any more" {onclose}>
  <p class="mb-3">All else you did by hand stays. With this change these go; “Undo” brings them back.</p>
  <ul class="mb-5 flex flex-col gap-1">
    {#each lost ?? [] as what (what)}<li class="border-l-4 border-hands bg-hands-pale px-3 py-1.5">
        {what}
      </li>{/each}
  </ul>
  <div class="flex justify-end gap-3">
    <Dialog.Close type="button" class="button button-quiet">Keep the item as it was</Dialog.Close>
    <button type="button" class="button button-main" onclick={ontake}>Change it anyway</button>
  </div>
</DialogFrame>
