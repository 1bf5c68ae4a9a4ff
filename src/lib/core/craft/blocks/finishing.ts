import { type AnswersOf, choice, length } from '$lib/core/craft/sequence';
import {
  FRAYS,
  isStabiliserKind,
  type MaterialKind,
  PILE,
  type Piece,
  WASHES_OUT
} from '$lib/core/documents/item';
import type { BlockMaker } from './block';
import { needsRing } from './refusals';
import type { Site } from './site';
import type { Standing } from './standing';
import { CLOSED_BY, turnedOut } from './turnedOut';

const fields = {
  seam: length('Seam left when it is cut out', 6, 3, 25, 'where it is turned or sewn up'),
  beyond: length('Cut so far outside its edge', 1, 1, 25, 'where hooped cloth is cut out'),
  closed: choice('Its opening is closed', CLOSED_BY, 'usual'),
  topstitched: choice('Topstitched all round', { no: 'No', yes: 'Yes, which closes the opening too' }, 'no'),
  label: choice('A label', { no: 'None', opening: 'Laid in the opening before it is closed' }, 'no'),
  then: choice(
    'Afterwards',
    {
      usual: 'It is finished',
      'cut-out': 'It is cut out of its cloth',
      'sewn-up': 'It is sewn to another part later'
    },
    'usual'
  ),
  behind: choice('Behind it', { nothing: 'Nothing', adhesive: 'Heat adhesive, to be ironed on' }, 'nothing'),
  washed: choice(
    'Wash-away round an edge',
    {
      edges: 'Dipped at the edge and peeled',
      whole: 'Cut close, rinsed out and dried',
      later: 'Cut close, rinsed later with other parts'
    },
    'edges'
  ),
  pressed: choice('Pressed', { usual: 'Where nothing would melt', yes: 'Yes', no: 'No' }, 'usual')
} as const;
type Answers = AnswersOf<typeof fields>;

/** Cut this far out while the piece is only being freed from the rest, mm. */
const ROUGHLY_MM = 15;
/** Wash-away is left round an edge: to hold it by while it is dipped, or little where all of it is rinsed out, mm. */
const LEFT_MM = { edges: 25, whole: 5, later: 5 } as const;

/** Out of the hoop for good: stabiliser off as its kind wants, cut out as its edge wants, turned where it is closed. */
export const finishing: BlockMaker<typeof fields> = {
  kind: 'finishing',
  name: 'Finishing',
  summary:
    'Looked over, out of the hoop, stabiliser off; cut out, turned, closed and pressed as its edge wants.',
  group: 'Afterwards',
  fields,
  refuses(standing, { behind }) {
    const melts = standing.hoop.layers.find(({ material }) => material.kind === 'vinyl');
    if (behind === 'adhesive' && melts)
      return {
        why: `${melts.name} melts where the adhesive is ironed on.`,
        repair: 'Sew it on: leave the adhesive out.'
      };
    const hangs = standing.holds.find(
      ({ piece, stitched }) => !stitched && (piece.bound === true || piece.folded)
    );
    return (
      needsRing(standing) ??
      (hangs && standing.toppings.every(({ id }) => id !== hangs.piece.id)
        ? {
            why: `No seam catches ${hangs.piece.name}.`,
            repair: 'Put a back or an edge before the finishing.'
          }
        : null)
    );
  },
  make(site, p) {
    const { frame } = site;
    const { closing, zip, ring, top } = site.standing;
    const base = ring.find(({ material }) => isStabiliserKind(material.kind))?.material.kind;
    const out = takeOut(site);
    if (!closing) {
      openOut(site, p, { base, out, hooped: ring.filter(isCloth), top });
      return;
    }
    if (base === 'tear-away') site.hand('tear-away', { do: 'tear-away' }, { needs: [out] });
    const trimmed = site.hand(
      'trim-seam',
      { do: 'cut-out', lineId: frame.outlineId, margin: p.seam },
      {
        needs: [out],
        note: zip
          ? 'Corners twice, and through the ends of the zip.'
          : 'Bulk first. Leave a lip at the opening.'
      }
    );
    site.freeHolds();
    // The corners of a pouch are cut twice, and it has no curves.
    const clipped = zip
      ? trimmed
      : site.hand('clip', { do: 'clip', lineId: frame.outlineId }, { needs: [trimmed] });
    if (p.then === 'sewn-up') {
      site.s.seenLater(site.standing.hoop.layers.map(({ pieceId }) => pieceId));
      return;
    }
    turnedOut(site, clipped, {
      lineId: closing.lineId,
      opening: closing.stays ? null : closing.opening,
      zipId: zip?.id,
      closed: p.closed,
      topstitched: p.topstitched,
      label: p.label,
      pressed: pressedFrom(site, p.pressed) !== null
    });
  }
};

