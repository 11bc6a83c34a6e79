import js from '@eslint/js'
import words from '@intlify/eslint-plugin-vue-i18n'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

/** Sources are linted with their types; tests, scripts and the bench without, because they would take as long again. */
const TYPED = ['src/**/*.{ts,vue}']

/** What of an element a reader sees or hears. */
const SAID = ['title', 'data-tip', 'aria-label', 'aria-valuetext', 'label', 'placeholder', 'hint', 'text', 'who']

const inEdit = 'CallExpression[callee.property.name=/^(edit|editKept)$/] :function '
const ofDraft = ':matches([object.name="draft"], [object.object.name="draft"], [object.object.object.name="draft"])'
const draftsAreForEdits = [
  `${inEdit}AssignmentExpression[left.type="MemberExpression"]`,
  `${inEdit}UnaryExpression[operator="delete"]`,
  `${inEdit}CallExpression[callee.property.name=/^(push|splice|unshift|shift|pop|sort|reverse|fill|assign)$/]`,
  `AssignmentExpression > MemberExpression.left${ofDraft}`,
  `UnaryExpression[operator="delete"] > MemberExpression${ofDraft}`,
].map((selector) => ({ selector, message: 'Change documents by an edit in src/core/**/edits.' }))

const told = 'CallExpression[callee.property.name=/^(edit|editKept|tell)$/] > '
const labelsAreWords = [
  `${told}Literal:first-child[value=/[A-Za-z]{2}/]`,
  `${told}TemplateLiteral:first-child > TemplateElement[value.raw=/[A-Za-z]{2}/]`,
].map((selector) => ({ selector, message: 'Say it with t(), from src/words.' }))

export default [
  { ignores: ['dist/', 'dist-cli/', 'dist-bench/', 'coverage/', 'test-results/', 'playwright-report/', '.cache/'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...ts.configs.strictTypeChecked.map((config) => ({ ...config, files: TYPED })),
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
      'max-len': [
        'error',
        {
          ...{ code: 120, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreUrls: true },
          ...{ ignoreRegExpLiterals: true, ignorePattern: '^import |^export const BINARY' },
        },
      ],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      // Layout is prettier's; a line that it breaks badly is one to write otherwise.
      'no-warning-comments': ['error', { terms: ['todo', 'fixme', 'xxx', 'prettier-ignore'], location: 'anywhere' }],
    },
  },
  {
    files: TYPED,
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      // Records are classes for their decorators only: what is read from JSON, spread and edited are plain objects.
      '@typescript-eslint/no-misused-spread': 'off',
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      // Maps by id are plain objects, because files are.
      '@typescript-eslint/no-dynamic-delete': 'off',
      '@typescript-eslint/no-confusing-void-expression': [
        'error',
        { ignoreArrowShorthand: true, ignoreVoidOperator: true, ignoreVoidReturningFunctions: true },
      ],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      // A method of a type may be taken out of its object only where it is said to be a plain function.
      '@typescript-eslint/method-signature-style': ['error', 'property'],
      // `void` says that a promise, or a value, is not waited for.
      '@typescript-eslint/no-meaningless-void-operator': 'off',
    },
  },
  // An edit of a document is a function of the core, named and tested there; a screen only asks for it.
  {
    files: ['src/**/*.{ts,vue}'],
    ignores: ['src/core/**/edits/**'],
    rules: {
      'no-restricted-syntax': ['error', ...draftsAreForEdits, ...labelsAreWords],
      'vue/no-restricted-syntax': ['error', ...draftsAreForEdits, ...labelsAreWords],
    },
  },
  // What comes out of a .vue file has no type for the linter; vue-tsc checks those.
  {
    files: ['**/*.vue', 'src/app/main.ts'],
    rules: Object.fromEntries(
      ['argument', 'assignment', 'call', 'member-access', 'return'].map((use) => [
        `@typescript-eslint/no-unsafe-${use}`,
        'off',
      ]),
    ),
  },
  // What the interface says is in src/words, one file a language; keys are checked by their types.
  {
    files: ['src/**/*.vue'],
    plugins: { '@intlify/vue-i18n': words },
    rules: {
      '@intlify/vue-i18n/no-raw-text': [
        'error',
        { attributes: { '/.+/': SAID }, ignorePattern: '^[^A-Za-z]*$', ignoreText: ['Ataque', 'N', 'P', 's'] },
      ],
    },
  },
  // Rows of indices: what stands there is known, and is read millions of times.
  { files: ['src/core/{game,solve}/**'], rules: { '@typescript-eslint/no-non-null-assertion': 'off' } },
  // A job is a generator whether or not it has something to say on its way.
  { files: ['src/workers/jobs.ts'], rules: { 'require-yield': 'off' } },
  // Its exports are set from without.
  {
    files: ['src/kernel/**'],
    ...ts.configs.disableTypeChecked,
    rules: { ...ts.configs.disableTypeChecked.rules, 'prefer-const': 'off' },
  },
  { files: ['tests/**'], rules: { 'max-lines-per-function': 'off', complexity: 'off' } },
  { files: ['**/*.{js,mjs,cjs}'], languageOptions: { globals: { ...globals.node } } },
  { files: ['public/*.js'], languageOptions: { globals: { ...globals.serviceworker } } },
]
