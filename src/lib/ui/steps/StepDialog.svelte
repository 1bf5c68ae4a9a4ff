<script lang="ts">
  import { carried } from '$lib/core/documents/changes';
  import type { LengthUnit } from '$lib/core/base/units';
  import { newOperation } from '$lib/core/craft/operations';
  import {
    addHandStep,
    addThread,
    editStep,
    editStop,
    findStop,
    type Item,
    type Operation,
    type Step
  } from '$lib/core/documents/item';
  import DialogFrame from '$lib/ui/DialogFrame.svelte';
  import { Dialog } from 'bits-ui';
  import { untrack } from 'svelte';
  import OperationForm from './OperationForm.svelte';
  import StopForm from './StopForm.svelte';

  /** What the dialog is open for: a step to change, or a place to add one after. */
  export type StepTask = { kind: 'edit'; stepId: string } | { kind: 'add'; afterId: string | null };

  interface Props {
    item: Item;
    unit: LengthUnit;
    task: StepTask | null;
    /** Ids for what is added. */
    freshId: () => string;
    onclose: () => void;
    onedit: (change: (item: Item) => Item, select?: string) => void;
  }
  let { item, unit, task, freshId, onclose, onedit }: Props = $props();

  // A draft of the whole item: the form works on it, and saving hands over one edit.
  let draft = $state.raw<Item | null>(null);
  let opened = $state.raw<Item | null>(null);
  let added = $state.raw<Operation | null>(null);
  let note = $state('');

  /** Begins from the item as it is now. */
  function begin(task: StepTask, now: Item): void {
    if (task.kind === 'add') {
      added = newOperation('other', now) ?? null;
      note = '';
    } else {
      draft = now;
      opened = now;
      note = now.steps.find(({ id }) => id === task.stepId)?.note ?? '';
    }
  }
  // Begun once for each task: an item that is read again while the dialog is open takes nothing of the draft away.
  $effect(() => {
    if (task)
      begin(
        task,
        untrack(() => item)
      );
  });

  const shown = $derived(draft ?? item);
  const step = $derived<Step | undefined>(
    task?.kind === 'edit' ? shown.steps.find(({ id }) => id === task.stepId) : undefined
  );
  const stop = $derived(step?.kind === 'stop' ? findStop(shown, step.stopId) : undefined);

  function save(): void {
    const text = note.trim();
    if (task?.kind === 'add' && added) {
      const [op, id, { afterId }] = [added, freshId(), task];
      onedit((before) => addHandStep(before, afterId, id, op, text), id);
    } else if (task?.kind === 'edit' && draft && opened) {
      const [before, after] = [opened, editStep(draft, task.stepId, { note: text })];
      // Only what the form changed goes to the item as it stands now.
      onedit((now) => carried(before, after, now), task.stepId);
    }
    onclose();
  }

  function useThread(stopId: string, name: string, colour: string): void {
    const added = addThread(shown, { id: freshId(), name, colour });
    draft = editStop(added.item, stopId, { threadId: added.threadId });
  }
</script>

<DialogFrame
  open={task !== null}
  title={task?.kind === 'add' ? 'Add a step' : stop ? 'Change the stop' : 'Change the step'}
  {onclose}
>
  <form
    onsubmit={(event) => {
      event.preventDefault();
      save();
    }}
  >
    {#if task?.kind === 'add' && added}
      <OperationForm {item} {unit} op={added} onchange={(op) => (added = op)} />
    {:else if step?.kind === 'hand'}
      <OperationForm
        item={shown}
        {unit}
        op={step.op}
        onchange={(op) => (draft = editStep(shown, step.id, { op }))}
      />
    {:else if stop}
      <StopForm
        item={shown}
        {stop}
        onchange={(change) => (draft = editStop(shown, stop.id, change))}
        onnewthread={(name, colour) => useThread(stop.id, name, colour)}
      />
    {/if}
    <label class="label mt-4 block" for="step-note">Your note</label>
    <textarea id="step-note" class="field w-full" rows="2" maxlength="2000" bind:value={note}></textarea>
    <div class="mt-5 flex justify-end gap-3">
      <Dialog.Close type="button" class="button button-quiet">Cancel</Dialog.Close>
      <button type="submit" class="button button-main"
        >{task?.kind === 'add' ? 'Add the step' : 'Keep the change'}</button
      >
    </div>
  </form>
</DialogFrame>
