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
  }
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
