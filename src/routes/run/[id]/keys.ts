import type { Fault, RunEventType } from '$lib/core/documents/run';

/** What the screen asks about before it is stored. */
export type Ask = Extract<RunEventType, 'mark-stitch' | 'note' | 'bookmark'>;

export interface RunKey {
  label: string;
  /** What stands under the label. */
  hint: string;
  /** Values of `KeyboardEvent.key`, small letters. */
  keys: string[];
  enabled: boolean;
  press: () => void;
}

/** What may be pressed now. */
interface Can {
  mainWords: string;
  canGoOn: boolean;
  canGoBack: boolean;
  canPause: boolean;
  canAskMore: boolean;
  isHeld: boolean;
  going: boolean;
  started: boolean;
  stitchedBefore: boolean;
  canSkip: boolean;
  canMark: boolean;
}

/** What each press does. */
interface Presses {
  done: () => void;
  back: () => void;
  pause: () => void;
  fault: (kind: Fault) => void;
  otherFault: () => void;
  again: () => void;
  more: () => void;
  skip: () => void;
  askFor: (what: Ask) => void;
  side: () => void;
}

/** The keys of the run screen: those that are shown, and those under “More” for who knows them. */
export function keysOf(can: Can, press: Presses): { keys: RunKey[]; quiet: RunKey[] } {
  const { going } = can;
  const quiet: RunKey[] = [
    { label: 'Skip', hint: 'S', keys: ['s'], enabled: can.canSkip, press: press.skip },
    { label: 'Mark', hint: 'M', keys: ['m'], enabled: can.canMark, press: () => press.askFor('mark-stitch') },
    { label: 'Note', hint: 'N', keys: ['n'], enabled: going, press: () => press.askFor('note') },
    { label: 'Aside', hint: 'A', keys: ['a'], enabled: going, press: () => press.askFor('bookmark') },
    { label: 'Side', hint: 'V', keys: ['v'], enabled: true, press: press.side }
  ];
  return {
    keys: [
      {
        label: can.mainWords,
        hint: 'Space or pedal',
        keys: [' ', 'PageDown'],
        enabled: can.canGoOn,
        press: press.done
      },
      { label: 'Back', hint: 'Page up', keys: ['PageUp'], enabled: can.canGoBack, press: press.back },
      {
        label: can.isHeld ? 'Go on' : 'Pause',
        hint: 'P',
        keys: ['p'],
        enabled: can.canPause,
        press: press.pause
      },
      {
        label: 'Thread broke',
        hint: 'B',
        keys: ['b'],
        enabled: going,
        press: () => press.fault('thread-broke')
      },
      { label: 'Bobbin out', hint: 'O', keys: ['o'], enabled: going, press: () => press.fault('bobbin-out') },
      { label: 'Other fault', hint: 'F', keys: ['f'], enabled: going, press: press.otherFault },
      {
        label: 'Run again',
        hint: 'R',
        keys: ['r'],
        enabled: going && can.stitchedBefore,
        press: press.again
      },
      { label: 'More', hint: 'K', keys: ['k'], enabled: can.canAskMore, press: press.more }
    ],
    quiet: quiet.map((key) => ({ ...key, enabled: key.enabled && can.started }))
  };
}
