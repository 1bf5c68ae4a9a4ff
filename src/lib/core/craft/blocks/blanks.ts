import { inset, type Outline, type Path, shapePath, shifted } from '$lib/core/base/geometry';
import {
  choice,
  count,
  length,
  material,
  MATERIALS,
  onlyWhere,
  outline,
  stopPart,
  thread,
  threads
} from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { needsNoRing } from './refusals';
import type { Site } from './site';

/** What is asked of it; a construction that is this block alone asks the same. */
export const blankFields = {
  shape: outline('oval', 'rounded', 'rectangle', 'tab', 'shield', 'heart'),
  width: length('Outer edge of the border, width', 60, 20, 200),
  height: length('Outer edge of the border, height', 60, 20, 200),
  borderWidth: length('Width of the satin border', 4, 3, 8),
  designGap: length('Gap between design and border', 3, 0, 30),
  copies: count('Copies in the hoop', 2, 1, 6),
  gap: length('Gap between two copies', 20, 5, 60),
  blanks: choice(
    'The blanks are',
    { marked: 'Marked in a hooping of their own and cut', 'ready-cut': 'Cut already, by a die or by hand' },
    'marked'
  ),
  placements: choice(
    'Placement lines',
    {
      'one-by-one': 'Each before its own patch: one halt a copy',
      'all-first': 'All from a line-only file, then the patches'
    },
    'one-by-one',
    'a line-only file halts once; the patch file then skips its first stop'
  ),
  under: onlyWhere(
    choice('Under the cloth that is marked', { cutaway: 'Cutaway', 'tear-away': 'Tear-away' }, 'cutaway'),
    'blanks',
    'marked'
  ),
  ground: material('Blank', { felt: 'Felt', canvas: 'Canvas' }, ['felt', 'Felt', '#6d1f31']),
  border: thread('Border thread', 'Brass', '#b58a3c'),
  colours: threads('Colours, in order', ['Cream', '#efe3c4'])
} as const;
type Answers = Parameters<(typeof blanks)['make']>[1];

/** Cut just outside the line, mm. */
const OUTSIDE_MM = 0.5;
/** Cutting one blank by hand, s. */
const CUT_S = 45;

/** Blanks cut from one sheet of felt, then laid one after another on film and stitched as patches. */
export const blanks: BlockMaker<typeof blankFields> = {
  kind: 'blanks',
  name: 'Patches on blanks',
  summary: 'Several blanks marked and cut from one hooping, then laid on film, stitched and edged there.',
  group: 'Hooping',
  fields: blankFields,
  refuses: needsNoRing,
  make(site, p) {
    const marked = p.blanks === 'marked';
    const { size, middles } = layOut(p);
    const sheet = marked ? markedAndCut(site, p, middles) : undefined;
    const film = site.piece('film', 'Film', MATERIALS.film, 'hooped', { plies: 2 });
    const hooping = site.newHooping();
    site.s.hoop(hooping, 'Patches', [film]);
    site.toMachine();
    const copies = middles.map((middle, copy) => onFilm(site, p, hooping, copy, middle, sheet));
    stitchedOnFilm(site, p, copies);
    site.s.truth({
      kind: 'stabiliser',
      pieceId: film,
      kinds: ['wash-away-film', 'wash-away-mesh', 'tear-away'],
      plies: 2
    });
    site.s.ends({ edge: 'satin border', size, finished: { width: p.width, height: p.height } });
    const out = site.outOfTheRing();
    site.hand(
      'pop-out',
      { do: 'topping-off', pieceId: film },
      { needs: [out], note: 'Pop the patches out of the film.' }
    );
  }
};

interface Copy {
  edge: string;
  field: string;
  blank: string;
  /** 1 for the first. */
  number: number;
}

const numbered = (name: string, copy: number, { copies }: Answers): string =>
  copies > 1 ? `${name} ${copy + 1}` : name;
const edgeOf = (shape: Outline, { width, height, borderWidth }: Answers): Path =>
  inset(shapePath(shape, width, height), borderWidth / 2);

/** The first hooping: the cut lines of all blanks on one sheet, which are cut out of it. */
function markedAndCut(site: Site, p: Answers, middles: Middle[]): string {
  const { s } = site;
  const under = p.under === 'cutaway' ? MATERIALS.cutaway : MATERIALS.tearAway;
  const stabiliser = site.piece('stabiliser', p.under, under, 'hooped');
  const sheet = site.piece('sheet', 'Sheet', p.ground, 'hooped');
  s.file(site.key('lines'), 'Cut lines');
  const hooping = site.newHooping();
  const lines = middles.map((middle, copy) =>
    s.line(
      site.key(`cut-${copy}`),
      numbered('Cut line of blank', copy, p),
      shifted(edgeOf(p.shape, p), ...middle),
      hooping
    )
  );
  site.hand(
    'spray',
    { do: 'spray', pieceId: sheet },
    { note: 'On to the stabiliser, before both are hooped.' }
  );
  s.hoop(hooping, 'Blanks', [stabiliser, sheet]);
  site.toMachine();
  const stitched = site.stop('cut-line', {
    ...stopPart('Cut lines', 'cut-line', /cut|die|blank/, lines, { visible: 'hidden' }),
    threadOf: site.key('border-0')
  });
  site.toTable();
  const out = site.hand('lines-unhoop', { do: 'unhoop' });
  site.hand(
    'cut',
    { do: 'other', title: 'Cut each blank just outside its line', seconds: CUT_S * middles.length },
    { needs: [stitched, out] }
  );
  return sheet;
}

