import { comparedName, type Thread } from '$lib/core/documents/item';
import { UNKNOWN_COLOUR } from '$lib/core/reading/evidence';

/** Threads by name, each once. */
export class ThreadRack {
  readonly all: Thread[] = [];

  take(name: string, colour = UNKNOWN_COLOUR): string {
    const shown = capitalised(name.trim());
    const found = this.all.find((thread) => comparedName(thread.name) === comparedName(shown));
    if (found) return found.id;
    const id = `thread-${this.all.length + 1}`;
    this.all.push({ id, name: shown.slice(0, 80), colour });
    return id;
  }
}

/** A word with a capital. */
export function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
