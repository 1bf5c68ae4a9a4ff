import { InWords, messageOf as saidBy } from '$lib/core/base/problems';
import { opened, readCode, sealed, freshSecret, writtenCode } from '$lib/files';

/** A refusal of the server, in its words. */
class Refused extends InWords {}

/** Leaves a text with the server, encrypted, for ten minutes. @returns the code that opens it, and until when */
export async function leave(text: string): Promise<{ code: string; until: number }> {
  const secret = freshSecret();
  const answer = await fetch('/api/handover', {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: await sealed(text, secret)
  });
  if (!answer.ok) throw new Refused(await messageOf(answer));
  const { id, until } = (await answer.json()) as { id: string; until: number };
  return { code: writtenCode(id, secret), until };
}

/** Takes what another device left with the server; null where the code is none. */
export async function take(code: string): Promise<string | null> {
  const read = readCode(code);
  if (!read) return null;
  const answer = await fetch('/api/handover/take', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id: read.id })
  });
  if (!answer.ok) throw new Refused(await messageOf(answer));
  return opened(new Uint8Array(await answer.arrayBuffer()), read.secret);
}

async function messageOf(answer: Response): Promise<string> {
  try {
    const { error } = (await answer.json()) as { error?: { message?: string } };
    return error?.message ?? 'The server did not take it.';
  } catch (problem) {
    return `The server did not take it: ${saidBy(problem)}`;
  }
}
