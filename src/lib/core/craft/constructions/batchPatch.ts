import { inset, type Path, shapePath, shifted } from '$lib/core/base/geometry';
import type { Construction } from './construction';
import {
  Sequence,
  type AnswersOf,
  choice,
  count,
  length,
  material,
  outline,
  thread,
  threads,
  MATERIALS
} from '$lib/core/craft/sequence';

const FIELDS = {
  shape: outline('oval', 'rounded', 'rectangle', 'tab', 'shield', 'heart'),
  width: length('Outer edge of the border, width', 60, 20, 200),
  height: length('Outer edge of the border, height', 60, 20, 200),
  borderWidth: length('Width of the satin border', 4, 3, 8),
  designGap: length('Gap between design and border', 3, 0, 30),
  copies: count('Copies in the hoop', 2, 1, 6),
  gap: length('Gap between two copies', 20, 5, 60),
  placements: choice(
    'Placement lines',
    {
      'one-by-one': 'Each before its own patch: one halt a copy',
      'all-first': 'All from a line-only file, then the patches'
    },
    'one-by-one',
    'a line-only file halts once; the patch file then skips its first stop'
  ),
  ground: material('Blank', { felt: 'Felt', canvas: 'Canvas' }, ['felt', 'Felt', '#6d1f31']),
  border: thread('Border thread', 'Brass', '#b58a3c'),
  colours: threads('Colours, in order', ['Cream', '#efe3c4'])
};
type Params = AnswersOf<typeof FIELDS>;

/** Cut just outside the line, mm. */
const OUTSIDE_MM = 0.5;

/** Blanks cut from one sheet of felt, then laid one after another on film and stitched as patches. */
export const batchPatch: Construction<typeof FIELDS> = {
  kind: 'batch-patch',
  name: 'Batch patch on blanks',
  summary:
    'Several blanks marked and cut from one hooping, then stitched and edged on film, which pops them out.',
  fields: FIELDS,
  piecesPerFile: ({ copies }) => copies,
  draft
};

