import type { End } from './ends';

/** What one has in the end of every construction with its usual answers: faces, what is hidden, threads that are seen. */
export const FINISHED: Record<string, End> = {
  'snap-tab': {
    front: ['FRONT right'],
    back: ['BACK right'],
    lining: [],
    hidden: [],
    threads: { hidden: 1, front: 2, both: 2 }
  },
  patch: { front: ['GROUND right'], back: ['GROUND wrong'], lining: [], hidden: [], threads: { both: 2 } },
  'border-patch': {
    front: ['PATCH right'],
    back: ['STABILISER wrong'],
    lining: [],
    hidden: [],
    threads: { both: 3, hidden: 2 }
  },
  'batch-patch': {
    front: ['BLANK 1 right', 'BLANK 2 right'],
    back: ['BLANK 1 wrong', 'BLANK 2 wrong'],
    lining: [],
    hidden: [],
    threads: { both: 5, hidden: 2 }
  },
  'pile-patch': {
    front: ['GROUND right', 'PILE right'],
    back: ['GROUND wrong'],
    lining: [],
    hidden: [],
    threads: { hidden: 2, both: 2 }
  },
  'zip-pouch': {
    front: ['ACCENT right', 'LOWER FRONT right', 'UPPER FRONT right', 'ZIP right'],
    back: ['BACK right'],
    lining: ['BACK LINING right', 'LOWER LINING right', 'UPPER LINING right'],
    hidden: ['BATTING', 'STABILISER', 'BACK BATTING'],
    threads: { hidden: 10, front: 6 }
  },
  'turned-flat': {
    front: ['FRONT right'],
    back: ['BACK right'],
    lining: [],
    hidden: ['BATTING'],
    threads: { front: 3, hidden: 1 }
  },
  'layered-mat': {
    front: ['FIRST APPLIQUÉ right', 'SECOND APPLIQUÉ right', 'TOP right'],
    back: ['BACK right'],
    lining: [],
    hidden: ['BATTING'],
    threads: { hidden: 7, front: 3, both: 1 }
  },
  topper: {
    front: ['FRONT right', 'TOWEL right'],
    back: ['BACK right', 'TOWEL right'],
    lining: [],
    hidden: ['BATTING'],
    threads: { hidden: 4, front: 2, both: 2 }
  },
  lace: { front: [], back: [], lining: [], hidden: [], threads: { both: 2 } },
  'mesh-lace': {
    front: ['MESH 2 right'],
    back: ['MESH 2 wrong'],
    lining: [],
    hidden: [],
    threads: { both: 2 }
  },
  'fused-applique': {
    front: ['FIRST PIECE right', 'GROUND right', 'SECOND PIECE right'],
    back: ['GROUND wrong'],
    lining: [],
    hidden: [],
    threads: { hidden: 2, both: 2 }
  },
  'joined-applique': {
    front: ['GROUND right', 'LEFT PIECE right', 'RIGHT PIECE right'],
    back: ['GROUND wrong'],
    lining: [],
    hidden: [],
    threads: { back: 3, hidden: 3, both: 3 }
  },
  'raised-piece': {
    front: ['CENTRE right', 'GROUND right', 'PETALS right'],
    back: ['STABILISER wrong'],
    lining: [],
    hidden: [],
    threads: { back: 3, hidden: 1, both: 2 }
  },
  cutwork: {
    front: ['CLOTH right'],
    back: ['CLOTH wrong'],
    lining: [],
    hidden: [],
    threads: { hidden: 1, both: 2 }
  },
  'cutwork-corner': {
    front: ['CLOTH right'],
    back: ['CLOTH wrong'],
    lining: [],
    hidden: [],
    threads: { both: 6 }
  },
  'several-designs': {
    front: ['NAPKIN 1 right', 'NAPKIN 2 right'],
    back: ['NAPKIN 1 wrong', 'NAPKIN 2 wrong'],
    lining: [],
    hidden: [],
    threads: { both: 4 }
  },
  'split-design': {
    front: ['GROUND right', 'LOWER PIECE right', 'UPPER PIECE right'],
    back: ['GROUND wrong', 'STABILISER wrong'],
    lining: [],
    hidden: [],
    threads: { hidden: 4, both: 4 }
  },
  'named-item': {
    front: ['LOWER FRONT right', 'UPPER FRONT right'],
    back: ['BACK right'],
    lining: [],
    hidden: ['BATTING', 'STABILISER'],
    threads: { hidden: 3, front: 3 }
  },
  'plain-embroidery': {
    front: ['TOWEL right'],
    back: ['STABILISER wrong', 'TOWEL wrong'],
    lining: [],
    hidden: [],
    threads: { both: 3 }
  },
  'quilted-coaster': {
    front: ['FRONT right'],
    back: ['BACK right'],
    lining: [],
    hidden: ['BATTING'],
    threads: { hidden: 2, front: 2 }
  },
  'pot-holder': {
    front: ['FRONT right', 'LOOP right'],
    back: ['BACK right', 'LOOP right'],
    lining: [],
    hidden: ['BATTING', 'BACK BATTING'],
    threads: { hidden: 2, front: 2 }
  },
  'envelope-cover': {
    front: ['FRONT right'],
    back: ['LOWER BACK right', 'UPPER BACK right'],
    lining: [],
    hidden: ['STABILISER'],
    threads: { front: 1, hidden: 1 }
  },
  'needle-book': {
    front: ['COVER right'],
    back: ['INSIDE OF THE COVER right', 'PAGE 2 right'],
    lining: [],
    hidden: ['PAGE 1'],
    threads: { hidden: 1, front: 2, both: 2 }
  },
  'snap-strap': {
    front: ['FRONT right'],
    back: ['BACK right'],
    lining: [],
    hidden: [],
    threads: { hidden: 1, front: 3, both: 1 }
  },
  bookmark: {
    front: ['FRONT right', 'RIBBON right'],
    back: ['BACK right', 'RIBBON wrong'],
    lining: [],
    hidden: [],
    threads: { hidden: 1, front: 2, both: 1 }
  },
  'elastic-pocket': {
    front: ['FRONT right', 'POCKET right'],
    back: ['BACK right'],
    lining: [],
    hidden: ['STABILISER'],
    threads: { front: 1, hidden: 1 }
  },
  own: {
    front: ['FRONT right'],
    back: ['FRONT wrong'],
    lining: [],
    hidden: [],
    threads: { hidden: 1, both: 1 }
  }
};
