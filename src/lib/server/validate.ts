import type { z } from 'zod';
import { readBody, refuse } from './answers';

export type Checked<T> = { ok: true; value: T } | { ok: false; answer: Response };

/** Reads a JSON body and checks it by a schema: 400 and 413 as `readBody`, 422 with the field that is wrong. */
export async function readAs<S extends z.ZodType>(
  request: Request,
  schema: S
): Promise<Checked<z.output<S>>> {
  const body = await readBody(request);
  if (!body.ok) return body;
  const parsed = schema.safeParse(body.value);
  if (parsed.success) return { ok: true, value: parsed.data };
  const issue = parsed.error.issues[0];
  const path = issue?.path.join('.') ?? '';
  const message = `The field “${path || 'body'}” is wrong: ${issue?.message ?? 'it cannot be read'}.`;
  return { ok: false, answer: refuse(422, 'invalid', message, path) };
}
