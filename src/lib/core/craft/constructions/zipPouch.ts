import type { Construction } from './construction';
import { Sequence, stopPart, heldAs } from '$lib/core/craft/sequence';
import { ON_TAPE_MM, type Params, POUCH_FIELDS, pouchLines, pouchPieces } from './zipPouchParts';

/** A pouch with a zip and a lining, built in one hooping and turned twice. */
export const zipPouch: Construction<typeof POUCH_FIELDS> = {
  kind: 'zip-pouch',
  name: 'Lined zip pouch',
  summary:
    'Panels flipped away from a zip, linings under the hoop, a back on top; turned through lining and zip.',
  fields: POUCH_FIELDS,
  draft
};

const TAPE = { by: 'tape', strips: 4 } as const;

function draft(p: Params): Sequence {
  const finished = { width: p.width, height: p.height };
  // The outline tack runs in the seam allowance.
  const size = { width: p.width + 4, height: p.height + 4 };
  const s = new Sequence({ shape: 'rectangle', size, finished, edge: 'turned' });
  pouchLines(s, p);
  pouchPieces(s, p);

  s.part('hooping', 'Hooping', () => {
    s.hand('press-linings', {
      do: 'press-folds',
      pieceId: 'lining-lower',
      alsoIds: ['lining-upper'],
      fold: 12
    });
    s.hoop('hooping-1', 'Hooping', ['stabiliser']);
  });
  s.part('zip', 'Batting and zip', () => {
    battingAndZip(s, p);
  });
  s.part('upper', 'Upper panel', () => {
    panel(s, p, 'upper');
  });
  s.part('lower', 'Lower panel', () => {
    panel(s, p, 'lower');
  });
  s.part('accent', 'Accent strip', () => {
    if (p.accent === 'yes') accent(s);
  });
  s.part('quilting', 'Outline tack and quilting', () => {
    s.hand('tape-corners', { do: 'tape', pieceId: p.accent === 'yes' ? 'accent' : 'lower', strips: 2 });
    s.stop(
      'outline-tack',
      stopPart('Outline tack', 'basting', /outline|baste/, ['tack'], {
        threadOf: 'seam-upper',
        visible: 'hidden'
      })
    );
    s.stop('quilting', {
      ...stopPart('Quilting', 'quilting', /quilt|stippl/, ['quilt'], { visible: 'front' }),
      optional: true,
      thread: p.quilting
    });
    s.nameGoes('quilting', 'lower', 'quilt');
  });
  s.part('linings', 'Linings', () => {
    lining(s, 'lower');
    lining(s, 'upper');
  });
  s.part('back', 'Back and closing seam', () => {
    backAndClosing(s);
  });
  s.part('finishing', 'Turned and finished', () => {
    finish(s);
  });
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
  return s;
}

const HIDDEN = { threadOf: 'seam-upper', visible: 'hidden' } as const;

function battingAndZip(s: Sequence, p: Params): void {
  s.stop(
    'batting-placement',
    stopPart('Batting placement', 'placement', /batting|place/, ['batting'], HIDDEN)
  );
  s.hand('lay-batting', {
    do: 'lay',
    pieceId: 'batting',
    side: 'above',
    face: 'up',
    covers: 'batting',
    over: 12,
    hold: heldAs(p.battingHold)
  });
  s.stop(
    'batting-tack',
    stopPart('Batting tack-down', 'tack-down', /batting|tack/, ['batting', 'zip-gap'], HIDDEN)
  );
  s.move('hoop-off');
  if (p.battingHold === 'pins') s.hand('unpin-batting', { do: 'unpin' });
  s.hand('trim-batting', {
    do: 'trim',
    pieceIds: ['batting'],
    lineId: 'batting',
    side: 'outside',
    margin: 0,
    keepIds: ['stabiliser']
  });
  s.hand('trim-zip-gap', {
    do: 'cut-away-behind',
    pieceIds: ['batting'],
    lineId: 'zip-gap',
    from: 'front',
    keepIds: ['stabiliser']
  });
  s.move('hoop-on');
  s.stop('zip-placement', stopPart('Zip placement', 'placement', /zip/, ['zip'], HIDDEN));
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
  s.stop('zip-seams', stopPart('Zip tack-down', 'tack-down', /zip|tack/, ['zip-tapes'], HIDDEN));
  s.toBack();
  s.hand('untape-zip', { do: 'untape', strips: 4 });
  s.hand('cut-behind-zip', {
    do: 'cut-away-behind',
    pieceIds: ['stabiliser'],
    lineId: 'zip-gap',
    keepIds: ['zip']
  });
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
    ...stopPart(`${name} zip seam`, 'join-seam', new RegExp(`seam|${which}`), [`seam-${which}`], {
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
  s.stop(
    `top-${which}`,
    stopPart(`${name} topstitch`, 'topstitch', /topstitch|top|tack/, [`top-${which}`], {
      // What holds the panel down may be called its tack-down.
      alsoRoles: ['tack-down'],
      threadOf: 'seam-upper',
      visible: 'front'
    })
  );
}

function accent(s: Sequence): void {
  s.stop(
    'accent-line',
    stopPart('Accent placement', 'tack-down', /accent|place|tack/, ['accent-seam'], {
      ...HIDDEN,
      alsoRoles: ['placement'],
      // In some files the line that holds the lower panel down is the accent’s placement too.
      optional: true,
      sharesRowOf: 'top-lower'
    })
  );
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
  s.stop('accent-seam', stopPart('Accent seam', 'join-seam', /accent|seam/, ['accent-seam'], HIDDEN));
  s.hand('untape-accent', { do: 'untape', strips: 4 });
  s.hand(
    'flip-accent',
    { do: 'flip', pieceId: 'accent', lineId: 'accent-seam', covers: 'panel-accent' },
    { needs: ['untape-accent'] }
  );
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
    ...stopPart(
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
  s.stop('back-tack', stopPart('Back tack-down', 'closing-seam', /back|tack/, ['outline'], HIDDEN));
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
    ...stopPart('Closing seam', 'closing-seam', /clos|final|seam/, ['closing'], HIDDEN),
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
