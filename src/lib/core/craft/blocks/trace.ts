import type { BlockMaker } from './block';
import { needsRing } from './refusals';

const fields = {} as const;

/** Once round the design without stitching: whether all of it lies in the hoop and nothing is in the way. */
export const trace: BlockMaker<typeof fields> = {
  kind: 'trace',
  name: 'Trace round the design',
  summary:
    'The needle goes once round the design without stitching, to see that it fits and nothing is in its way.',
  group: 'Hooping',
  fields,
  refuses: needsRing,
  make(site) {
    site.toMachine();
    site.hand('trace', { do: 'trace' }, { note: 'Check the space behind the machine.' });
  }
};
