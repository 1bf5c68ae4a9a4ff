import { z } from 'zod';
import { box, inset, offsetPath, segment, shapePath } from '$lib/core/geometry';
import { ask, hold, holding, material, MATERIALS, sideMm, thread } from './answers';
import type { Construction } from './construction';
import type { Pattern } from './pattern';
import { Sequence } from './sequence';

const Params = z.object({
  width: sideMm(180, 110, 400),
  height: sideMm(120, 90, 300),
  zipDown: sideMm(32, 25, 120),
  opening: sideMm(80, 30, 150),
  accent: z.enum(['yes', 'no']).default('yes'),
  upper: material('woven', 'Fern print', '#4d7148'),
  lower: material('woven', 'Carriage red', '#8d2f35'),
  accentCloth: material('woven', 'Ticket buff', '#d9bd8b'),
  back: material('woven', 'Carriage red', '#8d2f35'),
  lining: material('woven', 'Cream', '#efe3c4'),
  battingHold: holding('spray'),
  seams: thread('Cream', '#efe3c4'),
  quilting: thread('Brass', '#b58a3c')
});
type Params = z.output<typeof Params>;

/** Half of the zip’s tape that stays between the two panels, mm. */
const ZIP_HALF_MM = 5;
/** Seam allowance of a panel on the zip tape, mm. */
const ON_TAPE_MM = 6;

/** A pouch with a zip and a lining, built in one hooping and turned twice. */
export const zipPouch: Construction<typeof Params> = {
  kind: 'zip-pouch',
  name: 'Lined zip pouch',
  summary:
    'Panels flipped away from a zip, linings under the hoop, a back on top; turned through lining and zip.',
  params: Params,
  questions: [
    ask.length('width', 'Finished width'),
    ask.length('height', 'Finished height'),
    ask.length('zipDown', 'Zip below the top edge'),
    ask.length('opening', 'Opening in the lining', 'at least 60 mm, or nothing turns through it'),
    ask.choice('accent', 'Accent strip', { yes: 'At the bottom of the front', no: 'None' }),
    ask.material('upper', 'Upper front', { woven: 'Woven cotton', canvas: 'Canvas' }),
    ask.material('lower', 'Lower front', { woven: 'Woven cotton', canvas: 'Canvas' }),
    ask.material('accentCloth', 'Accent', { woven: 'Woven cotton', canvas: 'Canvas' }),
    ask.material('back', 'Back', { woven: 'Woven cotton', canvas: 'Canvas' }),
    ask.material('lining', 'Lining', { woven: 'Woven cotton' }),
    ask.hold('battingHold', 'Batting held with'),
    ask.thread('seams', 'Seam thread'),
    ask.thread('quilting', 'Quilting thread')
  ],
  pattern
};

const TAPE = { by: 'tape', strips: 4 } as const;

function pattern(p: Params): Pattern {
  const finished = { width: p.width, height: p.height };
  // The outline tack runs in the seam allowance.
  const size = { width: p.width + 4, height: p.height + 4 };
  const s = new Sequence({ shape: 'rectangle', size, finished, edge: 'turned' });
  lines(s, p);
  pieces(s, p);

  s.hand(
    'press-linings',
    { do: 'press-folds', pieceId: 'lining-lower', fold: 12 },
    { note: 'And on the upper strip.' }
  );
  s.hoop('hooping-1', 'Hooping', ['stabiliser']);
  battingAndZip(s, p);
  panel(s, p, 'upper');
  panel(s, p, 'lower');
  if (p.accent === 'yes') accent(s);
  s.hand('tape-corners', { do: 'tape', pieceId: p.accent === 'yes' ? 'accent' : 'lower', strips: 2 });
  s.stop(
    'outline-tack',
    stop('Outline tack', 'basting', /outline|baste/, ['tack'], { threadOf: 'seam-upper', visible: 'hidden' })
  );
  s.stop('quilting', {
    ...stop('Quilting', 'quilting', /quilt|stippl/, ['quilt'], { visible: 'front' }),
    optional: true,
    thread: p.quilting
  });
  s.nameGoes('quilting', 'lower', 'quilt');
  lining(s, 'lower');
  lining(s, 'upper');
  backAndClosing(s);
  finish(s);
  s.must(
    'zip-open',
    'lay-back',
    'lay-back-lining',
    'lay-lining-lower',
    'lay-lining-upper',
    'cut-behind-zip',
    'back-tack',
    'closing',
    'untape-upper',
    'untape-lower'
  );
  s.truth({ kind: 'held', step: 'lay-back-batting' });
  return s.done();
}

