import { both, gaps, gone, kind, moved, op, piece, satin, stop, type Mistake } from './mistakes';

/** A mistake in a construction, and the finding it must bring: `severity check step`, and its sentence. */
export interface Wrong {
  construction: string;
  answers?: Record<string, unknown>;
  what: string;
  mistake: Mistake;
  finding: string;
  text: string;
  /** What the offered fix is called; it must mend the mistake. */
  fix?: string;
  machineId?: string;
}

/** Pouch, turned items, mat and topper. */
export const WRONG: Wrong[] = [
  {
    construction: 'zip-pouch',
    what: 'the back laid right side up',
    mistake: op('lay-back', { face: 'up' }),
    finding: 'stop faces lay-back',
    text: 'BACK ends with its wrong side out.',
    fix: 'Turn it'
  },
  {
    construction: 'zip-pouch',
    what: 'a panel not flipped',
    mistake: gone('flip-lower'),
    finding: 'stop faces lay-lower',
    text: 'LOWER FRONT ends with its wrong side out.'
  },
  {
    construction: 'zip-pouch',
    what: 'a panel cut too low',
    mistake: piece('upper', { overrides: { width: 205, height: 30 } }),
    finding: 'stop covering flip-upper',
    text: 'UPPER FRONT does not cover the upper front all round.',
    fix: 'Cut it by the rule'
  },
  {
    construction: 'zip-pouch',
    what: 'a panel flipped under tape',
    mistake: gone('untape-upper'),
    finding: 'warn taped-flip flip-upper',
    text: 'Tape still holds UPPER FRONT when it is flipped.',
    fix: 'Tape off first'
  },
  {
    construction: 'zip-pouch',
    what: 'a metal zip',
    mistake: kind('zip', 'metal-zip'),
    finding: 'stop zip lay-zip',
    text: 'ZIP is a metal zip, and a metal zip breaks needles.',
    fix: 'Nylon'
  },
  {
    construction: 'zip-pouch',
    what: 'the zip closed again',
    mistake: op('zip-open', { to: 'closed' }),
    finding: 'stop zip lay-back',
    text: 'ZIP is still closed when BACK covers it, so the work cannot be turned.'
  },
  {
    construction: 'zip-pouch',
    what: 'stabiliser left behind the zip',
    mistake: gone('cut-behind-zip'),
    finding: 'stop zip turn-zip',
    text: 'STABILISER still lies across ZIP, so nothing turns through it.'
  },
  {
    construction: 'zip-pouch',
    what: 'no opening in the lining',
    mistake: gaps('closing'),
    finding: 'stop opening stop-16',
    text: 'The closing seam leaves no opening to turn through.'
  },
  {
    construction: 'zip-pouch',
    what: 'the outer layers not joined all round',
    mistake: gone('stop-15'),
    finding: 'stop opening turn-lining',
    text: 'The opening goes through the outer layers too, not only through the lining.'
  },
  {
    construction: 'zip-pouch',
    what: 'tape only through the upper of two layers',
    mistake: op('lay-back', { hold: { by: 'nothing' } }),
    finding: 'warn upper-tape lay-back',
    text: 'Only BACK BATTING is held; BACK beneath it can shift.',
    fix: 'Tape BACK'
  },
  {
    construction: 'zip-pouch',
    what: 'the lining held by nothing',
    mistake: op('lay-back-lining', { hold: { by: 'nothing' } }),
    finding: 'stop holding lay-back-lining',
    text: 'Nothing holds BACK LINING under the hoop while the hoop goes on.',
    fix: 'Tape it'
  },
  {
    construction: 'zip-pouch',
    what: 'batting trimmed when the front covers it',
    mistake: moved('trim-batting', 'lay-back'),
    finding: 'stop reachable trim-batting',
    text: 'BATTING cannot be trimmed any more: it lies between UPPER LINING and UPPER FRONT.'
  },
  {
    construction: 'zip-pouch',
    what: 'quilting after the back',
    mistake: moved('stop-12', 'lay-back'),
    finding: 'stop covered stop-12',
    text: 'Stop 12 would be stitched on the wrong side of BACK, after its surface is covered.'
  },
  {
    construction: 'turned-flat',
    what: 'a small opening',
    mistake: gaps('closing', { from: 20, to: 70 }),
    finding: 'stop opening stop-4',
    text: 'The closing seam leaves only 50 mm to turn through.'
  },
  {
    construction: 'turned-flat',
    answers: { school: 'pieced' },
    what: 'a flip before its seam',
    mistake: moved('flip', 'lay-upper'),
    finding: 'warn impossible flip',
    text: 'No seam holds UPPER FRONT, so there is nothing to flip it at.'
  },
  {
    construction: 'turned-flat',
    what: 'a snap before the closing seam',
    mistake: moved('fasten', 'lay-back'),
    finding: 'stop hard-parts fasten',
    text: '“Set the snap” comes before stop 4: the needle can strike it.'
  },
  {
    construction: 'turned-flat',
    answers: { backHold: 'pins' },
    what: 'pins close to the seam',
    mistake: op('lay-back', { hold: { by: 'pins', pins: 6, away: 3 } }),
    finding: 'stop pins stop-4',
    text: 'A pin in BACK is less than 6 mm from the path of stop 4.',
    fix: 'Pin further out'
  },
  {
    construction: 'turned-flat',
    what: 'no stabiliser hooped',
    mistake: op('hoop', { pieceIds: ['batting', 'front'] }),
    finding: 'stop stabiliser stop-1',
    text: 'No stabiliser is in the ring under these stitches.'
  },
  {
    construction: 'turned-flat',
    answers: { front: { kind: 'knit', name: 'Jersey', colour: '#4d7148' } },
    what: 'tear-away under jersey',
    mistake: kind('stabiliser', 'tear-away'),
    finding: 'warn stabiliser stop-1',
    text: 'FRONT stretches, and tear-away does not hold it.'
  },
  {
    construction: 'layered-mat',
    what: 'details after the back is on',
    mistake: moved('stop-3', 'stop-10'),
    finding: 'warn through stop-3',
    text: 'Stop 3 would go through BACK and show there.'
  },
  {
    construction: 'layered-mat',
    what: 'nobody looks under a sprayed back',
    mistake: gone('look-under'),
    finding: 'warn sliding lay-back',
    text: 'BACK can fold under the hoop while it slides on.',
    fix: 'Look underneath'
  },
  {
    construction: 'layered-mat',
    what: 'the top not trimmed',
    mistake: gone('trim-top'),
    finding: 'warn raw-edge stop-11',
    text: 'Stop 11, 5 mm wide, does not hide the edge of BATTING: its cut edge can stick out.'
  },
  {
    construction: 'layered-mat',
    what: 'a satin too narrow',
    mistake: satin('stop-11', 1.5),
    finding: 'warn raw-edge stop-11',
    text: 'Stop 11, 1.5 mm wide, does not hide the edge of BACK: its cut edge can stick out.'
  },
  {
    construction: 'layered-mat',
    what: 'a bobbin that does not match',
    mistake: gone('bobbin'),
    finding: 'warn bobbin-colour stop-11',
    text: 'The back of stop 11 is seen, and the bobbin is not burgundy.',
    fix: 'Bobbin in burgundy'
  },
  {
    construction: 'topper',
    what: 'the interfacing left out',
    mistake: gone('front-backed'),
    finding: 'warn backed lay-front',
    text: 'FRONT should have soft interfacing fused behind it, and no step does that.',
    fix: 'Fuse it to FRONT'
  },
  {
    construction: 'layered-mat',
    what: 'the iron on the vinyl',
    mistake: op('press', { from: 'back' }),
    finding: 'stop iron press',
    text: 'The iron would touch BACK, and vinyl melts.'
  },
  {
    construction: 'layered-mat',
    what: 'cutaway that never leaves the edge',
    mistake: kind('base', 'cutaway'),
    finding: 'warn stabiliser hoop',
    text: 'WASH-AWAY (wash-away, cloth type) is still there at the edge in the end.'
  },
  {
    construction: 'topper',
    what: 'stabiliser cut in the slot',
    mistake: op('trim-slot', { pieceIds: ['base', 'batting', 'front'] }),
    finding: 'stop slot stop-6',
    text: 'Stop 6 has no stabiliser under a part of its edge: it was cut away before.'
  },
  {
    construction: 'topper',
    what: 'one layer of tear-away',
    mistake: piece('base', { plies: 1 }),
    finding: 'warn stabiliser stop-6',
    text: 'One layer of tear-away tears through under a satin edge.'
  },
  {
    construction: 'topper',
    what: 'no edge at all',
    mistake: gone('stop-6'),
    finding: 'warn raw-edge unhoop',
    text: 'The cut edge of FRONT is left raw: no edge is stitched over it.'
  },
  {
    construction: 'topper',
    what: 'a long edge on a used bobbin',
    mistake: both(gone('bobbin'), stop('stop-4', { stitches: 15000 })),
    finding: 'warn bobbin stop-6',
    text: 'The bobbin can run out inside stop 6: 36 m are used when it begins, and it needs 13 m.',
    fix: 'Full bobbin before it'
  }
];
