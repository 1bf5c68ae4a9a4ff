import type { Face, Item } from '$lib/core/documents/item';
import type { Shop } from '$lib/core/documents/shop';
import { type Finding, review } from '$lib/core/making/checks';
import { outside } from '$lib/core/making/stack';
import { type Draft, draftOf, type Papers } from './draft';
import type { DraftStep } from './draftStep';

/** A question the papers leave open: two readings that come out equally well. */
export interface OpenQuestion {
  /** Place of the action among those of the sheet. */
  action: number;
  piece: string;
  /** Which side is up, seen from above, in the reading that was taken. */
  taken: Face;
}

/** The faces of an item in the end: each piece that shows there, and whether with its right side. */
export type Ends = Record<'front' | 'back' | 'lining', { piece: string; rightSide: boolean }[]>;

/** A sheet as an item, judged in the simulated hoop. */
export interface Interpretation {
  item: Item;
  /** Each step with the sentence it comes from; those without one are ours. */
  steps: DraftStep[];
  /** What is wrong although everything was read as well as it can be: the paper’s own mistakes. */
  findings: Finding[];
  questions: OpenQuestion[];
  /** What one sees of it in the end. */
  ends: Ends;
  /** Readings that were tried. */
  tried: number;
}

/** What counts against a reading. */
const AGAINST = { stop: 10, warn: 3, note: 0.2, impossible: 20, wrongSide: 6 } as const;
/** Readings tried at most: a sheet of forty steps is read within seconds. */
const MOST_TRIED = 60;
const ROUNDS = 2;
/** Two readings this near come out equally well. */
const EQUAL = 0.5;

/**
 * Reads a sheet as an item: what its sentences leave open, which side lies up, is tried in the simulated hoop, and the reading
 * that can be stitched and comes out right is taken.
 *
 * @param answers what the maker has said about questions, by action
 *
 * @example
 * interpret(papers, shop).item.steps.length
 */
export function interpret(
  papers: Papers,
  shop: Shop,
  answers: ReadonlyMap<number, Face> = new Map()
): Interpretation {
  const settled = new Map<number, Face>(answers);
  let tried = 0;
  const judge = (faces: ReadonlyMap<number, Face>): { draft: Draft; score: number; findings: Finding[] } => {
    tried++;
    const draft = draftOf(papers, faces);
    return { draft, ...against(draft.item, shop) };
  };
  let best = judge(settled);
  const equal = new Set<number>();
  for (let round = 0; round < ROUNDS; round++) {
    let better = false;
    for (const action of best.draft.open) {
      if (answers.has(action) || tried >= MOST_TRIED) continue;
      const now = faceOf(best.draft, action);
      const other: Face = now === 'up' ? 'down' : 'up';
      const turned = judge(new Map(settled).set(action, other));
      if (turned.score < best.score - EQUAL) {
        settled.set(action, other);
        best = turned;
        better = true;
        equal.delete(action);
      } else if (turned.score < best.score + EQUAL) equal.add(action);
    }
    if (!better) break;
  }
  const { draft, findings } = best;
  const item = withShown(draft.item, shop);
  return {
    item,
    steps: draft.steps,
    ends: endsOf(item, shop),
    findings: findings.filter(({ severity }) => severity !== 'note'),
    questions: [...equal].flatMap((action) => {
      const piece = papers.sheet.actions[action]?.piece;
      return piece && hasSides(item, draft, action) ? [{ action, piece, taken: faceOf(draft, action) }] : [];
    }),
    tried
  };
}

function faceOf({ steps }: Draft, action: number): Face {
  const op = steps.find((step) => step.action === action)?.op;
  return op && 'do' in op && op.do === 'lay' ? op.face : 'up';
}

/** Materials that look alike on both sides, and those that are not seen, raise no question. */
function hasSides(item: Item, { steps }: Draft, action: number): boolean {
  const op = steps.find((step) => step.action === action)?.op;
  const id = op && 'do' in op && op.do === 'lay' ? op.pieceId : undefined;
  const piece = item.pieces.find((each) => each.id === id);
  return (
    piece !== undefined &&
    piece.shows !== 'nothing' &&
    !piece.folded &&
    !['felt', 'batting', 'towelling', 'stretch-mesh', 'wash-away-film'].includes(piece.material.kind)
  );
}

/** What speaks against an item: steps that cannot be done, findings, wrong sides that show. */
function against(item: Item, shop: Shop): { score: number; findings: Finding[] } {
  const { trace, checked } = review(item, undefined, shop);
  const last = trace.at(-1)?.state;
  const seen = last ? outside(last, item) : { front: [], back: [], lining: [] };
  const wrong = [...seen.front, ...seen.back, ...seen.lining].filter(
    ({ rightSide, layer }) =>
      !rightSide &&
      !['felt', 'batting', 'towelling', 'tear-away', 'cutaway', 'soft-mesh'].includes(layer.material.kind)
  ).length;
  const impossible = trace.filter(({ problem }) => problem !== null).length;
  const score =
    impossible * AGAINST.impossible +
    wrong * AGAINST.wrongSide +
    checked.open.reduce((sum, { severity }) => sum + AGAINST[severity], 0);
  return { score, findings: checked.open };
}

/** Pieces show where the simulation ends with them. */
function withShown(item: Item, shop: Shop): Item {
  const last = review(item, undefined, shop).trace.at(-1)?.state;
  if (!last) return item;
  const seen = outside(last, item);
  const where = (id: string): 'front' | 'back' | 'lining' | undefined =>
    (['front', 'back', 'lining'] as const).find((side) =>
      seen[side].some(({ layer }) => layer.pieceId === id)
    );
  return {
    ...item,
    pieces: item.pieces.map((piece) =>
      piece.shows === 'nothing' || piece.foldedTo
        ? piece
        : { ...piece, shows: where(piece.id) ?? piece.shows }
    )
  };
}

function endsOf(item: Item, shop: Shop): Ends {
  const last = review(item, undefined, shop).trace.at(-1)?.state;
  const seen = last && outside(last, item);
  const on = (side: keyof Ends): Ends[keyof Ends] =>
    (seen?.[side] ?? []).map(({ layer, rightSide }) => ({ piece: layer.name, rightSide }));
  return { front: on('front'), back: on('back'), lining: on('lining') };
}
