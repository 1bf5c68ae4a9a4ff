import { box, inset, offsetPath, segment, shapePath } from '$lib/core/base/geometry';
import {
  type Sequence,
  type AnswersOf,
  choice,
  hold,
  length,
  material,
  thread,
  addStabiliser,
  stabiliserFields,
  MATERIALS,
  seamOpening
} from '$lib/core/craft/sequence';

export const POUCH_FIELDS = {
  width: length('Finished width', 180, 110, 400),
  height: length('Finished height', 120, 90, 300),
  zipDown: length('Zip below the top edge', 32, 25, 120),
  opening: length('Opening in the lining', 80, 30, 150, 'at least 60 mm, or nothing turns through it'),
  accent: choice('Accent strip', { yes: 'At the bottom of the front', no: 'None' }, 'yes'),
  upper: material('Upper front', { woven: 'Woven cotton', canvas: 'Canvas' }, [
    'woven',
    'Fern print',
    '#4d7148'
  ]),
  lower: material('Lower front', { woven: 'Woven cotton', canvas: 'Canvas' }, [
    'woven',
    'Carriage red',
    '#8d2f35'
  ]),
  accentCloth: material('Accent', { woven: 'Woven cotton', canvas: 'Canvas' }, [
    'woven',
    'Ticket buff',
    '#d9bd8b'
  ]),
  back: material('Back', { woven: 'Woven cotton', canvas: 'Canvas' }, ['woven', 'Carriage red', '#8d2f35']),
  lining: material('Lining', { woven: 'Woven cotton' }, ['woven', 'Cream', '#efe3c4']),
  ...stabiliserFields(['cutaway', 'soft-mesh', 'tear-away'], 'cutaway', 1),
  battingHold: hold('Batting held with', 'spray'),
  seams: thread('Seam thread', 'Cream', '#efe3c4'),
  quilting: thread('Quilting thread', 'Brass', '#b58a3c')
};
export type Params = AnswersOf<typeof POUCH_FIELDS>;

/** Half of the zip’s tape that stays between the two panels, mm. */
const ZIP_HALF_MM = 5;
/** Seam allowance of a panel on the zip tape, mm. */
export const ON_TAPE_MM = 6;

/** Every line of the pouch: its outline is the closing seam. */
export function pouchLines(s: Sequence, p: Params): void {
  const [w, h] = [p.width / 2, p.height / 2];
  const zip = -h + p.zipDown;
  const outline = shapePath('rectangle', p.width, p.height);
  const accentAt = h - p.height / 4;
  s.line('outline', 'Outline', outline);
  const closing = seamOpening(outline, p.opening, { side: 'bottom' });
  s.line('closing', 'Closing seam', closing.path, 'hooping-1', closing.gaps);
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

/** Every piece of the pouch, and what it shows in the end. */
export function pouchPieces(s: Sequence, p: Params): void {
  addStabiliser(s, p);
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
