import { readdirSync } from 'node:fs'
import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'

// Stages do not know each other, nor the pages beside them; what several share knows none of them.
const source = new URL('./src/', import.meta.url)
const folders = (of) =>
  readdirSync(new URL(of, source), { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map((entry) => entry.name)
const stages = folders('stages/')
const pages = folders('./').filter((name) => !['shared', 'i18n', 'stages'].includes(name))
const forbid = (paths, message) => ({
  'no-restricted-imports': ['error', { patterns: paths.map((regex) => ({ regex, message })) }],
})
const into = (names) => `^(@/|(\\.\\./)+)(${names.join('|')})(/|$)`

export default ts.config(
  // Run at the root, over everything written in TypeScript and JavaScript.
  {
    ignores: [
      '**/dist/',
      '**/public/core/',
      '**/node_modules/',
      '**/bin/',
      '**/obj/',
      '**/test-results/',
      'web/src/shared/api/schema.d.ts',
      'web/src/components.d.ts',
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['web/**/*.{ts,vue}'],
    languageOptions: { globals: globals.browser, parserOptions: { parser: ts.parser } },
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      // The product may go by another time than this device: shared/state/clock knows it.
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
          message: 'Ask shared/state/clock.',
        },
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Ask shared/state/clock.' },
      ],
    },
  },
  ...stages.map((stage) => ({
    files: [`web/src/stages/${stage}/**`],
    rules: forbid(
      [into(stages.filter((other) => other !== stage).map((other) => `(stages/)?${other}`)), into(pages)],
      'A stage knows no other stage and no page beside them: what both need lies in shared.',
    ),
  })),
  {
    files: ['web/src/shared/**'],
    rules: forbid([into(['stages', ...pages])], 'What is shared knows neither stages nor pages.'),
  },
  { files: ['web/src/shared/state/clock.ts', '**/*.test.ts'], rules: { 'no-restricted-syntax': 'off' } },
  {
    files: ['{tests/e2e,tests/hard,bench,scripts}/**/*.{ts,mjs}', 'web/*.{js,ts}'],
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
  },
  prettier,
)
