<script lang="ts">
  import PickFile from '$lib/ui/PickFile.svelte';
  import type { PlanStep } from '$lib/core/documents/plan';
  import type { NowPossible } from '$lib/core/running/runs';
  import { stopList } from '$lib/core/stitching/thread';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';

  /** What is needed now and then: skip and come back, another stop in the thread that is on, set aside, call-outs. */
  interface Props {
    open: boolean;
    canSkip: boolean;
    /** The needle runs, so there is a stitch to mark. */
    canMark: boolean;
    /** Steps that wait to be come back to. */
    waiting: readonly PlanStep[];
    now: NowPossible | null;
    spoken: boolean;
    tones: boolean;
    onclose: () => void;
    onskip: () => void;
    ongo: (stepId: string) => void;
    onmark: () => void;
    onnote: () => void;
    onaside: () => void;
    onphoto: (file: File) => void;
    onfollow: () => void;
    onvoice: (change: { spoken?: boolean; tones?: boolean }) => void;
    ongiveup: () => void;
  }
  let {
    open,
    canSkip,
    canMark,
    waiting,
    now,
    spoken,
    tones,
    onclose,
    onskip,
    ongo,
    onmark,
    onnote,
    onaside,
    onphoto,
    onfollow,
    onvoice,
    ongiveup
  }: Props = $props();
  let sure = $state(false);
  $effect(() => {
    if (!open) sure = false;
  });
</script>

<DialogFrame {open} title="More" wide {onclose}>
  <div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)] gap-8 max-[900px]:grid-cols-1">
    <div class="grid grid-cols-2 content-start gap-3">
      {#each [['Skip it, come back later', 'S', canSkip, onskip], ['Mark the stitch', 'M', canMark, onmark], ['Note', 'N', true, onnote], ['Set the hooping aside', 'A', true, onaside]] as const as [words, key, enabled, press] (key)}
        <button
          type="button"
          class="button min-h-16 flex-col text-lg leading-tight whitespace-normal"
          disabled={!enabled}
          onclick={press}>{words}<span class="text-sm font-normal text-soft">{key}</span></button
        >
      {/each}
      <PickFile
        label="Photo of this step"
        accept="image/*"
        class="button min-h-16 text-lg"
        onfiles={([file]) => file && onphoto(file)}>Photo</PickFile
      >
      <button type="button" class="button min-h-16 text-lg" onclick={onfollow}>Follow a machine</button>
      <label class="flex min-h-14 items-center gap-3 text-lg"
        ><input
          type="checkbox"
          class="size-6"
          checked={spoken}
          onchange={(event) => onvoice({ spoken: event.currentTarget.checked })}
        />Call out each step</label
      >
      <label class="flex min-h-14 items-center gap-3 text-lg"
        ><input
          type="checkbox"
          class="size-6"
          checked={tones}
          onchange={(event) => onvoice({ tones: event.currentTarget.checked })}
        />Tones</label
      >
      {#if sure}
        <button type="button" class="button col-span-2 min-h-14 border-hands text-hands" onclick={ongiveup}
          >Yes: it ends here, and stays in the log</button
        >
      {:else}
        <button type="button" class="button button-quiet col-span-2 min-h-14" onclick={() => (sure = true)}
          >Give this run up</button
        >
      {/if}
    </div>
    <div>
      <h3 class="text-xl">Skipped, to come back to</h3>
      <ul class="mt-1">
        {#each waiting as step (step.id)}
          <li>
            <button
              type="button"
              class="flex min-h-14 w-full items-center gap-3 border-b border-rule text-left text-lg"
              onclick={() => ongo(step.id)}
              ><span class="head w-10 text-right">{step.stop?.machineNumber ?? `(${step.number})`}</span
              >{step.title}<span class="ml-auto text-needle">Go there</span></button
            >
          </li>
        {:else}<li class="text-soft">Nothing was skipped.</li>{/each}
      </ul>
      <h3 class="mt-5 text-xl">
        {now ? `${now.thread.name} is on: what may be stitched now` : 'No thread is on yet'}
      </h3>
      <ul class="mt-1 max-h-72 overflow-y-auto">
        {#each now?.stops ?? [] as { stepId, number, title, first } (stepId)}
          <li>
            <button
              type="button"
              class="flex min-h-14 w-full items-center gap-3 border-b border-rule text-left text-lg disabled:text-soft"
              disabled={first.length > 0}
              onclick={() => ongo(stepId)}
              ><span class="head w-10 text-right">{number}</span>{title}<span class="ml-auto"
                >{#if first.length > 0}after {stopList(first)}{:else}<span class="text-needle">Go there</span
                  >{/if}</span
              ></button
            >
          </li>
        {:else}<li class="text-soft">
            {now ? 'Nothing more can be stitched with it yet.' : 'It is shown here once one is.'}
          </li>{/each}
      </ul>
    </div>
  </div>
</DialogFrame>
