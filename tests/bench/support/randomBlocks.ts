/** Items nobody thought of: blocks drawn at random, with random answers, in any order their own rules allow. */
import { blockOf, BLOCKS } from '$lib/core/craft/blocks';
import { constructionOf } from '$lib/core/craft/constructions';
import type { Question } from '$lib/core/craft/sequence';
import type { Block } from '$lib/core/documents/item';
import { assemble } from '$lib/core/reading/matching';
import { smallestFit } from '$lib/core/documents/shop';
import { benchShop, type Case } from './intact';

type Draw = () => number;
const SHAPES = ['rounded', 'rectangle', 'oval', 'shield'];
/** Cloth over much of the item, and what there is one of. */
const FIRST = ['batting', 'front', 'strips', 'zip', 'panel'];
const ONCE = [...FIRST, 'topping', 'cutwork-opening', 'lace-part'];
/** Shapes of cloth that lie on the front. */
const LAID_ON = ['applique', 'pieces', 'joined'];
/** What wants another block before or after it, or ends the hooping. */
const WITH_ANOTHER = [
  'own-stop',
  'raised',
  'raised-centre',
  'later-edges',
  'cut-line',
  'hung-on',
  'slot-through'
];
const BACKS = ['back-turned', 'back-under', null] as const;

/** So many intact items, each of blocks that none of them refuses. */
export function randomItems(count: number, draw: Draw): Case[] {
  const found: Case[] = [];
  for (let tries = 0; found.length < count && tries < count * 60; tries++) {
    const made = drawn(draw, found.length);
    if (made) found.push(made);
  }
  return found;
}

/** What would be a mistake although every block can stand where it is: cloth that another block covers for good. */
function hides(kinds: readonly string[]): boolean {
  const has = (kind: string): boolean => kinds.includes(kind);
  return (
    (has('panel') && (has('strips') || has('pocket'))) ||
    (has('cutwork-opening') && (has('applique') || has('pieces') || has('joined'))) ||
    // A pocket or piece that comes later would hide a design or a window.
    ((has('pocket') || has('piece')) &&
      ['details', 'name', 'applique', 'pieces', 'joined', 'eyelet', 'cutwork-opening', 'slot', 'pages'].some(
        has
      )) ||
    (has('pocket') && has('piece')) ||
    (has('strips') && has('piece')) ||
    // Cloth over a name or a design, or two pieces of cloth on each other.
    (LAID_ON.some(has) &&
      (has('name') ||
        has('details') ||
        has('eyelet') ||
        kinds.filter((kind) => LAID_ON.includes(kind)).length > 1)) ||
    // Two edged holes in one place, or an edge of cloth across one.
    ['eyelet', 'slot'].flatMap((hole) => kinds.filter((kind) => kind === hole)).length > 1 ||
    ((has('slot') || has('eyelet')) && (LAID_ON.some(has) || has('cutwork-opening'))) ||
    // A strap over a name; pages over a hole.
    (has('caught') && has('name')) ||
    (has('pages') && has('eyelet')) ||
    // A band from seam to seam lies under the spine of pages.
    (has('caught') && has('pages')) ||
    (has('batting') && !has('front') && !has('strips'))
  );
}

/** Answers that would be a mistake by themselves: an edge left for later, a front that nothing holds yet. */
const SOUND: Readonly<Record<string, Record<string, unknown>>> = {
  applique: { edge: 'satin' },
  pieces: { edge: 'satin', pieces: 2, lie: 'beside', across: 0, down: 0 },
  front: { lines: 'both' },
  'lace-part': { mode: 'apart' }
};

