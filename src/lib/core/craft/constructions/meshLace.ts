import { box } from '$lib/core/base/geometry';
import type { Construction } from './construction';
import {
  Sequence,
  type AnswersOf,
  choice,
  count,
  length,
  material,
  thread,
  MATERIALS
} from '$lib/core/craft/sequence';

const FIELDS = {
  width: length('One segment, width', 110, 40, 300),
  height: length('One segment, height', 160, 40, 350),
  segments: count('Segments', 2, 1, 6, 'each is one hooping; every other one is mirrored'),
  layers: count('Layers of wash-away', 1, 1, 3),
  colours: choice(
    'Colours of the lace',
    { 'one-run': 'All as one run, in one thread', apart: 'Each in its own thread' },
    'one-run'
  ),
  mesh: material('Mesh', { 'stretch-mesh': 'Stretch mesh' }, ['stretch-mesh', 'Stretch mesh', '#d8d2cc']),
  thread: thread('Thread', 'Fern green', '#4d7148')
};
type Params = AnswersOf<typeof FIELDS>;

/** Stitches in one square millimetre of such lace. */
const DENSITY = 1.1;

/** A border of lace on stretch mesh, segment by segment, sewn to a tube. */
export const meshLace: Construction<typeof FIELDS> = {
  kind: 'mesh-lace',
  name: 'Lace on stretch mesh',
  summary:
    'Long lace segments on mesh over wash-away, repeated and mirrored, sewn to a strip, rinsed at the end.',
  fields: FIELDS,
  draft
};

function draft(p: Params): Sequence {
  const size = { width: p.width, height: p.height };
  const s = new Sequence({
    shape: 'rectangle',
    size,
    finished: { width: p.width, height: p.height * p.segments },
    edge: 'lace'
  });
  for (let at = 1; at <= p.segments; at++) {
    const hooping = `hooping-${at}`;
    const name = p.segments > 1 ? ` ${at}` : '';
    s.line(`lace-${at}`, `Lace${name}`, box(-p.width / 2, -p.height / 2, p.width / 2, p.height / 2), hooping);
    s.piece(`base-${at}`, `WASH-AWAY${name}`, MATERIALS.washAway, 'hooped', { plies: p.layers });
    s.piece(`mesh-${at}`, `MESH${name}`, p.mesh, 'hooped', { shows: 'front' });
  }
  if (p.colours === 'one-run') s.oneColour();
  s.part('segments', 'Segments', () => {
    s.hand('needle', { do: 'needle', needle: 'ballpoint 75/11' });
    for (let at = 1; at <= p.segments; at++) {
      s.hoop(`hooping-${at}`, p.segments > 1 ? `Segment ${at}` : 'Hooping', [`base-${at}`, `mesh-${at}`], {
        on: false
      });
      s.hand(`bobbin-${at}`, { do: 'bobbin', threadId: 'stop:lace-1' });
      s.move('hoop-on');
      const segment = at % 2 === 0 ? `Lace ${at}, mirrored` : p.segments > 1 ? `Lace ${at}` : 'Lace';
      s.stop(`lace-${at}`, {
        name: segment,
        one: segment,
        role: 'lace',
        words: /lace|run|fill/,
        visible: 'both',
        protected: true,
        lineIds: [`lace-${at}`],
        // One row, or one for each colour; every segment runs them all again.
        repeats: true,
        takesAny: true,
        ...(at > 1 && { threadOf: 'lace-1', again: 'lace-1' }),
        // A bobbin cannot last: the halts are planned where the segment is least dense.
        estimate: [{ stitches: Math.ceil(p.width * p.height * DENSITY), length: 2.2, attended: false }],
        ...(at === 1 && { thread: p.thread })
      });
      s.move('hoop-off');
      s.hand(`inspect-${at}`, { do: 'inspect' });
      s.hand(`unhoop-${at}`, { do: 'unhoop' }, { needs: [`inspect-${at}`] });
    }
  });
  s.part('finishing', 'Sewn to a tube', () => {
    const last = `unhoop-${p.segments}`;
    s.hand(
      'rinse-partly',
      { do: 'other', title: 'Rinse only partly: the edge stays stiff', seconds: 120 },
      { needs: [last] }
    );
    s.hand(
      'pin-strip',
      { do: 'other', title: 'Pin to the strip and sew, 12 mm seam', seconds: 600 },
      { needs: ['rinse-partly'] }
    );
    s.hand(
      'tube',
      { do: 'other', title: 'Fold lengthwise, sew, turn the tube', seconds: 480 },
      { needs: ['pin-strip'] }
    );
    s.hand(
      'ends',
      { do: 'other', title: 'Straighten the mesh again and join the ends as far as you reach', seconds: 300 },
      { needs: ['tube'] }
    );
    s.hand(
      'topstitch',
      { do: 'other', title: 'Topstitch the gap, away from the lace', seconds: 180 },
      { needs: ['ends'] }
    );
    s.hand('rinse', { do: 'rinse' }, { needs: ['topstitch'] });
    s.hand('dry', { do: 'wait', why: 'dry' }, { needs: ['rinse'] });
  });
  s.must(...Array.from({ length: p.segments }, (_, at) => `lace-${at + 1}`), 'bobbin-1');
  for (let at = 1; at <= p.segments; at++)
    s.truth({
      kind: 'stabiliser',
      pieceId: `base-${at}`,
      kinds: ['wash-away-mesh', 'wash-away-film', 'sticky-wash-away'],
      plies: 1
    });
  return s;
}
