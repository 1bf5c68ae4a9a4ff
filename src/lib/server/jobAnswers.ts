import { messageOf } from '$lib/core/base/problems';
import type { JobAnswer } from './jobs';

/** An answer of a job. */
export const answered = (value: unknown): JobAnswer => ({ status: 200, body: JSON.stringify(value) });

/** An error as every route answers it. */
export function refused(status: number, code: string, message: string, path = ''): JobAnswer {
  return { status, body: JSON.stringify({ error: { code, message, path } }) };
}

/** The path of a field inside a part of the body. @example under('items.0', 'name') // 'items.0.name' */
export const under = (part: string, path: string): string => (path === '' ? part : `${part}.${path}`);

export type Read<T> = { ok: true; value: T } | { ok: false; answer: JobAnswer };

const AN_OBJECT = 'Send a JSON object, for instance { "item": … }.';

/** A JSON object from the bytes of a body; 400 for anything else. */
export function objectOf(bytes: Uint8Array): Read<Record<string, unknown>> {
  const notJson = (why: string): Read<never> => ({
    ok: false,
    answer: refused(400, 'not-json', `${AN_OBJECT} ${why}`)
  });
  try {
    const value: unknown = JSON.parse(new TextDecoder().decode(bytes));
    return typeof value === 'object' && value !== null && !Array.isArray(value)
      ? { ok: true, value: value as Record<string, unknown> }
      : notJson('This is JSON, but no object.');
  } catch (problem) {
    return notJson(`${messageOf(problem)}.`);
  }
}
