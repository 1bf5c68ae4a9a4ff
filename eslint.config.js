import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import { corePackages, coreRooms, libRooms, roomsFor, screenPackages, serverPackages } from './rooms.js';
import lateReading from './scripts/lint/lateReading.js';
import swallowed from './scripts/lint/swallowed.js';
import svelteConfig from './svelte.config.js';

const escaped = (text) => text.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&');
const anyOf = (names) => names.map(escaped).join('|');

/** Refuses every import that does not match one of these patterns: what nobody listed is no door. */
const onlyFrom = (patterns, message) => ({
  'no-restricted-imports': [
    'error',
    { patterns: [{ regex: `^(?!(?:${patterns.filter(Boolean).join('|')})$)`, message }] }
  ]
});

/** A file of the same folder, a room by its index, a package or a part of it. */
const beside = '\\./[^/]+';
const roomIndex = (rooms) => rooms.length > 0 && `\\$lib/core/(?:${anyOf(rooms)})`;
const packageOf = (packages) => packages.length > 0 && `(?:${anyOf(packages)})(?:/.*)?`;

/** Clock, chance, network and page, by whatever door: the core takes them as arguments. */
const impure = [
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'The core does not read the clock: take the time as an argument.'
  },
  {
    selector: "CallExpression[callee.name='Date']",
    message: 'The core does not read the clock: take the time as an argument.'
  }
];
/** The clock and chance under another name, by a side door, or as words in the maker’s own time zone. */
const alias = 'The core reads neither clock nor chance, by whatever name: take the value as an argument.';
const aliased = [
  ...['Date', 'Math', 'Intl'].map((name) => ({
    selector: `VariableDeclarator[init.type='Identifier'][init.name='${name}']`,
    message: alias
  })),
  { selector: "VariableDeclarator[id.type='ObjectPattern'][init.name=/^(Date|Math)$/]", message: alias },
  {
    selector: "CallExpression[callee.object.name='Reflect'][arguments.0.name=/^(Date|Math)$/]",
    message: alias
  },
  {
    selector: 'CallExpression[callee.property.name=/^format(ToParts)?$/][arguments.length=0]',
    message: alias
  },
  {
    selector:
      'MemberExpression[property.name=/^(getTimezoneOffset|get(Hours|Minutes|Seconds|Date|Day|Month|FullYear)|toLocale(Date|Time)String)$/]',
    message: alias
  }
];
const dynamic = [
  { selector: 'ImportExpression', message: 'Import by name at the top, so that the arrows can be seen.' },
  {
    selector: 'TSImportType',
    message: 'Import the type by name at the top, so that the arrows can be seen.'
  },
  {
    selector: "CallExpression[callee.name='require']",
    message: 'Import by name at the top, so that the arrows can be seen.'
  },
  { selector: "MetaProperty[meta.name='import']", message: 'The core is the same wherever it runs.' }
];

/** One block a core room: which rooms and packages it may import. */
const coreBlocks = coreRooms.map((room) => ({
  files: [`src/lib/core/${room}/*.ts`],
  rules: onlyFrom(
    [beside, roomIndex(roomsFor(...room.split('/'))), packageOf(corePackages)],
    'This core room has no door to that: wings import downwards, rooms by their index, packages as rooms.js lists them.'
  )
}));

/** One block a room beside the core. */
const libBlocks = Object.entries(libRooms).map(([room, { rooms, packages }]) => ({
  files: [`src/lib/${room}/**/*.{ts,svelte}`],
  rules: onlyFrom(
    [
      beside,
      roomIndex(coreRooms),
      // Components have no index: each is a file of its own. Another room is reached by its index.
      room === 'ui' && '\\$lib/ui/.+',
      rooms.length > 0 && `\\$lib/(?:${anyOf(rooms)})`,
      packageOf(packages)
    ],
    'This room has no door to that: rooms beside the core are listed in rooms.js.'
  )
}));

/** Refuses every file: for folders that stand in no table. */
const unlisted = (files, ignores, message) => ({
  files,
  ignores,
  rules: { 'no-restricted-syntax': ['error', { selector: 'Program', message }] }
});

