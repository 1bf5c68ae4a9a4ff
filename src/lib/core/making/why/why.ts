import { hoopMove, stepDoes } from '$lib/core/craft/operations';
import {
  findLine,
  findPiece,
  findStop,
  type HandStep,
  isStabiliserKind,
  isTwoSided,
  type Item,
  type OperationOf,
  type Role,
  type Step
} from '$lib/core/documents/item';
import { type Outside, outside, type StackStep, visibleThreads } from '$lib/core/craft/stack';

type Side = 'front' | 'back' | 'lining';
const SIDES: readonly Side[] = ['front', 'back', 'lining'];
const ENDS: Record<Side, string> = { front: 'in front', back: 'behind', lining: 'inside' };

/**
 * Why a step is as it is, from what the simulation of this item makes of it; null where there is nothing to say that the step
 * does not say itself.
 *
 * @param trace of the whole item
 *
 * @example
 * whyOf(pouch, trace, 'lay-upper') // 'Face down: the flip at the upper zip seam brings its right side up; it ends in front.'
 */
export function whyOf(item: Item, trace: readonly StackStep[], stepId: string): string | null {
  const at = item.steps.findIndex(({ id }) => id === stepId);
  const step = item.steps[at];
  if (!step) return null;
  const story: Story = { item, trace, at, later: item.steps.slice(at + 1), end: endOf(item, trace) };
  return step.kind === 'stop' ? whyThread(story, step.id) : whyHand(story, step);
}

interface Story {
  item: Item;
  trace: readonly StackStep[];
  at: number;
  /** The steps that come after. */
  later: readonly Step[];
  end: Outside | null;
}

function endOf(item: Item, trace: readonly StackStep[]): Outside | null {
  const last = trace.at(-1)?.state;
  return last ? outside(last, item) : null;
}

function whyHand(story: Story, step: HandStep): string | null {
  const { op } = step;
  switch (op.do) {
    case 'lay':
      return whyLay(story, op);
    case 'flip':
      return whyFlip(story, op);
    case 'trim':
    case 'cut-away-behind':
      return whyCut(story, op.pieceIds);
    case 'turn-over':
      return whyTurn(story, step.id);
    case 'zip':
      return op.to === 'closed' ? null : whyZip(story, op);
    case 'turn-through':
      return whyThrough(story, op);
    case 'bobbin':
      return whyBobbin(story);
    default:
      return null;
  }
}

const nameIn = (item: Item, id: string): string => findPiece(item, id)?.name ?? 'it';

/** The line at which a piece is flipped later. */
function flippedAt({ item, later }: Story, pieceId: string): string | undefined {
  const flip = later.flatMap((step) => stepDoes(step, 'flip') ?? []).find((each) => each.pieceId === pieceId);
  return flip && (findLine(item, flip.lineId)?.name.toLowerCase() ?? 'seam');
}

/** Where a piece is seen in the end, and whether with its right side. */
function seenAt(end: Outside | null, pieceId: string): { side: Side; rightSide: boolean } | null {
  for (const side of SIDES) {
    const found = end?.[side].find(({ layer }) => layer.pieceId === pieceId);
    if (found) return { side, rightSide: found.rightSide };
  }
  return null;
}

function whyLay(story: Story, op: OperationOf<'lay'>): string | null {
  const { item, later, end, trace, at } = story;
  const piece = findPiece(item, op.pieceId);
  if (!piece) return null;
  const { kind } = piece.material;
  const hides = later.some(({ kind: what }) => what === 'stop') ? ' Nothing of it is seen in the end.' : '';
  if (isStabiliserKind(kind)) return `It carries the stitches that come next.${hides}`;
  const line = flippedAt(story, op.pieceId);
  const seen = seenAt(end, op.pieceId);
  const ends = seen ? `; it ends ${ENDS[seen.side]}` : '';
  if (piece.hangs) return `The seam catches its end at the ${piece.hangs}; the rest hangs free of it.`;
  // A wrong side that shows is a finding, with its mend beside it.
  if (seen && !seen.rightSide && !isTwoSided(kind)) return null;
  const isDown = op.face === 'down';
  if (line !== undefined)
    return isDown === (op.side === 'above')
      ? `Face down: the flip at the ${line} brings its right side up${ends}.`
      : `It is flipped at the ${line} later${ends}.`;
  if (isTwoSided(kind))
    return seen
      ? `Either side will do: ${kind === 'felt' ? 'felt looks' : 'it looks'} the same on both${ends}.`
      : `It lies between the others and gives body.${hides}`;
  const turn = later.some((step) => stepDoes(step, 'turn') !== null);
  if (op.side === 'below')
    return isDown
      ? `Its right side is towards you while the hoop is turned over${ends || '; it is covered later'}.`
      : `Its right side lies on the work: turned right side out it comes round${ends}.`;
  if (isDown && turn) {
    const under = trace[at - 1]?.state.layers.findLast(({ pieceId }) => pieceId !== op.pieceId);
    const met = under ? ` on ${under.name}` : '';
    return `Face down${met}: the work is sewn with its right sides together and turned; then both are outside${ends}.`;
  }
  if (piece.folded) return `Folded, it is finished on both sides${ends}.`;
  if (seen) return `Right side to you: nothing turns it any more${ends}.`;
  return `It is covered by what comes later.${hides}`;
}

