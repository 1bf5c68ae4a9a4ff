<script lang="ts">
  import { addHandStep, addThread, findLine, findPiece, type Item } from '$lib/core/documents/item';
  import type { Plan } from '$lib/core/documents/plan';
  import { insertWindows, leavingAt, type StackStep } from '$lib/core/craft/stack';
  import NumberField from '$lib/ui/fields/NumberField.svelte';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';
  import { Dialog } from 'bits-ui';

  /** Asks what is stitched in between and offers every place where it can be. */
  interface Props {
    open: boolean;
    item: Item;
    plan: Plan;
    trace: StackStep[];
    freshId: () => string;
    onclose: () => void;
    onedit: (change: (item: Item) => Item, select?: string) => void;
  }
  let { open, item, plan, trace, freshId, onclose, onedit }: Props = $props();

  const places = $derived(
    open
      ? insertWindows(item, trace).flatMap(({ pieceId, after }) =>
          after.map((stepId, at) => ({ pieceId, stepId, best: at === after.length - 1 }))
        )
      : []
  );
  let chosen = $state('');
  const place = $derived(
    places.find(({ stepId }) => stepId === chosen) ?? places.findLast(({ best }) => best) ?? places[0]
  );
  const leaving = $derived(place && leavingAt(item, place.stepId, plan.machine.needles));

  let name = $state('');
  let stitches = $state(1500);
  let threadId = $state('');

  const titleOf = (stepId: string): string => {
    const step = plan.steps.find(({ itemStepId }) => itemStepId === stepId);
    return step ? `${step.number} ${step.title}` : stepId;
  };

  function save(): void {
    if (!place || name.trim() === '') return;
    const id = freshId();
    const fallback = { id: freshId(), name: 'Name thread', colour: '#6d1f31' };
    const { stepId, pieceId } = place;
    const field = findLine(item, 'field') ?? findLine(item, 'name');
    const fileName = name.trim();
    const wanted = threadId;
    const count = stitches;
    onedit((before) => {
      const added = wanted === '' ? addThread(before, fallback) : { item: before, threadId: wanted };
      return addHandStep(added.item, stepId, id, {
        do: 'insert-run',
        fileName,
        pieceId,
        threadId: added.threadId,
        stitches: count,
        ...(field && { lineId: field.id })
      });
    }, id);
    name = '';
    onclose();
  }
</script>

<DialogFrame {open} title="Put a name in" {onclose}>
  {#if !place}
    <p>
      There is no place for it: at no step does a tacked surface lie open to you with nothing underneath that
      the stitches would spoil.
    </p>
    <div class="mt-5 flex justify-end"><Dialog.Close type="button" class="button">Close</Dialog.Close></div>
  {:else}
    <form
      class="flex flex-col gap-4"
      onsubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <div class="flex flex-wrap gap-4">
        <div class="flex flex-col gap-1">
          <label class="label" for="name-file">Name, or the file it is in</label>
          <input id="name-file" class="field w-60" maxlength="80" required bind:value={name} />
        </div>
        <NumberField
          label="Stitches"
          value={stitches}
          onchange={(next) => (stitches = next ?? 0)}
          class="w-28"
        />
        <div class="flex flex-col gap-1">
          <label class="label" for="name-thread">Thread</label>
          <select id="name-thread" class="field" bind:value={threadId}>
            <option value="">A thread of its own</option>
            {#each item.threads as thread (thread.id)}<option value={thread.id}>{thread.name}</option>{/each}
          </select>
        </div>
      </div>
      <fieldset>
        <legend class="label mb-1">After which step</legend>
        <div class="flex max-h-60 flex-col overflow-y-auto">
          {#each places as { stepId, pieceId, best } (stepId)}
            <label class="flex min-h-11 items-center gap-3 border-b border-rule">
              <input
                type="radio"
                name="place"
                class="size-5"
                checked={place.stepId === stepId}
                onchange={() => (chosen = stepId)}
              />
              <span class="flex-1">{titleOf(stepId)}</span>
              <span class="text-soft"
                >on {findPiece(item, pieceId)?.name}{best ? ', the last chance' : ''}</span
              >
            </label>
          {/each}
        </div>
      </fieldset>
      {#if leaving}
        <p>
          {leaving.leaveAfter === null
            ? 'You leave the file before its first stop'
            : `You leave the file after stop ${leaving.leaveAfter}`}{leaving.resumeAt === null
            ? '.'
            : `, and go back in at stop ${leaving.resumeAt}.`}
          {#if leaving.catchIt}<strong class="text-hands"
              >The file does not halt there: be ready to catch the machine.</strong
            >{/if}
        </p>
      {/if}
      <div class="flex justify-end gap-3">
        <Dialog.Close type="button" class="button button-quiet">Cancel</Dialog.Close>
        <button type="submit" class="button button-main" disabled={name.trim() === ''}>Put it in</button>
      </div>
    </form>
  {/if}
</DialogFrame>
