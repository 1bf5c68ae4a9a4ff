import type { Item } from '$lib/core/documents/item';

/** How many edits can be taken back. */
const DEPTH = 200;

/**
 * The one undo of an item: every editing command goes through `edit`, which keeps what was before.
 * Each change is handed to `save` before anything else can follow it.
 */
export class ItemHistory {
  #item = $state.raw() as Item;
  #past = $state.raw<Item[]>([]);
  #future = $state.raw<Item[]>([]);
  #save: (item: Item) => void;

  constructor(item: Item, save: (item: Item) => void) {
    this.#item = item;
    this.#save = save;
  }

  get item(): Item {
    return this.#item;
  }
  get canUndo(): boolean {
    return this.#past.length > 0;
  }
  get canRedo(): boolean {
    return this.#future.length > 0;
  }

  /** Applies an edit; one that changes nothing leaves no trace. */
  edit(change: (item: Item) => Item): void {
    const next = change(this.#item);
    if (next === this.#item) return;
    this.#past = [...this.#past.slice(-DEPTH + 1), this.#item];
    this.#future = [];
    this.#show(next);
  }

  undo(): void {
    const before = this.#past.at(-1);
    if (!before) return;
    this.#past = this.#past.slice(0, -1);
    this.#future = [this.#item, ...this.#future];
    this.#show(before);
  }

  redo(): void {
    const [next, ...rest] = this.#future;
    if (!next) return;
    this.#future = rest;
    this.#past = [...this.#past, this.#item];
    this.#show(next);
  }

  #show(item: Item): void {
    this.#item = item;
    this.#save(item);
  }
}
