import { does } from '$lib/core/craft/operations';
import { asBlocks } from './asBlocks';
import { type Face, isStabiliserKind, isTwoSided, type Item } from '$lib/core/documents/item';
import type { Shop } from '$lib/core/documents/shop';
import { type Finding, review } from '$lib/core/making/checks';
import { type Outside, outside } from '$lib/core/craft/stack';
import { type Draft, draftOf, type Papers } from './draft';
import { withCopies } from './copies';
import type { DraftStep } from './draftStep';
import { pieceIdAt } from './placing';
import type { Settled } from './settled';
import { type Apart, NOT_APART } from './spots';

/** A question the papers leave open: two readings that come out equally well. */
export interface OpenQuestion {
  /** Place of the action among those of the sheet. */
  action: number;
  piece: string;
  /** Which side is up, seen from above, in the reading that was taken. */
  taken: Face;
}

const SIDES = ['front', 'back', 'lining'] as const;

/** The faces of an item in the end: each piece that shows there, and whether with its right side. */
export type Ends = Record<(typeof SIDES)[number], { piece: string; rightSide: boolean }[]>;

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
const AGAINST = { stop: 10, warn: 3, note: 0.2, impossible: 20, wrongSide: 6, covered: 4 } as const;
/** What sheets leave to the maker and is no mistake of theirs: how a piece is held. The item’s own sheet says it. */
const UNSAID = /^upper-tape\//;
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
  { sheet, ...rest }: Papers,
  shop: Shop,
  answers: ReadonlyMap<number, Face> = new Map()
): Interpretation {
  const papers = { ...rest, sheet: withCopies(sheet) };
  const settled = new Map<number, Face>(answers);
  let tried = 0;
  const judge = (faces: Settled, apart: Apart): Judged => {
    tried++;
    const draft = draftOf(papers, faces, apart);
    const outcome = tryOut(draft.item, shop);
    return { draft, outcome, score: against(outcome) };
  };
  let apart = NOT_APART;
  let best = judge(settled, apart);
  // Nobody lays a cloth to cover it wholly with another: the two lie side by side, where that can be stitched.
  const together = coveredWith(best.outcome.item, best.outcome.seen);
  if (together.length > 0) {
    const names = new Set(
      papers.sheet.pieces.filter((_, at) => together.includes(pieceIdAt(at))).map(({ name }) => name)
    );
    for (const by of ['row', 'column'] as const) {
      const beside = judge(settled, { pieces: names, by });
      if (beside.score < best.score - EQUAL) [best, apart] = [beside, { pieces: names, by }];
    }
  }
  const equal = new Set<number>();
  for (let round = 0; round < ROUNDS; round++) {
    let better = false;
    for (const action of best.draft.open) {
      if (answers.has(action) || tried >= MOST_TRIED) continue;
      const now = faceOf(best.draft, action);
      const other: Face = now === 'up' ? 'down' : 'up';
      const turned = judge(new Map(settled).set(action, other), apart);
      if (turned.score < best.score - EQUAL) {
        settled.set(action, other);
        best = turned;
        better = true;
        equal.delete(action);
      } else if (turned.score < best.score + EQUAL) equal.add(action);
    }
    if (!better) break;
  }
  const { draft, outcome } = best;
  const item = asBlocks(withShown(outcome));
  const { findings, ...end } = tryOut(item, shop);
  return {
    item,
    steps: draft.steps,
    ends: endsOf({ findings, ...end }),
    findings: findings.filter(({ severity, code }) => severity !== 'note' && !UNSAID.test(code)),
    questions: [...equal].flatMap((action) => {
      const piece = papers.sheet.actions[action]?.piece;
      return piece && hasSides(item, draft, action) ? [{ action, piece, taken: faceOf(draft, action) }] : [];
    }),
    tried
  };
}

function faceOf({ steps }: Draft, action: number): Face {
  const op = steps.find((step) => step.action === action)?.op;
  return (op && 'do' in op ? does(op, 'lay')?.face : undefined) ?? 'up';
}

