import type { Role } from '$lib/core/documents/item';
import type { DetailColour, ExpectedStop } from './pattern';

/** A stop as a construction writes it down: what it does, in the words a chart uses, along which lines. */
export type StopPart = Pick<ExpectedStop, 'name' | 'role' | 'words'> &
  Partial<ExpectedStop> & {
    /** Times along the line; running stitch. */
    passes?: number;
    /** Width of satin or zigzag, mm. */
    width?: number;
    thread?: DetailColour | DetailColour[];
  };

/** A stop in one line: its name, role, the words a chart uses, its lines, and what else there is to say. */
export function stopPart(
  name: string,
  role: Role,
  words: RegExp,
  lineIds: string[],
  more: Partial<StopPart> = {}
): StopPart {
  return { name, role, words, lineIds, ...more };
}
