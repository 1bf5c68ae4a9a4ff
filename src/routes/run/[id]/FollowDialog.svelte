<script lang="ts">
  import { standIns, type StandIn } from '$lib/data';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';

  /** Which machine the run follows, and whether its buttons are pressed from here. */
  interface Props {
    open: boolean;
    following: string | null;
    onclose: () => void;
    onfollow: (session: string | null, drives: boolean) => void;
  }
  let { open, following, onclose, onfollow }: Props = $props();
  let machines = $state<StandIn[]>([]);
  let problem = $state('');
  let drives = $state(true);
  $effect(() => {
    if (!open) return;
    void standIns.list().then((reply) => {
      machines = reply.ok ? reply.value : [];
      problem = reply.ok ? '' : reply.message;
    });
  });
</script>

<DialogFrame {open} title="Follow a machine" {onclose}>
  <p>
    The run then steps on by itself: stops are timed by the machine, and a fault opens its recovery. What it
    does with its needle stays its own; hands are still yours.
  </p>
  <label class="mt-3 flex min-h-12 items-center gap-3 text-lg"
    ><input type="checkbox" class="size-6" bind:checked={drives} />Press its buttons from here: load, hoop on,
    thread, start</label
  >
  {#if problem}<p class="mt-2 text-hands">{problem}</p>{/if}
  <ul class="mt-3">
    {#each machines as { id, state } (id)}
      <li>
        <button
          type="button"
          class="button mb-2 min-h-16 w-full justify-start text-lg"
          onclick={() => onfollow(id, drives)}
          >{state.setup.name}<span class="font-normal text-soft"
            >{state.setup.needles === 1 ? 'one needle' : `${state.setup.needles} needles`}, {state.setup
              .hoop}{state.setup.speed > 1 ? `, ${state.setup.speed} times as fast` : ''}</span
          ></button
        >
      </li>
    {:else}
      <li>No stand-in machine is set up. <a class="underline" href="/machine">Set one up</a> first.</li>
    {/each}
  </ul>
  {#if following}
    <button type="button" class="button mt-2 min-h-14" onclick={() => onfollow(null, false)}
      >Stop following</button
    >
  {/if}
</DialogFrame>
