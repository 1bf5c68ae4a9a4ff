import { inside, lengthIn, saying, sizeIn } from './saying';

/** Sayings about what the needle meets, and about edges and turning. */
export const NEEDLE_SAYINGS = {
  'field/outside': saying<{ called: string; hoop: string; width: number; height: number; unit: string }>(
    'stop',
    ({ called, hoop, ...field }) =>
      `${called} reaches outside the stitch field of ${hoop}, ${sizeIn(field)}.`,
    'Choose a larger hoop, or the variant made for this one.'
  ),
  'field/turn': saying<{ width: number; height: number; hoop: string; unit: string; turned: boolean }>(
    'stop',
    ({ hoop, turned, ...size }) =>
      `The stitching, ${sizeIn(size)}, fits ${hoop} ${turned ? 'upright' : 'turned a quarter'}, not as it lies now.`,
    'Turn the design a quarter at the machine; everything here is planned so.'
  ),
  'mounting/too-few': saying<{ hoop: string; has: number; needed: number }>(
    'warn',
    ({ hoop, has, needed }) =>
      `${hoop} has ${has === 1 ? 'one mounting position' : `${has} mounting positions`}, and this is stitched at ${needed}.`,
    'Take a hoop that is moved on its mount, or hoop again for the other half.'
  ),
  'mounting/ring': saying<{ hoop: string; width: number; height: number; unit: string }>(
    'stop',
    ({ hoop, ...size }) => `Both halves together, ${sizeIn(size)}, do not lie in the ring of ${hoop}.`,
    'Take a larger hoop, or make the design smaller.'
  ),
  'bare/no-cloth': saying<{ called: string }>(
    'stop',
    ({ called }) => `${called} would run on bare stabiliser: there is no cloth under it.`,
    'Lay the piece it belongs to first.'
  ),
  'holes/closed': saying<{ called: string; piece: string }>(
    'warn',
    ({ called, piece }) =>
      `${piece} closes the hole that ${inside(called)} goes round: it has none of its own.`,
    'Punch and edge the hole after it is laid: then it goes through everything.'
  ),
  'holes/open': saying<{ called: string }>(
    'stop',
    ({ called }) => `${called} stitches over a hole, with nothing under the needle.`,
    'Patch the hole with sticky stabiliser, covering it fully, before this stop.'
  ),
  'pins/close': saying<{ piece: string; called: string; leastMm: number }>(
    'stop',
    ({ piece, called, leastMm }) =>
      `A pin in ${piece} is less than ${leastMm} mm from the path of ${inside(called)}.`,
    'A needle on a pin breaks: pin further out, or take the pin out first.'
  ),
  'hard-parts/early': saying<{ step: string; called: string }>(
    'stop',
    ({ step, called }) => `“${step}” comes before ${inside(called)}: the needle can strike it.`,
    'Set hard parts when all stitching is done.'
  ),
  'hard-parts/left-in': saying<{ piece: string }>(
    'warn',
    ({ piece }) => `${piece} is laid without its hard parts taken out.`,
    'Take out everything hard and line up the holes of its layers first.'
  ),
  'loose-edge/foot': saying<{ piece: string; called: string }>(
    'warn',
    ({ piece, called }) => `The foot can catch the loose edges of ${piece} when ${inside(called)} runs.`,
    'Tape them flat, or lay topping over them.'
  ),
  'needle/cutting': saying<{ called: string }>(
    'stop',
    ({ called }) => `${called} stitches with a cutting needle in.`,
    'Put a stitching needle back in first.'
  ),
  'needle/stitching': saying<{ called: string }>(
    'stop',
    ({ called }) => `${called} cuts, but no cutting needle is in.`,
    'Change to its chisel first.'
  ),
  'needle/same-chisel': saying<{ called: string }>(
    'stop',
    ({ called }) => `${called} cuts with the chisel of the cut before it.`,
    'Each angle has its own chisel: change it first.'
  ),
  'raw-edge/sticks-out': saying<{ called: string; widthMm: number; piece: string; stray: boolean }>(
    'warn',
    ({ called, widthMm, piece }) =>
      `${called}, ${widthMm} mm wide, does not hide the edge of ${piece}: its cut edge can stick out.`,
    ({ stray }) => (stray ? 'Cut on the line, or stitch a wider satin.' : 'Trim it close before this stop.')
  ),
  'raw-edge/too-short': saying<{ called: string; widthMm: number; piece: string }>(
    'warn',
    ({ called, widthMm, piece }) =>
      `${called}, ${widthMm} mm wide, does not hide the edge of ${piece}: it hardly reaches under the satin.`,
    'Cut on the line, or stitch a wider satin.'
  ),
  'raw-edge/left-raw': saying<{ piece: string }>(
    'warn',
    ({ piece }) => `The cut edge of ${piece} is left raw: no edge is stitched over it.`,
    'Add the satin or zigzag that covers the edge.'
  ),
  'ridge/edges': saying<{ called: string; under: string | null }>(
    'warn',
    ({ called, under }) =>
      under === null
        ? `${called} stitches two edges on top of each other: two dense edges make a ridge.`
        : `${called} runs on top of the edge of ${inside(under)}: two dense edges make a ridge.`,
    'Leave the lower edge out where the upper one covers it, or let its piece end under the other.'
  ),
  'slot/no-stabiliser': saying<{ called: string }>(
    'stop',
    ({ called }) => `${called} has no stabiliser under a part of its edge: it was cut away before.`,
    'Trim only the cloth; the stabiliser stays whole until the edge is stitched.'
  ),
  'window/uncut': saying<{ called: string; cloth: string }>(
    'stop',
    ({ called, cloth }) => `${called} lays its bars on ${cloth}, which is not cut yet.`,
    'Cut the cloth inside the line first.'
  ),
  'opening/none': saying<{ line: string; leastMm: number; unit: string }>(
    'stop',
    ({ line }) => `The ${line} leaves no opening to turn through.`,
    ({ leastMm, unit }) => `Leave at least ${lengthIn(leastMm, unit)} open.`
  ),
  'opening/small': saying<{ line: string; leftMm: number; leastMm: number; unit: string }>(
    'stop',
    ({ line, leftMm, unit }) => `The ${line} leaves only ${lengthIn(leftMm, unit)} to turn through.`,
    ({ leastMm, unit }) => `Leave at least ${lengthIn(leastMm, unit)} open.`
  ),
  'opening/twofold': saying<Record<string, never>>(
    'stop',
    () => 'The opening goes through the outer layers too, not only through the lining.',
    'Join the outer layers all round before the closing seam, so that the only opening is in the lining.'
  ),
  'zip/metal': saying<{ piece: string }>(
    'stop',
    ({ piece }) => `${piece} is a metal zip, and a metal zip breaks needles.`,
    'Use a nylon zip.'
  ),
  'zip/closed': saying<{ zip: string; piece: string }>(
    'stop',
    ({ zip, piece }) => `${zip} is still closed when ${piece} covers it, so the work cannot be turned.`,
    'Open the zip three quarters before you lay it.'
  ),
  'zip/blocked': saying<{ across: string; zip: string }>(
    'stop',
    ({ across, zip }) => `${across} still lies across ${zip}, so nothing turns through it.`,
    ({ across }) => `Cut ${across} away behind the zip.`
  )
};
