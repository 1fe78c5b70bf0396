import js from '@eslint/js'
import ts from 'typescript-eslint'
import vue from 'eslint-plugin-vue'
import vueParser from 'vue-eslint-parser'
import prettier from 'eslint-config-prettier'
import globals from 'globals'

/** Floors stay apart already where an editor shows it; rings and rooms are held by .dependency-cruiser.cjs. */
const floor = (files, forbidden) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: forbidden }] },
})
const otherFloor = (...names) => ({
  regex: `^@vadose/(${names.join('|')})`,
  message: 'This floor may not reach into that one.',
})
const outsideWorld = {
  regex: '^(node:|fs$|path$|pg$|express$|vue$|element-plus|d3|pinia)',
  message: 'core is pure computation: no I/O, no interface.',
}

const fromTheKit = 'Choices and fields come from Element Plus by way of web/src/kit.'

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
  { files: ['**/*.{mjs,cjs}', '*.js'], languageOptions: { globals: globals.node } },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      // a name that begins with an underscore is there to be left out
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      eqeqeq: 'error',
      'no-console': 'off',
      'vue/multi-word-component-names': 'off',
    },
  },
  // what a test reads off the wire is checked by the test itself
  { files: ['**/testing/**'], rules: { '@typescript-eslint/no-explicit-any': 'off' } },
  floor(['core/src/**/*.ts'], [otherFloor('contract', 'server', 'web', 'demo'), outsideWorld]),
  floor(['core/src/**/*.test.ts'], [otherFloor('contract', 'server', 'web', 'demo')]),
  floor(['contract/src/**/*.ts'], [otherFloor('core', 'server', 'web', 'demo')]),
  floor(['server/src/**/*.ts'], [otherFloor('web')]),
  floor(['server/src/**/*.test.ts'], [otherFloor('web')]),
  floor(['web/src/**/*.{ts,vue}'], [otherFloor('server', 'demo')]),
  {
    // what a browser draws in its own way, or a role that promises keys somebody would have to write again
    files: ['web/src/**/*.vue'],
    ignores: ['web/src/kit/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [{ name: 'element-plus', allowImportNames: ['ElButton', 'ElInput'], message: fromTheKit }],
          patterns: [otherFloor('server', 'demo')],
        },
      ],
      'vue/no-restricted-html-elements': [
        'error',
        { element: ['select', 'dialog', 'datalist', 'progress', 'details', 'table'], message: fromTheKit },
      ],
      'vue/no-restricted-static-attribute': [
        'error',
        ...['checkbox', 'radio', 'number', 'file', 'range', 'date'].map((value) => ({
          key: 'type',
          value,
          element: 'input',
          message: fromTheKit,
        })),
        ...['radiogroup', 'radio', 'checkbox', 'combobox', 'listbox', 'dialog', 'spinbutton', 'switch', 'tablist'].map(
          (value) => ({ key: 'role', value, message: fromTheKit }),
        ),
      ],
    },
  },
  prettier,
)
