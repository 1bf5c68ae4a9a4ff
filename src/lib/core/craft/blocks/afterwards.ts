import { z } from 'zod';
import type { OperationOf } from '$lib/core/documents/item';
import { choice, count, length, text, TOPSTITCH_S } from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { needsOut, needsRing } from './refusals';
import type { Site } from './site';

const finishingFields = {
  seam: length('Seam left when it is cut out', 6, 3, 25, 'where it is turned or sewn up'),
  topstitched: choice('Topstitched all round', { no: 'No', yes: 'Yes, which closes the opening too' }, 'no'),
  then: choice(
    'Afterwards',
    {
      usual: 'It is finished',
      'sewn-up': 'It is sewn to another part later'
    },
    'usual'
  ),
  pressed: choice('Pressed', { usual: 'Where nothing would melt', yes: 'Yes', no: 'No' }, 'usual')
} as const;

/** Out of the hoop for good: stabiliser off as its kind wants, cut out as its edge wants, turned where it is closed. */
export const finishing: BlockMaker<typeof finishingFields> = {
  kind: 'finishing',
  name: 'Finishing',
  summary:
    'Looked over, out of the hoop, stabiliser off; cut out, turned, closed and pressed as its edge wants.',
  group: 'Afterwards',
  fields: finishingFields,
  refuses(standing) {
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
    const { closing, edged, zip, ring } = site.standing;
    const base = ring.find(({ material }) => isStabiliser(material.kind));
    site.toTable();
    site.hand('inspect', { do: 'inspect' }, { needs: needed(site) });
    const out = site.hand('unhoop', { do: 'unhoop' }, { needs: [site.key('inspect')] });
    site.freeHolds();
    site.freeToppings();
    if (site.standing.basted)
      site.hand(
        'unbaste',
        { do: 'other', title: 'Pick the basting stitches out', seconds: 60 },
        { needs: [out] }
      );
    if (closing) {
      if (base?.material.kind === 'tear-away') site.hand('tear-away', { do: 'tear-away' }, { needs: [out] });
      const trimmed = site.hand(
        'trim-seam',
        { do: 'cut-out', lineId: frame.outlineId, margin: p.seam },
        { needs: [out], note: 'Bulk first. Leave a lip at the opening.' }
      );
      const clipped = site.hand('clip', { do: 'clip', lineId: frame.outlineId }, { needs: [trimmed] });
      if (p.then === 'sewn-up') {
        site.s.seenLater(site.standing.hoop.layers.map(({ pieceId }) => pieceId));
        return;
      }
      turn(site, clipped, {
        lineId: closing.lineId,
        opening: closing.stays ? null : closing.opening,
        zipId: zip?.id,
        topstitched: p.topstitched,
        pressed: presses(site, p.pressed)
      });
      return;
    }
    site.hand('snip', { do: 'snip', side: 'both', jumps: 4 }, { needs: [out] });
    const washes = base?.material.kind.includes('wash-away') === true;
    if (edged && frame.edge === 'satin') {
      const cut = site.hand(
        'cut-out',
        washes
          ? { do: 'cut-roughly', lineId: frame.outlineId, margin: 25 }
          : { do: 'cut-out', lineId: frame.outlineId, margin: 1 },
        { needs: [out] }
      );
      if (washes)
        site.hand('rinse', { do: 'rinse' }, { needs: [cut], note: 'Dip only the edges, then peel.' });
      else if (base?.material.kind === 'tear-away')
        site.hand('tear-away', { do: 'tear-away' }, { needs: [out] });
    } else {
      stabiliserOff(site, base?.material.kind, out);
      const sewn = p.then === 'sewn-up';
      if (sewn || (edged && frame.edge === 'cut'))
        site.hand(
          'cut-out',
          { do: 'cut-out', lineId: frame.outlineId, margin: sewn ? p.seam : frame.edgeMm },
          { needs: [out] }
        );
    }
    if (presses(site, p.pressed)) {
      if (washes) site.hand('dry', { do: 'wait', why: 'dry' });
      site.hand('press', { do: 'press', from: 'back' }, { needs: [out] });
    }
  }
};

/** An iron melts vinyl, whichever face it meets. */
function presses(site: Site, wish: 'usual' | 'yes' | 'no'): boolean {
  if (wish !== 'usual') return wish === 'yes';
  return !site.s.sofar.pieces.some(({ material: { kind } }) => kind === 'vinyl');
}

