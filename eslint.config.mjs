import expo from 'eslint-config-expo/flat.js';
import prettier from 'eslint-config-prettier/flat';
import { defineConfig, globalIgnores } from 'eslint/config';
import globals from 'globals';
import { parser } from 'typescript-eslint';

const packages = ['core', 'contract', 'server', 'app', 'e2e'];

/** Imports point one way: app → contract → core, server → contract → core. */
const ONE_WAY = [
  { target: './core', from: ['./contract', './server', './app', './e2e'], message: 'The core knows nobody.' },
  {
    target: './contract',
    from: ['./server', './app', './e2e'],
    message: 'The contract knows the core alone.',
  },
  { target: './server', from: ['./app', './e2e'], message: 'The server knows contract and core.' },
  { target: './app', from: ['./server', './e2e'], message: 'The app knows contract and core.' },
];

export default defineConfig([
  globalIgnores([
    '**/dist*/',
    '**/node_modules/',
    '**/.expo/',
    'data/',
    '**/test-results/',
    'server/drizzle/',
  ]),
  expo,
  {
    settings: {
      'import/ignore': ['node_modules[\\/]+@?react-native', '@electric-sql'],
      'import/resolver': {
        typescript: { project: packages.map((d) => `${d}/tsconfig.json`), noWarnOnMultipleProjects: true },
      },
    },
  },
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: {
      parser,
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      'import/no-restricted-paths': ['error', { zones: ONE_WAY }],
      // what is imported is seen by the types, and that no imports go round in a circle by `npm run cycles`: to look through all of
      // it once more for each file takes most of the time
      'import/namespace': 'off',
      'import/no-unresolved': 'off',
      'import/no-named-as-default': 'off',
      'import/no-named-as-default-member': 'off',
    },
  },
  {
    // a package is used through the doors that its package.json names, and the core runs anywhere: no clock, no interface, no I/O
    files: ['**/*.{ts,tsx}'],
    rules: {
      'no-restricted-imports': ['error', { patterns: ['@gentle-burrow/*/src', '@gentle-burrow/*/src/*'] }],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['core/src/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: ['@gentle-burrow/*', 'react*', 'expo*', 'fastify*', 'drizzle*', 'node:*', 'fs', 'path'] },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'localStorage',
        'performance',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The moment is an argument.' },
        { object: 'Math', property: 'random', message: 'The seed is an argument.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The moment is an argument.',
        },
      ],
    },
  },
  {
    files: ['**/*.cjs', '**/*.config.js', '**/*.mjs', 'server/**/*.ts', 'scripts/**/*.ts', 'e2e/**/*.ts'],
    languageOptions: { globals: globals.node },
  },
  { files: ['**/*.test.{ts,tsx}'], languageOptions: { globals: globals.jest } },
  {
    // Playwright hands its fixtures to a function called "use", and wants an object pattern even where none is asked for
    files: ['e2e/**/*.ts'],
    rules: { 'react-hooks/rules-of-hooks': 'off', 'no-empty-pattern': 'off' },
  },
  prettier,
]);
