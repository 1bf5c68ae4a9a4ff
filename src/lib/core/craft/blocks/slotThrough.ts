import { shapePath, shifted } from '$lib/core/base/geometry';
import { length } from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { needsRing } from './refusals';
import { fromTheMiddle } from './spots';

const fields = {
  width: length('Width', 60, 10, 300),
  height: length('Height', 14, 4, 100),
  ...fromTheMiddle
} as const;

/** A slot that is tacked, cut open and edged together with the outline. */
export const slotThrough: BlockMaker<typeof fields> = {
  kind: 'slot-through',
  name: 'Slot edged with the item',
  summary: 'Every layer is tacked round it and cut away in it; the satin of the outline goes round it too.',
  group: 'Openings',
  fields,
  refuses: (standing) =>
    needsRing(standing) ??
    (standing.edge !== 'satin'
      ? { why: 'Only a satin edge covers the cut layers in it.', repair: 'Give the item a satin edge.' }
      : standing.hoop.layers.length > standing.ring.length
        ? { why: 'Something is laid already.', repair: 'Put it right after the hooping.' }
        : null),
  make(site, { width, height, across, down }) {
    const path = shifted(shapePath('tab', width, height), across, down);
    site.frames.addHole(site.line('slot', site.label('Slot'), path));
  }
};
