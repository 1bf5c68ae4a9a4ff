/** How an argument of an operation is asked of the maker. */
export type Field =
  | {
      kind: 'piece' | 'pieces' | 'line' | 'thread' | 'length' | 'number' | 'text' | 'hold' | 'yes';
      label: string;
    }
  | { kind: 'choice'; label: string; choices: Readonly<Record<string, string>> };

/** One of a few words. */
export function choice(label: string, choices: Readonly<Record<string, string>>): Field {
  return { kind: 'choice', label, choices };
}
/** A length, mm. */
export const length = (label: string): Field => ({ kind: 'length', label });
export const number = (label: string): Field => ({ kind: 'number', label });
export const text = (label: string): Field => ({ kind: 'text', label });
export const yes = (label: string): Field => ({ kind: 'yes', label });

/** What several operations ask alike. */
export const ASK = {
  piece: { kind: 'piece', label: 'Piece' },
  pieces: { kind: 'pieces', label: 'Pieces' },
  line: { kind: 'line', label: 'Line' },
  covers: { kind: 'line', label: 'Covers' },
  thread: { kind: 'thread', label: 'Thread' },
  hold: { kind: 'hold', label: 'Held by' },
  strips: { kind: 'number', label: 'Strips of tape' },
  margin: { kind: 'length', label: 'Distance from the line' },
  side: choice('Side', { above: 'On top', below: 'Underneath' }),
  face: choice('Face', { up: 'Right side up, as stitched', down: 'Right side down, as stitched' })
} as const satisfies Record<string, Field>;
