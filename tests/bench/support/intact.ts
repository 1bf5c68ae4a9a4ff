/** Every construction as it should be: its defaults, each answer changed by itself, on two machines. */
import { type AnyConstruction, CONSTRUCTIONS } from '$lib/core/craft/constructions';
import type { Pattern } from '$lib/core/craft/sequence';
import type { Item } from '$lib/core/documents/item';
import { defaultShop, type Setup, type Shop, smallestFit } from '$lib/core/documents/shop';
import { assemble } from '$lib/core/reading/matching';

const NOW = '2026-01-01T00:00:00.000Z';

/** A shop with a hoop for every item and a machine of each kind. */
export const benchShop: Shop = {
  ...defaultShop('bench'),
  machines: [
    {
      id: 'single',
      name: 'Single',
      needles: 1,
      heads: 1,
      setSpm: 500,
      maxSpm: 800,
      paceSpm: null,
      trimmer: false
    },
    {
      id: 'multi',
      name: 'Multi',
      needles: 6,
      heads: 1,
      setSpm: 800,
      maxSpm: 1000,
      paceSpm: null,
      trimmer: true
    }
  ],
  hoops: (
    [
      [100, 100],
      [130, 180],
      [200, 300],
      [360, 400]
    ] as const
  ).map(([width, height]) => ({
    id: `hoop-${width}`,
    name: `Hoop ${width}`,
    field: { width, height },
    ring: { width: width + 40, height: height + 45 },
    capSpm: null
  }))
};

export interface Case {
  what: string;
  kind: string;
  pattern: Pattern;
  item: Item;
  setup: Setup;
}

/** The answers of a construction: as they stand, and with one of them changed at a time. */
function answersOf({
  questions,
  defaults
}: AnyConstruction): [what: string, answers: Record<string, unknown>][] {
  const changed = questions.flatMap((question): [string, Record<string, unknown>][] => {
    const { key } = question;
    const own = defaults[key];
    const withValue = (value: unknown, say = String(value)): [string, Record<string, unknown>] => [
      `${key} ${say}`,
      { ...defaults, [key]: value }
    ];
    if (question.kind === 'choice' || question.kind === 'outline')
      return question.options.filter(({ value }) => value !== own).map(({ value }) => withValue(value));
    if (question.kind === 'material')
      return question.kinds
        .filter(({ value }) => value !== (own as { kind: string }).kind)
        .map(({ value }) => withValue({ ...(own as object), kind: value }, value));
    if (question.kind === 'length') return [1.1, 1.25].map((by) => withValue(Math.round(Number(own) * by)));
    if (question.kind === 'number')
      return [1, 2, 3].filter((count) => count !== own).map((count) => withValue(count));
    return [];
  });
  return [['as it stands', defaults], ...changed];
}

/** Every intact item there is; answers a construction refuses are left out. */
export function intactCases(): Case[] {
  return CONSTRUCTIONS.flatMap((construction) =>
    answersOf(construction).flatMap(([what, answers]): Case[] => {
      const made = construction.patternOf(answers);
      if (!made.ok) return [];
      const { pattern, params } = made;
      const item = assemble(pattern, {
        id: 'bench',
        name: construction.name,
        now: NOW,
        construction: construction.kind,
        params
      });
      const fit = smallestFit(benchShop.hoops, pattern.variant.size);
      return benchShop.machines.map(({ id }) => ({
        what: `${construction.name}, ${what}, ${id}`,
        kind: construction.kind,
        pattern,
        item,
        setup: {
          schema: 'jolt-step/setup',
          version: 1,
          itemId: item.id,
          variantId: pattern.variant.id,
          machineId: id,
          hoopId: fit?.hoop.id ?? 'hoop-360',
          ...(fit?.turned && { turned: true }),
          copies: 1,
          threads: {},
          bobbin: 'white',
          schools: {}
        }
      }));
    })
  );
}
