import type { RawDocument } from '$lib/core/documents/versions';

/** Checks of version 1 that only ever said “stop”: an answer to one of them was an answer to that. */
const ONLY_STOPS = [
  ...['bare', 'covered', 'faces', 'field', 'film', 'holding', 'holes', 'iron', 'needle', 'opening'],
  ...['order', 'pins', 'registration', 'ring', 'slot', 'template', 'window', 'zip']
];

/**
 * Version 2: an answer named its check; now it names what of it (here every code of the check), and how grave that was. A
 * remark was a sentence; now it is a code with values.
 */
export function withCodes(item: RawDocument): RawDocument {
  return {
    ...item,
    answers: rows(item.answers).map(({ checkId, ...answer }) => ({
      ...answer,
      code: `${String(checkId)}/*`,
      severity: ONLY_STOPS.includes(String(checkId)) ? 'stop' : 'warn'
    })),
    remarks: rows(item.remarks).map(({ severity, stepId, text }) => ({
      code: 'chart/said',
      severity,
      stepId,
      values: { text }
    }))
  };
}

function rows(value: unknown): RawDocument[] {
  return Array.isArray(value) ? (value as RawDocument[]) : [];
}