function onFilm(
  site: Site,
  p: Answers,
  hooping: string,
  copy: number,
  middle: Middle,
  sheet: string | undefined
): Copy {
  const { s } = site;
  const edge = s.line(
    site.key(`edge-${copy}`),
    numbered('Edge of patch', copy, p),
    shifted(edgeOf(p.shape, p), ...middle),
    hooping
  );
  const inside = inset(shapePath(p.shape, p.width, p.height), p.borderWidth + p.designGap);
  const field = s.line(
    site.key(`field-${copy}`),
    numbered('Design of patch', copy, p),
    shifted(inside, ...middle),
    hooping
  );
  const blank = site.piece(`blank-${copy}`, numbered('Blank', copy, p), p.ground, 'applique', {
    covers: edge,
    shows: 'front',
    shape: 'pre-cut',
    ...(sheet !== undefined && { from: sheet }),
    overrides: { margin: OUTSIDE_MM }
  });
  return { edge, field, blank, number: copy + 1 };
}

function stitchedOnFilm(site: Site, p: Answers, copies: Copy[]): void {
  const { s } = site;
  const allFirst = p.placements === 'all-first';
  // The patch file begins with its own placement line, which is stitched by then.
  const patches = (skips = 0): void => {
    if (s.sofar.files.length > 0 || allFirst) s.file(site.key('patches'), 'Patches', skips);
  };
  if (allFirst) {
    s.file(site.key('placements'), 'Placement lines');
    placed(site, copies, 'placement');
  } else patches();
  for (const copy of copies) {
    if (allFirst && copy.number > 1) continue;
    const laid = allFirst ? copies : [copy];
    if (!allFirst) placed(site, [copy], `placement-${copy.number - 1}`);
    // Nothing is stitched with the frame forward.
    site.hand(`forward-${copy.number}`, { do: 'frame-forward' });
    for (const { blank, edge, number } of laid)
      s.must(
        site.hand(`lay-${number - 1}`, {
          do: 'lay',
          pieceId: blank,
          side: 'above',
          face: 'up',
          covers: edge,
          hold: { by: 'spray' }
        })
      );
    site.hand(`back-${copy.number}`, { do: 'frame-back' });
    if (allFirst) patches(1);
    for (const done of laid) stitched(site, p, done);
  }
}

function placed(site: Site, copies: Copy[], key: string): void {
  const cut = site.s.sofar.expected.find((stop) => stop.key === site.key('cut-line'));
  const sameAsCut = cut?.lineIds.length === copies.length;
  site.stop(key, {
    ...stopPart(
      copies.length > 1 ? 'Placement lines' : `Placement line ${copies[0]?.number ?? 1}`,
      'placement',
      /place|position|guide/,
      copies.map(({ edge }) => edge),
      { visible: 'hidden' }
    ),
    // One stop of the file may be cut line and placement line in one, run in both hoopings.
    ...(sameAsCut && { sharesRowOf: site.key('cut-line'), sharesIfNamed: true }),
    threadOf: site.key('border-0')
  });
}

function stitched(site: Site, p: Answers, { edge, field, number }: Copy): void {
  site.stop(`colours-${number - 1}`, {
    ...stopPart(`Colours of patch ${number}`, 'decoration', /colou?r|fill|design|letter|text/, [field]),
    one: `Colour of patch ${number}`,
    alsoRoles: ['lettering', 'topstitch'],
    repeats: true,
    visible: 'front',
    estimate: [{ stitches: 1800, attended: false }],
    thread: p.colours
  });
  site.s.must(
    site.stop(`border-${number - 1}`, {
      ...stopPart(`Border of patch ${number}`, 'satin-edge', /border|edge|satin|rim/, [edge], {
        visible: 'both'
      }),
      protected: true,
      width: p.borderWidth,
      thread: p.border
    })
  );
}

type Middle = [x: number, y: number];

/** Copies in rows of two, the middle of the whole on the middle of the field. */
function layOut(p: Answers): { size: { width: number; height: number }; middles: Middle[] } {
  const columns = Math.min(2, p.copies);
  const rows = Math.ceil(p.copies / columns);
  const [pitchX, pitchY] = [p.width + p.gap, p.height + p.gap];
  return {
    size: { width: columns * pitchX - p.gap, height: rows * pitchY - p.gap },
    middles: Array.from({ length: p.copies }, (_, copy): Middle => [
      ((copy % columns) - (columns - 1) / 2) * pitchX,
      (Math.floor(copy / columns) - (rows - 1) / 2) * pitchY
    ])
  };
}
