import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import { corePackages, coreRooms, libRooms } from './rooms.js';
import svelteConfig from './svelte.config.js';

const corePattern = (room) => ({
  group: [`$lib/core/${room}`, `$lib/core/${room}/**`],
  message: 'This core room may not import that one: the arrows are in rooms.js.'
});
const insideOnly = {
  regex: '^\\$lib/core/[^/]+/.+',
  message: 'Import a room through its index: nobody reaches past it.'
};
const upward = {
  regex: '^(\\.\\./)+.*',
  message: 'Stay in your own folder; name another room by its $lib path.'
};

/** One block a core room: which rooms and packages it may import. */
const coreBlocks = Object.entries(coreRooms).map(([room, allowed]) => ({
  files: [`src/lib/core/${room}/**/*.ts`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          ...Object.keys(coreRooms)
            .filter((other) => !allowed.includes(other))
            .map(corePattern),
          insideOnly,
          upward,
          {
            regex: `^(?!\\./|\\$lib/core/|(${corePackages.join('|')})$)`,
            message: 'The core is pure: only its own rooms and the packages named in rooms.js.'
          }
        ]
      }
    ]
  }
}));

/** One block a room beside the core. */
const libBlocks = Object.entries(libRooms).map(([room, allowed]) => ({
  files: [`src/lib/${room}/**/*.{ts,svelte}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          insideOnly,
          ...Object.keys(libRooms)
            .filter((other) => other !== room && !allowed.includes(other))
            .map((other) => ({
              group: [`$lib/${other}`, `$lib/${other}/**`],
              message: 'These rooms stand side by side: the arrows are in rooms.js.'
            }))
        ]
      }
    ]
  }
}));

export default ts.config(
  { ignores: ['build/', '.svelte-kit/', 'node_modules/', 'test-results/', 'static/', 'demo/'] },
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
    files: ['**/*.svelte', '**/*.svelte.ts'],
    languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig } },
    rules: {
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
        ...['fetch', 'crypto', 'performance', 'setTimeout', 'setInterval', 'process', 'console']
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
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The core does not read the clock: take the time as an argument.'
        }
      ]
    }
  },
  ...coreBlocks,
  ...libBlocks
);
