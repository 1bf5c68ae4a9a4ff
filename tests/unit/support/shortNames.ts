import { readFileSync } from 'node:fs';
import { type Pattern, renamedPattern } from '$lib/core/craft/sequence';
import { z } from 'zod';

const Names = z.record(z.string(), z.string());
const ByKind = z.record(z.string(), z.object({ steps: Names, pieces: Names, lines: Names }));

/**
 * What kept items call the steps, pieces and lines of constructions that are recipes of blocks today, by what blocks call them.
 * Tests call them so too: `lay-back` reads better than `back-lay`, and every test on one is a test on a kept item.
 */
const KEPT = ByKind.parse(JSON.parse(readFileSync(new URL('keptNames.json', import.meta.url), 'utf8')));

/** A pattern in the names of kept items. */
export function inShortNames(kind: string, pattern: Pattern): Pattern {
  const names = KEPT[kind];
  if (!names) return pattern;
  return renamedPattern(pattern, {
    step: (id) => names.steps[id] ?? id,
    piece: (id) => names.pieces[id] ?? id,
    line: (id) => names.lines[id] ?? id
  });
}
