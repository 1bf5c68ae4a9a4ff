import { z } from 'zod';
import type { Path } from '$lib/core/base/geometry';
import {
  type AnswersOf,
  choice,
  count,
  length,
  onlyWhere,
  stopPart,
  text,
  thread,
  threads
} from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { needsSurface } from './refusals';
import type { Site } from './site';
import { fieldFields, onlyElsewhere, placeField, type RegionName, regionPath, spotPath } from './spots';

/** Asks where stitching lies: on a part of the item, or on a field of its own. */
const placeFields = (usual: RegionName, inside: number, width: number, height: number) => {
  const { width: wide, height: high, across, down } = fieldFields(width, height);
  return {
    where: placeField('Where', usual),
    inside: onlyElsewhere(length('Kept from the edge', inside, 0, 60)),
    width: onlyWhere(wide, 'where', 'spot'),
    height: onlyWhere(high, 'where', 'spot'),
    across: onlyWhere(across, 'where', 'spot'),
    down: onlyWhere(down, 'where', 'spot')
  } as const;
};
type Place = AnswersOf<ReturnType<typeof placeFields>>;

function placePath({ frame }: Site, { where, inside, ...spot }: Place): Path {
  return where === 'spot' ? spotPath({ shape: 'rectangle', ...spot }) : regionPath(frame, where, inside);
}

const WORDS = {
  decoration: /detail|design|fill|colou?r|letter|text/,
  lettering: /letter|name|text|word|design/
} as const;
const ONE = { decoration: 'Colour', lettering: 'Lettering' } as const;

const detailFields = {
  what: choice(
    'What it is',
    { decoration: 'Fill, lines and lettering', lettering: 'Lettering alone' },
    'decoration'
  ),
  ...placeFields('middle', 8, 50, 30),
  stitches: count('Stitches of a colour', 2200, 0, 200_000, 'where no chart says; 0: by its area'),
  inFile: choice(
    'In the file',
    { always: 'Always', maybe: 'Not in every one', charted: 'Only where a chart has it' },
    'always'
  ),
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
  make(site, { what, stitches, inFile, colours, ...place }) {
    const line = site.line('field', site.label('Design'), placePath(site, place));
    site.toMachine();
    site.stop('colours', {
      ...stopPart(site.label(what === 'lettering' ? 'Lettering' : 'Colours'), what, WORDS[what], [line]),
      one: site.name === undefined || site.name === 'Design' ? ONE[what] : site.name,
      alsoRoles:
        what === 'lettering' ? ['decoration'] : ['lettering', 'quilting', 'applique-edge', 'topstitch'],
      repeats: true,
      optional: inFile !== 'always',
      onlyCharted: inFile === 'charted',
      visible: 'front',
      ...(stitches > 0 && { estimate: [{ stitches, attended: false }] }),
      thread: colours
    });
  }
};

const quiltingFields = {
  ...placeFields('all', 12, 60, 60),
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
  make(site, { style, through, thread: colour, ...place }) {
    const line = site.line('field', style === 'quilting' ? 'Quilting' : 'Stippling', placePath(site, place));
    site.toMachine();
    site.stop('quilt', {
      ...stopPart(style === 'quilting' ? 'Quilting' : 'Stippling', 'quilting', /quilt|stippl/, [line]),
      visible: through === 'yes' ? 'both' : 'front',
      through: through === 'yes',
      optional: true,
      thread: colour
    });
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
