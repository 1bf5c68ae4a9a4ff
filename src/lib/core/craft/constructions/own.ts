import { choice, length, outline } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FIELDS = {
  shape: outline(
    'rounded',
    'rectangle',
    'oval',
    'tab',
    'shield',
    'heart',
    'scallop',
    'bib',
    'pouch',
    'triangle',
    'hexagon'
  ),
  width: length('The item, width', 100, 10, 600),
  height: length('The item, height', 100, 10, 600),
  begins: choice(
    'It begins with',
    {
      hooping: 'Stabiliser in the hoop',
      cloth: 'Cloth hooped with stabiliser',
      thing: 'Something ready-made'
    },
    'hooping'
  )
};

/** The least that can be stitched: cloth tacked to stabiliser, or a design on what is hooped. */
const BEGINNINGS = {
  hooping: [block('hooping', 'hooping'), block('front', 'front')],
  cloth: [block('hooping', 'hooping', { ground: 'hooped' }), block('design', 'details', {}, 'Design')],
  thing: [block('hooping', 'ready-made'), block('design', 'details', {}, 'Design')]
};

/** An item built step by step of blocks the maker chooses. */
export const own: Construction<typeof FIELDS> = {
  kind: 'own',
  name: 'None of these: build it step by step',
  summary: 'Say how large it is and what lies in the hoop first; the rest is put together block by block.',
  fields: FIELDS,
  draft: outlineOf,
  recipe: ({ begins }) => [...BEGINNINGS[begins], block('finishing', 'finishing')]
};