function lines(s: Sequence, p: Params): void {
  const [w, h] = [p.width / 2, p.height / 2];
  const zip = -h + p.zipDown;
  const outline = shapePath('rectangle', p.width, p.height);
  const accentAt = h - p.height / 4;
  s.line('outline', 'Outline', outline);
  s.line('closing', 'Closing seam', outline, 'hooping-1', [
    { from: p.width + p.height + 20, to: p.width + p.height + 20 + p.opening }
  ]);
  s.line('batting', 'Batting line', inset(outline, 2));
  s.line('tack', 'Outline tack', offsetPath(outline, 2) ?? outline);
  s.line('zip', 'Zip line', box(-w, zip - 12.5, w, zip + 12.5));
  s.line('zip-gap', 'Zip gap', box(-w + 5, zip - 4, w - 5, zip + 4));
  s.line('zip-tapes', 'Zip seams', box(-w + 2, zip - 10, w - 2, zip + 10));
  s.line('seam-upper', 'Upper zip seam', segment(-w, zip - ZIP_HALF_MM, w, zip - ZIP_HALF_MM));
  s.line('seam-lower', 'Lower zip seam', segment(-w, zip + ZIP_HALF_MM, w, zip + ZIP_HALF_MM));
  s.line('top-upper', 'Upper topstitch', segment(-w, zip - 8, w, zip - 8));
  s.line('top-lower', 'Lower topstitch', segment(-w, zip + 8, w, zip + 8));
  s.line('lining-top-upper', 'Upper lining topstitch', segment(-w, zip - 7, w, zip - 7));
  s.line('lining-top-lower', 'Lower lining topstitch', segment(-w, zip + 7, w, zip + 7));
  s.line('fold-upper', 'Upper fold at the zip', segment(-w, zip - 3, w, zip - 3));
  s.line('fold-lower', 'Lower fold at the zip', segment(-w, zip + 3, w, zip + 3));
  s.line('panel-upper', 'Upper front', box(-w, -h, w, zip - ZIP_HALF_MM));
  s.line('panel-lower', 'Lower front', box(-w, zip + ZIP_HALF_MM, w, h));
  s.line('lower-cut', 'Lower front, cut for the accent', box(-w - 40, zip - 20, w + 40, accentAt + 6));
  s.line('accent-seam', 'Accent line', segment(-w, accentAt, w, accentAt));
  s.line('panel-accent', 'Accent', box(-w, accentAt, w, h));
  s.line('quilt', 'Quilting', inset(box(-w, zip + 8, w, p.accent === 'yes' ? accentAt : h), 8));
}

function pieces(s: Sequence, p: Params): void {
  s.piece('stabiliser', 'STABILISER', MATERIALS.cutaway, 'hooped');
  s.piece('batting', 'BATTING', MATERIALS.batting, 'batting', { covers: 'outline' });
  s.piece('zip', 'ZIP', { kind: 'zip', name: 'Nylon zip', colour: '#2c2a28' }, 'zip-tape', {
    covers: 'zip',
    shows: 'front'
  });
  s.piece('upper', 'UPPER FRONT', p.upper, 'flipped', { covers: 'panel-upper', shows: 'front' });
  s.piece('lower', 'LOWER FRONT', p.lower, 'flipped', { covers: 'panel-lower', shows: 'front' });
  if (p.accent === 'yes')
    s.piece('accent', 'ACCENT', p.accentCloth, 'flipped', { covers: 'panel-accent', shows: 'front' });
  s.piece('lining-lower', 'LOWER LINING', p.lining, 'flipped', { covers: 'panel-lower', shows: 'lining' });
  s.piece('lining-upper', 'UPPER LINING', p.lining, 'flipped', { covers: 'panel-upper', shows: 'lining' });
  s.piece('back', 'BACK', p.back, 'backing', { covers: 'outline', shows: 'back' });
  s.piece('back-batting', 'BACK BATTING', MATERIALS.batting, 'batting', { covers: 'outline' });
  s.piece('back-lining', 'BACK LINING', p.lining, 'backing', { covers: 'outline', shows: 'lining' });
}

