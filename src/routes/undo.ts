import { editHistory, redoEdit, undoEdit } from '$lib/data';
import { toast } from 'svelte-sonner';
import { report } from './report';

/** Takes the last edit of this tab back and says which; where it cannot be any more, it says why. */
export async function undo(): Promise<void> {
  const done = await undoEdit();
  if (done) say(done.problem === null ? `Taken back: ${done.words}.` : null, done);
}

/** Makes the edit taken back last again. */
export async function redo(): Promise<void> {
  const done = await redoEdit();
  if (done) say(done.problem === null ? `Done again: ${done.words}.` : null, done);
}

function say(done: string | null, { words, problem }: { words: string; problem: string | null }): void {
  if (done !== null) toast(done);
  else toast.error(`Not taken back: ${words}. ${problem ?? ''}`);
}

/** Where these keys belong to what is being typed. */
const TYPED = 'input:not([type="radio"], [type="checkbox"]), textarea, select, [role="dialog"]';

/** Undo and redo by the keys everybody knows, but not while something is typed or a dialog is open. */
export function onUndoKey(event: KeyboardEvent): void {
  if (!(event.ctrlKey || event.metaKey) || !(event.target instanceof Element)) return;
  if (event.target.closest(TYPED)) return;
  const key = event.key.toLowerCase();
  if (key !== 'z' && key !== 'y') return;
  event.preventDefault();
  void (key === 'y' || event.shiftKey ? redo() : undo());
}

/**
 * Waits for an edit to be stored; what cannot be stored is said.
 *
 * @param said what to say when it is, with a button that takes it back
 * @param label what that button says
 */
export async function keepEdit(work: Promise<void>, said?: string, label = 'Undo'): Promise<boolean> {
  try {
    await work;
  } catch (problem) {
    report(problem, 'The change is not stored.');
    return false;
  }
  if (said === undefined) return true;
  const spoken = editHistory.last;
  toast(said, {
    action: {
      label,
      onClick: () => {
        if (editHistory.last === spoken) void undo();
        else toast('More has been changed since: take that back first.');
      }
    }
  });
  return true;
}
