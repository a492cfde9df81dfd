import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'

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
  { files: ['web/src/shared/state/clock.ts', '**/*.test.ts'], rules: { 'no-restricted-syntax': 'off' } },
  {
    files: ['{tests/e2e,bench,scripts}/**/*.{ts,mjs}', 'web/*.{js,ts}'],
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
  },
  prettier,
)
