import { regionArea } from '$lib/core/base/geometry';
import type { Review } from '$lib/core/making/checks';
import { visibleThreads } from '$lib/core/craft/stack';

/** Findings about the bobbin, which is planned anew for every order. */
const ABOUT_BOBBINS = /^bobbin(-colour)?\//;

/** What a way of making an item comes to. */
interface Outcome {
  /** The finished stack, every seam with what it joins and where its thread shows, and what could not be done. */
  finished: string;
  /** What the checks say, step by step. */
  findings: ReadonlySet<string>;
}

function outcomeOf({ item, trace, checked }: Review): Outcome {
  const last = trace.at(-1)?.state;
  const seen = new Map((last ? visibleThreads(last) : []).map((each) => [each.stepId, each]));
  const layers = (last?.layers ?? []).map(({ pieceId, face, where, plies, outline, allowance }) => [
    pieceId,
    face,
    where,
    plies,
    Math.round(regionArea(outline)),
    Math.round(regionArea(allowance))
  ]);
  const seams = (last?.seams ?? []).map(({ stepId, layers: joined, faces, upper, under }) => {
    const { upper: front, bobbin: back } = seen.get(stepId) ?? { upper: null, bobbin: null };
    return JSON.stringify([stepId, joined, faces, upper, under, front, back]);
  });
  const problems = trace.flatMap(({ stepId, problem }) => (problem === null ? [] : [`${stepId} ${problem}`]));
  const open = checked.open.filter(({ code, severity }) => severity !== 'note' && !ABOUT_BOBBINS.test(code));
  return {
    finished: JSON.stringify([layers, seams.sort(), problems.sort(), item.pieces.length]),
    findings: new Set(open.map(({ code, stepId }) => `${code} ${stepId ?? ''}`))
  };
}

/**
 * Whether an item made in another order comes out the same: the same layers with the same faces, every seam through the
 * same layers and its thread seen in the same places, and nothing found that was not found before.
 */
export function comesOutTheSame(before: Review, after: Review): boolean {
  const [one, other] = [outcomeOf(before), outcomeOf(after)];
  return one.finished === other.finished && [...other.findings].every((finding) => one.findings.has(finding));
}
