import type { Check } from './finding';

/** Steps the hoop cannot follow: a flip with no seam, a cut in a piece that is gone, a stop with the hoop off. */
export const impossible: Check = ({ trace }) =>
  trace.flatMap(({ stepId, problem }) =>
    problem === null
      ? []
      : {
          checkId: 'impossible',
          severity: 'warn',
          stepId,
          text: problem,
          advice: 'Move the step, or put what it needs before it.'
        }
  );
