import js from '@eslint/js'
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
  only(['core/**/*.ts'], '#shared/*', '~/*', 'vue', 'nuxt', 'sequelize', '**/server/**', '**/app/**', '**/shared/**'),
  only(['shared/**/*.ts'], '~/*', 'vue', 'nuxt', 'sequelize', '**/server/**', '**/app/**'),
  only(['server/**/*.ts'], '~/*', 'vue', '**/app/**'),
  only(['app/**/*.{ts,vue}'], '**/server/**', 'sequelize'),
)
