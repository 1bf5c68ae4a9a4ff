import type { AnswersOf } from '$lib/core/craft/sequence';
import type { Block } from '$lib/core/documents/item';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';
import { TURNED_FIELDS } from './turnedFlatFields';

type Params = AnswersOf<typeof TURNED_FIELDS>;

/** A bib, a cloth or a cushion front: front and back right sides together, closed but for an opening, turned. */
export const turnedFlat: Construction<typeof TURNED_FIELDS> = {
  kind: 'turned-flat',
  name: 'Turned flat item',
  called: ['bib', 'mat', 'panel'],
  summary: 'Bib, cloth or cushion front: the back goes on face down, the whole is turned through an opening.',
  fields: TURNED_FIELDS,
  draft: outlineOf,
  recipe: (p) => [
    ...frontOf(p),
    block('quilting', 'quilting', { ...quilted(p), thread: p.quilting }),
    ...(p.closes === 'none' ? [] : [block('marks', 'marks', { marks: 2, thread: p.seams }, 'Closure marks')]),
    block('back', 'back-turned', {
      cloth: p.back,
      opening: p.opening,
      at: 'free',
      held: p.backHold,
      // Where fronts are joined it is sewn three times.
      passes: p.school === 'pieced' ? 3 : 2,
      thread: p.seams
    }),
    block('finishing', 'finishing', {
      topstitched: p.topstitched,
      closed: p.topstitched === 'yes' ? 'usual' : p.closedBy,
      label: p.label === 'yes' ? 'opening' : 'no'
    }),
    ...(p.closes === 'none'
      ? []
      : [block('fasten', 'hardware', { what: p.closes, count: 1, holes: p.closes === 'snap' ? 2 : 0 })])
  ]
};

/** Tear-away goes with what is hooped as one; a knit, and what is floated, is carried by cutaway. */
function stabiliserFor({ stabiliser, school, front }: Params): string {
  if (stabiliser !== 'usual') return stabiliser;
  return school === 'all-hooped' && front.kind !== 'knit' ? 'tear-away' : 'cutaway';
}

function frontOf(p: Params): Block[] {
  const carrier = { stabiliser: stabiliserFor(p), layers: p.layers };
  if (p.school === 'all-hooped')
    return [
      block('hooping', 'hooping', { ...carrier, ground: 'padded', cloth: p.front }),
      block('outline', 'outline-run', { thread: p.seams })
    ];
  const front =
    p.school === 'pieced'
      ? block(
          'front',
          'strips',
          {
            strips: 2,
            from: 'bottom',
            reach: p.height / 3,
            marked: 'yes',
            first: p.lower,
            second: p.front,
            thread: p.seams
          },
          'Front'
        )
      : block('front', 'front', { cloth: p.front, lines: 'none' });
  return [block('hooping', 'hooping', carrier), block('batting', 'batting'), front];
}

const QUILT_INSET_MM = 14;

/** All over, or above or below the join of the panels. */
function quilted({ quilted: where, width, height }: Params): Record<string, unknown> {
  if (where === 'all') return { where, inside: QUILT_INSET_MM };
  const [from, to] = where === 'upper' ? [-height / 2, height / 6] : [height / 6, height / 2];
  return {
    where: 'spot',
    width: width - 2 * QUILT_INSET_MM,
    height: Math.max(5, to - from - 2 * QUILT_INSET_MM),
    down: (from + to) / 2
  };
}
