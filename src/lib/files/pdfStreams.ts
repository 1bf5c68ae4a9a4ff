import { Unzlib } from 'fflate';

const encoder = new TextEncoder();
const BEGIN = encoder.encode('stream');
const END = encoder.encode('endstream');
/** Bytes unpacked at a time, so that it ends soon after it is too much. */
const PIECE = 16 * 1024;

/**
 * Whether the packed parts of a PDF unpack to more than may be held: a file of some kilobytes can hold hundreds of megabytes of
 * nothing. Parts that are not packed, or not so that they can be unpacked here, count as they are.
 *
 * @param most bytes of all parts together
 */
export function unpacksTooMuch(bytes: Uint8Array, most: number): boolean {
  let unpacked = 0;
  let at = find(bytes, BEGIN, 0);
  while (at >= 0) {
    let from = at + BEGIN.length;
    if (bytes[from] === 13) from++;
    if (bytes[from] === 10) from++;
    const end = find(bytes, END, from);
    const until = end < 0 ? bytes.length : end;
    unpacked += unpackedSize(bytes.subarray(from, until), most - unpacked);
    if (unpacked > most) return true;
    at = end < 0 ? -1 : find(bytes, BEGIN, end + END.length);
  }
  return false;
}

/** How much a part unpacks to, as far as it matters, bytes. */
function unpackedSize(part: Uint8Array, most: number): number {
  let size = 0;
  const packed = new Unzlib((piece) => (size += piece.length));
  try {
    for (let at = 0; at < part.length && size <= most; at += PIECE)
      packed.push(part.subarray(at, at + PIECE), at + PIECE >= part.length);
  } catch (problem) {
    // What is no packed part is as large as it lies there; the library says so by a code.
    if (!(problem instanceof Error) || !('code' in problem)) throw problem;
    return Math.max(size, part.length);
  }
  return size;
}

function find(bytes: Uint8Array, word: Uint8Array, from: number): number {
  const [first = 0] = word;
  for (let at = bytes.indexOf(first, from); at >= 0; at = bytes.indexOf(first, at + 1))
    if (word.every((byte, index) => bytes[at + index] === byte)) return at;
  return -1;
}
