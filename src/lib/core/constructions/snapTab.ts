import { z } from 'zod';
import { offsetPath, pathLength, shapePath } from '$lib/core/geometry';
import type { Piece } from '$lib/core/item';
import { roundTo } from '$lib/core/units';
import { material, sideMm, ThreadAnswer } from './answers';
import type { Construction } from './construction';
import { expectStop, runningPhase, type Pattern, type PatternEntry } from './pattern';

const Params = z.object({
  shape: z.enum(['tab', 'rounded', 'rectangle', 'oval']).default('tab'),
  width: sideMm(30, 15, 200),
  height: sideMm(94, 15, 400),
  outside: sideMm(3, 1, 15),
  closing: z.enum(['snap', 'eyelet']).default('snap'),
  front: material('vinyl', 'Vinyl', '#3d4a66'),
  back: material('felt', 'Felt', '#9aa78f'),
  outline: ThreadAnswer.default({ name: 'Signal white', colour: '#f4f1ea' }),
  details: z
    .array(ThreadAnswer)
    .max(30)
    .default([{ name: 'Ink black', colour: '#20242c' }])
});
type Params = z.output<typeof Params>;

const TAPE = { by: 'tape', strips: 4 } as const;
const HOOPING = 'hooping-1';

/** A tab with a front and a back, closed by a snap or carried by an eyelet, made in one hooping. */
export const snapTab: Construction<typeof Params> = {
  kind: 'snap-tab',
  name: 'Snap tab',
  summary: 'Front and back joined in the hoop, cut out, closed with a snap or hung from an eyelet.',
  params: Params,
  questions: [
    {
      key: 'shape',
      kind: 'choice',
      label: 'Shape',
      options: [
        { value: 'tab', label: 'Rounded ends' },
        { value: 'rounded', label: 'Rounded corners' },
        { value: 'rectangle', label: 'Square corners' },
        { value: 'oval', label: 'Oval' }
      ]
    },
    {
      key: 'width',
      kind: 'length',
      label: 'Stitched outline, width',
      help: 'the last outline, not the cut edge'
    },
    { key: 'height', kind: 'length', label: 'Stitched outline, height' },
    { key: 'outside', kind: 'length', label: 'Cut outside the outline' },
    {
      key: 'closing',
      kind: 'choice',
      label: 'Closes with',
      options: [
        { value: 'snap', label: 'One snap, two holes' },
        { value: 'eyelet', label: 'One eyelet and a ring' }
      ]
    },
    {
      key: 'front',
      kind: 'material',
      label: 'Front',
      kinds: [
        { value: 'vinyl', label: 'Vinyl' },
        { value: 'felt', label: 'Felt' }
      ]
    },
    {
      key: 'back',
      kind: 'material',
      label: 'Back',
      kinds: [
        { value: 'felt', label: 'Felt' },
        { value: 'vinyl', label: 'Vinyl' }
      ]
    },
    { key: 'outline', kind: 'thread', label: 'Outline thread', onlyWithoutChart: true },
    { key: 'details', kind: 'threads', label: 'Detail colours, in order', onlyWithoutChart: true }
  ],
  pattern
};

function pattern(params: Params): Pattern {
  const outline = shapePath(params.shape, params.width, params.height);
  const around = pathLength(outline);
  const cutEdge = offsetPath(outline, params.outside) ?? outline;
  const holes = params.closing === 'snap' ? 2 : 1;
  return {
    variant: {
      id: 'variant-1',
      name: 'As drawn',
      shape: params.shape,
      size: { width: params.width, height: params.height },
      finished: { width: params.width + 2 * params.outside, height: params.height + 2 * params.outside },
      edge: 'cut edge',
      overrides: {}
    },
    hoopings: [{ id: HOOPING, name: 'Hooping', hooped: ['stabiliser'], mounting: 1 }],
    lines: [
      { id: 'outline', name: 'Outline', frame: HOOPING, path: outline, gaps: [] },
      { id: 'cut-edge', name: 'Cut edge', frame: HOOPING, path: cutEdge, gaps: [] }
    ],
    pieces: pieces(params),
    expected: [
      expectStop({
        key: 'placement',
        name: 'Placement line',
        role: 'placement',
        words: /place|position|guide/,
        threadOf: 'outline',
        visible: 'hidden',
        lineIds: ['outline'],
        estimate: [runningPhase(around)]
      }),
      expectStop({
        key: 'tack-down',
        name: 'Tack-down',
        role: 'tack-down',
        words: /tack|fix/,
        threadOf: 'outline',
        visible: 'front',
        lineIds: ['outline'],
        estimate: [runningPhase(around)]
      }),
      expectStop({
        key: 'details',
        name: 'Details',
        one: 'Detail',
        role: 'decoration',
        alsoRoles: ['lettering', 'quilting', 'applique-edge', 'topstitch'],
        words: /detail|design|face|eye|letter|text/,
        repeats: true,
        optional: true,
        visible: 'front',
        estimate: [{ stitches: 1500, attended: false }]
      }),
      expectStop({
        key: 'outline',
        name: 'Outline',
        role: 'closing-seam',
        alsoRoles: ['topstitch', 'satin-edge'],
        words: /outline|final|closing|border|edge|perimeter/,
        visible: 'both',
        protected: true,
        lineIds: ['outline'],
        estimate: [runningPhase(around, 2)]
      }),
      expectStop({
        key: 'holes',
        name: holes === 1 ? 'Hole mark' : 'Hole marks',
        role: 'closure-mark',
        words: /hole|snap|eyelet|mark/,
        optional: true,
        sharesRowOf: 'outline',
        threadOf: 'outline',
        visible: 'both',
        estimate: [{ stitches: 20 * holes, length: 1.5, attended: false }]
      })
    ],
    entries: entries(params, holes, roundTo(params.outside, 3)),
    threads: { outline: [params.outline], details: params.details }
  };
}

