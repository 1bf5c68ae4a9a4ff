import { box, type Path, segment } from '$lib/core/base/geometry';
import { choice, length, material, MATERIALS, stopPart, thread } from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { needsSurface, noFilmUnderTheIron } from './refusals';
import type { Site } from './site';

const CLOTH = { woven: 'Woven cotton', canvas: 'Canvas' } as const;
const fields = {
  width: length('Both pieces, width', 100, 40, 300),
  height: length('Both pieces, height', 70, 30, 300),
  joinAt: length('The join, from the left edge', 45, 15, 200),
  left: material('Left piece', CLOTH, ['woven', 'Fern print', '#4d7148']),
  right: material('Right piece', CLOTH, ['woven', 'Carriage red', '#8d2f35']),
  rightHold: choice(
    'Right piece held with',
    { hand: 'A finger or a tool', tape: 'Tape' },
    'hand',
    'its glue lies up, so no iron comes near it before the flip'
  ),
  leftThread: thread('Left thread', 'Fern green', '#3c5a38'),
  rightThread: thread('Right thread', 'Burgundy', '#6d1f31')
} as const;

const SATIN_MM = 3.5;
const ZIGZAG_MM = 2;
/** The overlap of the second piece at the join, mm. */
const OVERLAP_MM = 3;
/** The topstitch beside the join, mm. */
const BESIDE_MM = 2;

/** Two pieces joined by a seam that is flipped open, so that no edge lies between them. */
export const joined: BlockMaker<typeof fields> = {
  kind: 'joined',
  name: 'Two pieces joined with a flip',
  summary: 'The second piece is sewn face down at the join and flipped: no satin between the two.',
  group: 'Cloth',
  fields,
  lays: true,
  refuses: (standing) =>
    needsSurface(standing) ??
    noFilmUnderTheIron(standing) ??
    (standing.under
      ? { why: 'It would be stitched through the back.', repair: 'Move it before the back.' }
      : null),
  make(site, p) {
    const lines = drawn(site, p);
    const piece = (part: 'left' | 'right', use: 'applique' | 'flipped') =>
      site.piece(part, `${part} piece`, p[part], use, {
        covers: lines[part],
        shows: 'front',
        backed: [MATERIALS.web]
      });
    const [left, right] = [piece('left', 'applique'), piece('right', 'flipped')];
    site.prepare('web', { do: 'back-cloth', pieceIds: [left, right] }, 'The paper stays on.');
    leftPiece(site, left, lines);
    rightPiece(site, right, lines, p);
    trimmed(site, left, right, lines);
    site.toMachine();
    // The right piece’s thread is on.
    for (const side of ['right', 'left'] as const)
      site.stop(`${side}-satin`, {
        ...stopPart(`${side === 'left' ? 'Left' : 'Right'} satin edge`, 'applique-edge', SATIN[side], [
          lines[`${side}Edge`]
        ]),
        visible: 'front',
        width: SATIN_MM,
        thread: side === 'left' ? p.leftThread : p.rightThread
      });
  }
};

const SATIN = { left: /satin|left|edge/, right: /satin|right|edge/ } as const;
type Answers = Parameters<(typeof joined)['make']>[1];
type Lines = ReturnType<typeof drawn>;

function drawn(site: Site, p: Answers) {
  const [w, h] = [p.width / 2, p.height / 2];
  const x = Math.min(w - 10, -w + p.joinAt);
  const around = (...points: Path['points']): Path => ({ closed: false, points });
  return {
    left: site.line('left', 'Left shape', box(-w, -h, x, h)),
    right: site.line('right', 'Right shape', box(x, -h, w, h)),
    leftCut: site.line('left-cut', 'Left shape and the overlap', box(-w, -h, x + OVERLAP_MM, h)),
    join: site.line('join', 'Join line', segment(x, -h, x, h)),
    top: site.line('top', 'Topstitch', segment(x + BESIDE_MM, -h, x + BESIDE_MM, h)),
    leftEdge: site.line('left-edge', 'Left edge', around([x, -h], [-w, -h], [-w, h], [x, h])),
    rightEdge: site.line('right-edge', 'Right edge', around([x, -h], [w, -h], [w, h], [x, h]))
  };
}

