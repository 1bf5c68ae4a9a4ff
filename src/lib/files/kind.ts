/** What a file is, told by its first bytes and not by its name. */
export type FileKind = 'pdf' | 'zip' | 'svg' | 'json' | 'text' | 'picture' | 'other';

const MAGIC: [kind: FileKind, bytes: readonly number[]][] = [
  ['pdf', [0x25, 0x50, 0x44, 0x46]],
  ['zip', [0x50, 0x4b, 0x03, 0x04]],
  ['zip', [0x50, 0x4b, 0x05, 0x06]],
  ['picture', [0x89, 0x50, 0x4e, 0x47]],
  ['picture', [0xff, 0xd8, 0xff]],
  ['picture', [0x47, 0x49, 0x46, 0x38]],
  ['picture', [0x52, 0x49, 0x46, 0x46]],
  ['picture', [0x42, 0x4d]]
];

/**
 * Tells what a file is.
 *
 * @example
 * kindOf(new TextEncoder().encode('%PDF-1.7')) // 'pdf'
 */
export function kindOf(bytes: Uint8Array): FileKind {
  const known = MAGIC.find(([, magic]) => magic.every((byte, at) => bytes[at] === byte));
  if (known) return known[0];
  const head = bytes.subarray(0, 4096);
  // Text holds no null byte; UTF-16 text does, and begins with its mark.
  const isUtf16 = (head[0] === 0xff && head[1] === 0xfe) || (head[0] === 0xfe && head[1] === 0xff);
  if (!isUtf16 && head.some((byte) => byte === 0 || (byte < 9 && byte > 0))) return 'other';
  const start = textOf(head).trimStart();
  if (/^(?:<\?xml[\s\S]*?\?>\s*)?(?:<!--[\s\S]*?-->\s*|<!DOCTYPE[^>]*>\s*)*<(?:svg:)?svg[\s>/]/i.test(start))
    return 'svg';
  return /^[{[]/.test(start) ? 'json' : 'text';
}

/** Text of a file: UTF-8, or UTF-16 where its mark says so. */
export function textOf(bytes: Uint8Array): string {
  const mark =
    bytes[0] === 0xff && bytes[1] === 0xfe
      ? 'utf-16le'
      : bytes[0] === 0xfe && bytes[1] === 0xff
        ? 'utf-16be'
        : 'utf-8';
  return new TextDecoder(mark).decode(bytes);
}
