import { z } from 'zod';
import { versioned, versionField, type VersionHistory, versionOf } from '$lib/core/documents/versions';
import { StashChange } from '$lib/core/documents/stash';
import { Strip } from './strip';

/** Versions of a cut job. */
export const CUT_JOB_HISTORY: VersionHistory = { kind: 'cut job', lifts: [] };
const CUT_JOB_VERSION = versionOf(CUT_JOB_HISTORY);

const Id = z.string().min(1).max(300);

/** A strip that stays where it is when the rest is planned anew. */
export const KeptStrip = z.object({ clothId: Id, along: z.boolean(), strip: Strip });
export type KeptStrip = z.infer<typeof KeptStrip>;

/** Pieces the maker has put on another cloth. */
const Choice = z.object({ key: Id, clothId: Id, count: z.number().int().min(1).max(10_000) });
type Choice = z.infer<typeof Choice>;

/** A strip that has been cut, with what that did to the stash. */
export const DoneCut = z.object({
  at: z.iso.datetime(),
  clothName: z.string(),
  kept: KeptStrip,
  changes: z.array(StashChange),
  moved: z
    .object({ from: Id, to: Id.nullable() })
    .nullable()
    .describe('a sheet that was begun and is an entry of its own since')
});
export type DoneCut = z.infer<typeof DoneCut>;

/** What is cut for one item, or for several together: the maker’s choices and what is done. The layout is computed. */
export const CutJob = versioned(
  CUT_JOB_HISTORY,
  z.object({
    schema: z.literal('jolt-step/cut-job'),
    version: versionField(CUT_JOB_HISTORY),
    id: Id.describe('the item it was begun for'),
    wants: z
      .array(z.object({ itemId: Id, copies: z.number().int().min(1).max(500) }))
      .min(1)
      .max(50),
    choices: z.array(Choice).max(2000).default([]),
    kept: z.array(KeptStrip).max(2000).default([]),
    done: z.array(DoneCut).max(2000).default([])
  })
);
export type CutJob = z.infer<typeof CutJob>;

/** A job nothing has been decided about. */
export function newCutJob(itemId: string, copies: number): CutJob {
  return {
    schema: 'jolt-step/cut-job',
    version: CUT_JOB_VERSION,
    id: itemId,
    wants: [{ itemId, copies }],
    choices: [],
    kept: [],
    done: []
  };
}