function leftPiece(site: Site, pieceId: string, lines: Lines): void {
  const hidden = { threadOf: site.key('left-satin'), visible: 'hidden' } as const;
  site.toMachine();
  site.stop('left-placement', stopPart('Left placement', 'placement', /place|left/, [lines.left], hidden));
  const laid = site.hand(
    'left-lay',
    {
      do: 'lay',
      pieceId,
      side: 'above',
      face: 'up',
      covers: lines.left,
      over: 12,
      hold: { by: 'tape', strips: 4 }
    },
    { note: 'Peel the paper first. It is fused only when it has been trimmed.' }
  );
  site.stop('left-tack', stopPart('Left tack-down', 'tack-down', /tack|left/, [lines.leftEdge], hidden));
  site.stop('left-zigzag', {
    ...stopPart('Left zigzag', 'tack-down', /zig/, [lines.leftEdge], hidden),
    width: ZIGZAG_MM
  });
  site.toTable();
  site.freeHolds();
  const cut = site.hand(
    'left-trim',
    { do: 'trim', pieceIds: [pieceId], lineId: lines.leftCut, side: 'outside', margin: 0 },
    { note: 'Flush, but 3 mm stay at the join.' }
  );
  site.s.must(laid, cut);
}

function rightPiece(site: Site, pieceId: string, lines: Lines, { rightHold }: Answers): void {
  const threadOf = site.key('right-satin');
  site.toMachine();
  site.stop(
    'join-line',
    stopPart('Join line', 'placement', /join|line/, [lines.join], {
      threadOf: site.key('left-satin'),
      visible: 'hidden'
    })
  );
  const laid = site.hand(
    'right-lay',
    {
      do: 'lay',
      pieceId,
      side: 'above',
      face: 'down',
      edge: { lineId: lines.join, body: 'left', allowance: OVERLAP_MM },
      hold: rightHold === 'hand' ? { by: 'hand' } : { by: 'tape', strips: 4 }
    },
    { note: 'Joining edge cut straight, adhesive up to the edge, peeled, glue up: no iron here.' }
  );
  const seam = site.stop(
    'join-seam',
    stopPart('Join seam', 'join-seam', /join|seam/, [lines.join], { threadOf, visible: 'hidden' })
  );
  site.toTable();
  site.freeHolds();
  const flipped = site.hand(
    'right-flip',
    { do: 'flip', pieceId, lineId: lines.join, covers: lines.right },
    { needs: [seam] }
  );
  site.hand('right-fuse-seam', { do: 'fuse', pieceId, lineId: lines.join }, { needs: [flipped] });
  site.toMachine();
  site.stop(
    'topstitch',
    stopPart('Topstitch', 'topstitch', /top/, [lines.top], { threadOf, visible: 'front' })
  );
  site.stop('right-zigzag', {
    ...stopPart('Right zigzag', 'tack-down', /zig/, [lines.rightEdge], { threadOf, visible: 'hidden' }),
    width: ZIGZAG_MM
  });
  site.s.must(laid, seam);
}

/** Fused only when both are trimmed. */
function trimmed(site: Site, left: string, right: string, lines: Lines): void {
  site.toTable();
  const cut = site.hand('right-trim', {
    do: 'trim',
    pieceIds: [right],
    lineId: lines.right,
    side: 'outside',
    margin: 0
  });
  site.hand('left-fuse', { do: 'fuse', pieceId: left }, { needs: [cut] });
  site.hand('right-fuse', { do: 'fuse', pieceId: right }, { needs: [cut] });
  site.s.must(cut);
}
