import { choice, count, hold, length, material, outline, thread } from '$lib/core/craft/sequence';

/** What is asked of a turned flat item. */
export const TURNED_FIELDS = {
  school: choice(
    'How it is built',
    {
      'all-hooped': 'Stabiliser, batting and front hooped together',
      pieced: 'Batting floated, two fronts joined and flipped',
      floated: 'Batting and front floated on hooped stabiliser'
    },
    'all-hooped'
  ),
  shape: outline('rounded', 'rectangle', 'oval', 'bib', 'pouch', 'shield', 'heart'),
  width: length('Finished width', 160, 60, 400),
  height: length('Finished height', 200, 60, 400),
  opening: length('Opening to turn through', 80, 60, 150, 'at least 60 mm'),
  closes: choice(
    'Fastened with',
    {
      snap: 'A snap',
      'hook-and-loop': 'Hook-and-loop',
      none: 'Nothing'
    },
    'snap'
  ),
  stabiliser: choice(
    'Stabiliser',
    {
      usual: 'Tear-away where all is hooped, else cutaway',
      'tear-away': 'Tear-away',
      cutaway: 'Cutaway',
      'soft-mesh': 'Soft mesh cutaway'
    },
    'usual'
  ),
  layers: count('Layers of stabiliser', 1, 1, 3),
  front: material(
    'Front',
    {
      woven: 'Woven cotton or double gauze',
      knit: 'Jersey',
      towelling: 'Terry',
      fleece: 'Fleece'
    },
    ['woven', 'Fern print', '#4d7148']
  ),
  quilted: choice(
    'Quilted or stippled',
    { all: 'All over the front', upper: 'The upper part only', lower: 'The lower part only' },
    'all'
  ),
  label: choice('Label', { no: 'None', yes: 'Laid in the opening' }, 'no'),
  topstitched: choice('Topstitched all round', { no: 'No', yes: 'Yes, which closes the opening too' }, 'no'),
  closedBy: choice(
    'Opening closed',
    { hand: 'By hand', machine: 'By machine', tape: 'With fusible tape' },
    'hand',
    'where no topstitch closes it'
  ),
  lower: material('Lower front, where pieced', { woven: 'Woven cotton', knit: 'Jersey' }, [
    'woven',
    'Ticket buff',
    '#d9bd8b'
  ]),
  back: material('Back', { woven: 'Woven cotton', fleece: 'Fleece', towelling: 'Towelling' }, [
    'woven',
    'Cream',
    '#efe3c4'
  ]),
  backHold: hold('Back held with', 'tape'),
  seams: thread('Seam thread', 'Cream', '#efe3c4'),
  quilting: thread('Quilting thread', 'Brass', '#b58a3c')
};
