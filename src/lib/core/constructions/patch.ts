import { z } from 'zod';
import { offsetPath, pathLength, shapePath } from '$lib/core/geometry';
import type { Piece } from '$lib/core/item';
import { material, sideMm, ThreadAnswer } from './answers';
import type { Construction } from './construction';
import { expectStop, type Pattern, type PatternEntry } from './pattern';

const Params = z.object({
  shape: z.enum(['oval', 'rounded', 'rectangle', 'tab']).default('oval'),
  width: sideMm(80, 15, 400),
  height: sideMm(80, 15, 400),
  borderWidth: sideMm(4, 2, 10),
  finish: z.enum(['sew-on', 'iron-on']).default('sew-on'),
  ground: material('felt', 'Wool felt', '#7c8a6a'),
  border: ThreadAnswer.default({ name: 'Ink black', colour: '#20242c' }),
  colours: z
    .array(ThreadAnswer)
    .max(30)
    .default([{ name: 'Lamp yellow', colour: '#e3b341' }])
});
type Params = z.output<typeof Params>;

const HOOPING = 'hooping-1';

/** Cut this far from the last stitch: close, and no thread touched. */
const CUT_CLOSE_MM = 1;
/** Cut this far out while the piece is only being freed from the rest. */
const CUT_ROUGH_MM = 15;
/** Distance between the stitches of a satin edge, mm, for an estimate. */
const SATIN_SPACING_MM = 0.4;

/** A patch stitched on hooped cloth in one hooping, then cut out: sewn on later, or ironed on. */
export const patch: Construction<typeof Params> = {
  kind: 'patch',
  name: 'Patch, one hooping',
  summary: 'Colours and border stitched on hooped felt or canvas, then cut out close. To sew on or iron on.',
  params: Params,
  questions: [
    {
      key: 'shape',
      kind: 'choice',
      label: 'Shape',
      options: [
        { value: 'oval', label: 'Circle or oval' },
        { value: 'rounded', label: 'Rounded corners' },
        { value: 'rectangle', label: 'Square corners' },
        { value: 'tab', label: 'Rounded ends' }
      ]
    },
    { key: 'width', kind: 'length', label: 'Outer edge of the border, width' },
    { key: 'height', kind: 'length', label: 'Outer edge of the border, height' },
    { key: 'borderWidth', kind: 'length', label: 'Width of the satin border' },
    {
      key: 'finish',
      kind: 'choice',
      label: 'Goes on',
      options: [
        { value: 'sew-on', label: 'Sewn on' },
        { value: 'iron-on', label: 'Ironed on' }
      ]
    },
    {
      key: 'ground',
      kind: 'material',
      label: 'Ground cloth',
      help: 'woven cloth and canvas fray, so their edge is sealed before cutting',
      kinds: [
        { value: 'felt', label: 'Felt' },
        { value: 'canvas', label: 'Canvas' },
        { value: 'woven', label: 'Woven cotton' }
      ]
    },
    { key: 'border', kind: 'thread', label: 'Border thread', onlyWithoutChart: true },
    { key: 'colours', kind: 'threads', label: 'Colours, in order', onlyWithoutChart: true }
  ],
  pattern
};

function pattern(params: Params): Pattern {
  const outline = shapePath(params.shape, params.width, params.height);
  // The needle travels along the middle of the border.
  const edge = offsetPath(outline, -params.borderWidth / 2) ?? outline;
  return {
    variant: {
      id: 'variant-1',
      name: 'As drawn',
      shape: params.shape,
      size: { width: params.width, height: params.height },
      finished: { width: params.width + 2 * CUT_CLOSE_MM, height: params.height + 2 * CUT_CLOSE_MM },
      edge: 'satin border',
      overrides: {}
    },
    hoopings: [{ id: HOOPING, name: 'Hooping', hooped: ['stabiliser', 'ground'], mounting: 1 }],
    lines: [
      { id: 'outline', name: 'Outer edge', frame: HOOPING, path: outline, gaps: [] },
      { id: 'border', name: 'Middle of the border', frame: HOOPING, path: edge, gaps: [] }
    ],
    pieces: pieces(params),
    expected: [
      expectStop({
        key: 'colours',
        name: 'Colours',
        one: 'Colour',
        role: 'decoration',
        alsoRoles: ['lettering', 'quilting', 'topstitch', 'applique-edge'],
        words: /colou?r|fill|design|letter|text/,
        repeats: true,
        visible: 'front',
        estimate: [{ stitches: 2500, attended: false }]
      }),
      expectStop({
        key: 'border',
        name: 'Border',
        role: 'satin-edge',
        alsoRoles: ['applique-edge', 'closing-seam'],
        words: /border|edge|satin|outline|rim/,
        visible: 'front',
        protected: true,
        lineIds: ['border'],
        estimate: [
          {
            stitches: Math.ceil(pathLength(edge) / SATIN_SPACING_MM),
            length: params.borderWidth,
            width: params.borderWidth,
            attended: false
          }
        ]
      })
    ],
    entries: entries(params),
    threads: { border: [params.border], colours: params.colours }
  };
}

