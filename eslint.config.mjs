import js from '@eslint/js'
import { createNodeResolver, importX } from 'eslint-plugin-import-x'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

/** Imports run one way: core ← shared ← server, and core ← shared ← app. */
const only = (files, ...banned) => ({
  files,
  rules: {
    'no-restricted-imports': [
      'error',
      { patterns: [{ group: banned, message: 'Imports run core ← shared ← server and core ← shared ← app.' }] },
    ],
  },
})

/** The floors of core, from the ground up: a room imports from floors below its own, never from its neighbours. */
const floors = [
  ['time', 'units', 'drawing', 'print', 'timetable'],
  ['ground'],
  ['paper', 'block', 'ink', 'plan', 'register', 'cost', 'press', 'finish'],
  ['finder', 'care'],
  ['stores'],
  ['edition'],
  ['run', 'station', 'course', 'account'],
  ['calendar'],
  ['schedule'],
  ['charges', 'office'],
  ['house'],
]

const zones = floors.flatMap((rooms, i) =>
  rooms.map((room) => ({
    target: `./core/${room}`,
    from: floors.slice(i).flatMap((above) => above.filter((other) => other !== room).map((other) => `./core/${other}`)),
    message: 'Rooms of core import from the floors below them only: see docs/house.md.',
  })),
)

const actsApart = {
  target: './core/**/acts/*',
  from: './core/**/acts/*',
  message: 'Acts never import acts: what two share is an event, or a plain file beside the folder.',
}

const coreFloors = {
  files: ['core/**/*.ts'],
  ignores: ['**/*.test.ts'],
  plugins: { 'import-x': importX },
  settings: {
    'import-x/extensions': ['.ts'],
    'import-x/parsers': { '@typescript-eslint/parser': ['.ts'] },
    'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts'] })],
  },
  rules: {
    'import-x/no-cycle': 'error',
    'import-x/no-restricted-paths': ['error', { zones: [...zones.filter((zone) => zone.from.length > 0), actsApart] }],
  },
}

export default ts.config(
  {
    ignores: [
      '.nuxt/**',
      '.output/**',
      '.cache/**',
      'node_modules/**',
      'test-results/**',
      'playwright-report/**',
      'server/assets/**',
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/essential'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser } },
    rules: { 'vue/multi-word-component-names': 'off' },
  },
  { files: ['**/*.{ts,vue}'], rules: { 'no-undef': 'off' } },
  // Node's scripts, one of which also hands functions to a page.
  { files: ['scripts/**/*.mjs'], rules: { 'no-undef': 'off' } },
  { rules: { 'max-depth': ['error', 4], '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }] } },
  coreFloors,
  only(['core/**/*.ts'], '#shared/*', '~/*', 'vue', 'nuxt', 'sequelize', '**/server/**', '**/app/**', '**/shared/**'),
  only(['shared/**/*.ts'], '~/*', 'vue', 'nuxt', 'sequelize', '**/server/**', '**/app/**'),
  only(['server/**/*.ts'], '~/*', 'vue', '**/app/**'),
  only(['app/**/*.{ts,vue}'], '**/server/**', 'sequelize'),
)