type Stop = Parameters<Sequence['stop']>[1];
function stop(
  name: string,
  role: Stop['role'],
  words: RegExp,
  lineIds: string[],
  more: Partial<Stop> = {}
): Stop {
  return { name, role, words, lineIds, ...more };
}
const HIDDEN = { threadOf: 'seam-upper', visible: 'hidden' } as const;

function battingAndZip(s: Sequence, p: Params): void {
  s.stop('batting-placement', stop('Batting placement', 'placement', /batting|place/, ['batting'], HIDDEN));
  s.hand('lay-batting', {
    do: 'lay',
    pieceId: 'batting',
    side: 'above',
    face: 'up',
    covers: 'batting',
    over: 12,
    hold: hold(p.battingHold)
  });
  s.stop(
    'batting-tack',
    stop('Batting tack-down', 'tack-down', /batting|tack/, ['batting', 'zip-gap'], HIDDEN)
  );
  s.move('hoop-off');
  if (p.battingHold === 'pins') s.hand('unpin-batting', { do: 'unpin' });
  s.hand('trim-batting', {
    do: 'trim',
    pieceIds: ['batting'],
    lineId: 'batting',
    side: 'outside',
    margin: 0
  });
  s.hand('trim-zip-gap', { do: 'cut-away-behind', pieceIds: ['batting'], lineId: 'zip-gap' });
  s.move('hoop-on');
  s.stop('zip-placement', stop('Zip placement', 'placement', /zip/, ['zip'], HIDDEN));
  s.hand(
    'lay-zip',
    {
      do: 'lay',
      pieceId: 'zip',
      side: 'above',
      face: 'up',
      covers: 'zip',
      hold: TAPE
    },
    { note: 'Slider and stops lie outside the stitching.' }
  );
  s.stop('zip-seams', stop('Zip tack-down', 'tack-down', /zip|tack/, ['zip-tapes'], HIDDEN));
  s.toBack();
  s.hand('untape-zip', { do: 'untape', strips: 4 });
  s.hand('cut-behind-zip', { do: 'cut-away-behind', pieceIds: ['stabiliser'], lineId: 'zip-gap' });
  s.toFront();
}

function panel(s: Sequence, p: Params, which: 'upper' | 'lower'): void {
  const name = which === 'upper' ? 'Upper' : 'Lower';
  s.hand(`lay-${which}`, {
    do: 'lay',
    pieceId: which,
    side: 'above',
    face: 'down',
    edge: { lineId: `seam-${which}`, body: which === 'upper' ? 'down' : 'up', allowance: ON_TAPE_MM },
    hold: TAPE
  });
  s.stop(`seam-${which}`, {
    ...stop(`${name} zip seam`, 'join-seam', new RegExp(`seam|${which}`), [`seam-${which}`], {
      visible: 'hidden'
    }),
    ...(which === 'upper' ? { thread: p.seams } : HIDDEN)
  });
  s.hand(`untape-${which}`, { do: 'untape', strips: 4 });
  s.hand(
    `flip-${which}`,
    { do: 'flip', pieceId: which, lineId: `seam-${which}`, covers: `panel-${which}` },
    { needs: [`untape-${which}`] }
  );
  s.hand(`press-${which}`, { do: 'press' }, { needs: [`flip-${which}`] });
  s.stop(
    `top-${which}`,
    stop(`${name} topstitch`, 'topstitch', /topstitch|top/, [`top-${which}`], {
      threadOf: 'seam-upper',
      visible: 'front'
    })
  );
}