function pieces(params: Params): Piece[] {
  const common = { plies: 1, shape: 'rough', grain: 'any', overrides: {} } as const;
  return [
    {
      ...common,
      id: 'stabiliser',
      name: 'STABILISER',
      material: { kind: 'tear-away', name: 'Tear-away', colour: '#efece4' },
      use: 'hooped',
      covers: null,
      shows: 'nothing'
    },
    {
      ...common,
      id: 'front',
      name: 'FRONT',
      material: params.front,
      use: 'applique',
      covers: 'outline',
      shows: 'front'
    },
    {
      ...common,
      id: 'back',
      name: 'BACK',
      material: params.back,
      use: 'backing',
      covers: 'outline',
      shows: 'back'
    }
  ];
}

function entries(params: Params, holes: number, outside: number): PatternEntry[] {
  return [
    { kind: 'hand', id: 'hoop', op: { do: 'hoop', pieceIds: ['stabiliser'], sticky: false } },
    { kind: 'hand', id: 'hoop-on', op: { do: 'hoop-on' }, needs: ['hoop'] },
    { kind: 'stop', key: 'placement', needs: ['hoop-on'] },
    {
      kind: 'hand',
      id: 'lay-front',
      op: { do: 'lay', pieceId: 'front', side: 'above', face: 'up', covers: 'outline', over: 12, hold: TAPE },
      needs: ['placement']
    },
    { kind: 'stop', key: 'tack-down', needs: ['lay-front'] },
    { kind: 'stop', key: 'details', needs: ['tack-down'] },
    { kind: 'hand', id: 'hoop-off', op: { do: 'hoop-off' } },
    { kind: 'hand', id: 'turn-over', op: { do: 'turn-over' }, needs: ['hoop-off'] },
    // Tails on the back are covered for good once the backing is stitched on.
    {
      kind: 'hand',
      id: 'snip-back',
      op: { do: 'snip', side: 'back', jumps: 3 },
      needs: ['turn-over', 'details']
    },
    {
      kind: 'hand',
      id: 'lay-back',
      op: {
        do: 'lay',
        pieceId: 'back',
        side: 'below',
        face: 'down',
        covers: 'outline',
        over: 20,
        hold: TAPE
      },
      needs: ['tack-down', 'turn-over']
    },
    { kind: 'hand', id: 'turn-back', op: { do: 'turn-over' }, needs: ['lay-back'] },
    { kind: 'hand', id: 'hoop-on-again', op: { do: 'hoop-on' }, needs: ['turn-back'] },
    { kind: 'stop', key: 'outline', needs: ['lay-back', 'hoop-on-again'] },
    { kind: 'stop', key: 'holes', needs: ['outline'] },
    { kind: 'hand', id: 'hoop-off-last', op: { do: 'hoop-off' }, needs: ['outline'] },
    { kind: 'hand', id: 'inspect', op: { do: 'inspect' }, needs: ['outline'] },
    { kind: 'hand', id: 'snip-both', op: { do: 'snip', side: 'both', jumps: 4 } },
    { kind: 'hand', id: 'unhoop', op: { do: 'unhoop' }, needs: ['inspect'] },
    { kind: 'hand', id: 'untape', op: { do: 'untape', strips: 8 } },
    { kind: 'hand', id: 'tear-away', op: { do: 'tear-away' }, needs: ['unhoop'] },
    {
      kind: 'hand',
      id: 'cut-out',
      op: { do: 'cut-out', lineId: 'outline', margin: outside },
      needs: ['unhoop']
    },
    { kind: 'hand', id: 'punch', op: { do: 'punch', holes }, needs: ['cut-out'] },
    {
      kind: 'hand',
      id: 'hardware',
      op: { do: 'hardware', kind: params.closing, count: 1 },
      needs: ['punch']
    },
    ...(params.closing === 'eyelet'
      ? [
          {
            kind: 'hand',
            id: 'ring',
            op: { do: 'hardware', kind: 'split-ring', count: 1 },
            needs: ['hardware']
          } satisfies PatternEntry
        ]
      : [])
  ];
}
