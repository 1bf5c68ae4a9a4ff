import { box, type Path, segment } from '$lib/core/base/geometry';
import {
  choice,
  count,
  length,
  material,
  MATERIALS,
  onlyWhere,
  stopPart,
  thread
} from '$lib/core/craft/sequence';
import { WASHES_OUT } from '$lib/core/documents/item';
import type { BlockMaker } from './block';
import { needsNoRing } from './refusals';
import type { Site } from './site';

/** What is asked of it; a construction that is this block alone asks the same. */
export const hemFields = {
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
} as const;

/** How far the hem reaches under the lace, mm. */
const HEM_MM = 12;

/** A hem or corner laid on wash-away and ended in lace, hooping by hooping. */
export const hemRepeats: BlockMaker<typeof hemFields> = {
  kind: 'hem-repeats',
  name: 'Lace along a hem or corner',
  summary: 'The hem on its line, tacked, trimmed at the corner, lace over its edge; again in each hooping.',
  group: 'Hooping',
  fields: hemFields,
  refuses: needsNoRing,
  make(site, p) {
    let cloth: string | undefined;
    for (let at = 1; at <= p.repeats; at++) cloth = repeat(site, p, at, cloth);
    const size = { width: p.width, height: p.height };
    site.s.ends({ edge: 'lace', size, finished: size });
  }
};

type Answers = Parameters<(typeof hemRepeats)['make']>[1];

/** One hooping; gives the cloth, which is carried from one to the next. */
function repeat(site: Site, p: Answers, at: number, carried: string | undefined): string {
  const { s } = site;
  const numbered = (name: string): string => (p.repeats > 1 ? `${name} ${at}` : name);
  const hooping = site.newHooping();
  const [w, h] = [p.width / 2, p.height / 2];
  const line = (part: string, name: string, path: Path): string =>
    s.line(site.key(`${part}-${at}`), numbered(name), path, hooping);
  const hem = line('hem', 'Hem line', box(-w, -h, w, -h + 2 * HEM_MM));
  const fold = line('fold', 'Edge of the hem', segment(-w, -h + 3 * HEM_MM, w, -h + 3 * HEM_MM));
  const laced = line('lace', 'Lace', box(-w, -h, w, h));
  const corner = line('corner', 'Cloth under the lace', box(-w, -h + 2 * HEM_MM, w, h));
  const base = site.piece(`base-${at}`, numbered('Wash-away'), MATERIALS.washAway, 'hooped', {
    plies: p.layers
  });
  const cloth = carried ?? theCloth(site, p, hem);
  const hidden = { threadOf: site.key('lace-1'), visible: 'hidden' } as const;
  s.hoop(hooping, numbered('Repeat'), [base]);
  site.hand(`bobbin-${at}`, { do: 'bobbin', threadId: `stop:${site.key('lace-1')}` });
  site.toMachine();
  site.stop(`placement-${at}`, {
    ...stopPart(numbered('Placement line'), 'placement', /place|position|hem/, [hem], hidden)
  });
  const laid = site.hand(
    `lay-${at}`,
    {
      do: 'lay',
      pieceId: cloth,
      side: 'above',
      face: 'up',
      covers: hem,
      edge: { lineId: fold, body: 'up', allowance: 0 },
      hold: { by: 'tape', strips: 4 }
    },
    {
      note: at > 1 ? 'The hem on the line, its start on the end of the last repeat.' : 'The hem on the line.'
    }
  );
  site.stop(`tack-${at}`, stopPart(numbered('Tack-down'), 'tack-down', /tack/, [hem], hidden));
  if (p.trimCorner === 'yes') {
    site.toTable();
    site.hand(`trim-${at}`, { do: 'trim', pieceIds: [cloth], lineId: corner, side: 'inside', margin: 0 });
  }
  site.toMachine();
  const lace = site.stop(`lace-${at}`, {
    ...stopPart(numbered('Lace'), 'lace', /lace/, [laced], { visible: 'both' }),
    protected: true,
    ...(at === 1 ? { thread: p.thread } : { threadOf: site.key('lace-1') })
  });
  site.outOfTheRing(`-${at}`, [lace]);
  site.freeHolds();
  s.must(laid, lace);
  s.truth({ kind: 'stabiliser', pieceId: base, kinds: [...WASHES_OUT], plies: 2 });
  return cloth;
}

/** What is bought is counted; else it is cut with room for its hem. */
function theCloth(site: Site, p: Answers, covers: string): string {
  return site.piece('cloth', site.label('Cloth'), p.ground, 'applique', {
    covers,
    shows: 'front',
    ...(p.made === 'bought'
      ? { readyMade: { width: p.clothWidth, height: p.clothHeight, right: 0, towards: 0 } }
      : { overrides: { width: 2 * p.width, height: 2 * p.height } })
  });
}
