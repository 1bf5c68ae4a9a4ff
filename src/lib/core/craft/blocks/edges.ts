import { stepDoes } from '$lib/core/craft/operations';
import { pathLength, segment } from '$lib/core/base/geometry';
import {
  choice,
  count,
  edgePhases,
  FIRST_PASS_SPM,
  length,
  stopPart,
  thread
} from '$lib/core/craft/sequence';
import { FRAYS, PILE } from '$lib/core/documents/item';
import type { BlockMaker } from './block';
import { filmOver } from './cloth';
import { satinFrame } from './frame';
import { beforeClosing, notReadyMade, STAYS_WHOLE, type Refusal } from './refusals';
import type { Standing } from './standing';

function refusesEdge(standing: Standing): Refusal | null {
  return (
    beforeClosing(standing) ??
    notReadyMade(standing) ??
    (standing.top ? null : { why: 'There is nothing to edge.', repair: 'Put a front before it.' })
  );
}

/** Whether no stitch holds a piece to what is in the ring. */
function onlyGlued({ hoop, ring }: Standing, pieceId: string): boolean {
  const laid = hoop.layers.some((layer) => layer.pieceId === pieceId && layer.where === 'above');
  return (
    laid &&
    !hoop.seams.some(
      ({ layers }) => layers.includes(pieceId) && ring.some((piece) => layers.includes(piece.id))
    )
  );
}

const satinFields = {
  width: length('Width of the satin', 4, 2, 10),
  thread: thread('Edge thread, top and bobbin', 'Burgundy', '#6d1f31')
} as const;

/** A dense edge over the raw edges of all layers, the bobbin in its own colour. */
export const edgeSatin: BlockMaker<typeof satinFields> = {
  kind: 'edge-satin',
  name: 'Satin edge',
  summary: 'Layers trimmed to the line, a bobbin in the edge’s colour, satin all round.',
  group: 'Back and edge',
  fields: satinFields,
  frames: (frame, { width }) => satinFrame(frame, width),
  refuses: (standing) =>
    refusesEdge(standing) ??
    (standing.ring.some(({ material, plies }) => material.kind === 'sticky-wash-away' && plies < 2)
      ? {
          why: 'One layer of sticky wash-away is too light for a satin edge.',
          repair: 'Take two layers of wash-away or tear-away for the hooping.'
        }
      : null),
  make(site, { width, thread: colour }) {
    const { frame, s } = site;
    // A film under the edge stays until the end, unless something under it is still to be cut.
    if (site.standing.untrimmed.length > 0) {
      site.toTable();
      site.freeHolds();
      site.freeToppings();
    }
    site.trimToSeam();
    if (site.standing.holds.some(({ stitched }) => !stitched)) site.tackOutline();
    const { top, toppings, holds } = site.standing;
    if (holds.some(({ piece, stitched }) => stitched && !toppings.includes(piece))) {
      site.toTable();
      site.freeHolds();
    }
    if (top && PILE.includes(top.material.kind) && toppings.length === 0) filmOver(site, frame.outlineId);
    const { under, top: edged } = site.standing;
    // Its back is seen where there is a back, and another colour may be wound already: the bobbin has the edge’s.
    const wound = s.sofar.entries.some((entry) => stepDoes(entry, 'wind') !== null);
    if (wound && !under) site.hand('bobbin', { do: 'bobbin', threadId: `stop:${site.key('satin')}` });
    if (under)
      s.must(
        site.hand(
          'bobbin',
          { do: 'bobbin', threadId: `stop:${site.key('satin')}` },
          { note: 'A full one: the edge is the longest stop.' }
        )
      );
    site.toMachine();
    const unheld = top !== null && onlyGlued(site.standing, top.id);
    if (unheld) site.hand('slow', { do: 'speed', spm: FIRST_PASS_SPM, firstPass: true });
    const satin = site.stop('satin', {
      ...stopPart(
        site.label('Satin edge'),
        'satin-edge',
        under ? /border|edge|satin|rim/ : /border|edge|satin|outline|rim/,
        [frame.seamId, ...frame.holes],
        { visible: under || unheld ? 'both' : 'front' }
      ),
      // Of a patch on hooped cloth charts speak of its outline.
      ...(!under && { alsoRoles: ['applique-edge', 'closing-seam'] as const }),
      protected: true,
      width,
      ...(unheld && { estimate: edgePhases(pathLength(frame.seam), width, true) }),
      thread: colour
    });
    if ([edged, under].some((piece) => piece && FRAYS.includes(piece.material.kind))) s.must(satin);
    s.ends({ edge: 'satin edge' });
  }
};

