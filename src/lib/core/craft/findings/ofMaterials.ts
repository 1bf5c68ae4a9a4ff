import { inside, saying, threadIn } from './saying';

/** Sayings about stabiliser, cloth and thread. */
export const MATERIAL_SAYINGS = {
  'stabiliser/none': saying<Record<string, never>>(
    'stop',
    () => 'No stabiliser is in the ring under these stitches.',
    'Hoop stabiliser, caught by the ring on all four edges.'
  ),
  'stabiliser/stays': saying<{ layer: string }>(
    'stop',
    ({ layer }) => `${layer} stays in open work: lace and cutwork need a stabiliser that washes out.`,
    'Hoop wash-away instead.'
  ),
  'stabiliser/light-lace': saying<Record<string, never>>(
    'warn',
    () => 'One layer of wash-away is too light for lace.',
    'Hoop two layers, three for dense lace.'
  ),
  'stabiliser/weak-film': saying<{ layer: string }>(
    'warn',
    ({ layer }) => `${layer} alone is too weak for lace as dense or large as this.`,
    'Hoop two layers of the cloth type, or a heavy film.'
  ),
  'stabiliser/tears-through': saying<Record<string, never>>(
    'warn',
    () => 'One layer of tear-away tears through under a satin edge.',
    'Hoop two layers.'
  ),
  'stabiliser/light-edge': saying<Record<string, never>>(
    'warn',
    () => 'One layer of wash-away is too light for a satin edge on a single piece.',
    'Hoop two layers, or one heavy film.'
  ),
  'stabiliser/stretch': saying<{ layer: string }>(
    'warn',
    ({ layer }) => `${layer} stretches, and tear-away does not hold it.`,
    'Hoop cutaway or soft mesh instead.'
  ),
  'stabiliser/dense': saying<{ stop: number | null; stitches: number; stops: number }>(
    'note',
    ({ stop, stitches, stops }) =>
      stops > 1
        ? `With stop ${stop ?? '?'} the ${stops} stops that lie on each other are dense: ${stitches.toLocaleString('en')} stitches.`
        : `Stop ${stop ?? '?'} is dense: ${stitches.toLocaleString('en')} stitches.`,
    'Float another layer of stabiliser under the hoop.'
  ),
  'stabiliser/left': saying<{ layer: string; material: string }>(
    'warn',
    ({ layer, material }) => `${layer} (${material}) is still there at the edge in the end.`,
    'Use a stabiliser that tears or washes off, and add the step that takes it off.'
  ),
  'pile/no-topping': saying<{ called: string; layer: string }>(
    'warn',
    ({ called, layer }) => `${called} sinks into ${layer}: there is no topping on its pile.`,
    'Lay wash-away film over it before this stop.'
  ),
  'topping/left': saying<{ piece: string }>(
    'warn',
    ({ piece }) => `${piece} is never taken off.`,
    'Tear it off, or rinse it out, at the end.'
  ),
  'underlay/alone': saying<{ called: string }>(
    'warn',
    ({ called }) => `${called} is the underlay of a lace that never comes.`,
    'Underlay alone falls apart in the water: add the lace stop after it.'
  ),
  'film/trapped': saying<{ film: string; piece: string }>(
    'stop',
    ({ film, piece }) => `${film} lies under ${piece} and would never come out once that is fused.`,
    'Take the film off first, or fuse at the end.'
  ),
  'backed/left-out': saying<{ piece: string; material: string }>(
    'warn',
    ({ piece, material }) => `${piece} should have ${material} fused behind it, and no step does that.`,
    'Fuse it before it is cut and laid: without it the cloth puckers, or does not hold.'
  ),
  'iron/adhesive': saying<{ piece: string }>(
    'stop',
    ({ piece }) => `The iron would meet bare glue: ${piece} lies with its adhesive up.`,
    'Hold it by hand, with a tool or with tape, and fuse it when it has been flipped.'
  ),
  'iron/on-machine': saying<Record<string, never>>(
    'stop',
    () => 'The hoop is still on the machine, and an iron never comes near that.',
    'Take the hoop off, iron on a mat, put it on again. Finger-pressing may stay on.'
  ),
  'iron/before-trim': saying<{ piece: string }>(
    'warn',
    ({ piece }) => `${piece} is fused before it is trimmed: what should come off is glued down.`,
    'Trim it first, or fuse it along its seam only.'
  ),
  'iron/vinyl': saying<{ vinyl: string }>(
    'stop',
    ({ vinyl }) => `The iron would touch ${vinyl}, and vinyl melts.`,
    'Press from the other side, or finger-press.'
  ),
  'colours/one-line': saying<{
    stop: number | null;
    other: number | null;
    thread: string;
    otherThread: string;
  }>(
    'warn',
    ({ stop, other, thread, otherThread }) =>
      `Stops ${stop ?? '?'} and ${other ?? '?'} are seen on one line, in ${thread} and ${otherThread}.`,
    ({ stop, otherThread }) => `Stitch stop ${stop ?? '?'} in ${otherThread} too.`
  ),
  'bobbin/too-long': saying<{ stop: number | null; needsM: number; unit: string }>(
    'note',
    ({ stop, needsM, unit }) =>
      `Stop ${stop ?? '?'} needs ${threadIn(needsM, unit)} from the bobbin, more than a full one.`,
    'Halt where it shows least, and change the bobbin there.'
  ),
  'bobbin/runs-out': saying<{ stop: number | null; usedM: number; needsM: number; unit: string }>(
    'warn',
    ({ stop, usedM, needsM, unit }) =>
      `The bobbin can run out inside stop ${stop ?? '?'}: ${threadIn(usedM, unit)} are used when it begins, and it needs ${threadIn(needsM, unit)}.`,
    'Put in a full bobbin before it.'
  ),
  'bobbin-colour/seen': saying<{ called: string; thread: string }>(
    'warn',
    ({ called, thread }) => `The back of ${inside(called)} is seen, and the bobbin is not ${thread}.`,
    ({ thread }) => `Put a bobbin wound with ${thread} in before it.`
  )
};
