import { z } from 'zod';
import {
  type AnswersOf,
  choice,
  hold,
  length,
  material,
  onlyWhere,
  type Side,
  text,
  thread
} from '$lib/core/craft/sequence';
import { CLOTHS } from './hooping';
import { sideField, spotFields } from './spots';

export const SIDES = ['top', 'right', 'bottom', 'left'] as const satisfies readonly Side[];
const EDGES = {
  seam: 'Caught in the seam round the item',
  stitched: 'Stitched down',
  open: 'Open'
} as const;
type Edge = keyof typeof EDGES;
/** Asks what becomes of one edge. */
export const edgeField = (label: string, usual: Edge) => choice(label, EDGES, usual);
const edge = (label: string, usual: Edge) =>
  onlyWhere(edgeField(label, usual), 'extent', 'side', 'shape', 'like');

const { shape, width, height, across, down } = spotFields(80, 80);

export const fields = {
  extent: choice(
    'What it covers',
    {
      whole: 'The whole outline',
      side: 'A part along one side',
      shape: 'A shape of its own',
      like: 'The shape of another piece'
    },
    'side'
  ),
  side: onlyWhere(sideField('Along the', 'bottom'), 'extent', 'side'),
  much: onlyWhere(length('How far it reaches from that side', 80, 10, 600), 'extent', 'side'),
  shape: onlyWhere(shape, 'extent', 'shape'),
  width: onlyWhere(width, 'extent', 'shape'),
  height: onlyWhere(height, 'extent', 'shape'),
  across: onlyWhere(across, 'extent', 'shape'),
  down: onlyWhere(down, 'extent', 'shape'),
  whose: onlyWhere(
    text('Whose shape, or nothing for the last one laid', z.string().trim().max(60).default('')),
    'extent',
    'like'
  ),
  cloth: material('Cloth', { ...CLOTHS, batting: 'Batting' }, ['woven', 'Ticket buff', '#d9bd8b']),
  lies: choice(
    'It lies',
    {
      up: 'On the work, right side up',
      down: 'On the work, right side down',
      'below-out': 'Under the hoop, right side outwards',
      'below-in': 'Under the hoop, right side to the work'
    },
    'up'
  ),
  shows: choice(
    'In the end it is seen',
    {
      usual: 'Where it lies',
      front: 'In front',
      back: 'Behind',
      lining: 'Inside, as a lining',
      nothing: 'Nowhere'
    },
    'usual'
  ),
  form: choice(
    'Form',
    { flat: 'Flat', folded: 'Folded in half', gathered: 'Gathered', pleated: 'In pleats' },
    'flat'
  ),
  fullness: onlyWhere(
    choice(
      'Cut so many times as long',
      { '1.5': 'One and a half', '2': 'Twice', '2.5': 'Two and a half', '3': 'Three times' },
      '2'
    ),
    'form',
    'gathered',
    'pleated'
  ),
  top: edge('Its upper edge', 'open'),
  right: edge('Its right edge', 'seam'),
  bottom: edge('Its lower edge', 'seam'),
  left: edge('Its left edge', 'seam'),
  openEdge: onlyWhere(
    choice(
      'An open edge has',
      {
        fold: 'The fold',
        hem: 'A hem',
        casing: 'A casing',
        elastic: 'Elastic drawn through',
        ribbon: 'A ribbon round it',
        raw: 'Nothing: it stays raw'
      },
      'hem'
    ),
    'extent',
    'side',
    'shape',
    'like'
  ),
  backed: choice(
    'Before it is laid',
    {
      no: 'As it is',
      interfacing: 'Interfacing fused behind it',
      web: 'Fusible web behind it',
      batting: 'Quilted on batting'
    },
    'no'
  ),
  basted: choice(
    'Held in its seam first',
    { no: 'No: the seam that closes catches it', yes: 'Stitched in the allowance' },
    'no'
  ),
  placement: choice('A placement line shows where it goes', { no: 'No', yes: 'Yes' }, 'no'),
  held: hold('Held with', 'tape'),
  thread: thread('Thread of its own stitching', 'Cream', '#efe3c4')
} as const;
export type Answers = AnswersOf<typeof fields>;
