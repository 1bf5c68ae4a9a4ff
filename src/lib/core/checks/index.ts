import { colours } from './colours';
import { covering } from './covering';
import { faces } from './faces';
import type { Check, CheckContext, Finding } from './finding';
import { halts } from './halts';
import { holding } from './holding';
import { impossible } from './impossible';
import { order } from './order';
import { registration } from './registration';

export type { CheckContext, Finding } from './finding';

/** Every check, one file each. */
const CHECKS: readonly Check[] = [impossible, order, registration, faces, covering, holding, colours, halts];

/** Findings, and those the maker has answered with “meant so”. */
export interface CheckResult {
  open: Finding[];
  answered: { finding: Finding; reason: string }[];
}

const RANK = { stop: 0, warn: 1, note: 2 };

/**
 * Runs every check over an item as it is planned and simulated.
 *
 * @returns what is open, the gravest first, and what the maker has answered
 *
 * @example
 * runChecks({ item: badgerTab, plan, trace }).open // []
 */
export function runChecks(context: CheckContext): CheckResult {
  const result: CheckResult = { open: [], answered: [] };
  for (const finding of CHECKS.flatMap((check) => check(context))) {
    const answer = context.item.answers.find(
      ({ checkId, stepId }) => checkId === finding.checkId && (stepId ?? null) === finding.stepId
    );
    if (answer) result.answered.push({ finding, reason: answer.reason });
    else result.open.push(finding);
  }
  result.open.sort((a, b) => RANK[a.severity] - RANK[b.severity]);
  return result;
}
