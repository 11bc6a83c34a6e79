/** Sizes and colours are tokens (src/styles/tokens.css): what is on the screen is one look. Pictures and paper measure. */
const SPACES = '/^(margin|padding|gap|row-gap|column-gap)/'

export default {
  overrides: [
    { files: ['**/*.vue'], customSyntax: 'postcss-html' },
    { files: ['src/styles/tokens.css'], rules: { 'color-no-hex': null, 'function-disallowed-list': null } },
  ],
  ignoreFiles: ['dist/**', 'node_modules/**', '.cache/**'],
  rules: {
    'color-no-hex': true,
    'color-named': 'never',
    'function-disallowed-list': ['rgb', 'rgba', 'hsl', 'hsla', 'oklch'],
    'declaration-property-unit-disallowed-list': {
      font: ['px', 'em', 'rem', 'pt'],
      'font-size': ['px', 'em', 'rem', 'pt'],
      '/radius$/': ['px', 'em', 'rem'],
      [SPACES]: ['px', 'em', 'rem'],
    },
    'declaration-property-value-disallowed-list': { 'font-weight': ['/^\\d/', 'bold'], font: ['/^\\d/'] },
    'declaration-block-no-duplicate-properties': true,
    'block-no-empty': true,
    'property-no-unknown': true,
    'selector-pseudo-class-no-unknown': [true, { ignorePseudoClasses: ['deep', 'global', 'slotted'] }],
  },
}
