import type { RowKind } from '$lib/core/documents/files';

/** What became of one stored document; null for none, so that adding and taking away are changes too. */
export interface DocumentChange {
  kind: RowKind;
  id: string;
  before: object | null;
  after: object | null;
}

/** What one press changed, in the words that say what can be taken back. */
export interface Edit {
  words: string;
  changes: readonly DocumentChange[];
}

/** What the next undo and redo are. */
export interface HistoryView {
  undo: string | null;
  redo: string | null;
}

/** Edits that can be taken back. */
const DEPTH = 200;

/** The edits made in this tab, whatever they changed: one history for every screen. */
class EditHistory {
  #past: Edit[] = [];
  #future: Edit[] = [];
  readonly #readers = new Set<(view: HistoryView) => void>();

  /** Remembers an edit; what had been taken back before is gone. */
  record(edit: Edit): void {
    this.#past = [...this.#past.slice(-DEPTH + 1), edit];
    this.#future = [];
    this.#tell();
  }

  get last(): Edit | undefined {
    return this.#past.at(-1);
  }
  get next(): Edit | undefined {
    return this.#future[0];
  }

  /** The last edit has been taken back, or cannot be any more. */
  undone(again: boolean): void {
    const edit = this.#past.at(-1);
    if (!edit) return;
    this.#past = this.#past.slice(0, -1);
    if (again) this.#future = [edit, ...this.#future];
    this.#tell();
  }

  /** The next edit has been made again, or cannot be any more. */
  redone(again: boolean): void {
    const [edit, ...rest] = this.#future;
    if (!edit) return;
    this.#future = rest;
    if (again) this.#past = [...this.#past, edit];
    this.#tell();
  }

  /** Forgets everything, as when a backup has been put back. */
  forget(): void {
    this.#past = [];
    this.#future = [];
    this.#tell();
  }

  /** Calls a reader now and whenever something changes; gives what ends that. A Svelte store. */
  subscribe(reader: (view: HistoryView) => void): () => void {
    this.#readers.add(reader);
    reader(this.#view());
    return () => this.#readers.delete(reader);
  }

  #view(): HistoryView {
    return { undo: this.last?.words ?? null, redo: this.next?.words ?? null };
  }
  #tell(): void {
    for (const reader of this.#readers) reader(this.#view());
  }
}

/** The history of this tab. */
export const editHistory = new EditHistory();
