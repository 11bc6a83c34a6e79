import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

const inEdit = 'CallExpression[callee.property.name=/^(edit|editKept)$/] :function '
const ofDraft = ':matches([object.name="draft"], [object.object.name="draft"], [object.object.object.name="draft"])'
const draftsAreForEdits = [
  `${inEdit}AssignmentExpression[left.type="MemberExpression"]`,
  `${inEdit}UnaryExpression[operator="delete"]`,
  `${inEdit}CallExpression[callee.property.name=/^(push|splice|unshift|shift|pop|sort|reverse|fill|assign)$/]`,
  `AssignmentExpression > MemberExpression.left${ofDraft}`,
  `UnaryExpression[operator="delete"] > MemberExpression${ofDraft}`,
].map((selector) => ({ selector, message: 'Change documents by an edit in src/core/**/edits.' }))

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
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      // Layout is prettier's; a line that it breaks badly is one to write otherwise.
      'no-warning-comments': ['error', { terms: ['todo', 'fixme', 'xxx', 'prettier-ignore'], location: 'anywhere' }],
    },
  },
  // An edit of a document is a function of the core, named and tested there; a screen only asks for it.
  {
    files: ['src/**/*.{ts,vue}'],
    ignores: ['src/core/**/edits/**'],
    rules: {
      'no-restricted-syntax': ['error', ...draftsAreForEdits],
      'vue/no-restricted-syntax': ['error', ...draftsAreForEdits],
    },
  },
  // A job is a generator whether or not it has something to say on its way.
  { files: ['src/workers/jobs.ts'], rules: { 'require-yield': 'off' } },
  // Its exports are set from without.
  { files: ['src/kernel/**'], rules: { 'prefer-const': 'off' } },
  { files: ['tests/**'], rules: { 'max-lines-per-function': 'off', complexity: 'off' } },
  { files: ['**/*.{js,mjs,cjs}'], languageOptions: { globals: { ...globals.node } } },
]
