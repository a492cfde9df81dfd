import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'

export default ts.config(
  { ignores: ['dist/', 'public/core/', 'node_modules/', 'src/shared/api/schema.d.ts', 'src/components.d.ts'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.{ts,vue}'],
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
  { files: ['src/shared/state/clock.ts', '**/*.test.ts'], rules: { 'no-restricted-syntax': 'off' } },
  prettier,
)
