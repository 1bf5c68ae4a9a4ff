import type { Material } from '$lib/core/documents/item';

/** Stabilisers and the like, as most makers buy them. */
export const MATERIALS = {
  tearAway: { kind: 'tear-away', name: 'Tear-away', colour: '#efece4' },
  cutaway: { kind: 'cutaway', name: 'Cutaway', colour: '#f3f0ea' },
  softMesh: { kind: 'soft-mesh', name: 'Soft mesh cutaway', colour: '#f5f3ee' },
  washAway: { kind: 'wash-away-mesh', name: 'Wash-away, cloth type', colour: '#e9eef0' },
  film: { kind: 'wash-away-film', name: 'Wash-away film', colour: '#dfe9ec' },
  sticky: { kind: 'sticky-wash-away', name: 'Sticky wash-away', colour: '#e6e9df' },
  web: { kind: 'fusible', name: 'Fusible web', colour: '#efe9da' },
  interfacing: { kind: 'interfacing', name: 'Soft interfacing', colour: '#f1eee6' },
  batting: { kind: 'batting', name: 'Batting', colour: '#f6f2e8' }
} as const satisfies Record<string, Material>;
