import { type Piece, sinksIn } from '$lib/core/documents/item';
import {
  choice,
  heldAs,
  heldOn,
  hold,
  material,
  MATERIALS,
  stopPart,
  thread
} from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { CLOTHS } from './hooping';
import { beforeClosing } from './refusals';
import type { Site } from './site';

/** Asks what is fused behind a piece. */
export const backedField = choice('Fused behind it', { no: 'Nothing', interfacing: 'Interfacing' }, 'no');
type Backed = 'no' | 'interfacing';

export const backing = (backed: Backed): Pick<Piece, 'backed'> =>
  backed === 'no' ? {} : { backed: [MATERIALS.interfacing] };

/** Interfacing goes on before the hooping. */
export function interfaced(site: Site, backed: Backed, pieceId: string): void {
  if (backed === 'interfacing') site.prepare('backed', { do: 'back-cloth', pieceIds: [pieceId] });
}

const frontFields = {
  cloth: material('Cloth', CLOTHS, ['woven', 'Fern print', '#4d7148']),
  backed: backedField,
  lines: choice(
    'Placement line and tack-down',
    {
      both: 'Both',
      tack: 'A tack-down: what lies there shows its place',
      none: 'None: it is floated, and what comes next holds it'
    },
    'both'
  ),
  held: hold('Held with', 'spray'),
  thread: thread('Tack-down thread', 'Cream', '#efe3c4')
} as const;

/** Cloth over the whole outline, between a placement line and a tack-down. */
export const front: BlockMaker<typeof frontFields> = {
  kind: 'front',
  name: 'Front laid and tacked',
  summary: 'Cloth over the whole outline: placement line, cloth, tack-down.',
  group: 'Cloth',
  fields: frontFields,
  lays: true,
  refuses: (standing) =>
    beforeClosing(standing) ??
    (standing.top
      ? {
          why: `It would hide ${standing.top.name}.`,
          repair: 'Take one of the two fronts out, or lay an appliqué piece.'
        }
      : null),
  make(site, { cloth, backed, lines, held, thread: colour }) {
    const { seamId, holes, edge } = site.frame;
    const hidden = { threadOf: site.key('tack'), visible: 'hidden' } as const;
    const piece = site.piece('cloth', site.label('Front'), cloth, 'applique', {
      covers: seamId,
      shows: 'front',
      ...backing(backed)
    });
    interfaced(site, backed, piece);
    if (lines === 'both') {
      site.toMachine();
      site.stop(
        'placement',
        stopPart('Placement line', 'placement', /place|position|guide/, [seamId], hidden)
      );
    }
    const laid = site.hand('lay', {
      do: 'lay',
      pieceId: piece,
      side: 'above',
      face: 'up',
      covers: seamId,
      over: 12,
      hold: heldOn(cloth, held)
    });
    site.s.must(laid);
    if (lines === 'none') return;
    const tack = site.stop('tack', {
      ...stopPart('Tack-down', 'tack-down', /tack|fix/, [seamId, ...holes], {
        visible: edge === 'cut' ? 'front' : 'hidden'
      }),
      thread: colour
    });
    site.s.must(tack);
    site.freePins();
  }
};

const battingFields = {
  held: hold('Held with', 'spray'),
  tacked: choice(
    'Tacked down',
    {
      no: 'No: it lies under the front',
      placed: 'No, but a line shows where it goes',
      yes: 'Yes, and trimmed to the line',
      'with-front': 'Yes, and trimmed with the front'
    },
    'no'
  ),
  thread: thread('Tack-down thread', 'Cream', '#efe3c4')
} as const;

/** Batting over the outline, under the cloth that comes next. */
export const batting: BlockMaker<typeof battingFields> = {
  kind: 'batting',
  name: 'Batting',
  summary: 'Batting floated over the outline, before the front.',
  group: 'Cloth',
  fields: battingFields,
  refuses: (standing) =>
    beforeClosing(standing) ??
    (standing.top
      ? { why: `It would lie on ${standing.top.name}.`, repair: 'Move it before the front.' }
      : null),
  make(site, { held, tacked, thread: colour }) {
    const { seamId, holes } = site.frame;
    const piece = site.piece('piece', site.label('Batting'), MATERIALS.batting, 'batting', {
      covers: seamId
    });
    if (tacked !== 'no') {
      site.toMachine();
      site.stop(
        'placement',
        stopPart(
          tacked === 'placed' ? 'Placement line' : 'Batting placement',
          'placement',
          /batting|place|position|guide/,
          [seamId],
          {
            visible: 'hidden',
            ...(tacked === 'placed' ? { thread: colour } : { threadOf: site.key('tack') })
          }
        )
      );
    }
    site.hand('lay', {
      do: 'lay',
      pieceId: piece,
      side: 'above',
      face: 'up',
      covers: seamId,
      over: 12,
      hold: heldAs(held)
    });
    if (tacked === 'no' || tacked === 'placed') return;
    site.stop('tack', {
      ...stopPart('Batting tack-down', 'tack-down', /batting|tack/, [seamId, ...holes], {
        visible: 'hidden'
      }),
      thread: colour
    });
    if (tacked === 'with-front') return;
    site.toTable();
    site.freeHolds();
    site.trimToSeam();
  }
};

/** Film laid on pile under what is stitched next; gives its piece. */
export function filmOver(site: Site, covers: string): string {
  const film = site.piece('film', 'Topping', MATERIALS.film, 'applique', { covers });
  site.hand('topping-on', { do: 'topping-on', pieceId: film });
  return film;
}

const toppingFields = { pins: hold('Held with', 'pins') } as const;

/** Film over pile or a knit, so that stitches do not sink in; it comes off before anything covers it. */
export const topping: BlockMaker<typeof toppingFields> = {
  kind: 'topping',
  name: 'Topping',
  summary:
    'Wash-away film on top, so that stitches do not sink into pile; taken off before the back, or at the end.',
  group: 'Cloth',
  fields: toppingFields,
  refuses: (standing) =>
    beforeClosing(standing) ??
    (standing.top ? null : { why: 'There is no cloth to lay it on.', repair: 'Move it after the front.' }),
  make(site, { pins }) {
    const { outlineId } = site.frame;
    const piece = site.piece('film', 'Topping', MATERIALS.film, 'applique', { covers: outlineId });
    site.toTable();
    // On smooth cloth it does no harm, and nothing is wrong without it.
    const { top } = site.standing;
    const sinks = top !== null && sinksIn(top.material.kind);
    const on = site.hand('on', { do: 'topping-on', pieceId: piece }, { free: !sinks });
    if (pins === 'pins') site.hand('pin', { do: 'pin', pieceId: piece, pins: 4, away: 12 }, { needs: [on] });
    else if (pins === 'tape') site.hand('tape', { do: 'tape', pieceId: piece, strips: 4 }, { needs: [on] });
  }
};