function draft(p: Params): Sequence {
  const { size, middles } = layOut(p);
  const outer = shapePath(p.shape, p.width, p.height);
  const at = (path: Path, copy: number): Path => shifted(path, ...(middles[copy] ?? [0, 0]));
  const copies = middles.map((_, copy) => copy);
  const s = new Sequence({
    shape: p.shape,
    size,
    finished: { width: p.width, height: p.height },
    edge: 'satin border'
  });
  for (const copy of copies) {
    const name = copies.length > 1 ? ` ${copy + 1}` : '';
    s.line(`edge-${copy}`, `Edge of patch${name}`, at(inset(outer, p.borderWidth / 2), copy), 'hooping-2');
    s.line(
      `field-${copy}`,
      `Design of patch${name}`,
      at(inset(outer, p.borderWidth + p.designGap), copy),
      'hooping-2'
    );
    s.line(`cut-${copy}`, `Cut line of blank${name}`, at(inset(outer, p.borderWidth / 2), copy));
  }
  s.piece('cutaway', 'CUTAWAY', MATERIALS.cutaway, 'hooped');
  s.piece('sheet', 'SHEET', p.ground, 'hooped');
  s.piece('film', 'FILM', MATERIALS.film, 'hooped', { plies: 2 });
  for (const copy of copies)
    s.piece(`blank-${copy}`, copies.length > 1 ? `BLANK ${copy + 1}` : 'BLANK', p.ground, 'applique', {
      covers: `edge-${copy}`,
      shows: 'front',
      shape: 'pre-cut',
      from: 'sheet',
      overrides: { margin: OUTSIDE_MM }
    });

  s.part('blanks', 'Blanks marked and cut', () => {
    s.file('lines', 'Cut lines');
    s.hoop('hooping-1', 'Blanks', ['cutaway', 'sheet']);
    s.stop('cut-line', {
      name: 'Cut lines',
      role: 'cut-line',
      words: /cut|die|blank/,
      threadOf: 'border-0',
      visible: 'hidden',
      lineIds: copies.map((copy) => `cut-${copy}`)
    });
    s.move('hoop-off', 'unhoop');
    s.hand(
      'cut-blanks',
      { do: 'other', title: 'Cut each blank just outside its line', seconds: 45 * copies.length },
      { needs: ['cut-line'] }
    );
  });
  s.part('patches', 'Patches', () => {
    s.hoop('hooping-2', 'Patches', ['film']);
    if (p.placements === 'all-first') {
      s.file('placements', 'Placement lines');
      placement(s, copies, 'placement');
    } else s.file('patches', 'Patches');
    for (const copy of copies) {
      if (p.placements === 'one-by-one') placement(s, [copy], `placement-${copy}`);
      else if (copy > 0) continue;
      const laid = p.placements === 'one-by-one' ? [copy] : copies;
      // Nothing is stitched with the frame forward.
      s.move('frame-forward');
      for (const blank of laid)
        s.hand(
          `lay-blank-${blank}`,
          {
            do: 'lay',
            pieceId: `blank-${blank}`,
            side: 'above',
            face: 'up',
            covers: `edge-${blank}`,
            hold: { by: 'spray' }
          },
          { needs: ['cut-blanks'] }
        );
      s.move('frame-back');
      // The patch file begins with its own placement line, which is stitched already.
      if (p.placements === 'all-first') s.file('patches', 'Patches', 1);
      for (const done of laid) stitched(s, p, done);
    }
  });
  s.part('finishing', 'Finishing', () => {
    s.move('hoop-off');
    s.hand('inspect', { do: 'inspect' });
    s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
    s.hand(
      'pop-out',
      { do: 'topping-off', pieceId: 'film' },
      { needs: ['unhoop'], note: 'Pop the patches out of the film.' }
    );
  });
  s.must(...copies.map((copy) => `lay-blank-${copy}`), ...copies.map((copy) => `border-${copy}`));
  s.truth({
    kind: 'stabiliser',
    pieceId: 'film',
    kinds: ['wash-away-film', 'wash-away-mesh', 'tear-away'],
    plies: 2
  });
  return s;
}

function placement(s: Sequence, copies: number[], key: string): void {
  s.stop(key, {
    name: copies.length > 1 ? 'Placement lines' : `Placement line ${(copies[0] ?? 0) + 1}`,
    role: 'placement',
    words: /place|position|guide/,
    threadOf: 'border-0',
    visible: 'hidden',
    lineIds: copies.map((copy) => `edge-${copy}`)
  });
}

function stitched(s: Sequence, p: Params, copy: number): void {
  s.stop(`colours-${copy}`, {
    name: `Colours of patch ${copy + 1}`,
    one: `Colour of patch ${copy + 1}`,
    role: 'decoration',
    alsoRoles: ['lettering', 'topstitch'],
    words: /colou?r|fill|design|letter|text/,
    repeats: true,
    visible: 'front',
    lineIds: [`field-${copy}`],
    estimate: [{ stitches: 1800, attended: false }],
    thread: p.colours
  });
  s.stop(`border-${copy}`, {
    name: `Border of patch ${copy + 1}`,
    role: 'satin-edge',
    words: /border|edge|satin|rim/,
    visible: 'both',
    protected: true,
    lineIds: [`edge-${copy}`],
    width: p.borderWidth,
    thread: p.border
  });
}

/** Copies in rows of two, the middle of the whole on the middle of the field. */
function layOut(p: Params): { size: { width: number; height: number }; middles: [x: number, y: number][] } {
  const columns = Math.min(2, p.copies);
  const rows = Math.ceil(p.copies / columns);
  const [pitchX, pitchY] = [p.width + p.gap, p.height + p.gap];
  return {
    size: { width: columns * pitchX - p.gap, height: rows * pitchY - p.gap },
    middles: Array.from({ length: p.copies }, (_, copy): [number, number] => [
      ((copy % columns) - (columns - 1) / 2) * pitchX,
      (Math.floor(copy / columns) - (rows - 1) / 2) * pitchY
    ])
  };
}