const cutFields = {
  margin: length('Cut outside the line', 3, 1, 20),
  style: choice('The last line', { run: 'Run twice', bean: 'Bean stitch' }, 'run'),
  thread: thread('Outline thread', 'Signal white', '#f4f1ea')
} as const;

/** A last line round all layers, which are cut outside it: felt and vinyl only. */
export const edgeCut: BlockMaker<typeof cutFields> = {
  kind: 'edge-cut',
  name: 'Cut edge',
  summary: 'A last line through all layers; the item is cut out a little outside it.',
  group: 'Back and edge',
  fields: cutFields,
  frames: (frame, { margin }) => ({ ...frame, edge: 'cut', edgeMm: margin }),
  refuses(standing) {
    const none = refusesEdge(standing);
    if (none) return none;
    const frays = [standing.top, standing.under].find(
      (piece) => piece && !STAYS_WHOLE.includes(piece.material.kind)
    );
    return frays
      ? { why: `${frays.name} frays where it is only cut.`, repair: 'Take a satin edge, or felt or vinyl.' }
      : null;
  },
  make(site, { margin, style, thread: colour }) {
    const { frame, s } = site;
    site.toMachine();
    // The tack-down on the same line is seen with it, so it takes its thread.
    s.threadsLike(frame.seamId, site.key('outline'));
    const line = site.stop('outline', {
      ...stopPart(
        'Outline',
        'closing-seam',
        /outline|final|closing|border|edge|perimeter|satin/,
        [frame.seamId],
        {
          visible: 'both'
        }
      ),
      alsoRoles: ['topstitch', 'satin-edge'],
      // A file may end in a satin edge.
      asCharted: ['satin-edge'],
      protected: true,
      passes: style === 'bean' ? 3 : 2,
      thread: colour
    });
    s.must(line);
    const tacks = s.sofar.expected.filter(({ threadOf, role }) => role === 'tack-down' && threadOf === line);
    if (tacks.length > 0) s.truth({ kind: 'one-colour', steps: [...tacks.map(({ key }) => key), line] });
    s.ends({
      edge: 'cut edge',
      finished: { width: frame.width + 2 * margin, height: frame.height + 2 * margin }
    });
  }
};

const markFields = {
  marks: count('Marks', 2, 1, 20),
  where: choice(
    'Where',
    { file: 'Where the file has them', top: 'Near the upper end', ends: 'Near the upper and the lower end' },
    'file'
  ),
  thread: thread('Thread', 'Cream', '#efe3c4')
} as const;

/** A few stitches that show where hardware goes. */
export const marks: BlockMaker<typeof markFields> = {
  kind: 'marks',
  name: 'Marks for hardware',
  summary: 'A few stitches that show where snaps, eyelets or buttons go.',
  group: 'Stitching',
  fields: markFields,
  refuses: (standing) =>
    standing.hooping === null
      ? { why: 'Nothing is in the hoop to mark.', repair: 'Move it between hooping and finishing.' }
      : standing.covered
        ? { why: 'The back lies over the front.', repair: 'Move it before the back.' }
        : null,
  make(site, { marks: many, where, thread: colour }) {
    const { height } = site.frame;
    const end = (part: string, side: -1 | 1): string =>
      site.line(part, 'Hole mark', segment(0, side * (height / 2 - 8), 0, side * (height / 2 - 6)));
    const lines = [
      ...(where === 'file' ? [] : [end('upper', -1)]),
      ...(where === 'ends' ? [end('lower', 1)] : [])
    ];
    const outline = site.s.sofar.expected.at(-1);
    site.toMachine();
    site.stop('marks', {
      ...stopPart(
        site.label(many === 1 ? 'Hole mark' : 'Hole marks'),
        'closure-mark',
        /hole|mark|snap|closure|fasten|eyelet|position/,
        lines
      ),
      alsoRoles: ['placement', 'centre-mark'],
      optional: true,
      // Often one row of the chart has the outline and the marks.
      ...(outline?.role === 'closing-seam' && { sharesRowOf: outline.key }),
      visible: 'both',
      estimate: [{ stitches: 20 * many, length: 1.5, attended: false }],
      thread: colour
    });
  }
};
