import { z } from 'zod';
import { SEW_UP_WORDS } from '$lib/core/craft/operations';
import { choice, count, length, onlyWhere, text } from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { needsOut } from './refusals';

const SEAMS = ['join', 'lap', 'box', 'zip', 'close'] as const;

const fields = {
  how: choice('What is done', SEW_UP_WORDS, 'join'),
  parts: text(
    'Which parts, with commas between',
    z.string().trim().min(1, 'name the parts').max(200).default('front, back')
  ),
  by: onlyWhere(
    choice('Sewn', { machine: 'By machine', hand: 'By hand', tape: 'With fusible tape' }, 'machine'),
    'how',
    ...SEAMS
  ),
  long: onlyWhere(length('How long the seam is', 300, 1, 2000), 'how', ...SEAMS),
  seam: onlyWhere(length('Seam allowance', 10, 0, 50), 'how', ...SEAMS),
  open: onlyWhere(length('Left open in it', 0, 0, 500, '0: closed all along'), 'how', 'join', 'lap')
} as const;

/** What makes one thing of parts outside the hoop: a seam, a fold, a zip, turning, stuffing. */
export const sewUp: BlockMaker<typeof fields> = {
  kind: 'sew-up',
  name: 'Sew up outside the hoop',
  summary:
    'Parts joined, lapped, folded, boxed, zipped, closed, turned, lined or stuffed once they are out of the hoop.',
  group: 'Afterwards',
  fields,
  refuses: needsOut,
  make(site, { how, parts, by, long, seam, open }) {
    const sewn = (SEAMS as readonly string[]).includes(how);
    site.hand(
      'sew',
      {
        do: 'sew-up',
        how,
        parts: parts
          .split(',')
          .flatMap((part) => part.trim().slice(0, 60) || [])
          .slice(0, 12),
        ...(sewn ? { by, long, seam, open: how === 'join' || how === 'lap' ? open : 0 } : {})
      },
      { needs: site.s.before }
    );
  }
};

const rinseFields = {
  loops: count('Loops to join', 0, 0, 200, '0: nothing is joined'),
  soaked: choice('Soaked first', { no: 'No', yes: 'A few hours: dense or large lace' }, 'no'),
  form: choice('It dries', { flat: 'Flat', bowl: 'Over a bowl or another form' }, 'flat'),
  pressed: choice('Pressed', { no: 'No', yes: 'From the back, when it is dry' }, 'no')
} as const;

/** What was stitched in several hoopings is rinsed once, dried once and joined once. */
export const rinseAll: BlockMaker<typeof rinseFields> = {
  kind: 'rinse-all',
  name: 'Rinse, dry and join all parts',
  summary:
    'The parts of several hoopings rinsed and dried together, over a form where they want one, then joined.',
  group: 'Afterwards',
  fields: rinseFields,
  refuses: needsOut,
  make(site, { loops, form, pressed, soaked }) {
    const before =
      soaked === 'yes'
        ? [site.hand('soak', { do: 'wait', why: 'soak' }, { needs: site.s.before })]
        : site.s.before;
    const rinsed = site.hand(
      'rinse',
      { do: 'rinse' },
      {
        needs: before,
        ...(form === 'bowl' && { note: 'Briefly: what is left of it stiffens the lace.' })
      }
    );
    const dried = site.hand('dry', { do: 'wait', why: 'dry' }, { needs: [rinsed] });
    const joined = loops > 0 ? site.hand('join', { do: 'join-parts', loops }, { needs: [dried] }) : dried;
    if (pressed === 'yes') site.hand('press', { do: 'press', from: 'back' }, { needs: [joined] });
    if (form === 'flat') return;
    const shaped = site.hand(
      'shape',
      { do: 'other', title: 'Wet it again and shape it over a bowl', seconds: 120 },
      { needs: [joined] }
    );
    site.hand('stiffen', { do: 'wait', why: 'dry' }, { needs: [shaped], note: 'On the bowl.' });
  }
};
