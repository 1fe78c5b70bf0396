/** Type and space come from web/src/theme/scale.css: six sizes, eight spaces. A pixel is left for what is drawn by it. */
const fromTheScale = 'take a size of web/src/theme/scale.css'

export default {
  overrides: [{ files: ['**/*.vue'], customSyntax: 'postcss-html' }],
  rules: {
    'declaration-property-value-disallowed-list': [
      {
        '/^font(-size)?$/': ['/\\d(px|rem|em)/'],
        '/^(row-|column-)?gap$|^padding|^margin/': ['/\\b(?!1px)\\d*\\.?\\d+(px|rem)/'],
      },
      { message: fromTheScale },
    ],
    'color-no-invalid-hex': true,
    'declaration-block-no-duplicate-properties': true,
    'no-duplicate-selectors': true,
  },
}
