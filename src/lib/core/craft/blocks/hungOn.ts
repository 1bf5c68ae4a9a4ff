import { box, segment } from '$lib/core/base/geometry';
import { choice, length, material, stopPart, thread } from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { needsRing } from './refusals';

const fields = {
  cloth: material('Made of', { towelling: 'Towelling', woven: 'Woven cotton' }, [
    'towelling',
    'Tea towel',
    '#e9e2d0'
  ]),
  wide: length('Folded as it is sewn on, width', 230, 40, 1000),
  high: length('Folded as it is sewn on, height', 330, 40, 2000),
  seam: length('Length of its seam', 60, 20, 400),
  held: choice('Held with', { tape: 'Tape', pins: 'Pins' }, 'tape'),
  thread: thread('Seam thread', 'Navy', '#27324d')
} as const;

/** The seam lies so far above the lower edge, its strip so high, and the fold so far under it, mm. */
const ABOVE_MM = 12;
const STRIP_MM = 8;
const UNDER_MM = 2;

/** A bought thing, folded, sewn to the lower edge of a finished item so that it hangs from it. */
export const hungOn: BlockMaker<typeof fields> = {
  kind: 'hung-on',
  name: 'A towel hung on its edge',
  summary: 'A folded towel or the like laid under the finished item and sewn to its lower edge.',
  group: 'Caught in',
  fields,
  refuses: (standing) =>
    needsRing(standing) ??
    (standing.edged && standing.top
      ? null
      : { why: 'It is sewn to an item whose edge is done.', repair: 'Put it after the edge.' }),
  make(site, p) {
    const h = site.frame.height / 2;
    const [at, half] = [h - ABOVE_MM, p.seam / 2];
    const label = site.label('Towel');
    const edge = site.line(
      'edge',
      `${label} line`,
      segment(-half * 1.2, at - STRIP_MM - UNDER_MM, half * 1.2, at - STRIP_MM - UNDER_MM)
    );
    const attach = site.line('seam', `${label} seam`, box(-half, at - STRIP_MM, half, at));
    const piece = site.piece('piece', label, p.cloth, 'backing', {
      covers: attach,
      shows: 'back',
      folded: true,
      readyMade: { width: p.wide, height: p.high, right: 0, towards: 0 }
    });
    site.toMachine();
    site.stop('placement', {
      ...stopPart(`${label} placement`, 'placement', /towel|place/, [attach], { visible: 'front' }),
      threadOf: site.key('seam')
    });
    site.toBack();
    site.s.must(
      site.hand(
        'lay',
        {
          do: 'lay',
          pieceId: piece,
          side: 'below',
          // Its front towards the maker as the hoop lies turned over.
          face: 'down',
          edge: { lineId: edge, body: 'down', allowance: 0 },
          hold: p.held === 'tape' ? { by: 'tape', strips: 4 } : { by: 'pins', pins: 4, away: 12 }
        },
        {
          note: 'Folded in half lengthways, its front to you, centred on the marks with equal excess on both sides.'
        }
      )
    );
    site.toMachine(`Support the ${label.toLowerCase()} while it stitches.`);
    site.stop('seam', {
      ...stopPart(`${label} seam`, 'topstitch', /attach|towel|seam/, [attach], { visible: 'both' }),
      through: true,
      passes: 2,
      thread: p.thread
    });
  }
};
