import { isGraver } from '$lib/core/craft/findings';
import { isAbout } from '$lib/core/documents/item';
import { bare } from './bare';
import { bobbin } from './bobbin';
import { bobbinColour } from './bobbinColour';
import { caught } from './caught';
import { colours } from './colours';
import { covered } from './covered';
import { covering } from './covering';
import { design } from './design';
import { offEdge } from './offEdge';
import { faces } from './faces';
import { field } from './field';
import { film } from './film';
import type { Check, CheckContext, Finding } from './finding';
import { frame } from './frame';
import { halts } from './halts';
import { hardParts } from './hardParts';
import { holding } from './holding';
import { holes } from './holes';
import { impossible } from './impossible';
import { iron } from './iron';
import { leftOut } from './leftOut';
import { looseEdge } from './looseEdge';
import { loosePart } from './loosePart';
import { mounting } from './mounting';
import { named } from './named';
import { needle } from './needle';
import { opening } from './opening';
import { order } from './order';
import { pile } from './pile';
import { pins } from './pins';
import { rawEdge } from './rawEdge';
import { reachable } from './reachable';
import { registration } from './registration';
import { ridge } from './ridge';
import { ring } from './ring';
import { sliding } from './sliding';
import { slot } from './slot';
import { stabiliser } from './stabiliser';
import { tapedFlip } from './tapedFlip';
import { template } from './template';
import { through } from './through';
import { together } from './together';
import { topping } from './topping';
import { underlay } from './underlay';
import { unhooped } from './unhooped';
import { neverTurned } from './neverTurned';
import { untacked } from './untacked';
import { upperTape } from './upperTape';
import { unbacked } from './unbacked';
import { uncutWindow } from './window';
import { zip } from './zip';

/** Every check, one file each. */
const CHECKS: readonly Check[] = [
  leftOut,
  impossible,
  order,
  unhooped,
  named,
  registration,
  field,
  mounting,
  ring,
  faces,
  opening,
  zip,
  covering,
  offEdge,
  design,
  covered,
  through,
  reachable,
  untacked,
  neverTurned,
  caught,
  holding,
  upperTape,
  sliding,
  tapedFlip,
  pins,
  hardParts,
  looseEdge,
  loosePart,
  holes,
  bare,
  slot,
  uncutWindow,
  stabiliser,
  rawEdge,
  ridge,
  pile,
  topping,
  underlay,
  film,
  unbacked,
  iron,
  template,
  needle,
  colours,
  bobbin,
  bobbinColour,
  halts,
  frame
];

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
  for (const finding of together(CHECKS.flatMap((check) => check(context)))) {
    const shownAt = [finding, ...(finding.also ?? []).map((stepId) => ({ ...finding, stepId }))];
    // An answer lapses when the finding is graver than what was answered.
    const answer = context.item.answers.find(
      (each) => shownAt.some((place) => isAbout(each, place)) && !isGraver(finding.severity, each.severity)
    );
    if (answer) result.answered.push({ finding, reason: answer.reason });
    else result.open.push(finding);
  }
  result.open.sort((a, b) => RANK[a.severity] - RANK[b.severity]);
  return result;
}
