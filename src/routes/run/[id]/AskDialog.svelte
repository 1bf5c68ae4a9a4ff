<script lang="ts" module>
  import type { Ask } from './keys';

  const WORDS: Record<Ask, { title: string; help: string; label: string; keep: string }> = {
    'mark-stitch': {
      title: 'Mark the stitch',
      help: 'The number the machine shows, so that you can come back to it.',
      label: 'Stitch number',
      keep: 'Keep it'
    },
    note: {
      title: 'Note',
      help: 'It goes into the log with this step.',
      label: 'What happened',
      keep: 'Keep it'
    },
    bookmark: {
      title: 'Set the hooping aside',
      help: 'It stays in its ring; only the hoop comes off. Read the stitch number first. Others may be stitched meanwhile.',
      label: 'Stitch number, empty if this stop has not begun',
      keep: 'Set it aside'
    }
  };
</script>

<script lang="ts">
  import type { TypedStitch } from '$lib/core/running/runs';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';

  interface Props {
    ask: Ask | null;
    /** What a typed stitch number means here. */
    readAs: (typed: string) => TypedStitch;
    onclose: () => void;
    onanswer: (type: Ask, stitch: number | null, text: string) => void;
  }
  let { ask, readAs, onclose, onanswer }: Props = $props();

  let typed = $state('');
  $effect(() => {
    if (ask) typed = '';
  });
  const words = $derived(ask && WORDS[ask]);
  const read = $derived(readAs(typed));
  const stitch = $derived(read.stitch);
  const isText = $derived(ask === 'note');
  const wrong = $derived(!isText && read.problem !== null);
  const needed = $derived(
    (isText && typed.trim() === '') || (ask === 'mark-stitch' && stitch === null) || wrong
  );
</script>

<DialogFrame open={ask !== null} title={words?.title ?? ''} {onclose}>
  {#if ask && words}
    <p class="text-xl leading-snug">{words.help}</p>
    <form
      onsubmit={(event) => {
        event.preventDefault();
        if (ask && !needed) onanswer(ask, isText ? null : stitch, isText ? typed.trim() : '');
      }}
    >
      <label class="label mt-4 block text-lg" for="answer">{words.label}</label>
      <input
        id="answer"
        class="field mt-1 min-h-16 w-full text-2xl"
        inputmode={isText ? 'text' : 'numeric'}
        maxlength={isText ? 2000 : 12}
        autocomplete="off"
        bind:value={typed}
        aria-invalid={wrong}
      />
      {#if wrong}<p class="mt-1 text-lg text-hands">{read.problem}</p>{/if}
      <div class="mt-5 flex flex-wrap gap-3">
        <button type="submit" class="button button-main min-h-16 px-8 text-xl" disabled={needed}
          >{words.keep}</button
        >
        <button type="button" class="button min-h-16 px-6 text-xl" onclick={onclose}>Cancel</button>
      </div>
    </form>
  {/if}
</DialogFrame>
