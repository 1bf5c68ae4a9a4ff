import { z } from 'zod';
import { versioned, versionField, type VersionHistory, versionOf } from '$lib/core/documents/versions';
import { Block } from '$lib/core/documents/item';

/** Versions of a pattern of the maker’s own. */
export const PATTERN_HISTORY: VersionHistory = { kind: 'pattern', lifts: [] };
export const PATTERN_VERSION = versionOf(PATTERN_HISTORY);

/** How an item is built, kept so that others can be made like it: what was answered, and what is asked again. */
export const OwnPattern = versioned(
  PATTERN_HISTORY,
  z.object({
    schema: z.literal('jolt-step/pattern'),
    version: versionField(PATTERN_HISTORY),
    id: z.string().min(1).max(120),
    name: z.string().trim().min(1, 'give the pattern a name').max(80),
    summary: z.string().max(300).default(''),
    construction: z.string().min(1).max(60).describe('the construction its outline and parts are of'),
    params: z.record(z.string(), z.unknown()),
    blocks: z.array(Block).max(300),
    asks: z
      .array(z.string().min(1).max(140))
      .max(300)
      .describe('answers that stay open: `KEY` of the construction, or `BLOCK.KEY` of a block')
  })
);
export type OwnPattern = z.infer<typeof OwnPattern>;
