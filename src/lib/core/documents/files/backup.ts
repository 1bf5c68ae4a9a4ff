import { z } from 'zod';
import { versioned, versionField, type VersionHistory, versionOf } from '$lib/core/documents/versions';
import { CutJob } from '$lib/core/documents/cutJob';
import { Item } from '$lib/core/documents/item';
import { Order } from '$lib/core/documents/order';
import { Run } from '$lib/core/documents/run';
import { Setup, Shop } from '$lib/core/documents/shop';
import { StashEntry } from '$lib/core/documents/stash';

/** Versions of a backup. */
export const BACKUP_HISTORY: VersionHistory = { kind: 'backup', lifts: [] };
export const BACKUP_VERSION = versionOf(BACKUP_HISTORY);

/** A photo as text, so that one file holds everything. */
export const PhotoText = z.object({
  id: z.string().min(1),
  runId: z.string().min(1),
  at: z.number().int().min(0),
  stepId: z.string().nullable(),
  name: z.string().max(300),
  type: z.string().max(100),
  base64: z.string()
});

/** A picture that items or cloths show, as text. */
export const PictureText = z.object({
  id: z.string().min(1).max(120),
  at: z.number().int().min(0),
  type: z.string().max(100),
  base64: z.string()
});

/** Everything a browser keeps, in one file. */
export const Backup = versioned(
  BACKUP_HISTORY,
  z.object({
    schema: z.literal('jolt-step/backup'),
    version: versionField(BACKUP_HISTORY),
    at: z.iso.datetime(),
    items: z.array(Item),
    setups: z.array(Setup),
    shop: Shop.nullable(),
    runs: z.array(Run),
    orders: z.array(Order).default([]),
    stash: z.array(StashEntry),
    cutJobs: z.array(CutJob),
    meta: z.array(z.object({ key: z.string().min(1), value: z.unknown() })),
    photos: z.array(PhotoText),
    pictures: z.array(PictureText).default([])
  })
);
export type Backup = z.infer<typeof Backup>;

/** A backup with nothing in it, to be filled. @example emptyBackup().items // [] */
export function emptyBackup(): Backup {
  return {
    schema: 'jolt-step/backup',
    version: BACKUP_VERSION,
    at: new Date(0).toISOString(),
    items: [],
    setups: [],
    shop: null,
    runs: [],
    orders: [],
    stash: [],
    cutJobs: [],
    meta: [],
    photos: [],
    pictures: []
  };
}
