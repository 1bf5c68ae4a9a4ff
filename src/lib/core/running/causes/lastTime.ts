import type { RunHead } from '$lib/core/documents/run';
import type { Facts } from './facts';
import { RULES } from './rules';
import { type Symptom, SYMPTOMS } from './symptoms';

/** What went wrong in a run and why, as the maker settled it. */
export type PastTrouble = Pick<RunHead, 'itemName' | 'trouble'> & { itemId?: string };

/** A cause must be at least this likely here to be told before it happens. */
const WORTH_SAYING = 0.6;

/**
 * What went wrong before and could go wrong here for the same reason, a sentence each, the newest first; each cause once.
 *
 * @param past runs whose cause was settled
 *
 * @example
 * saidOfLastTime(facts, [puckeredPatch]) // ['Badger patch: puckers round the stitching last time. Here too: one layer …']
 */
export function saidOfLastTime(facts: Facts, past: readonly PastTrouble[]): string[] {
  const told = new Set<string>();
  return past.flatMap(({ itemId, itemName, trouble = [] }) =>
    trouble.toReversed().flatMap(({ symptom, cause }): string[] => {
      const rule = RULES.find(({ id }) => id === cause);
      const weighed = rule?.weigh(facts);
      if (!rule || !weighed || weighed.weight < WORTH_SAYING || told.has(cause)) return [];
      told.add(cause);
      const what = isSymptom(symptom) ? SYMPTOMS[symptom].toLowerCase() : 'something went wrong';
      const whose = itemId === facts.item.id ? 'Last time' : `On ${itemName}`;
      return [`${whose}: ${what}. It could here too: ${lower(weighed.evidence)} ${rule.advice}`];
    })
  );
}

function isSymptom(text: string): text is Symptom {
  return text in SYMPTOMS;
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