function drawn(draw: Draw, at: number): Case | null {
  const own = constructionOf('own');
  const pick = <T>(of: readonly T[]): T => of[Math.floor(draw() * of.length)] as T;
  const params = {
    shape: pick(SHAPES),
    width: 80 + Math.floor(draw() * 120),
    height: 80 + Math.floor(draw() * 160)
  };
  const blocks: Block[] = [];
  const add = (kind: string, fixed: Record<string, unknown> = {}): void => {
    const { questions = [], defaults = {} } = blockOf(kind) ?? {};
    const answers = Object.fromEntries(
      questions.map((question) => [question.key, answered(question, defaults[question.key], draw, params)])
    );
    // Two pieces lie clear of each other and of the edge of the item.
    const apart = kind === 'pieces' ? { apart: Math.round(params.width * 0.45) } : {};
    const all = { ...answers, ...SOUND[kind], ...apart, ...fixed };
    blocks.push({ id: `b${blocks.length}-${kind}`, kind, answers: all });
  };
  const back = pick(BACKS);
  const start = pick(['hooping', 'hooping', 'hooping', 'ready-made']);
  if (start === 'ready-made' && back === null)
    add('ready-made', { right: 0, towards: 0, width: 600, height: 800 });
  // Cloth is cut as the ring needs.
  else add('hooping', { wide: 0, high: 0 });
  const middle = BLOCKS.filter(
    ({ group, kind }) =>
      !['Hooping', 'Back and edge', 'Afterwards'].includes(group) && !WITH_ANOTHER.includes(kind)
  );
  const many = 1 + Math.floor(draw() * 6);
  const drawnKinds = Array.from({ length: many }, () => pick(middle)).filter(
    ({ kind }, at, all) =>
      // A pocket would hide a panel beneath it.
      (kind !== 'pocket' || !all.slice(0, at).some((each) => ['pocket', ...FIRST].includes(each.kind))) &&
      (!ONCE.includes(kind) || all.findIndex((each) => each.kind === kind) === at)
  );
  const kinds = drawnKinds.map(({ kind }) => kind);
  // A hole punched before its back would be closed by it.
  if (hides(kinds) || (back !== null && kinds.includes('eyelet'))) return null;
  // Cloth first: what it covers would be hidden.
  for (const { kind } of drawnKinds.filter((each) => FIRST.includes(each.kind))) add(kind);
  // What a seam is to catch lies loose until then, so it comes last.
  const late = (each: { group: string; kind: string }): boolean =>
    each.group === 'Caught in' || each.kind === 'piece';
  for (const { kind } of drawnKinds.filter((each) => !late(each) && !FIRST.includes(each.kind))) add(kind);
  if (blocks[0]?.kind === 'ready-made' && !drawnKinds.some(({ kind }) => kind === 'applique')) add('details');
  for (const { kind } of drawnKinds.filter(late))
    add(
      kind,
      kind === 'piece'
        ? pieceOf(pick, back)
        : kind === 'caught'
          ? { side: pick(['top', 'left', 'right']) }
          : {}
    );
  // What is caught lies at other sides than the opening.
  if (back) add(back, back === 'back-turned' ? { at: 'bottom', also: 'no', from: 0 } : {});
  if (back === 'back-under' || (back === null && draw() < 0.4)) add(pick(['edge-satin', 'edge-cut']));
  add('finishing', {
    pressed: 'usual',
    behind: 'nothing',
    washed: 'edges',
    ...(back !== 'back-turned' && { then: 'usual' })
  });
  // What is sewn to something else is turned first.
  if (blocks.at(-1)?.answers.then === 'sewn-up') add('sew-up', { how: 'turn', parts: 'front' });
  if (draw() < 0.2) add('sew-up', { parts: 'front, back' });
  if (draw() < 0.3) add('hardware');
  const made = own?.patternOf(params, blocks);
  // A block that refuses to stand where it is put makes no legal item.
  if (!made?.ok || made.troubles.length > 0) return null;
  const { pattern } = made;
  const item = assemble(pattern, {
    id: 'bench',
    name: `Drawn ${at}`,
    now: '2026-01-01T00:00:00.000Z',
    construction: 'own',
    params
  });
  const fit = smallestFit(benchShop.hoops, pattern.variant.size);
  if (!fit) return null;
  return {
    what: `Drawn ${at}: ${params.shape} ${params.width} × ${params.height}, ${blocks.map(({ kind }) => kind).join(', ')}`,
    kind: 'drawn',
    pattern,
    item,
    setup: {
      schema: 'jolt-step/setup',
      version: 1,
      itemId: item.id,
      variantId: pattern.variant.id,
      machineId: draw() < 0.5 ? 'single' : 'multi',
      hoopId: fit.hoop.id,
      ...(fit.turned && { turned: true }),
      copies: 1,
      threads: {},
      bobbin: 'white',
      schools: {}
    }
  };
}

/** A piece that lies as one should: on the front, each edge caught where there is a seam, else stitched down, one open. */
function pieceOf(pick: <T>(of: readonly T[]) => T, back: (typeof BACKS)[number]): Record<string, unknown> {
  const closed = back === 'back-turned' ? pick(['seam', 'stitched']) : 'stitched';
  const open = pick(['top', 'bottom', 'left', 'right']);
  const edges = ['top', 'bottom', 'left', 'right'].map((side) => [
    side,
    side === open ? 'open' : closed === 'seam' ? 'seam' : 'stitched'
  ]);
  const opposite = { top: 'bottom', bottom: 'top', left: 'right', right: 'left' }[open];
  return {
    extent: closed === 'seam' ? 'side' : 'shape',
    side: opposite,
    lies: 'up',
    shows: 'usual',
    form: 'flat',
    openEdge: 'hem',
    held: 'tape',
    cloth: { kind: 'woven', name: 'Ticket buff', colour: '#d9bd8b' },
    ...Object.fromEntries(edges)
  };
}

/** Any answer a question allows; lengths and places within the item. */
function answered(
  question: Question,
  usual: unknown,
  draw: Draw,
  item: { width: number; height: number }
): unknown {
  const pick = <T>(of: readonly T[]): T => of[Math.floor(draw() * of.length)] as T;
  const small = Math.min(item.width, item.height);
  switch (question.kind) {
    case 'choice':
      // Nobody has a chart here.
      return pick(question.options.filter(({ value }) => value !== 'charted')).value;
    case 'outline':
      return pick(question.options).value;
    case 'material':
      // Pile wants a topping under all that is stitched on it, which the checks say.
      return {
        ...(usual as object),
        kind: pick(question.kinds.filter(({ value }) => !['towelling', 'fleece', 'knit'].includes(value)))
          .value
      };
    case 'length':
      if (question.key === 'across' || question.key === 'down' || question.key === 'along')
        return Math.round((draw() - 0.5) * small * 0.3);
      if (question.key === 'width' && Number(usual) >= 20) return Math.round(small * (0.15 + draw() * 0.2));
      if (question.key === 'height' && Number(usual) >= 20) return Math.round(small * (0.15 + draw() * 0.2));
      if (question.key === 'share') return Math.round(small * (0.2 + draw() * 0.5));
      return usual;
    case 'number':
      return typeof usual === 'number' && usual >= 1 && usual < 10
        ? Math.max(1, Math.round(usual + (draw() - 0.5) * 2))
        : usual;
    default:
      return usual;
  }
}
