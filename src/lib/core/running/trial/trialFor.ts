import { comparedName, isStabiliserKind, type Item, type Material } from '$lib/core/documents/item';
import type { Shop, Trial } from '$lib/core/documents/shop';

/** What to do about each tension, half a turn at a time as makers do. */
const TENSION_WORDS: Record<Trial['tension'], string | null> = {
  even: null,
  'bobbin-above':
    'the bobbin showed above: loosen the upper tension a little, or clean under the bobbin’s spring',
  'loops-above': 'loops lay above: tighten the upper tension a little',
  'loops-below': 'loops hung below: thread the top anew with the foot up, then tighten a little'
};

/**
 * The cloth that one sees of an item, which a test is stitched on; undefined where there is none.
 *
 * @example
 * trialCloth(tab)?.name // 'Buff vinyl'
 */
export function trialCloth({ pieces }: Pick<Item, 'pieces'>): Material | undefined {
  return seenCloths({ pieces })[0];
}

function seenCloths({ pieces }: Pick<Item, 'pieces'>): Material[] {
  return pieces
    .filter(({ shows, material }) => shows === 'front' && !isStabiliserKind(material.kind))
    .map(({ material }) => material);
}

/**
 * The newest test stitch that says something of an item: one for the item itself, else one on a cloth of its name, else on a
 * cloth of its kind.
 *
 * @example
 * trialFor({ trials: [onVinyl] }, vinylTab)?.tension // 'bobbin-above'
 */
export function trialFor({ trials = [] }: Pick<Shop, 'trials'>, item: Item): Trial | null {
  const seen = seenCloths(item);
  const names = new Set(seen.map(({ name }) => comparedName(name)));
  const kinds = new Set(seen.map(({ kind }) => kind));
  const newest = trials.toSorted((a, b) => (a.at < b.at ? 1 : -1));
  return (
    newest.find(({ itemId }) => itemId === item.id) ??
    newest.find(({ cloth, kind }) => kinds.has(kind) && names.has(comparedName(cloth))) ??
    newest.find(({ kind }) => kinds.has(kind)) ??
    null
  );
}

/**
 * What a test stitch has to say before the next start, a sentence each.
 *
 * @example
 * trialWords(onVinyl) // ['With Brass the bobbin showed above: loosen …', 'The edge held 1 mm over the cut.']
 */
export function trialWords({ thread, tension, spacing, overlap }: Trial): string[] {
  const said = TENSION_WORDS[tension];
  return [
    ...(said ? [`With ${thread} ${said}.`] : [`The tension was even with ${thread}.`]),
    ...(overlap === null ? [] : [`An edge held from ${overlap} mm over the cut edge.`]),
    ...(spacing === null ? [] : [`Rows ${spacing} mm apart covered the cloth.`])
  ];
}

/**
 * A shop that knows a test stitch, and cuts as exactly as it showed.
 *
 * @example
 * withTrial(shop, { ...trial, cut: 0.5 }).cutAccuracy // 0.5
 */
export function withTrial(shop: Shop, trial: Trial): Shop {
  const others = (shop.trials ?? []).filter(({ id }) => id !== trial.id);
  return {
    ...shop,
    trials: [...others, trial].slice(-MOST_TRIALS),
    ...(trial.cut !== null && { cutAccuracy: trial.cut })
  };
}

const MOST_TRIALS = 200;
