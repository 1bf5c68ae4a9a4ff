<script lang="ts" module>
  import type { RunEventType } from '$lib/core/run';

  /** What the screen asks about before it is stored. */
  export type Ask = Extract<RunEventType, 'thread-broke' | 'bobbin-out' | 'mark-stitch' | 'note'>;

  const WORDS: Record<Ask, { title: string; help: string; stitch: boolean; text: boolean }> = {
    'thread-broke': {
      title: 'Thread broke',
      help: 'Halt. Cut at the spool, pull the tail out through the needle, thread it again fully. Back up about 10 stitches, hold the tail, go on.',
      stitch: true,
      text: false
    },
    'bobbin-out': {
      title: 'Bobbin out',
      help: 'Leave the work in the hoop. Put in a full bobbin, back up about 10 stitches, hold both tails, go on.',
      stitch: true,
      text: false
    },
    'mark-stitch': {
      title: 'Mark the stitch',
      help: 'The number the machine shows, so that you can come back to it.',
      stitch: true,
      text: false
    },
    note: { title: 'Note', help: 'It goes into the log with this step.', stitch: false, text: true }
  };
</script>

<script lang="ts">
  import { Dialog } from 'bits-ui';

  interface Props {
    ask: Ask | null;
    /** Stitches of the stop, as the highest number that makes sense. */
    stitches: number | null;
    onclose: () => void;
    onanswer: (type: Ask, stitch: number | null, text: string) => void;
    onstopearly: () => void;
  }
  let { ask, stitches, onclose, onanswer, onstopearly }: Props = $props();

  let typed = $state('');
  $effect(() => {
    if (ask) typed = '';
  });
  const words = $derived(ask && WORDS[ask]);
  const stitch = $derived(/^\d{1,7}$/.test(typed.trim()) ? Number(typed) : null);
  const wrong = $derived(words?.stitch === true && typed.trim() !== '' && stitch === null);
  const needed = $derived(
    (ask === 'note' && typed.trim() === '') || (ask === 'mark-stitch' && stitch === null)
  );
</script>

<Dialog.Root open={ask !== null} onOpenChange={(open) => !open && onclose()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-20 bg-ink/50" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-30 w-[40rem] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 rounded-md border-2 border-ink bg-sheet p-8"
    >
      {#if ask && words}
        <Dialog.Title class="head text-4xl">{words.title}</Dialog.Title>
        <Dialog.Description class="mt-3 text-2xl leading-snug">{words.help}</Dialog.Description>
        <form
          onsubmit={(event) => {
            event.preventDefault();
            if (ask && !wrong && !needed)
              onanswer(ask, words.stitch ? stitch : null, words.text ? typed.trim() : '');
          }}
        >
          <label class="label mt-5 block text-lg" for="answer">
            {words.stitch
              ? `Stitch number${stitches ? `, of about ${stitches.toLocaleString('en')}` : ''}${ask === 'mark-stitch' ? '' : ' (leave empty if you do not know)'}`
              : 'What happened'}
          </label>
          <input
            id="answer"
            class="field mt-1 min-h-16 w-full text-2xl"
            inputmode={words.stitch ? 'numeric' : 'text'}
            maxlength={words.stitch ? 7 : 2000}
            autocomplete="off"
            bind:value={typed}
            aria-invalid={wrong}
          />
          {#if wrong}<p class="mt-1 text-lg text-hands">A stitch number is a whole number.</p>{/if}
          <div class="mt-6 flex flex-wrap gap-3">
            <button type="submit" class="button button-main min-h-16 px-8 text-xl" disabled={wrong || needed}
              >{ask === 'note' || ask === 'mark-stitch' ? 'Keep it' : 'Sorted, go on'}</button
            >
            <Dialog.Close class="button min-h-16 px-6 text-xl">Not that</Dialog.Close>
            {#if ask === 'note'}<button
                type="button"
                class="button button-quiet ml-auto min-h-16 text-lg"
                onclick={onstopearly}>Give this run up</button
              >{/if}
          </div>
        </form>
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