function accent(s: Sequence): void {
  s.stop('accent-line', stop('Accent placement', 'tack-down', /accent|place|tack/, ['accent-seam'], HIDDEN));
  s.hand('trim-lower', { do: 'trim', pieceIds: ['lower'], lineId: 'lower-cut', side: 'outside', margin: 0 });
  s.hand(
    'lay-accent',
    {
      do: 'lay',
      pieceId: 'accent',
      side: 'above',
      face: 'down',
      edge: { lineId: 'accent-seam', body: 'up', allowance: ON_TAPE_MM },
      hold: TAPE
    },
    { needs: ['trim-lower'] }
  );
  s.stop('accent-seam', stop('Accent seam', 'join-seam', /accent|seam/, ['accent-seam'], HIDDEN));
  s.hand('untape-accent', { do: 'untape', strips: 4 });
  s.hand(
    'flip-accent',
    { do: 'flip', pieceId: 'accent', lineId: 'accent-seam', covers: 'panel-accent' },
    { needs: ['untape-accent'] }
  );
  s.hand('press-accent', { do: 'press' }, { needs: ['flip-accent'] });
}

function lining(s: Sequence, which: 'upper' | 'lower'): void {
  s.toBack();
  s.hand(
    `lay-lining-${which}`,
    {
      do: 'lay',
      pieceId: `lining-${which}`,
      side: 'below',
      face: 'down',
      edge: { lineId: `fold-${which}`, body: which === 'upper' ? 'up' : 'down', allowance: 0 },
      hold: { by: 'tape', strips: 8 }
    },
    { needs: ['press-linings'], note: 'The pressed fold along the zip.' }
  );
  s.toFront();
  s.hand(`look-${which}`, { do: 'check-under' });
  s.stop(`lining-${which}`, {
    ...stop(
      `${which === 'upper' ? 'Upper' : 'Lower'} lining topstitch`,
      'topstitch',
      /lining|topstitch/,
      [`lining-top-${which}`],
      { threadOf: 'quilting', visible: 'front' }
    )
  });
}

function backAndClosing(s: Sequence): void {
  s.hand('zip-open', { do: 'zip', pieceId: 'zip', to: 'three-quarters' }, { needs: ['lining-upper'] });
  s.hand(
    'lay-back',
    {
      do: 'lay',
      pieceId: 'back',
      side: 'above',
      face: 'down',
      covers: 'outline',
      over: 20,
      hold: TAPE
    },
    { needs: ['zip-open'] }
  );
  s.hand(
    'lay-back-batting',
    {
      do: 'lay',
      pieceId: 'back-batting',
      side: 'above',
      face: 'up',
      covers: 'outline',
      over: 12,
      hold: TAPE
    },
    { needs: ['lay-back'] }
  );
  s.stop('back-tack', stop('Back tack-down', 'closing-seam', /back|tack/, ['outline'], HIDDEN));
  s.toBack();
  s.hand('lay-back-lining', {
    do: 'lay',
    pieceId: 'back-lining',
    side: 'below',
    face: 'up',
    covers: 'outline',
    over: 20,
    hold: TAPE
  });
  s.toFront();
  s.hand('look-back', { do: 'check-under' });
  s.stop('closing', {
    ...stop('Closing seam', 'closing-seam', /clos|final|seam/, ['closing'], HIDDEN),
    passes: 2
  });
}

function finish(s: Sequence): void {
  s.move('hoop-off');
  s.hand('inspect', { do: 'inspect' }, { needs: ['closing'] });
  s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
  s.hand(
    'trim-seam',
    { do: 'cut-out', lineId: 'outline', margin: 6 },
    { needs: ['unhoop'], note: 'Corners twice, and through the ends of the zip.' }
  );
  s.hand('untape-all', { do: 'untape', strips: 16 }, { needs: ['trim-seam'] });
  s.hand('turn-lining', { do: 'turn-through', lineId: 'closing' }, { needs: ['trim-seam'] });
  s.hand(
    'close-lining',
    { do: 'close-opening', lineId: 'closing', by: 'machine' },
    { needs: ['turn-lining'] }
  );
  s.hand('turn-zip', { do: 'turn-through', pieceId: 'zip' }, { needs: ['close-lining'] });
  s.hand('press-pouch', { do: 'press' }, { needs: ['turn-zip'] });
}
