import { z } from 'zod';
import type { OperationOf } from '$lib/core/documents/item';
import { choice, count, text } from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { needsOut } from './refusals';

const HARDWARE: Record<OperationOf<'hardware'>['kind'], string> = {
  snap: 'Snaps',
  eyelet: 'Eyelets',
  'split-ring': 'Split rings',
  'ribbon-loop': 'Ribbon loops',
  'hook-and-loop': 'Hook-and-loop'
};
const hardwareFields = {
  what: choice('What', HARDWARE, 'snap'),
  count: count('How many', 1, 1, 20),
  holes: count('Holes to punch', 2, 0, 40, 'two for each snap'),
  where: choice(
    'Where they sit',
    {
      marks: 'At the marks',
      top: 'In a row along the top',
      bottom: 'In a row along the bottom',
      left: 'In a row on the left',
      right: 'In a row on the right'
    },
    'marks'
  )
} as const;

/** Snaps, eyelets, rings and the like, once the item is out of the hoop. */
export const hardware: BlockMaker<typeof hardwareFields> = {
  kind: 'hardware',
  name: 'Hardware',
  summary: 'Snaps, eyelets, rings or hook-and-loop, with the holes they need.',
  group: 'Afterwards',
  fields: hardwareFields,
  refuses: needsOut,
  make(site, { what, count: many, holes, where }) {
    const punched = holes > 0 ? [site.hand('punch', { do: 'punch', holes })] : [];
    const row = where === 'left' || where === 'right' ? `on the ${where}` : `along the ${where}`;
    site.hand(
      'set',
      { do: 'hardware', kind: what, count: many },
      { needs: punched, ...(where !== 'marks' && { note: `In a row ${row}, evenly spaced.` }) }
    );
  }
};

const stepFields = {
  title: text(
    'What is done',
    z.string().trim().min(1, 'say what is done').max(120).default('Something by hand')
  ),
  seconds: count('Seconds it takes', 60, 0, 86_400)
} as const;

/** A hand step by itself. */
export const handStep: BlockMaker<typeof stepFields> = {
  kind: 'hand-step',
  name: 'A hand step of your own',
  summary: 'Anything hands do that no other block has.',
  group: 'Afterwards',
  fields: stepFields,
  refuses: () => null,
  make(site, { title, seconds }) {
    site.hand('step', { do: 'other', title, seconds });
  }
};
