import js from '@eslint/js';
import { defineConfig } from 'eslint/config';
import tseslint from 'typescript-eslint';

/** Forbids a layer to import the named folders; the pattern matches relative paths at any depth. */
const mayNotImport = (layers, reason) => ({
  'no-restricted-imports': [
    'error',
    {
      patterns: [
        { regex: `^(\\.\\.?/)+(${layers.join('|')})(/|$)`, message: reason },
        ...(reason.startsWith('The core')
          ? [
              {
                regex: '^(node:|react|express|pg$|drizzle|yaml$|styled)',
                message: 'The core is pure: no interface, server or Node code.',
              },
            ]
          : []),
      ],
    },
  ],
});

export default defineConfig(
  { ignores: ['dist', '.data', 'node_modules', 'src/server/db/migrations', 'test-results'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.strictTypeChecked],
    languageOptions: { parserOptions: { projectService: true } },
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
    rules: mayNotImport(
      ['contracts', 'server', 'web', 'cli'],
      'The core imports nothing above it.',
    ),
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
    files: ['src/contracts/**/*.ts'],
    rules: mayNotImport(['server', 'web', 'cli'], 'Contracts import only the core.'),
  },
  {
    files: ['src/server/**/*.ts'],
    rules: mayNotImport(['web', 'cli'], 'The server imports only the core and the contracts.'),
  },
  {
    files: ['src/web/**/*.{ts,tsx}'],
    rules: mayNotImport(
      ['server', 'cli'],
      'The interface imports only the core and the contracts.',
    ),
  },
  {
    files: ['src/cli/**/*.ts'],
    // Chaos drives the store of the pages without their screens.
    ignores: ['src/cli/chaos/**'],
    rules: mayNotImport(['web'], 'The command line does not import the interface.'),
  },
);
