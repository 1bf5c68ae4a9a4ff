/**
 * The rooms of the application and the doors between them. ESLint reads this table (eslint.config.js);
 * a test proves that a forbidden import is caught. Arrows point one way:
 * routes -> ui, data, files, workers -> core, and inside core from plan and run down to units.
 */

/** Rooms of src/lib/core, each with the core rooms it may import. */
export const coreRooms = {
  units: [],
  geometry: ['units'],
  item: ['units', 'geometry'],
  shop: ['units', 'item'],
  drawing: ['units', 'geometry'],
  stitch: ['units', 'geometry', 'item'],
  thread: ['units', 'item', 'shop'],
  intake: ['units', 'geometry', 'item', 'drawing', 'stitch', 'thread'],
  constructions: ['units', 'geometry', 'item', 'shop', 'stitch', 'intake'],
  time: ['units', 'geometry', 'item', 'shop', 'thread'],
  stash: ['units', 'geometry', 'item', 'shop'],
  strips: ['units'],
  cutting: ['units', 'geometry', 'item', 'shop'],
  sheet: ['units', 'geometry', 'item', 'shop', 'thread', 'time'],
  stack: ['units', 'geometry', 'item', 'stitch', 'sheet'],
  plan: [
    'units',
    'geometry',
    'item',
    'shop',
    'stitch',
    'intake',
    'thread',
    'time',
    'cutting',
    'sheet',
    'stack'
  ],
  checks: ['units', 'geometry', 'item', 'shop', 'stack', 'plan'],
  threadplan: ['units', 'geometry', 'item', 'shop', 'stash', 'stitch', 'thread', 'stack', 'plan', 'checks'],
  cutplan: ['units', 'geometry', 'item', 'shop', 'stash', 'strips', 'cutting', 'plan'],
  templates: ['units', 'geometry', 'item', 'cutting', 'plan'],
  hooping: ['units', 'geometry', 'item', 'shop', 'stitch'],
  machine: ['units', 'plan'],
  run: ['units', 'item', 'shop', 'time', 'cutting', 'thread', 'stack', 'plan', 'threadplan', 'machine'],
  batch: [
    'units',
    'geometry',
    'item',
    'shop',
    'stash',
    'thread',
    'time',
    'cutting',
    'plan',
    'cutplan',
    'threadplan',
    'hooping',
    'run'
  ],
  documents: ['units', 'item', 'shop', 'stash', 'plan', 'cutplan', 'run', 'batch']
};

/** Rooms of src/lib, each with the others it may import. Every room may import the core. */
export const libRooms = {
  data: [],
  ui: [],
  files: [],
  workers: ['files'],
  server: ['files']
};

/** Packages the core may use: pure computation, no page, no storage, no network. */
export const corePackages = [
  'zod',
  'papaparse',
  'culori',
  'clipper2-ts',
  'saxes',
  'svgpath',
  'maxrects-packer',
  'tinyqueue',
  'ml-matrix'
];
