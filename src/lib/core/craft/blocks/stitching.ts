import { z } from 'zod';
import { choice, stopPart, text, thread, threads } from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { needsSurface } from './refusals';
import { regionField, regionPath, fieldFields, spotPath } from './spots';

const detailFields = {
  where: regionField('Where', 'middle'),
  colours: threads('Colours, in order', ['Ink black', '#20242c'])
} as const;

/** A design in its colours on the cloth that lies open. */
export const details: BlockMaker<typeof detailFields> = {
  kind: 'details',
  name: 'Design, colour by colour',
  summary: 'Fill, lines and lettering of the design, a stop for each colour.',
  group: 'Stitching',
  fields: detailFields,
  refuses: needsSurface,
  make(site, { where, colours }) {
    const line = site.line('field', site.label('Design'), regionPath(site.frame, where, 8));
    site.toMachine();
    site.stop('colours', {
      ...stopPart(site.label('Colours'), 'decoration', /detail|design|fill|colou?r|letter|text/, [line]),
      one: site.name === undefined || site.name === 'Design' ? 'Colour' : site.name,
      alsoRoles: ['lettering', 'quilting', 'applique-edge', 'topstitch'],
      repeats: true,
      visible: 'front',
      estimate: [{ stitches: 2200, attended: false }],
      thread: colours
    });
    const { top } = site.standing;
    if (top) site.s.nameGoes(site.key('colours'), top.id, line);
  }
};

const quiltingFields = {
  where: regionField('Where', 'all'),
  style: choice('What it is', { quilting: 'Quilting', stippling: 'Stippling' }, 'quilting'),
  through: choice('Goes through the back', { no: 'No', yes: 'Yes, on purpose' }, 'no'),
  thread: thread('Thread', 'Brass', '#b58a3c')
} as const;

/** Open stitching through the layers. */
export const quilting: BlockMaker<typeof quiltingFields> = {
  kind: 'quilting',
  name: 'Quilting or stippling',
  summary: 'Open stitching through the layers, all over or on a part.',
  group: 'Stitching',
  fields: quiltingFields,
  refuses: (standing, { through }) =>
    needsSurface(standing) ??
    (standing.under && through === 'no'
      ? {
          why: 'It would go through the back, which lies under the hoop.',
          repair: 'Move it before the back, or let it go through on purpose.'
        }
      : null),
  make(site, { where, style, through, thread: colour }) {
    const line = site.line(
      'field',
      style === 'quilting' ? 'Quilting' : 'Stippling',
      regionPath(site.frame, where, 12)
    );
    site.toMachine();
    site.stop('quilt', {
      ...stopPart(style === 'quilting' ? 'Quilting' : 'Stippling', 'quilting', /quilt|stippl/, [line]),
      visible: through === 'yes' ? 'both' : 'front',
      through: through === 'yes',
      optional: true,
      thread: colour
    });
    const { top } = site.standing;
    if (top) site.s.nameGoes(site.key('quilt'), top.id, line);
  }
};

/** Stitches of a name, for each letter. */
const STITCHES_A_LETTER = 220;

const nameFields = {
  name: text('Name or monogram', z.string().trim().min(1, 'write the name').max(40).default('Bramble')),
  ...fieldFields(60, 20),
  thread: thread('Thread of the name', 'Burgundy', '#6d1f31')
} as const;

/** A name or another design from a file of its own, run in between. */
export const name: BlockMaker<typeof nameFields> = {
  kind: 'name',
  name: 'Name, from a file of its own',
  summary: 'A name or another design run in between, on a finished surface and before the back.',
  group: 'Stitching',
  fields: nameFields,
  refuses: (standing) =>
    needsSurface(standing) ??
    (standing.under
      ? {
          why: 'It would go through the back, which lies under the hoop.',
          repair: 'Move it before the back.'
        }
      : null),
  make(site, { name: letters, thread: colour, ...spot }) {
    const line = site.line('field', 'Name', spotPath({ shape: 'rectangle', ...spot }));
    const { top } = site.standing;
    site.toMachine();
    site.s.ownThread(site.key('thread'), colour);
    const run = site.hand(
      'run',
      {
        do: 'insert-run',
        fileName: letters,
        ...(top && { pieceId: top.id }),
        lineId: line,
        threadId: `thread:${site.key('thread')}`,
        stitches: letters.length * STITCHES_A_LETTER
      },
      { needs: site.s.before }
    );
    site.s.waitsFor(run);
  }
};
