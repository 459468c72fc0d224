import process from 'node:process'
import js from '@eslint/js'
import { createNodeResolver, importX } from 'eslint-plugin-import-x'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'
import { floors } from './core-floors.mjs'

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

const here = (path) => `${import.meta.dirname}/${path}`

/** Above core too nothing imports what imports it, types apart: those are gone when it runs. */
const noCircles = {
  files: ['{shared,server,app}/**/*.{ts,vue}'],
  ignores: ['**/*.test.ts'],
  plugins: { 'import-x': importX },
  settings: {
    'import-x/extensions': ['.ts', '.vue'],
    'import-x/parsers': { '@typescript-eslint/parser': ['.ts'], 'vue-eslint-parser': ['.vue'] },
    'import-x/resolver-next': [
      createNodeResolver({
        extensions: ['.ts', '.vue'],
        alias: { '#core': [here('core')], '#shared': [here('shared')], '~': [here('app')] },
      }),
    ],
  },
  rules: { 'import-x/no-cycle': ['error', { ignoreExternal: true }] },
}

/** Days and hours are the room's: what reads them off this machine's clock, or off a text in UTC, has no place elsewhere. */
const clocksApart = [
  {
    selector: 'CallExpression[callee.property.name="slice"][arguments.0.value=0][arguments.1.value=10]',
    message: 'A day is told by dayOf(at, zone), of core/time: the first ten letters of a moment are a day in UTC.',
  },
  {
    selector: 'NewExpression[callee.name="Date"]',
    message: 'Moments are made by core/time: instantAt, dayOf, minuteOfLocal; in words by app/format.',
  },
  {
    selector: 'MemberExpression[property.name=/^(toLocale(Date|Time)String|toDateString|toTimeString)$/]',
    message: 'Days and hours are written by app/format, by the room’s clock.',
  },
  {
    selector: 'MemberExpression[property.name=/^(get|set)(UTC)?(Hours|Minutes|Date|Day|Month|FullYear)$/]',
    message: 'Hours and days are asked of core/time, with the room’s zone.',
  },
  {
    selector: 'MemberExpression[object.name="Intl"][property.name="DateTimeFormat"]',
    message: 'Zones and formats stand in core/time and app/format.',
  },
]

const timeIsAType = {
  files: ['{core,shared,server,app,demo}/**/*.{ts,vue}'],
  ignores: ['core/time/**', 'app/format/**', '**/*.test.ts'],
  rules: {
    'no-restricted-syntax': ['error', ...clocksApart],
  },
}

/** Services ask by name: what the database is asked in SQL stands in `server/database`. */
const sqlApart = {
  files: ['server/{api,live,middleware,services}/**/*.ts'],
  ignores: ['**/*.test.ts'],
  rules: {
    'no-restricted-syntax': [
      'error',
      ...clocksApart,
      {
        selector:
          ':matches(TemplateElement[value.raw=/^\\s*(SELECT|INSERT|UPDATE|DELETE) /], Literal[value=/^(SELECT|INSERT|UPDATE|DELETE) /])',
        message: 'SQL stands in server/database: give the question a name in over-events.ts, or beside its table.',
      },
    ],
  },
}

/**
 * What only types can tell: a promise that nobody waits for, or that stands where nothing waits. A component's types are
 * worked out anew for each file, which takes three minutes for all: `npm run rules` does it, before a release.
 */
const typed = {
  files: [`{core,shared,server,app,demo}/**/*.${process.env.AMPLE_TALLY_RULES ? '{ts,vue}' : 'ts'}`],
  languageOptions: {
    parserOptions: {
      parser: ts.parser,
      project: ['.nuxt/tsconfig.app.json', '.nuxt/tsconfig.server.json', '.nuxt/tsconfig.shared.json'],
      tsconfigRootDir: import.meta.dirname,
      extraFileExtensions: ['.vue'],
    },
  },
  rules: {
    '@typescript-eslint/no-floating-promises': 'error',
    '@typescript-eslint/no-misused-promises': 'error',
    '@typescript-eslint/await-thenable': 'error',
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
  { files: ['scripts/**/*.mjs', 'packages/**/*.cjs'], rules: { 'no-undef': 'off' } },
  {
    rules: {
      'max-depth': ['error', 4],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  typed,
  coreFloors,
  noCircles,
  timeIsAType,
  only(['core/**/*.ts'], '#shared/*', '~/*', 'vue', 'nuxt', 'sequelize', '**/server/**', '**/app/**', '**/shared/**'),
  only(['shared/**/*.ts'], '~/*', 'vue', 'nuxt', 'sequelize', '**/server/**', '**/app/**'),
  only(['server/**/*.ts'], '~/*', 'vue', '**/app/**'),
  only(['app/**/*.{ts,vue}'], '**/server/**', 'sequelize'),
  sqlApart,
)
