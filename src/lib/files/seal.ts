import { InWords } from '$lib/core/base/problems';
import { gunzipSync, gzipSync, strFromU8, strToU8 } from 'fflate';
import { LIMITS } from './limits';

/** Letters of a code: none is taken for another. */
const LETTERS = '23456789ABCDEFGHJKMNPQRSTUVWXYZ';
/** Letters of a secret: 49 bits, made slow to guess. */
const SECRET = 10;
const SALT = 16;
const IV = 12;
/** Rounds of PBKDF2, which make each guess cost about a tenth of a second. */
const ROUNDS = 250_000;

/** A text that cannot be sealed or opened, with a reason for the maker. */
class NotSealed extends InWords {}

/** Whether this page may encrypt: browsers allow it on this computer and over https only. */
export function canSeal(): boolean {
  return typeof crypto !== 'undefined' && 'subtle' in crypto;
}

/** A secret that is told to the other device and never to the server. */
export function freshSecret(): string {
  // 248 is eight times 31: above it a letter would come more often than others.
  const letters: string[] = [];
  while (letters.length < SECRET)
    for (const value of crypto.getRandomValues(new Uint8Array(SECRET)))
      if (value < 248 && letters.length < SECRET) letters.push(LETTERS.charAt(value % LETTERS.length));
  return letters.join('');
}

/**
 * A text made small and encrypted with a secret (AES-GCM, its key by PBKDF2): salt, starting value, and what is sealed.
 *
 * @throws NotSealed where it is too large to hand over
 */
export async function sealed(text: string, secret: string): Promise<Uint8Array<ArrayBuffer>> {
  const small = gzipSync(strToU8(text));
  if (small.length > LIMITS.handOver.bytes)
    throw new NotSealed('This is too much to go through the server. Hand it over as a file.');
  const salt = crypto.getRandomValues(new Uint8Array(SALT));
  const iv = crypto.getRandomValues(new Uint8Array(IV));
  const key = await keyOf(secret, salt);
  const bytes = new Uint8Array(
    await crypto.subtle.encrypt({ name: 'AES-GCM', iv }, key, new Uint8Array(small))
  );
  const made = new Uint8Array(SALT + IV + bytes.length);
  made.set(salt, 0);
  made.set(iv, SALT);
  made.set(bytes, SALT + IV);
  return made;
}

/**
 * The text again.
 *
 * @throws NotSealed where the secret is another one, or the bytes were changed on the way
 */
export async function opened(bytes: Uint8Array<ArrayBuffer>, secret: string): Promise<string> {
  const [salt, iv, rest] = [bytes.slice(0, SALT), bytes.slice(SALT, SALT + IV), bytes.slice(SALT + IV)];
  let small: ArrayBuffer;
  try {
    small = await crypto.subtle.decrypt({ name: 'AES-GCM', iv }, await keyOf(secret, salt), rest);
  } catch (problem) {
    throw new NotSealed(
      'The code does not open it: look at its letters again, and make a new one on the other device.',
      { cause: problem }
    );
  }
  const packed = new Uint8Array(small);
  // The last four bytes of a gzip file say how long it is unpacked.
  const length = new DataView(small).getUint32(small.byteLength - 4, true);
  if (length > LIMITS.handOver.unpacked)
    throw new NotSealed('What was handed over is too large to be unpacked.');
  return strFromU8(gunzipSync(packed, { out: new Uint8Array(length) }));
}

/** A code as it is typed, without blanks and dashes; null where it is none. */
export function readCode(text: string): { id: string; secret: string } | null {
  const letters = text.toUpperCase().replace(/[^0-9A-Z]/g, '');
  const known = [...letters].every((letter) => LETTERS.includes(letter));
  return known && letters.length === ID + SECRET
    ? { id: letters.slice(0, ID), secret: letters.slice(ID) }
    : null;
}

/** Letters by which the server knows what it holds. */
const ID = 5;

/** A code in groups of five, as it is read out. @example writtenCode('AB3CD', 'EFGHJKMNPQ') // 'AB3CD-EFGHJ-KMNPQ' */
export function writtenCode(id: string, secret: string): string {
  return [id, secret.slice(0, 5), secret.slice(5)].join('-');
}

async function keyOf(secret: string, salt: Uint8Array<ArrayBuffer>): Promise<CryptoKey> {
  const from = await crypto.subtle.importKey('raw', new TextEncoder().encode(secret), 'PBKDF2', false, [
    'deriveKey'
  ]);
  return crypto.subtle.deriveKey(
    { name: 'PBKDF2', hash: 'SHA-256', salt, iterations: ROUNDS },
    from,
    { name: 'AES-GCM', length: 256 },
    false,
    ['encrypt', 'decrypt']
  );
}