const isStabiliser = (kind: string): boolean =>
  ['tear-away', 'cutaway', 'soft-mesh', 'wash-away-mesh', 'wash-away-film', 'sticky-wash-away'].includes(
    kind
  );

function needed(site: Site): string[] {
  return site.s.lastStop === null ? [] : [site.s.lastStop];
}

function stabiliserOff(site: Site, kind: string | undefined, out: string): void {
  if (kind === 'tear-away') site.hand('tear-away', { do: 'tear-away' }, { needs: [out] });
  else if (kind?.includes('wash-away')) site.hand('rinse', { do: 'rinse' }, { needs: [out] });
  else if (kind)
    site.hand(
      'trim-stabiliser',
      { do: 'other', title: 'Trim the stabiliser on the back, 6 mm from the stitching', seconds: 60 },
      { needs: [out] }
    );
}

function turn(
  site: Site,
  after: string,
  {
    lineId,
    opening,
    zipId,
    topstitched,
    pressed
  }: {
    lineId: string;
    /** mm; null where it stays open. */
    opening: number | null;
    zipId: string | undefined;
    topstitched: 'yes' | 'no';
    pressed: boolean;
  }
): void {
  const envelope = site.s.sofar.pieces.find(({ folded, use }) => folded && use === 'backing');
  if (zipId !== undefined || (opening === 0 && envelope)) {
    const through = zipId ?? envelope?.id ?? '';
    const turned = site.hand('turn', { do: 'turn-through', pieceId: through }, { needs: [after] });
    if (pressed) site.hand('press', { do: 'press' }, { needs: [turned] });
    return;
  }
  const turned = site.hand('turn', { do: 'turn-through', lineId }, { needs: [after] });
  if (pressed) site.hand('press', { do: 'press' }, { needs: [turned] });
  if (opening === null) return;
  const close = site.hand(
    'close',
    { do: 'close-opening', lineId, by: topstitched === 'yes' ? 'machine' : 'hand' },
    {
      needs: [turned],
      ...(topstitched === 'yes' && { note: 'The topstitch that goes all round closes it.' })
    }
  );
  if (topstitched === 'yes')
    site.hand(
      'topstitch',
      { do: 'other', title: 'Topstitch all round, 3 mm from the edge', seconds: TOPSTITCH_S },
      { needs: [close] }
    );
}

const HARDWARE: Record<OperationOf<'hardware'>['kind'], string> = {
  snap: 'Snaps',
  eyelet: 'Eyelets',
  'split-ring': 'Split rings',
  'ribbon-loop': 'Ribbon loops',
  'hook-and-loop': 'Hook-and-loop'
};
const hardwareFields = {
  what: choice('What', HARDWARE, 'snap'),
  count: count('How many', 1, 1, 20),
  holes: count('Holes to punch', 2, 0, 40, 'two for each snap'),
  where: choice(
    'Where they sit',
    {
      marks: 'At the marks',
      top: 'In a row along the top',
      bottom: 'In a row along the bottom',
      left: 'In a row on the left',
      right: 'In a row on the right'
    },
    'marks'
  )
} as const;

/** Snaps, eyelets, rings and the like, once the item is out of the hoop. */
export const hardware: BlockMaker<typeof hardwareFields> = {
  kind: 'hardware',
  name: 'Hardware',
  summary: 'Snaps, eyelets, rings or hook-and-loop, with the holes they need.',
  group: 'Afterwards',
  fields: hardwareFields,
  refuses: needsOut,
  make(site, { what, count: many, holes, where }) {
    const punched = holes > 0 ? [site.hand('punch', { do: 'punch', holes })] : [];
    const row = where === 'left' || where === 'right' ? `on the ${where}` : `along the ${where}`;
    site.hand(
      'set',
      { do: 'hardware', kind: what, count: many },
      { needs: punched, ...(where !== 'marks' && { note: `In a row ${row}, evenly spaced.` }) }
    );
  }
};

const stepFields = {
  title: text(
    'What is done',
    z.string().trim().min(1, 'say what is done').max(120).default('Something by hand')
  ),
  seconds: count('Seconds it takes', 60, 0, 86_400)
} as const;

/** A hand step by itself. */
export const handStep: BlockMaker<typeof stepFields> = {
  kind: 'hand-step',
  name: 'A hand step of your own',
  summary: 'Anything hands do that no other block has.',
  group: 'Afterwards',
  fields: stepFields,
  refuses: () => null,
  make(site, { title, seconds }) {
    site.hand('step', { do: 'other', title, seconds });
  }
};