export default ts.config(
  { ignores: ['tmp/', 'build/', '.svelte-kit/', 'node_modules/', 'test-results/', 'static/', 'demo/'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...svelte.configs.recommended,
  {
    languageOptions: { globals: { ...globals.browser, ...globals.node } },
    linterOptions: { reportUnusedDisableDirectives: 'error', noInlineConfig: true },
    rules: {
      // TypeScript already knows which names exist.
      'no-undef': 'off',
      '@typescript-eslint/no-explicit-any': 'error',
      'max-lines': ['warn', { max: 300, skipBlankLines: true, skipComments: true }]
    }
  },
  {
    files: ['src/**/*.{ts,svelte}'],
    plugins: { 'jolt-step': { rules: { 'late-reading': lateReading, swallowed } } },
    rules: { 'jolt-step/swallowed': 'error' }
  },
  {
    files: ['src/**/*.svelte', 'src/**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig } },
    rules: {
      'jolt-step/late-reading': 'error',
      'svelte/no-at-html-tags': 'error',
      // The application is served from its own root, so plain paths are the readable choice.
      'svelte/no-navigation-without-resolve': 'off'
    }
  },
  {
    files: ['src/lib/core/**/*.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        ...['window', 'document', 'navigator', 'location', 'localStorage', 'sessionStorage', 'indexedDB'],
        ...['fetch', 'crypto', 'performance', 'setTimeout', 'setInterval', 'process', 'console'],
        ...['globalThis', 'self', 'global', 'queueMicrotask', 'requestAnimationFrame', 'XMLHttpRequest'],
        ...['WebSocket', 'EventSource', 'Worker', 'postMessage', 'eval', 'Function']
      ],
      'no-restricted-properties': [
        'error',
        {
          object: 'Date',
          property: 'now',
          message: 'The core does not read the clock: take the time as an argument.'
        },
        { object: 'Math', property: 'random', message: 'The core takes its chance from a seeded generator.' }
      ],
      'no-restricted-syntax': ['error', ...impure, ...aliased, ...dynamic]
    }
  },
  ...coreBlocks,
  ...libBlocks,
  {
    // Arrows that are not seen at the top of a file are no arrows of ours; a package may be fetched when it is wanted.
    files: ['src/**/*.{ts,svelte}'],
    ignores: ['src/lib/core/**', 'src/lib/server/start.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ImportExpression:not([source.value=/^[^.$]/])',
          message: 'Import by name at the top, so that the arrows can be seen.'
        },
        {
          selector: 'TSImportType:not([source.value=/^[^.$]/]):not([argument.literal.value=/^[^.$]/])',
          message: 'Import the type by name at the top, so that the arrows can be seen.'
        }
      ]
    }
  },
  {
    files: ['src/routes/**/*.{ts,svelte}', 'src/*.ts'],
    ignores: ['src/service-worker.ts'],
    rules: onlyFrom(
      [
        '(?:\\.{1,2}/)+(?!.*lib/).*',
        roomIndex(coreRooms),
        `\\$lib/(?:${anyOf(Object.keys(libRooms).filter((room) => !['ui', 'server'].includes(room)))}|ui/.+)`,
        packageOf(screenPackages)
      ],
      'A screen reaches a room by its index, and nothing behind it; the store and the server are not its own business.'
    )
  },
  {
    files: ['src/routes/**/+server.ts', 'src/hooks.server.ts', 'src/app.d.ts'],
    rules: onlyFrom(
      [
        '\\./\\$types',
        '(?:\\.\\./)+package\\.json',
        roomIndex(coreRooms),
        '\\$lib/server',
        packageOf(serverPackages)
      ],
      'A route of the server reaches the core and what the server shares, and no screen.'
    )
  },
  unlisted(
    ['src/lib/core/**/*.{js,mjs,cjs,mts,cts,svelte}'],
    [],
    'The core is TypeScript, in files the fence looks into.'
  ),
  unlisted(
    ['src/lib/core/**/*.ts'],
    coreRooms.map((room) => `src/lib/core/${room}/*.ts`),
    'This folder stands in no table: name its wing and room in rooms.js.'
  ),
  unlisted(
    ['src/lib/**/*.{ts,svelte}'],
    ['src/lib/core/**', ...Object.keys(libRooms).map((room) => `src/lib/${room}/**`)],
    'This folder stands in no table: name it in rooms.js.'
  )
);
