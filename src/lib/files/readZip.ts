import { messageOf } from '$lib/core/base/problems';
import { unzipSync } from 'fflate';
import { LIMITS, sizeWords } from './limits';

export interface Entry {
  name: string;
  bytes: Uint8Array;
}
export type ZipReading =
  { ok: true; entries: Entry[]; left: { name: string; why: string }[] } | { ok: false; message: string };

/**
 * Opens a ZIP file: what is in it, as far as the limits allow.
 *
 * @example
 * readZip(zipOfTwoFiles) // { ok: true, entries: [{ name: 'chart.pdf', … }, …], left: [] }
 */
export function readZip(bytes: Uint8Array): ZipReading {
  const left: { name: string; why: string }[] = [];
  let unpacked = 0;
  let count = 0;
  try {
    const files = unzipSync(bytes, {
      filter: ({ name, originalSize, size, compression }) => {
        if (/^[/\\]|^[a-z]:|(?:^|[/\\])\.\.(?:[/\\]|$)/i.test(name)) {
          left.push({ name, why: 'its path leads out of the file' });
          return false;
        }
        if (name.endsWith('/') || /(?:^|\/)(?:\.|__MACOSX)/.test(name)) return false;
        count++;
        const why =
          count > LIMITS.zip.entries
            ? `only the first ${LIMITS.zip.entries} files are read`
            : unpacked + originalSize > LIMITS.zip.unpacked
              ? `unpacked it is more than ${sizeWords(LIMITS.zip.unpacked)}`
              : // A stored file is as large as it says; a packed one a thousandth at the least.
                (compression === 0 && originalSize !== size) || originalSize > size * 1100 + 1000
                ? 'its size is not what it says'
                : compression !== 0 && compression !== 8
                  ? 'it is packed in a way that is not read'
                  : null;
        if (why !== null) {
          left.push({ name, why });
          return false;
        }
        unpacked += originalSize;
        return true;
      }
    });
    const entries = Object.entries(files).map(([name, content]) => ({ name, bytes: content }));
    return { ok: true, entries, left };
  } catch (problem) {
    const why = messageOf(problem);
    return {
      ok: false,
      message: `This ZIP file is damaged and cannot be opened (${why}). Download it again.`
    };
  }
}
