<script lang="ts">
  import { type Fault, FAULTS } from '$lib/core/documents/run';
  import { faultName } from '$lib/core/running/runs';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';

  /** Which fault it is: a big button each, or its digit. */
  let { open, onclose, onfault }: { open: boolean; onclose: () => void; onfault: (fault: Fault) => void } =
    $props();
</script>

<svelte:window
  onkeydown={(event) => {
    const fault = open ? FAULTS[Number(event.key) - 1] : undefined;
    if (fault) onfault(fault);
  }}
/>

<DialogFrame {open} title="What went wrong?" {onclose}>
  <p class="mb-4 text-lg">Halt the machine first.</p>
  <div class="grid grid-cols-2 gap-3">
    {#each FAULTS as fault, at (fault)}
      <button type="button" class="button min-h-20 flex-col text-xl" onclick={() => onfault(fault)}
        >{faultName(fault)}<span class="text-sm font-normal text-soft">{at + 1}</span></button
      >
    {/each}
  </div>
</DialogFrame>
