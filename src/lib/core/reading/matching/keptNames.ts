import { samePath } from '$lib/core/base/geometry';
import { type Pattern, type PatternNames, renamedPattern } from '$lib/core/craft/sequence';
import { findStop, type Item, namesIn, type Piece, type Role, type Step } from '$lib/core/documents/item';

/**
 * What an item that was kept calls the steps, pieces and lines its construction makes. A construction that is put together
 * otherwise today makes the same things under other names: they are told by what they are and do, in their order, so that what
 * the maker changed is still found.
 *
 * @param made what the construction makes of the item’s own answers
 * @returns null where the item calls everything as it is made today
 *
 * @example
 * keptNames(oldTab, pattern)?.step('front-lay') // 'lay-front'
 */
export function keptNames(item: Item, made: Pattern): PatternNames | null {
  const pieces = paired(made.pieces, item.pieces, alikePieces);
  const lines = paired(made.lines, item.lines, ({ path, frame }, kept) =>
    samePath(path, kept.path) ? (frame === kept.frame ? 2 : 1) : 0
  );
  const piece = (id: string): string => pieces.get(id) ?? id;
  const asKept =
    pieces.size === 0 ? made : renamedPattern(made, { step: (id) => id, piece, line: (id) => id });
  const steps = pairedSteps(asKept, item);
  if (pieces.size + lines.size + steps.size === 0) return null;
  return {
    piece,
    line: (id) => lines.get(id) ?? id,
    step: (id) => steps.get(id) ?? id
  };
}

/** The kept thing most like each that is made, where the item does not know it by its name. */
function paired<T extends { id: string }>(
  made: readonly T[],
  kept: readonly T[],
  alike: (made: T, kept: T) => number
): Map<string, string> {
  const own = new Set(made.map(({ id }) => id));
  const free = kept.filter(({ id }) => !own.has(id));
  const names = new Map<string, string>();
  for (const each of made) {
    if (kept.some(({ id }) => id === each.id)) continue;
    const [best] = free
      .filter(({ id }) => ![...names.values()].includes(id))
      .map((other) => ({ id: other.id, score: alike(each, other) }))
      .filter(({ score }) => score > 0)
      .sort((a, b) => b.score - a.score);
    if (best) names.set(each.id, best.id);
  }
  return names;
}

/** How much two pieces are alike: used in the same way and seen alike, or called the same. */
function alikePieces(made: Piece, kept: Piece): number {
  if (made.name === kept.name) return 10;
  if (made.use !== kept.use || made.shows !== kept.shows) return 0;
  return made.material.kind === kept.material.kind ? 2 : 1;
}

/** Of steps that only one of the two knows by name, those that do the same in the same order: the longest such run. */
function pairedSteps(made: Pattern, item: Item): Map<string, string> {
  const theirs = item.steps
    .map((step) => ({
      id: step.kind === 'stop' ? (findStop(item, step.stopId)?.expects ?? step.id) : step.id,
      does: doesOf(step, item)
    }))
    // Colours of one design stand for one stop that is expected.
    .filter(({ id }, at, all) => all.findIndex((other) => other.id === id) === at);
  const known = new Set(theirs.map(({ id }) => id));
  const role = new Map(made.expected.map((stop) => [stop.key, stop.role]));
  const ours = made.entries.map((entry) =>
    entry.kind === 'stop'
      ? { id: entry.key, does: stitches(role.get(entry.key)) }
      : { id: entry.id, does: `${entry.op.do} ${pieceNames(entry.op)}` }
  );
  const own = new Set(ours.map(({ id }) => id));
  const unknown = ours.filter(({ id }) => !known.has(id));
  const free = theirs.filter(({ id }) => !own.has(id));
  return new Map(longestCommon(unknown, free).map(([one, other]) => [one.id, other.id]));
}

/** What a stop does, as far as one that is made otherwise today does it too. */
function stitches(role: Role | undefined): string {
  if (role === 'satin-edge' || role === 'applique-edge') return 'an edge';
  return role === 'placement' || role === 'tack-down' || role === 'basting' ? 'a line' : `stop ${role ?? ''}`;
}

function doesOf(step: Step, item: Item): string {
  if (step.kind === 'stop') return stitches(findStop(item, step.stopId)?.role);
  return `${step.op.do} ${pieceNames(step.op)}`;
}

function pieceNames(op: Parameters<typeof namesIn>[0]): string {
  return namesIn(op)
    .flatMap(({ kind, id }) => (kind === 'piece' ? [id] : []))
    .sort()
    .join(' ');
}

interface Doing {
  id: string;
  does: string;
}

/** The longest run of pairs that do the same, in the order of both. */
function longestCommon(ours: readonly Doing[], theirs: readonly Doing[]): [Doing, Doing][] {
  const best: number[][] = Array.from({ length: ours.length + 1 }, () =>
    Array.from({ length: theirs.length + 1 }, () => 0)
  );
  const at = (i: number, j: number): number => best[i]?.[j] ?? 0;
  for (let i = ours.length - 1; i >= 0; i--)
    for (let j = theirs.length - 1; j >= 0; j--) {
      const row = best[i];
      if (!row) continue;
      row[j] =
        ours[i]?.does === theirs[j]?.does ? at(i + 1, j + 1) + 1 : Math.max(at(i + 1, j), at(i, j + 1));
    }
  const pairs: [Doing, Doing][] = [];
  for (let i = 0, j = 0; i < ours.length && j < theirs.length;) {
    const [one, other] = [ours[i], theirs[j]];
    if (one && other && one.does === other.does) {
      pairs.push([one, other]);
      i++;
      j++;
    } else if (at(i + 1, j) >= at(i, j + 1)) i++;
    else j++;
  }
  return pairs;
}
