import type { Facts } from './facts';
import { type CauseRule, RULES } from './rules';
import type { Symptom } from './symptoms';

/** A cause with what speaks for it in this item and its run. */
export interface Cause {
  rule: CauseRule;
  weight: number;
  evidence: string;
}

/**
 * Causes of what is seen, the likeliest first: what was found in this item or its run before what is usual.
 *
 * @param facts of the item; null where only the symptom is known, then what is usual is told
 *
 * @example
 * causesOf('puckers', facts)[0]?.evidence // 'One layer lies under 24,000 stitches.'
 */
export function causesOf(symptom: Symptom, facts: Facts): Cause[] {
  return RULES.filter(({ symptoms }) => symptoms.includes(symptom))
    .flatMap((rule): Cause[] => {
      const weighed = rule.weigh(facts);
      return weighed ? [{ rule, ...weighed }] : [];
    })
    .sort((a, b) => b.weight - a.weight);
}
