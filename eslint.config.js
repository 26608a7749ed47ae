import js from '@eslint/js';
import { defineConfig } from 'eslint/config';
import tseslint from 'typescript-eslint';
import { noFolderCycles } from './scripts/lint/folderCycles.mjs';

const PURE = {
  regex: '^(node:|react|express|pg$|drizzle|yaml$|styled)',
  message: 'The core is pure: no interface, server or Node code.',
};

/** Forbids imports from the named folders; the patterns match relative paths at any depth. */
const mayNotImport = (folders, message, more = []) => ({
  'no-restricted-imports': [
    'error',
    {
      patterns: [
        ...(folders.length > 0
          ? [{ regex: `^(\\.\\.?/)+(${folders.join('|')})(/|$)`, message }]
          : []),
        ...more,
      ],
    },
  ],
});

/** The folders of src from the bottom up: each imports only what stands before it. */
const LAYERS = ['core', 'wording', 'contracts', 'application', 'server', 'web', 'cli'];
/** The same inside the core. */
const CORE = [
  'util',
  'schema',
  'timing',
  'language',
  'measures',
  'knowledge',
  'library',
  'diagnosis',
  'surveillance',
  'advice',
  'questions',
  'consult',
];
const above = (layers, layer) => layers.slice(layers.indexOf(layer) + 1);

/** Test helpers stand outside the layers; only tests use them. */
const TEST_HELPERS = { regex: '/test/[^/]+$', message: 'Only tests use test helpers.' };
const TESTS = ['**/*.test.ts', '**/*.test.tsx'];

const layerRules = [
  ...CORE.map((folder) => ({
    files: [`src/core/${folder}/**/*.ts`],
    rules: mayNotImport(
      [...above(LAYERS, 'core'), ...above(CORE, folder)],
      `core/${folder} imports only what is below it (see docs/architecture.md).`,
      [PURE, TEST_HELPERS],
    ),
  })),
  {
    files: ['src/contracts/**/*.ts'],
    rules: mayNotImport(above(LAYERS, 'contracts'), 'Contracts import only the core.', [
      TEST_HELPERS,
    ]),
  },
  {
    files: ['src/application/**/*.ts'],
    rules: mayNotImport(
      above(LAYERS, 'application'),
      'The application imports only the core and the contracts.',
      [TEST_HELPERS],
    ),
  },
  {
    files: ['src/server/**/*.ts'],
    rules: mayNotImport(['web', 'cli'], 'The server does not know the interface.', [TEST_HELPERS]),
  },
  {
    files: ['src/web/**/*.{ts,tsx}'],
    rules: mayNotImport(['server', 'cli'], 'The interface does not know the server.', [
      TEST_HELPERS,
    ]),
  },
  {
    files: ['src/cli/**/*.ts'],
    // Chaos drives the store of the pages without their screens.
    ignores: ['src/cli/chaos/**'],
    rules: mayNotImport(['web'], 'The command line does not know the interface.', [TEST_HELPERS]),
  },
].map((rule) => ({ ...rule, ignores: [...(rule.ignores ?? []), ...TESTS, 'src/test/**'] }));

/** Text in the markup of the interface; names of keys such as Alt have fewer small letters. */
const textsInCatalogs = {
  files: ['src/web/**/*.tsx'],
  rules: {
    'no-restricted-syntax': [
      'error',
      ...[
        'JSXText[value=/[a-z]{3}/]',
        'JSXAttribute[name.name=/^(aria-label|label|title|placeholder|name|note)$/] > Literal[value=/^[A-Z]/]',
      ].map((selector) => ({
        selector,
        message: 'Put the text into a catalog of src/web/texts and name it here.',
      })),
    ],
  },
};

export default defineConfig(
  { ignores: ['dist', '.data', 'node_modules', 'src/server/db/migrations', 'test-results'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.strictTypeChecked],
    // One program for the whole run; the project service keeps what only an editor needs.
    languageOptions: {
      parserOptions: { project: './tsconfig.json', tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
    },
  },
  {
    files: ['**/*.{js,mjs}'],
    languageOptions: {
      globals: {
        console: 'readonly',
        process: 'readonly',
        setTimeout: 'readonly',
        setInterval: 'readonly',
        clearInterval: 'readonly',
        URL: 'readonly',
        fetch: 'readonly',
        AbortSignal: 'readonly',
      },
    },
  },
  textsInCatalogs,
  {
    // Bodies of test responses have no type.
    files: ['src/server/**/*.test.ts'],
    rules: {
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'process', 'window', 'document', 'fetch', 'Buffer'],
      'no-restricted-syntax': [
        'error',
        {
          selector: "MemberExpression[object.name='Math'][property.name='random']",
          message: 'Randomness comes in as a seed.',
        },
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The clock comes in as an argument.',
        },
        {
          selector: "MemberExpression[object.name='Date'][property.name='now']",
          message: 'The clock comes in as an argument.',
        },
      ],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { sounding: { rules: { 'no-folder-cycles': noFolderCycles } } },
    rules: { 'sounding/no-folder-cycles': 'error' },
  },
  ...layerRules,
);
