import { ASK, choice, number, text } from './fields';
import { CAUTION } from './cautions';
import { spent } from './time';
import { say } from './words';
import { findThread } from '$lib/core/documents/item';
import type { TraitsOf } from './traits';

/** What is done at the machine: thread, bobbin, needle, a look. */
export const machineTraits = {
  thread: {
    label: 'Thread a colour',
    mark: 'thread',
    wording: (op, context) =>
      say(
        `Thread ${findThread(context.item, op.threadId)?.name ?? 'the next colour'}`,
        'Cut at the spool, pull the tail out through the needle, thread. Hold the tail for the first stitches.'
      ),
    caution: CAUTION.needle,
    time: (_, { machine }) =>
      // Without a trimmer the tail is caught by hand after the first stitches.
      machine.trimmer ? [spent('rethread')] : [spent('rethread'), spent('snipTail')],
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: true,
    done: 'each-head',
    bobbin: null,
    ready: (_, { thread }) => (thread === null ? [] : [`the ${thread} spool`]),
    spoken: null,
    start: {},
    fields: { threadId: ASK.thread }
  },
  bobbin: {
    label: 'Change the bobbin',
    mark: 'bobbin',
    wording: (op, context) =>
      say(
        op.threadId
          ? `Change the bobbin: ${findThread(context.item, op.threadId)?.name ?? 'matching'}`
          : 'Put in a full bobbin',
        'The work stays in the hoop.'
      ),
    caution: CAUTION.needle,
    time: 'bobbin',
    waits: null,
    hoop: 'stays',
    stack: ({ threadId }) => ({ does: 'wind', threadId: threadId ?? null }),
    order: 'free',
    wall: false,
    done: 'each-head',
    bobbin: 'change',
    ready: (_, { thread }) => [thread === null ? 'a full bobbin' : `a full bobbin in ${thread}`],
    spoken: null,
    start: {},
    fields: { threadId: ASK.thread }
  },
  'wind-bobbin': {
    label: 'Wind a bobbin',
    mark: 'bobbin',
    wording: (op, context) =>
      say(
        `Wind a bobbin${op.threadId ? `: ${findThread(context.item, op.threadId)?.name ?? ''}` : ''}`,
        'Wind it full.'
      ),
    caution: null,
    time: 'windBobbin',
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'each-head',
    bobbin: 'beside',
    ready: null,
    spoken: null,
    start: {},
    fields: { threadId: ASK.thread }
  },
  needle: {
    label: 'Change the needle',
    mark: 'machine',
    wording: (op) => say(`Change the needle: ${op.needle}`, 'Flat side where it belongs, pushed up fully.'),
    caution: CAUTION.needle,
    time: 'needle',
    waits: null,
    hoop: 'stays',
    stack: ({ needle }) => ({ does: 'needle', needle }),
    order: 'free',
    wall: false,
    done: 'each-head',
    bobbin: null,
    ready: ({ needle }) => [needle],
    spoken: null,
    start: { needle: 'new 75/11' },
    fields: { needle: text('Needle') }
  },
  speed: {
    label: 'Change the speed',
    mark: 'machine',
    wording: ({ spm, firstPass }) =>
      spm === null
        ? say('Bring the speed back up', 'To what you usually run at.')
        : say(
            `Set the speed to ${spm}`,
            firstPass
              ? 'Stitches a minute, while the first pass runs; bring it back up after that pass.'
              : 'Stitches a minute, until a step says otherwise.'
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
    start: { spm: 350 },
    fields: { spm: number('Stitches a minute'), firstPass: null }
  },
  mount: {
    label: 'Change the mounting position',
    mark: 'move',
    wording: (op) =>
      say(
        `Move the hoop to mounting position ${op.position}`,
        'The work stays hooped. Check the space behind the machine.'
      ),
    caution: null,
    time: 'hoopOn',
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'move',
    wall: true,
    done: 'each-head',
    bobbin: null,
    ready: null,
    spoken: null,
    start: { position: 2 },
    fields: { position: number('Position') }
  },
  trace: {
    label: 'Trace the design',
    mark: 'machine',
    wording: () => say('Trace the design', 'Watch that the needle stays inside the ring.'),
    caution: CAUTION.carriage,
    time: 'trace',
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'once',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: {}
  },
  baste: {
    label: 'Stitch the machine’s own basting box',
    mark: 'machine',
    wording: () =>
      say(
        'Stitch the machine’s own basting box',
        'Asked for at the machine: no stop of the file does it. Any thread, round the design, before its first stop.'
      ),
    caution: CAUTION.needle,
    time: 'speed',
    waits: null,
    hoop: 'stays',
    stack: (run) => ({ does: 'stitch', run: { ...run, name: 'Basting box', role: 'basting' } }),
    order: 'work',
    wall: false,
    done: 'once',
    bobbin: null,
    ready: null,
    spoken: null,
    start: { stitches: 150 },
    fields: { lineId: ASK.line, stitches: number('Stitches') }
  },
  snip: {
    label: 'Snip tails and jumps',
    mark: 'cut',
    wording: (op) => {
      const where = { front: 'on the front', back: 'on the back', both: 'on both sides' }[op.side];
      return say(`Snip tails and jumps ${where}`, op.jumps > 0 ? `About ${op.jumps}.` : '');
    },
    caution: null,
    time: ({ jumps }) => [spent('snipJump', jumps)],
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: 'beside',
    ready: () => ['snips'],
    spoken: null,
    start: { side: 'front', jumps: 2 },
    fields: {
      side: choice('Side', { front: 'Front', back: 'Back', both: 'Both sides' }),
      jumps: number('About how many')
    }
  },
  'check-under': {
    label: 'Look under the hoop',
    mark: 'look',
    wording: () => say('Look under the hoop', 'Nothing folded, nothing caught.'),
    caution: null,
    time: 'checkUnder',
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'each-head',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: {}
  },
  inspect: {
    label: 'Look before unhooping',
    mark: 'look',
    wording: () =>
      say('Look before you unhoop', 'Front and back: a stop can still run again now. Afterwards it cannot.'),
    caution: null,
    time: 'inspect',
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'each-head',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: {}
  }
} satisfies TraitsOf<
  | 'thread'
  | 'bobbin'
  | 'wind-bobbin'
  | 'needle'
  | 'speed'
  | 'mount'
  | 'trace'
  | 'baste'
  | 'snip'
  | 'check-under'
  | 'inspect'
>;
