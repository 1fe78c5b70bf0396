import js from '@eslint/js'
import ts from 'typescript-eslint'
import vue from 'eslint-plugin-vue'
import vueParser from 'vue-eslint-parser'
import prettier from 'eslint-config-prettier'
import globals from 'globals'

/**
 * Floors and rooms stay apart: core imports no other floor, web and server meet only in contract,
 * and a room is entered by its index only.
 */
const floor = (files, forbidden) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: forbidden }] },
})
const throughTheDoor = {
  regex: '^\\.\\./[a-z-]+/(?!index$).+',
  message: 'A room imports from another room by its index.ts only.',
}
const otherFloor = (...names) => ({
  regex: `^@vadose/(${names.join('|')})`,
  message: 'This floor may not reach into that one.',
})
const outsideWorld = {
  regex: '^(node:|fs$|path$|pg$|express$|vue$|element-plus|d3|pinia)',
  message: 'core is pure computation: no I/O, no interface.',
}

export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.vadose/**', 'test-results/**'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { parser: ts.parser }, globals: globals.browser },
  },
  { files: ['web/src/**/*.ts'], languageOptions: { globals: globals.browser } },
  { files: ['**/*.mjs', '*.js'], languageOptions: { globals: globals.node } },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      eqeqeq: 'error',
      'no-console': 'off',
      'vue/multi-word-component-names': 'off',
    },
  },
  // what a test reads off the wire is checked by the test itself
  { files: ['**/testing/**'], rules: { '@typescript-eslint/no-explicit-any': 'off' } },
  floor(['core/src/**/*.ts'], [otherFloor('contract', 'server', 'web', 'demo'), outsideWorld, throughTheDoor]),
  floor(['core/src/**/*.test.ts'], [otherFloor('contract', 'server', 'web', 'demo')]),
  floor(['contract/src/**/*.ts'], [otherFloor('core', 'server', 'web', 'demo')]),
  floor(['server/src/**/*.ts'], [otherFloor('web'), throughTheDoor]),
  floor(['server/src/**/*.test.ts'], [otherFloor('web')]),
  floor(['web/src/**/*.{ts,vue}'], [otherFloor('server', 'demo'), throughTheDoor]),
  prettier,
)