const isCloth = ({ material }: Piece): boolean => !isStabiliserKind(material.kind);

/** Looked over and snipped while a stop can still run again, then out of the ring, tape, pins and film off. */
function takeOut(site: Site): string {
  const { lastStop, sofar } = site.s;
  const speed = sofar.entries.findLast((entry) => entry.kind === 'hand' && entry.op.do === 'speed');
  if (speed?.kind === 'hand' && speed.op.do === 'speed' && speed.op.spm !== null && !speed.op.firstPass)
    site.hand('speed-up', { do: 'speed', spm: null });
  site.toTable();
  site.hand('inspect', { do: 'inspect' }, { needs: lastStop === null ? [] : [lastStop] });
  // Inside what is turned nobody sees them.
  if (!site.standing.closing) site.snip('both');
  const out = site.hand('unhoop', { do: 'unhoop' }, { needs: [site.key('inspect')] });
  const { toppings, basted, closing, zip, hoop } = site.standing;
  // Tape keeps the layers of a pouch together until they are trimmed.
  if (!closing || !zip) site.freeHolds();
  site.freeToppings();
  if (toppings.length > 0 && hoop.layers.some(({ material }) => PILE.includes(material.kind)))
    site.hand('brush', { do: 'other', title: 'Brush the pile up', seconds: 20 }, { needs: [out] });
  if (basted)
    site.hand(
      'unbaste',
      { do: 'other', title: 'Pick the basting stitches out', seconds: 60 },
      { needs: [out] }
    );
  return out;
}

interface Out {
  /** What stabiliser is in the ring. */
  base: MaterialKind | undefined;
  /** The step that takes it out. */
  out: string;
  /** Cloth that was hooped with it. */
  hooped: Piece[];
  top: Standing['top'];
}

/** What is not turned: stabiliser off, cut out as its edge wants, pressed. */
function openOut(site: Site, p: Answers, on: Out): void {
  const { frame } = site;
  const { base, out, hooped } = on;
  const washes = base !== undefined && WASHES_OUT.includes(base);
  const edged = site.standing.edged && frame.edge !== 'none';
  const lace = laceLines(site);
  if (edged && frame.edge === 'satin' && washes) {
    const margin = LEFT_MM[p.washed];
    const cut = site.hand(
      'cut-out',
      { do: 'cut-roughly', lineId: frame.outlineId, margin },
      { needs: [out] }
    );
    rinsed(site, cut, p.washed);
    if (p.washed !== 'edges') return;
  } else if (lace.length > 0 && washes && (on.top === null || p.washed !== 'edges')) {
    // Cloth in its middle goes with lace that is rinsed as a whole.
    const [lineId = '', ...others] = lace;
    const cut = site.hand(
      'cut-out',
      {
        do: 'cut-roughly',
        lineId,
        margin: LEFT_MM.whole,
        ...(others.length > 0 && { alsoLineIds: others })
      },
      { needs: [out] }
    );
    rinsed(site, cut, p.washed === 'later' ? 'later' : 'whole');
    return;
  } else {
    const satin = edged && frame.edge === 'satin';
    const isCut = p.then === 'cut-out' || (satin && (hooped.length > 0 || base !== 'tear-away'));
    // What is cut out close to its edge takes its stabiliser with it.
    if (base === 'tear-away' || washes || !isCut) stabiliserOff(site, base, out);
    if (isCut) cutClose(site, p, on);
    else if (p.then === 'sewn-up' || (edged && frame.edge === 'cut'))
      site.hand(
        'cut-out',
        {
          do: 'cut-out',
          lineId: frame.outlineId,
          margin: p.then === 'sewn-up' ? p.seam : frame.edgeMm
        },
        { needs: [out] }
      );
  }
  const from = pressedFrom(site, p.pressed);
  if (from === null) return;
  // Only dipped, its edge is dry under the iron.
  if (washes && !(edged && frame.edge === 'satin')) site.hand('dry', { do: 'wait', why: 'dry' });
  site.hand('press', { do: 'press', from }, { needs: [out] });
}

