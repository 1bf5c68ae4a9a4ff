import type { ChartRow, Role } from '$lib/core/documents/item';
import { guessRole, type RoleGuess } from '$lib/core/reading/evidence';

/** Marks for snaps, eyelets and buttons are a few stitches; more of them draw something. */
const MOST_FOR_MARKS = 160;

/**
 * The roles of all rows of a chart together: words say what a stop may be, its size and what stands before and behind it
 * whether it is.
 *
 * @param rows in their order
 * @param title what the paper is about, where it says so
 *
 * @example
 * withRoles([{ name: 'edge', … }, { name: 'closing seam', … }], null)[0]?.role // 'applique-edge'
 */
export function withRoles<Row extends ChartRow>(
  rows: readonly Row[],
  title: string | null
): (Row & RoleGuess)[] {
  const first = rows.map((row, at) => ({
    ...row,
    ...guessRole(row.name, row.stitches, rows.length > 1 ? at / (rows.length - 1) : 0)
  }));
  const last = (role: Role): number => first.findLastIndex((row) => row.role === role);
  const [lastEdge, lastSeam] = [last('satin-edge'), last('closing-seam')];
  const holds = first.some(({ role }) => role === 'placement' || role === 'tack-down');
  const isLace =
    !holds &&
    (/\blace\b/i.test(title ?? '') || first.some(({ role }) => role === 'lace' || role === 'lace-underlay'));
  return first.map((row, at): Row & RoleGuess => {
    const as = (role: Role, confidence: number): Row & RoleGuess => ({ ...row, role, confidence });
    const { role, name, stitches } = row;
    if (role === 'closure-mark' && (stitches ?? 0) > MOST_FOR_MARKS && !/\b(?:snap|eyelet|mark)/i.test(name))
      return as('decoration', 0.7);
    if (role === 'satin-edge') {
      const isItems = /\b(?:border|rim|merrow)\b/i.test(name);
      // An edge with another edge or the closing seam after it closes a shape on the item, not the item.
      if (!isItems && (at < lastEdge || at < lastSeam)) return as('applique-edge', at < lastSeam ? 0.8 : 0.6);
    }
    // What draws on water-soluble film, with nothing placed or held, is lace itself.
    if (isLace && role === 'decoration') return as('lace', 0.75);
    return row;
  });
}
