import { randomInt } from 'node:crypto';

/** What is held for another device: encrypted, for ten minutes, taken once, in memory only. */
interface Held {
  bytes: Uint8Array;
  from: string;
  until: number;
  timer: ReturnType<typeof setTimeout>;
}

/** Letters of an id: none is taken for another. */
const LETTERS = '23456789ABCDEFGHJKMNPQRSTUVWXYZ';
const ID = 5;

/** The most that is held. */
export const HAND_OVER = {
  /** Bytes of one, and of all together. */
  bytes: 8 * 1024 * 1024,
  all: 48 * 1024 * 1024,
  count: 20,
  /** Of one sender: whoever fills the box fills only their own part of it. */
  ofOne: 4,
  ms: 600_000,
  /** Codes of one sender that do not fit, in a minute: more is guessing. */
  misses: 20
} as const;

/** Holds what one device hands to another. */
export class HandOverBox {
  readonly #held = new Map<string, Held>();
  #misses: { from: string; at: number }[] = [];

  /**
   * Holds it and gives the id to ask for it; null where no more is held just now.
   *
   * @param from the sender’s address
   */
  put(bytes: Uint8Array, now: number, from: string): { id: string; until: number } | null {
    this.#clear(now);
    const own = [...this.#held.values()].filter((held) => held.from === from);
    if (own.length >= HAND_OVER.ofOne) return null;
    const size = [...this.#held.values()].reduce((sum, held) => sum + held.bytes.length, 0);
    if (this.#held.size >= HAND_OVER.count || size + bytes.length > HAND_OVER.all) return null;
    let id = freshId();
    while (this.#held.has(id)) id = freshId();
    const timer = setTimeout(() => this.#held.delete(id), HAND_OVER.ms);
    timer.unref();
    this.#held.set(id, { bytes, from, until: now + HAND_OVER.ms, timer });
    return { id, until: now + HAND_OVER.ms };
  }

  /**
   * Gives what is held under an id, once. Wrong guesses count against the one who makes them, and nobody else.
   *
   * @param from the sender’s address
   */
  take(id: string, now: number, from: string): Uint8Array | 'none' | 'too-often' {
    this.#clear(now);
    this.#misses = this.#misses.filter(({ at }) => now - at < 60_000);
    if (this.#misses.filter((miss) => miss.from === from).length >= HAND_OVER.misses) return 'too-often';
    const held = this.#held.get(id);
    if (!held) {
      this.#misses.push({ from, at: now });
      return 'none';
    }
    clearTimeout(held.timer);
    this.#held.delete(id);
    return held.bytes;
  }

  get count(): number {
    return this.#held.size;
  }

  #clear(now: number): void {
    for (const [id, { until, timer }] of this.#held)
      if (until <= now) {
        clearTimeout(timer);
        this.#held.delete(id);
      }
  }
}

/** The one of this server. */
export const handOverBox = new HandOverBox();

function freshId(): string {
  return Array.from({ length: ID }, () => LETTERS.charAt(randomInt(LETTERS.length))).join('');
}
