import {
  formatLength,
  formatSize,
  formatRoll,
  formatThread,
  formatWidth,
  type LengthUnit
} from '$lib/core/base/units';
import { MATERIAL_KINDS, type MaterialKind } from '$lib/core/documents/item';
import { ClothEntry, CountedEntry, type StashEntry, ThreadEntry } from '$lib/core/documents/stash';
import { isUnseen } from '$lib/core/preparing/stash';

/** What a kind of material is called in a list. */
export const KIND_WORDS: Record<MaterialKind, string> = {
  woven: 'Woven cotton',
  knit: 'Knit',
  felt: 'Felt',
  vinyl: 'Vinyl',
  canvas: 'Canvas',
  towelling: 'Towelling',
  fleece: 'Fleece',
  'stretch-mesh': 'Stretch mesh',
  batting: 'Batting',
  'tear-away': 'Tear-away',
  cutaway: 'Cutaway',
  'soft-mesh': 'Soft mesh cutaway',
  'wash-away-mesh': 'Wash-away, cloth type',
  'wash-away-film': 'Wash-away film',
  'sticky-wash-away': 'Sticky wash-away',
  fusible: 'Fusible web',
  interfacing: 'Interfacing',
  'heat-adhesive': 'Heat adhesive',
  zip: 'Nylon zip',
  'metal-zip': 'Metal zip'
};

/** Kinds that are cut. */
export const CLOTH_KINDS = MATERIAL_KINDS.filter((kind) => kind !== 'zip' && kind !== 'metal-zip');

const COUNTED_WORDS: Record<CountedEntry['what'], string> = {
  zip: 'Zip',
  bobbin: 'Bobbin',
  needle: 'Needle',
  notion: 'Notion'
};
const FORM_WORDS: Record<ClothEntry['form'], string> = {
  length: '',
  roll: 'roll',
  sheets: 'sheets',
  scrap: 'offcut'
};

/** The groups of the stash, in the order one looks for things. */
export const GROUPS: readonly { name: string; holds: (entry: StashEntry) => boolean }[] = [
  { name: 'Fabric, felt and vinyl', holds: (entry) => entry.what === 'cloth' && !isUnseen(entry.kind) },
  {
    name: 'Stabiliser, batting and fusible',
    holds: (entry) => entry.what === 'cloth' && isUnseen(entry.kind)
  },
  { name: 'Thread', holds: ({ what }) => what === 'thread' },
  { name: 'Bobbins and needles', holds: ({ what }) => what === 'bobbin' || what === 'needle' },
  { name: 'Zips and notions', holds: ({ what }) => what === 'zip' || what === 'notion' }
];

/** What a line of the stash is, in a few words. */
export function kindWords(entry: StashEntry): string {
  if (entry.what === 'thread') return entry.spools === 1 ? 'one spool' : `${entry.spools} spools`;
  if (entry.what !== 'cloth')
    return [COUNTED_WORDS[entry.what], entry.size].filter((word) => word !== '').join(', ');
  return [
    KIND_WORDS[entry.kind],
    FORM_WORDS[entry.form],
    entry.direction === 'fixed'
      ? 'nap or one-way print'
      : entry.direction === 'either-way'
        ? 'not across'
        : '',
    entry.stitched.length > 0 ? 'part used' : '',
    !entry.prewashed && entry.shrinkage.along + entry.shrinkage.across > 0 ? 'not washed yet' : ''
  ]
    .filter((word) => word !== '')
    .join(', ');
}

/** How much is left, whether that is little, and what its price is for. */
export function leftOf(entry: StashEntry, unit: LengthUnit): { words: string; low: boolean; per: string } {
  if (entry.what === 'thread')
    return { words: formatThread(entry.metres, unit, true), low: entry.metres < 100, per: ' a spool' };
  if (entry.what !== 'cloth')
    return {
      words: `${entry.count}${entry.length === null ? '' : ` of ${formatLength(entry.length, unit)}`}`,
      low: entry.count === 0,
      per: ' each'
    };
  const long = entry.form === 'length' || entry.form === 'roll';
  if (entry.form === 'sheets')
    return { words: `${entry.count} × ${formatSize(entry, unit)}`, low: entry.count === 0, per: ' each' };
  return {
    words: long
      ? `${formatWidth(entry.width, unit)} wide, ${formatRoll(entry.height, unit)} left`
      : formatSize(entry, unit),
    low: long && entry.height < 250,
    per: unit === 'in' ? ' a yard' : ' a metre'
  };
}

export function blankCloth(id: string): ClothEntry {
  return {
    what: 'cloth',
    id,
    name: '',
    colour: '#8d2f35',
    place: '',
    price: null,
    note: '',
    kind: 'woven',
    form: 'length',
    width: 1100,
    height: 500,
    count: 1,
    stitched: [],
    alike: false,
    direction: 'any',
    prewashed: false,
    shrinkage: { along: 0, across: 0 }
  };
}

export function blankThread(id: string): ThreadEntry {
  return {
    what: 'thread',
    id,
    name: '',
    colour: '#b58a3c',
    place: '',
    price: null,
    note: '',
    spools: 1,
    metres: 1000
  };
}

export function blankCounted(id: string): CountedEntry {
  return {
    what: 'zip',
    id,
    name: '',
    colour: '#2c2a28',
    place: '',
    price: null,
    note: '',
    count: 1,
    length: 250,
    size: ''
  };
}
