<script lang="ts">
  import DialogFrame from '$lib/ui/DialogFrame.svelte';

  /** Asks how the work is left, since a day away is no day of hands. */
  interface Props {
    open: boolean;
    /** The needle runs, or something dries: it goes on by itself. */
    goesOn: 'needle' | 'waiting' | null;
    onclose: () => void;
    onrun: () => void;
    onpause: () => void;
    onaside: () => void;
  }
  let { open, goesOn, onclose, onrun, onpause, onaside }: Props = $props();
</script>

<DialogFrame {open} title="How do you leave it?" {onclose}>
  <div class="flex flex-col gap-3">
    {#if goesOn}
      <button type="button" class="button min-h-16 flex-col text-xl" onclick={onrun}
        >{goesOn === 'needle' ? 'The machine runs on' : 'It waits by itself'}<span
          class="text-base font-normal text-soft">The clock of this step goes on. Stay in earshot.</span
        ></button
      >
    {/if}
    <button type="button" class="button button-main min-h-16 flex-col text-xl" onclick={onpause}
      >It is paused<span class="text-base font-normal">No time is counted until you come back.</span></button
    >
    <button type="button" class="button min-h-16 flex-col text-xl" onclick={onaside}
      >The hooping is set aside<span class="text-base font-normal text-soft"
        >Off the machine, with its stitch number; another may be stitched meanwhile.</span
      ></button
    >
  </div>
</DialogFrame>
