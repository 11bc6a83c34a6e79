import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

export default [
  { ignores: ['dist/', 'dist-cli/', 'dist-bench/', 'coverage/', 'test-results/', 'playwright-report/', '.cache/'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  prettier,
  {
    files: ['**/*.{ts,vue}'],
    languageOptions: {
      parser: vueParser,
      parserOptions: { parser: ts.parser, extraFileExtensions: ['.vue'] },
      globals: { ...globals.browser },
    },
    rules: {
      'no-undef': 'off',
      'max-lines': ['error', { max: 400 }],
      'max-lines-per-function': ['error', { max: 80 }],
      complexity: ['error', 20],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      // Layout is prettier's; a line that it breaks badly is one to write otherwise.
      'no-warning-comments': ['error', { terms: ['todo', 'fixme', 'xxx', 'prettier-ignore'], location: 'anywhere' }],
    },
  },
  // Its exports are set from without.
  { files: ['src/kernel/**'], rules: { 'prefer-const': 'off' } },
  { files: ['tests/**'], rules: { 'max-lines-per-function': 'off', complexity: 'off' } },
  { files: ['**/*.{js,mjs,cjs}'], languageOptions: { globals: { ...globals.node } } },
]