function pieces(params: Params): Piece[] {
  const common = { plies: 1, shape: 'rough', grain: 'any', overrides: {}, covers: null } as const;
  const list: Piece[] = [
    {
      ...common,
      id: 'stabiliser',
      name: 'STABILISER',
      material: { kind: 'tear-away', name: 'Tear-away', colour: '#efece4' },
      use: 'hooped',
      shows: 'nothing'
    },
    { ...common, id: 'ground', name: 'GROUND', material: params.ground, use: 'hooped', shows: 'front' }
  ];
  if (params.finish === 'iron-on') {
    list.push({
      ...common,
      id: 'adhesive',
      name: 'ADHESIVE',
      material: { kind: 'heat-adhesive', name: 'Heat adhesive, strongest grade', colour: '#e6d9b8' },
      use: 'adhesive',
      covers: 'outline',
      shows: 'nothing'
    });
  }
  return list;
}

function entries(params: Params): PatternEntry[] {
  const frays = params.ground.kind !== 'felt';
  return [
    { kind: 'hand', id: 'hoop', op: { do: 'hoop', pieceIds: ['stabiliser', 'ground'], sticky: false } },
    { kind: 'hand', id: 'hoop-on', op: { do: 'hoop-on' }, needs: ['hoop'] },
    { kind: 'stop', key: 'colours', needs: ['hoop-on'] },
    { kind: 'stop', key: 'border', needs: ['hoop-on'] },
    { kind: 'hand', id: 'hoop-off', op: { do: 'hoop-off' } },
    { kind: 'hand', id: 'inspect', op: { do: 'inspect' }, needs: ['border'] },
    { kind: 'hand', id: 'unhoop', op: { do: 'unhoop' }, needs: ['inspect'] },
    { kind: 'hand', id: 'snip-both', op: { do: 'snip', side: 'both', jumps: 6 } },
    { kind: 'hand', id: 'tear-away', op: { do: 'tear-away' }, needs: ['unhoop'] },
    {
      kind: 'hand',
      id: 'cut-roughly',
      op: { do: 'cut-roughly', lineId: 'outline', margin: CUT_ROUGH_MM },
      needs: ['unhoop']
    },
    ...only(params.finish === 'iron-on', {
      kind: 'hand',
      id: 'heat-adhesive',
      op: { do: 'heat-adhesive', pieceId: 'adhesive' },
      needs: ['cut-roughly', 'tear-away']
    }),
    ...only(
      frays,
      {
        kind: 'hand',
        id: 'fray-fluid',
        op: { do: 'fray-fluid', lineId: 'outline' },
        needs: ['unhoop']
      },
      { kind: 'hand', id: 'wait-fray', op: { do: 'wait', why: 'fray-fluid' }, needs: ['fray-fluid'] }
    ),
    {
      kind: 'hand',
      id: 'cut-out',
      op: { do: 'cut-out', lineId: 'outline', margin: CUT_CLOSE_MM },
      needs: [
        'cut-roughly',
        ...(frays ? ['wait-fray'] : []),
        ...(params.finish === 'iron-on' ? ['heat-adhesive'] : [])
      ]
    }
  ];
}

function only(wanted: boolean, ...list: PatternEntry[]): PatternEntry[] {
  return wanted ? list : [];
}
