// @ts-check
import prettier from 'eslint-config-prettier'
import importX, { createNodeResolver } from 'eslint-plugin-import-x'
import withNuxt from './.nuxt/eslint.config.mjs'

/** core ← shared ← server, app: never the other way. */
const layer = (files, group, message, extra = []) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group, message }, ...extra] }] },
})
const outside = [
  'vue',
  'vue/*',
  'nuxt',
  'nuxt/*',
  'pinia',
  '#imports',
  '#app',
  '~/*',
  '@/*',
  'h3',
  'drizzle-orm',
  'drizzle-orm/*',
  'pg',
  'chart.js',
  'yup',
  'node:*',
  'fs',
  'path',
  'crypto',
]

export default withNuxt(
  { ignores: ['server/database/migrations/**', 'docs/**'] },
  layer(
    ['core/**/*.ts'],
    [...outside, '**/shared/**', '**/server/**', '**/app/**', '#shared/*', '#server/*'],
    'core imports only itself and kept maths packages.',
  ),
  {
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-globals': ['error', 'fetch', 'window', 'document', 'process', 'performance'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time comes in as an argument.' },
        { object: 'Math', property: 'random', message: 'Randomness comes in as a seeded generator.' },
      ],
    },
  },
  { files: ['core/statistics/**/*.ts'], rules: { '@typescript-eslint/triple-slash-reference': 'off' } },
  layer(
    ['shared/**/*.ts'],
    [...outside.filter((name) => name !== 'yup'), '**/server/**', '**/app/**', '#server/*'],
    'shared imports only core.',
  ),
  layer(['server/**/*.ts'], ['**/app/**', '~/*', '@/*', 'vue', 'pinia'], 'server imports core and shared.'),
  {
    files: ['server/**/*.ts'],
    ignores: ['server/**/repository/**', 'server/**/repository.ts', 'server/database/**'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['drizzle-orm', 'drizzle-orm/*', '**/database/schema', '**/database/schema/*'],
              allowTypeImports: true,
              message: 'SQL is spoken by repositories and migrations.',
            },
          ],
        },
      ],
    },
  },
  layer(
    ['app/**/*.ts', 'app/**/*.vue'],
    ['**/server/**', '#server/*', 'drizzle-orm', 'pg', 'node:*'],
    'app imports core and shared.',
  ),
  {
    files: ['**/*.ts', '**/*.mjs', '**/*.vue'],
    plugins: { 'import-x': importX },
    settings: {
      'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts', '.mjs', '.js', '.vue', '.json'] })],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts'], 'vue-eslint-parser': ['.vue'] },
    },
    rules: { 'import-x/no-cycle': ['error', { ignoreExternal: true }] },
  },
  prettier,
  {
    files: ['**/*.ts', '**/*.mjs', '**/*.vue'],
    ignores: ['test/**'],
    rules: {
      'max-lines': ['error', { max: 250 }],
      'max-lines-per-function': ['error', { max: 40, skipComments: true, IIFEs: true }],
      complexity: ['error', 12],
    },
  },
  {
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/attributes-order': 'off',
      'no-irregular-whitespace': ['error', { skipStrings: true, skipTemplates: true, skipRegExps: true }],
    },
  },
)
