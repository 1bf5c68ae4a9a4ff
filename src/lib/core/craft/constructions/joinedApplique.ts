import { choice, length, material, stabiliserFields, thread } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, hoopedGround, outlineOf } from './recipe';

const FIELDS = {
  width: length('Both pieces, width', 100, 40, 300),
  height: length('Both pieces, height', 70, 30, 300),
  joinAt: length('The join, from the left edge', 45, 15, 200),
  ground: material('Ground', { woven: 'Woven cotton', canvas: 'Canvas' }, [
    'woven',
    'Apron cotton',
    '#e7dcc0'
  ]),
  left: material('Left piece', { woven: 'Woven cotton' }, ['woven', 'Fern print', '#4d7148']),
  right: material('Right piece', { woven: 'Woven cotton' }, ['woven', 'Carriage red', '#8d2f35']),
  rightHold: choice(
    'Right piece held with',
    { hand: 'A finger or a tool', tape: 'Tape' },
    'hand',
    'its glue lies up, so no iron comes near it before the flip'
  ),
  ...stabiliserFields(['tear-away', 'cutaway', 'wash-away'], 'tear-away', 2),
  leftThread: thread('Left thread', 'Fern green', '#3c5a38'),
  rightThread: thread('Right thread', 'Burgundy', '#6d1f31')
};

/** Two pieces joined by a seam that is flipped open, so that no edge lies between them. */
export const joinedApplique: Construction<typeof FIELDS> = {
  kind: 'joined-applique',
  name: 'Joined appliqué with flip',
  called: ['block', 'banner'],
  summary: 'The second piece is sewn face down at the join and flipped: no satin between the two.',
  fields: FIELDS,
  draft: ({ width, height }) =>
    outlineOf({ shape: 'rectangle', width: width + SATIN_MM, height: height + SATIN_MM }, 'satin edge'),
  recipe: (p) => [
    hoopedGround(p),
    block('pieces', 'joined', {
      width: p.width,
      height: p.height,
      joinAt: p.joinAt,
      left: p.left,
      right: p.right,
      rightHold: p.rightHold,
      leftThread: p.leftThread,
      rightThread: p.rightThread
    }),
    block('finishing', 'finishing', { pressed: 'no' })
  ]
};

const SATIN_MM = 3.5;
