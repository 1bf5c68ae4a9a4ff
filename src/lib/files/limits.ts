const MIB = 1024 * 1024;

/** What each reader takes at most. What is larger is refused before it is read. */
export const LIMITS = {
  pdf: { bytes: 20 * MIB, pages: 40, unpacked: 120 * MIB },
  text: { bytes: 16 * MIB },
  svg: { bytes: 5 * MIB },
  json: { bytes: 8 * MIB },
  handOver: { bytes: 7 * MIB, unpacked: 128 * MIB },
  picture: { bytes: 30 * MIB },
  zip: { bytes: 40 * MIB, entries: 200, unpacked: 80 * MIB },
  /** A reader that takes longer than this is stopped, s. */
  seconds: 20
} as const;

/** A size for people. @example sizeWords(5 * 1024 * 1024) // '5 MiB' */
export function sizeWords(bytes: number): string {
  return bytes >= MIB ? `${Math.round((bytes / MIB) * 10) / 10} MiB` : `${Math.ceil(bytes / 1024)} KiB`;
}
