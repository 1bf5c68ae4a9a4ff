import { TOPSTITCH_S } from '$lib/core/craft/sequence';
import type { Site } from './site';

/** How an opening is closed in the end. */
export const CLOSED_BY = {
  usual: 'As is usual',
  hand: 'By hand',
  machine: 'By machine',
  tape: 'With fusible tape'
} as const;

/** Turned right side out through its opening, its envelope or its zip, pressed and closed. */
export function turnedOut(
  site: Site,
  after: string,
  {
    lineId,
    opening,
    zipId,
    closed,
    topstitched,
    label,
    pressed
  }: {
    lineId: string;
    /** mm; null where it stays open. */
    opening: number | null;
    zipId: string | undefined;
    closed: keyof typeof CLOSED_BY;
    topstitched: 'yes' | 'no';
    label: 'no' | 'opening';
    pressed: boolean;
  }
): void {
  if (zipId !== undefined && opening !== null && opening > 0) {
    // Through the lining first, which is closed while it can be reached, then through the zip.
    const inside = site.hand('turn-lining', { do: 'turn-through', lineId }, { needs: [after] });
    const shut = site.hand(
      'close',
      { do: 'close-opening', lineId, by: closed === 'usual' ? 'machine' : closed },
      { needs: [inside] }
    );
    const out = site.hand('turn', { do: 'turn-through', pieceId: zipId }, { needs: [shut] });
    if (pressed) site.hand('press', { do: 'press' }, { needs: [out] });
    return;
  }
  const envelope = site.s.sofar.pieces.find(({ folded, use }) => folded && use === 'backing');
  if (zipId !== undefined || (opening === 0 && envelope)) {
    const through = zipId ?? envelope?.id ?? '';
    const turned = site.hand('turn', { do: 'turn-through', pieceId: through }, { needs: [after] });
    if (pressed) site.hand('press', { do: 'press' }, { needs: [turned] });
    return;
  }
  const turned = site.hand('turn', { do: 'turn-through', lineId }, { needs: [after] });
  // The iron comes last: the opening has its edges tucked in by then.
  const press = (after: string): string =>
    pressed ? site.hand('press', { do: 'press' }, { needs: [after] }) : after;
  if (opening === null) {
    press(turned);
    return;
  }
  if (label === 'opening')
    site.hand(
      'label',
      { do: 'other', title: 'Lay the label in the opening', seconds: 30 },
      { needs: [turned] }
    );
  const byTopstitch = topstitched === 'yes' && closed === 'usual';
  const close = site.hand(
    'close',
    { do: 'close-opening', lineId, by: byTopstitch ? 'machine' : closed === 'usual' ? 'hand' : closed },
    { needs: [turned], ...(byTopstitch && { note: 'The topstitch that goes all round closes it.' }) }
  );
  const flat = press(close);
  if (topstitched === 'yes')
    site.hand(
      'topstitch',
      { do: 'other', title: 'Topstitch all round, 3 mm from the edge', seconds: TOPSTITCH_S },
      { needs: [flat] }
    );
}
