import { box, segment } from '$lib/core/base/geometry';
import type { Construction } from './construction';
import {
  Sequence,
  type AnswersOf,
  choice,
  count,
  length,
  material,
  onlyWhere,
  thread,
  MATERIALS
} from '$lib/core/craft/sequence';

const FIELDS = {
  width: length('One repeat, width', 80, 30, 250),
  height: length('One repeat, height', 80, 30, 250),
  repeats: count('Repeats round the hem', 2, 1, 12, 'each is a hooping, lined up on the last'),
  layers: count('Layers of wash-away', 2, 2, 4),
  trimCorner: choice('Cloth under the lace', { yes: 'Trimmed after the tack-down', no: 'Stays' }, 'yes'),
  made: choice(
    'The cloth is',
    { bought: 'Bought finished: a napkin, a handkerchief', cut: 'Cut for it' },
    'bought'
  ),
  clothWidth: onlyWhere(length('Its own width', 400, 60, 3000), 'made', 'bought'),
  clothHeight: onlyWhere(length('Its own height', 400, 60, 3000), 'made', 'bought'),
  ground: material('Cloth', { woven: 'Woven cotton or linen' }, ['woven', 'Table linen', '#efe9da']),
  thread: thread('Thread, top and bobbin', 'Cream', '#efe3c4')
};
type Params = AnswersOf<typeof FIELDS>;

/** How far the hem reaches under the lace, mm. */
const HEM_MM = 12;

/** A hem or corner that ends in lace, repeated hooping by hooping. */
export const cutworkCorner: Construction<typeof FIELDS> = {
  kind: 'cutwork-corner',
  name: 'Corner or hem with a lace edge',
  summary:
    'The hem aligned on a line, tacked, trimmed at the corner, lace over its edge; repeated round the cloth.',
  fields: FIELDS,
  draft
};

function draft(p: Params): Sequence {
  const size = { width: p.width, height: p.height };
  const s = new Sequence({ shape: 'rectangle', size, finished: size, edge: 'lace' });
  const [w, h] = [p.width / 2, p.height / 2];
  const hidden = { threadOf: 'lace-1', visible: 'hidden' } as const;
  for (let at = 1; at <= p.repeats; at++) {
    const hooping = `hooping-${at}`;
    const name = p.repeats > 1 ? ` ${at}` : '';
    s.line(`hem-${at}`, `Hem line${name}`, box(-w, -h, w, -h + 2 * HEM_MM), hooping);
    s.line(`fold-${at}`, `Edge of the hem${name}`, segment(-w, -h + 3 * HEM_MM, w, -h + 3 * HEM_MM), hooping);
    s.line(`lace-${at}`, `Lace${name}`, box(-w, -h, w, h), hooping);
    s.line(`corner-${at}`, `Cloth under the lace${name}`, box(-w, -h + 2 * HEM_MM, w, h), hooping);
    s.piece(`base-${at}`, `WASH-AWAY${name}`, MATERIALS.washAway, 'hooped', {
      plies: p.layers
    });
  }
  s.piece('cloth', 'CLOTH', p.ground, 'applique', {
    covers: 'hem-1',
    shows: 'front',
    ...(p.made === 'bought'
      ? { readyMade: { width: p.clothWidth, height: p.clothHeight, right: 0, towards: 0 } }
      : { overrides: { width: 2 * p.width, height: 2 * p.height } })
  });
  s.part('repeats', 'Repeats', () => {
    for (let at = 1; at <= p.repeats; at++) repeat(s, p, at, hidden);
  });
  s.part('finishing', 'Rinsed and finished', () => {
    s.hand('rinse', { do: 'rinse' }, { needs: [`unhoop-${p.repeats}`] });
    s.hand('dry', { do: 'wait', why: 'dry' }, { needs: ['rinse'] });
    s.hand('press', { do: 'press', from: 'back' }, { needs: ['dry'] });
  });
  for (let at = 1; at <= p.repeats; at++)
    s.truth({
      kind: 'stabiliser',
      pieceId: `base-${at}`,
      kinds: ['wash-away-mesh', 'wash-away-film', 'sticky-wash-away'],
      plies: 2
    });
  return s;
}

function repeat(s: Sequence, p: Params, at: number, hidden: { threadOf: string; visible: 'hidden' }): void {
  const name = p.repeats > 1 ? ` ${at}` : '';
  s.hoop(`hooping-${at}`, `Repeat${name}`, [`base-${at}`], { on: false });
  s.hand(`bobbin-${at}`, { do: 'bobbin', threadId: 'stop:lace-1' });
  s.move('hoop-on');
  s.stop(`placement-${at}`, {
    name: `Placement line${name}`,
    role: 'placement',
    words: /place|position|hem/,
    lineIds: [`hem-${at}`],
    ...hidden
  });
  s.hand(
    `align-${at}`,
    {
      do: 'lay',
      pieceId: 'cloth',
      side: 'above',
      face: 'up',
      covers: `hem-${at}`,
      edge: { lineId: `fold-${at}`, body: 'up', allowance: 0 },
      hold: { by: 'tape', strips: 4 }
    },
    {
      note: at > 1 ? 'The hem on the line, its start on the end of the last repeat.' : 'The hem on the line.'
    }
  );
  s.stop(`tack-${at}`, {
    name: `Tack-down${name}`,
    role: 'tack-down',
    words: /tack/,
    lineIds: [`hem-${at}`],
    ...hidden
  });
  if (p.trimCorner === 'yes') {
    s.move('hoop-off');
    s.hand(`trim-${at}`, {
      do: 'trim',
      pieceIds: ['cloth'],
      lineId: `corner-${at}`,
      side: 'inside',
      margin: 0
    });
    s.move('hoop-on');
  }
  s.stop(`lace-${at}`, {
    name: `Lace${name}`,
    role: 'lace',
    words: /lace/,
    visible: 'both',
    protected: true,
    lineIds: [`lace-${at}`],
    ...(at === 1 ? { thread: p.thread } : { threadOf: 'lace-1' })
  });
  s.move('hoop-off');
  s.hand(`inspect-${at}`, { do: 'inspect' });
  s.hand(`unhoop-${at}`, { do: 'unhoop' }, { needs: [`inspect-${at}`, `lace-${at}`] });
  s.hand(`untape-${at}`, { do: 'untape', strips: 4 });
  s.must(`align-${at}`, `lace-${at}`);
}
