<script lang="ts">
  import { formatMinutes } from '$lib/core/base/units';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';
  import type { AwayAnswer } from './away';

  /** Asks what happened while nobody looked, since a night is no stitching. */
  interface Props {
    /** How long nobody looked, s; null for no question. */
    seconds: number | null;
    /** The step stitches. */
    stitches: boolean;
    onanswer: (answer: AwayAnswer) => void;
  }
  let { seconds, stitches, onanswer }: Props = $props();
</script>

<DialogFrame
  open={seconds !== null}
  title="{formatMinutes(seconds ?? 0)} went by. What happened?"
  onclose={() => onanswer('unknown')}
>
  <div class="flex flex-col gap-3">
    <button type="button" class="button min-h-16 flex-col text-xl" onclick={() => onanswer('went-on')}
      >{stitches ? 'It stitched on' : 'I worked on'}<span class="text-base font-normal text-soft"
        >The step is logged with the time it was expected to take.</span
      ></button
    >
    <button
      type="button"
      class="button button-main min-h-16 flex-col text-xl"
      onclick={() => onanswer('paused')}
      >It was paused<span class="text-base font-normal">The time away is not counted.</span></button
    >
    <button type="button" class="button min-h-16 flex-col text-xl" onclick={() => onanswer('unknown')}
      >I do not know<span class="text-base font-normal text-soft"
        >The time away is not counted, and nothing is learned from this step.</span
      ></button
    >
  </div>
</DialogFrame>