function rinsed(site: Site, after: string, washed: Answers['washed']): void {
  if (washed === 'later') return;
  const whole = washed === 'whole';
  const rinse = site.hand(
    'rinse',
    { do: 'rinse' },
    { needs: [after], ...(!whole && { note: 'Dip only the edges, then peel.' }) }
  );
  if (whole) site.hand('dry', { do: 'wait', why: 'dry' }, { needs: [rinse] });
}

/** Cloth is freed from the rest, backed and sealed where it is asked, and cut close to its edge. */
function cutClose(site: Site, { beyond, behind, then }: Answers, { out, hooped }: Out): void {
  const { frame, s } = site;
  const { outlineId } = frame;
  const before = [out];
  if (hooped.length > 0 && (then !== 'cut-out' || behind === 'adhesive'))
    before.push(
      site.hand(
        'cut-roughly',
        { do: 'cut-roughly', lineId: outlineId, margin: Math.max(ROUGHLY_MM, beyond + 5) },
        { needs: [out] }
      )
    );
  if (behind === 'adhesive') {
    const adhesive = site.piece(
      'adhesive',
      'Adhesive',
      { kind: 'heat-adhesive', name: 'Heat adhesive, strongest grade', colour: '#e6d9b8' },
      'adhesive',
      { covers: outlineId }
    );
    before.push(site.hand('adhesive', { do: 'heat-adhesive', pieceId: adhesive }, { needs: [...before] }));
  }
  if (hooped.some(({ material }) => FRAYS.includes(material.kind))) {
    const sealed = site.hand('fray', { do: 'fray-fluid', lineId: outlineId }, { needs: [out] });
    before.push(site.hand('fray-dry', { do: 'wait', why: 'fray-fluid' }, { needs: [sealed] }));
  }
  site.hand('cut-out', { do: 'cut-out', lineId: outlineId, margin: beyond }, { needs: before });
  if (hooped.length > 0)
    s.ends({ finished: { width: frame.width + 2 * beyond, height: frame.height + 2 * beyond } });
}

/** Lines of lace that stands by itself. */
function laceLines({ s }: Site): string[] {
  return [...new Set(s.sofar.expected.flatMap(({ role, lineIds }) => (role === 'lace' ? lineIds : [])))];
}

/** The face that meets the iron: an iron melts vinyl and puts down what stands up; null where it stays away. */
function pressedFrom(site: Site, wish: Answers['pressed']): 'front' | 'back' | null {
  if (wish === 'no') return null;
  const vinyl = site.s.sofar.pieces.filter(({ material: { kind } }) => kind === 'vinyl');
  if (wish === 'yes' || vinyl.length === 0) return 'back';
  return site.frame.edge === 'satin' && vinyl.every(({ shows }) => shows === 'back') ? 'front' : null;
}

function stabiliserOff(site: Site, kind: MaterialKind | undefined, out: string): void {
  if (kind === 'tear-away') site.hand('tear-away', { do: 'tear-away' }, { needs: [out] });
  else if (kind && WASHES_OUT.includes(kind)) site.hand('rinse', { do: 'rinse' }, { needs: [out] });
  else if (kind)
    site.hand(
      'trim-stabiliser',
      { do: 'other', title: 'Trim the stabiliser on the back, 6 mm from the stitching', seconds: 60 },
      { needs: [out] }
    );
}