function whyFlip({ item, end }: Story, op: OperationOf<'flip'>): string {
  const seen = seenAt(end, op.pieceId);
  const ends = seen ? ` It ends ${ENDS[seen.side]}.` : '';
  return `The flip hides the seam allowance under ${nameIn(item, op.pieceId)} and brings its right side out.${ends}`;
}

function whyCut({ item, later, trace }: Story, pieceIds: readonly string[]): string | null {
  const seams = trace.at(-1)?.state.seams ?? [];
  const edges = new Set(
    seams
      .filter(({ role, layers }) => EDGES.has(role) && pieceIds.some((id) => layers.includes(id)))
      .map(({ stepId }) => stepId)
  );
  const edge = later.find(({ id }) => edges.has(id));
  const stop = edge?.kind === 'stop' ? findStop(item, edge.stopId) : undefined;
  if (stop) return `Close to the line: stop ${stop.number ?? '?'} sews its edge over what is left.`;
  const cover = nextLaid(item, later);
  return cover === undefined
    ? 'What is left outside the line would show or make the edge thick.'
    : `Now, while scissors reach it: ${cover} is laid over it next.`;
}

const EDGES: ReadonlySet<Role> = new Set(['satin-edge', 'applique-edge']);

/** What is laid on top next. */
function nextLaid(item: Item, later: readonly Step[]): string | undefined {
  const laid = later.flatMap((step) => stepDoes(step, 'lay') ?? []).find(({ side }) => side === 'above');
  return laid && nameIn(item, laid.pieceId);
}

function whyTurn({ item, later, trace }: Story, stepId: string): string {
  const turned = trace.find((each) => each.stepId === stepId)?.state.hoop.turned ?? false;
  if (!turned) return 'The machine stitches from above only, so the right way up again.';
  const back = later.findIndex((step) => step.kind === 'hand' && hoopMove(step.op) === 'over');
  const there = later
    .slice(0, back < 0 ? later.length : back)
    .flatMap((step) => stepDoes(step, 'lay') ?? [])
    .map(({ pieceId }) => nameIn(item, pieceId));
  return there.length > 0
    ? `${there.join(' and ')} ${there.length > 1 ? 'go' : 'goes'} on the back: turned over, you see where.`
    : 'What comes next is done from the back.';
}

function whyZip({ item, later }: Story, op: OperationOf<'zip'>): string | null {
  if (!later.some((step) => stepDoes(step, 'turn') !== null)) return null;
  const cover = nextLaid(item, later);
  const after = cover === undefined ? 'later' : `after ${cover} is on`;
  return `Open ${nameIn(item, op.pieceId)} now: ${after}, the work is turned through it, and nobody reaches the pull any more.`;
}

function whyThrough({ end }: Story, op: OperationOf<'turn-through'>): string | null {
  const front = end?.front[0]?.layer.name;
  if (front === undefined) return null;
  return `${op.pieceId === undefined ? 'The opening' : 'It'} is the only way through: then ${front} is outside.`;
}

function whyBobbin({ item, trace, at }: Story): string | null {
  const last = trace.at(-1)?.state;
  if (!last) return null;
  const next = item.steps.slice(at + 1).find(({ kind }) => kind === 'stop');
  const seen = visibleThreads(last).find(({ stepId }) => stepId === next?.id);
  return seen?.bobbin ? `The bobbin’s thread is seen ${ENDS[seen.bobbin]} at the next stop.` : null;
}

/** Where the thread of a stop shows. */
function whyThread({ trace, item, at }: Story, stepId: string): string | null {
  const last = trace.at(-1)?.state;
  const seen = last && visibleThreads(last).find((each) => each.stepId === stepId);
  if (!seen) return null;
  const step = item.steps[at];
  const role = step?.kind === 'stop' ? findStop(item, step.stopId)?.role : undefined;
  const places = [...new Set([seen.upper, seen.bobbin])].flatMap((place) =>
    place === null ? [] : [ENDS[place]]
  );
  if (places.length === 0) {
    if (role === 'placement') return 'It only shows where the next piece goes, so any thread will do.';
    return role === 'join-seam' || role === 'closing-seam'
      ? 'It ends inside: only its strength counts.'
      : 'Nothing of it is seen in the end, so any thread will do.';
  }
  return seen.upper === null
    ? `Only the bobbin’s thread is seen, ${ENDS[seen.bobbin ?? 'back']}.`
    : `Its thread is seen ${places.join(' and ')}.`;
}
