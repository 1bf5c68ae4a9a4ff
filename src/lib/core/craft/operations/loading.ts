import { ASK, number, text } from './fields';
import { spent } from './time';
import { runWords, say } from './words';
import type { Item } from '$lib/core/documents/item';
import type { TraitsOf } from './traits';

/** Numbers of a file’s stops before the first that a step runs: those the maker passes over. */
function skippedIn({ files, steps }: Item, fileId: string): number[] {
  const stops = files.find(({ id }) => id === fileId)?.stops ?? [];
  const run = new Set(steps.flatMap((step) => (step.kind === 'stop' ? [step.stopId] : [])));
  const first = stops.findIndex(({ id }) => run.has(id));
  return stops.slice(0, Math.max(0, first)).flatMap(({ number }) => number ?? []);
}

/** Files: loaded, run as one colour, run in between. */
export const loadingTraits = {
  'load-file': {
    label: 'Load a file',
    mark: 'machine',
    wording: ({ fileId }, { item }) => {
      const file = item.files.find(({ id }) => id === fileId);
      const skipped = skippedIn(item, fileId);
      return say(
        `Load “${file?.name ?? 'a file that is gone'}”`,
        skipped.length === 0
          ? 'Its stops begin with number 1 again.'
          : `Skip ${skipped.length === 1 ? 'its stop' : 'its stops'} ${new Intl.ListFormat('en-GB').format(skipped.map(String))}: ${skipped.length === 1 ? 'it is' : 'they are'} not needed here.`
      );
    },
    caution: null,
    time: 'loadFile',
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'move',
    wall: true,
    done: 'once',
    bobbin: null,
    ready: null,
    spoken: /\bload (?:the )?(?:second|next|other) file\b/,
    start: null,
    fields: { fileId: null }
  },
  'one-colour': {
    label: 'One-colour mode',
    mark: 'machine',
    wording: ({ stops }) =>
      say(
        'Set one-colour mode',
        `The ${stops} stops of this file run as one: it does not halt between them.`
      ),
    caution: null,
    time: 'speed',
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'once',
    bobbin: null,
    ready: null,
    spoken: null,
    start: null,
    fields: { stops: null }
  },
  'insert-run': {
    label: 'Run another file',
    mark: 'machine',
    wording: (op, context) => say(`Run “${op.fileName}”`, runWords(op, context)),
    caution: null,
    time: () => [spent('setUp'), spent('resumeAt')],
    waits: null,
    hoop: 'stays',
    stack: ({ fileName, ...run }) => ({ does: 'stitch', run: { ...run, name: fileName, role: 'lettering' } }),
    order: 'work',
    wall: true,
    done: 'each-copy',
    bobbin: null,
    ready: (_, { title }) => [title],
    spoken: null,
    start: { fileName: 'the name', threadId: undefined, pieceId: undefined, lineId: undefined },
    fields: {
      fileName: text('File'),
      pieceId: ASK.piece,
      threadId: ASK.thread,
      lineId: ASK.line,
      stitches: number('Stitches')
    }
  }
} satisfies TraitsOf<'load-file' | 'one-colour' | 'insert-run'>;