/** Materials that look alike on both sides, and those that are not seen, raise no question. */
function hasSides(item: Item, { steps }: Draft, action: number): boolean {
  const op = steps.find((step) => step.action === action)?.op;
  const id = op && 'do' in op ? does(op, 'lay')?.pieceId : undefined;
  const piece = item.pieces.find((each) => each.id === id);
  return (
    piece !== undefined && piece.shows !== 'nothing' && !piece.folded && !isTwoSided(piece.material.kind)
  );
}

/** A reading with how it comes out. */
interface Judged {
  draft: Draft;
  outcome: Tried;
  score: number;
}

/** An item simulated and checked, with what one sees of it in the end. */
interface Tried {
  item: Item;
  findings: Finding[];
  /** Steps that cannot be done. */
  impossible: number;
  seen: Outside;
}

const UNSEEN: Outside = { front: [], back: [], lining: [], hidden: [] };

function tryOut(item: Item, shop: Shop): Tried {
  const { trace, checked } = review(item, undefined, shop);
  const last = trace.at(-1)?.state;
  return {
    item,
    findings: checked.open,
    impossible: trace.filter(({ problem }) => problem !== null).length,
    seen: last ? outside(last, item) : UNSEEN
  };
}

/** What speaks against an item: steps that cannot be done, findings, wrong sides that show. */
function against({ item, findings, impossible, seen }: Tried): number {
  const wrong = SIDES.flatMap((side) => seen[side]).filter(
    ({ rightSide, layer: { material } }) =>
      !rightSide && !isTwoSided(material.kind) && !isStabiliserKind(material.kind)
  ).length;
  return (
    impossible * AGAINST.impossible +
    wrong * AGAINST.wrongSide +
    covered(item, seen).length * AGAINST.covered +
    findings.reduce((sum, { severity }) => sum + AGAINST[severity], 0)
  );
}

/** Cloth that was laid to be seen in front and does not show there in the end. */
function covered({ pieces }: Item, { front, back, lining, hidden }: Outside): string[] {
  const meant = (id: string): boolean =>
    pieces.some(({ id: own, use, shows }) => own === id && use === 'applique' && shows === 'front');
  const elsewhere = [...back, ...lining].map(({ layer }) => layer);
  return [...new Set([...hidden, ...elsewhere])]
    .filter(
      (layer) =>
        layer.where === 'above' &&
        !isStabiliserKind(layer.material.kind) &&
        meant(layer.pieceId) &&
        !front.some((shown) => shown.layer === layer)
    )
    .map(({ pieceId }) => pieceId);
}

/** Such cloth and what lies over it, where both were laid as appliqué. */
function coveredWith(item: Item, seen: Outside): string[] {
  const under = covered(item, seen);
  if (under.length === 0) return [];
  const over = seen.front.flatMap(({ layer }) =>
    item.pieces.some(({ id, use }) => id === layer.pieceId && use === 'applique') ? [layer.pieceId] : []
  );
  return [...under, ...over];
}

/** The item, its pieces shown where the simulation ends with them. */
function withShown({ item, seen }: Tried): Item {
  const where = (id: string): (typeof SIDES)[number] | undefined =>
    SIDES.find((side) => seen[side].some(({ layer }) => layer.pieceId === id));
  return {
    ...item,
    pieces: item.pieces.map((piece) =>
      piece.shows === 'nothing' || piece.folded ? piece : { ...piece, shows: where(piece.id) ?? piece.shows }
    )
  };
}

function endsOf({ seen }: Tried): Ends {
  const on = (side: keyof Ends): Ends[keyof Ends] =>
    seen[side]
      .filter(({ layer }) => !isStabiliserKind(layer.material.kind))
      .map(({ layer, rightSide }) => ({ piece: layer.name, rightSide }));
  return { front: on('front'), back: on('back'), lining: on('lining') };
}
