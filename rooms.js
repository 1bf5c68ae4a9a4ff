/**
 * The rooms of the application and the doors between them. ESLint reads this table (eslint.config.js) and refuses
 * whatever it does not list; tests/unit/rooms.test.ts proves that. Arrows point one way: routes -> ui, data, files,
 * workers -> core, and inside the core from a wing down to the wings below it.
 */

/**
 * The wings of src/lib/core from its foot to its top. A room may import every room of the wings below its own, and of its
 * own wing the rooms named here; a room may only name rooms that stand before it, so there is no circle.
 */
export const wings = {
  base: { problems: [], units: [], geometry: ['units'] },
  documents: {
    versions: [],
    changes: [],
    item: ['versions'],
    pattern: ['versions', 'item'],
    shop: ['versions', 'item', 'pattern'],
    stash: ['versions', 'item'],
    cutJob: ['versions', 'stash'],
    plan: ['versions', 'item', 'shop'],
    run: ['versions', 'item', 'plan', 'shop'],
    order: ['versions', 'shop', 'run'],
    files: ['versions', 'changes', 'item', 'pattern', 'shop', 'stash', 'cutJob', 'plan', 'run', 'order']
  },
  solvers: {
    strips: [],
    stopOrder: [],
    needles: [],
    bobbins: [],
    nesting: [],
    schedule: [],
    regression: []
  },
  stitching: { stitches: [], thread: [] },
  craft: {
    findings: [],
    operations: [],
    sizes: [],
    stack: ['operations'],
    sequence: ['operations', 'sizes', 'stack'],
    blocks: ['operations', 'stack', 'sequence'],
    constructions: ['sequence', 'blocks']
  },
  reading: {
    drawings: [],
    pages: [],
    grids: ['pages'],
    evidence: [],
    sheets: ['pages', 'evidence'],
    papers: ['drawings', 'pages', 'grids', 'evidence', 'sheets'],
    matching: ['evidence', 'papers']
  },
  making: {
    time: [],
    plan: ['time'],
    checks: ['plan'],
    interpret: ['checks'],
    appearance: [],
    why: [],
    summary: ['checks', 'appearance']
  },
  preparing: {
    stash: [],
    threads: ['stash'],
    cutting: ['stash', 'threads'],
    templates: [],
    colourways: ['stash', 'threads']
  },
  running: {
    standIn: [],
    runs: ['standIn'],
    learning: ['runs'],
    drills: ['runs', 'standIn'],
    causes: [],
    trial: []
  },
  ordering: {
    copies: [],
    hoopings: ['copies'],
    day: ['copies', 'hoopings'],
    quote: ['hoopings', 'day'],
    promise: ['day'],
    week: ['day', 'quote', 'promise'],
    after: ['copies', 'day', 'hoopings']
  }
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
  'ml-matrix',
  'ts-fsrs'
];

/** Packages a screen may use; the database, workers and files are reached through their rooms. */
export const screenPackages = [
  'svelte',
  '$app',
  '$env',
  '@lucide/svelte',
  'bits-ui',
  'svelte-sonner',
  'svelte-dnd-action',
  'date-fns',
  'zod',
  'virtual:pwa-register',
  'vite-plugin-pwa'
];
/** Packages a route of the server may use. */
export const serverPackages = ['@sveltejs/kit', '$app', '$env', 'zod', 'node:http', 'vite-plugin-pwa'];

/** Rooms of src/lib beside the core: the other rooms, and the packages, each may import. Every one may import the core. */
export const libRooms = {
  data: { rooms: [], packages: ['dexie', 'date-fns'] },
  files: { rooms: [], packages: ['fflate', 'ics', 'papaparse', 'pdf-lib', '@pdf-lib/fontkit', 'pdfjs-dist'] },
  ui: {
    rooms: [],
    packages: ['svelte', '$app', '@lucide/svelte', 'bits-ui', 'chart.js', 'culori', 'uqr']
  },
  workers: { rooms: ['files', 'data'], packages: ['comlink', '@fontsource/atkinson-hyperlegible-next'] },
  server: {
    rooms: ['files'],
    packages: [
      '@sveltejs/kit',
      'node:crypto',
      'node:fs',
      'node:http',
      'node:os',
      'node:path',
      'node:url',
      'node:worker_threads',
      'zod'
    ]
  }
};

/** The wings below one, lowest first. */
const below = (wing) => Object.keys(wings).slice(0, Object.keys(wings).indexOf(wing));

/**
 * The core rooms that a core room may import, as `wing/room`.
 *
 * @example
 * roomsFor('base', 'geometry') // ['base/units']
 */
export function roomsFor(wing, room) {
  return [
    ...below(wing).flatMap((lower) => Object.keys(wings[lower]).map((each) => `${lower}/${each}`)),
    ...wings[wing][room].map((each) => `${wing}/${each}`)
  ];
}

/** Every core room as `wing/room`. */
export const coreRooms = Object.entries(wings).flatMap(([wing, rooms]) =>
  Object.keys(rooms).map((room) => `${wing}/${room}`)
);
