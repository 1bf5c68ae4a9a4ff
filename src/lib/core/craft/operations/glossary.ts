/** A word of the craft and what it means, for someone who reads a sheet for the first time. */
export interface GlossaryWord {
  word: string;
  meaning: string;
}

/** The words the sheets use, in the order one meets them. */
export const GLOSSARY: readonly GlossaryWord[] = [
  { word: 'stop', meaning: 'The stitching between two halts of the machine. Not every stop is a colour.' },
  {
    word: 'hooping',
    meaning: 'Material clamped once in the ring. What is clamped is hooped; the rest is laid or floated.'
  },
  { word: 'float', meaning: 'To lay or slide material on or under the hoop without clamping it.' },
  { word: 'placement line', meaning: 'A running stitch that shows where a piece goes.' },
  { word: 'tack-down', meaning: 'Stitching that fixes the piece just laid.' },
  { word: 'cut line', meaning: 'A running stitch to cut along.' },
  {
    word: 'right side',
    meaning: 'The face of a cloth that is meant to be seen; the other is its wrong side.'
  },
  { word: 'flip', meaning: 'To fold a piece over at the seam that holds it, so that its other face shows.' },
  { word: 'trim', meaning: 'To cut a piece back to a line while it stays in the hoop.' },
  { word: 'topping', meaning: 'Film over pile, so that stitches do not sink in. It tears or washes off.' },
  { word: 'stabiliser', meaning: 'What carries the stitches. It tears away, washes away, or stays.' },
  { word: 'satin edge', meaning: 'Dense zigzag over a raw edge: the last stop, and the longest.' },
  {
    word: 'closing seam',
    meaning: 'The seam that joins front and back, but for the opening one turns through.'
  },
  { word: 'turn', meaning: 'To pull the work right side out through an opening or a zip.' },
  { word: 'underlay', meaning: 'A net of stitches that carries lace once the stabiliser is gone.' },
  { word: 'bars', meaning: 'Threads across a cut window, wrapped in satin.' },
  { word: 'unhoop', meaning: 'To take the work out of the ring. Lines never meet again after that.' },
  {
    word: 'register',
    meaning: 'Lines register when they meet exactly: in one hooping, at one mounting position.'
  },
  {
    word: 'protected stop',
    meaning: 'A stop in which the bobbin must not run out, since the join would be seen.'
  },
  {
    word: 'piece',
    meaning: 'What is cut from a material for one place in the item: the front, a lining, a loop.'
  },
  { word: 'copy', meaning: 'One of several items made alike, in one hooping or one after another.' },
  { word: 'edge', meaning: 'Where the finished item ends, and the stitching that goes round it there.' },
  { word: 'outline', meaning: 'The line along which the edge of the item runs, whatever is stitched on it.' },
  {
    word: 'hands',
    meaning: 'Time in which you do something: lay, trim, thread. It is counted apart from the needle.'
  },
  { word: 'needle', meaning: 'Time in which the machine stitches and, with luck, you may leave it.' },
  { word: 'waiting', meaning: 'Time in which nothing may be touched: soaking, drying, glue that sets.' },
  { word: 'ribbon', meaning: 'The whole item as a line, true to time: needle above, hands below.' },
  { word: 'colourway', meaning: 'One set of cloths and threads for an item.' },
  { word: 'variant', meaning: 'The same item in another size, cloth or edge, from the same sheet.' },
  {
    word: 'block',
    meaning: 'Work that belongs together, as laying a back and sewing it on; items are built of blocks.'
  },
  { word: 'bobbin', meaning: 'The small spool below. Its thread is seen behind, and at a satin edge.' },
  { word: 'spool', meaning: 'The thread above, that goes through the needle.' },
  { word: 'spoilage', meaning: 'Pieces that come out bad. So many more are stitched that enough are right.' },
  { word: 'set aside', meaning: 'A step that is left for later in a run; it waits and is asked for again.' },
  { word: 'put away', meaning: 'An item or order that is off the list but not gone; it can be brought back.' }
];

/**
 * The words that occur in a text.
 *
 * @example
 * wordsIn('Flip UPPER FRONT').map(({ word }) => word) // ['flip']
 */
export function wordsIn(text: string): GlossaryWord[] {
  const lower = text.toLowerCase();
  return GLOSSARY.filter(({ word }) => new RegExp(`\\b${word}`).test(lower));
}
