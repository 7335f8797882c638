import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'

/** The component library has these; see shared/components. */
const RAW = ['button', 'input', 'select', 'textarea', 'progress'].map((element) => ({
  element,
  message: `Use the library's control instead of <${element}>.`,
}))

/** What is the same in every language. */
const SIGNS = '()[],.;:!?&+-−×·…→←↑↓%‰°/“”–—=<>▨•●✓☐▲▼⠿"'
const UNITS = ['W', 's']
const TYPED = ['./chervil start --house', './chervil recover NAME', 'api/device-readings']

export default ts.config(
  { ignores: ['node_modules', 'target', 'src/generated'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser } },
  },
  {
    languageOptions: { globals: { ...globals.browser } },
    rules: {
      'no-undef': 'off',
      'vue/block-order': ['error', { order: ['script', 'template', 'style'] }],
      'vue/component-api-style': ['error', ['script-setup']],
      'vue/require-default-prop': 'off',
      'vue/no-static-inline-styles': 'error',
      'vue/max-lines-per-block': ['error', { script: 120, template: 110, style: 60, skipBlankLines: true }],
      'max-params': ['error', 5],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
    },
  },
  {
    files: ['**/*.vue'],
    rules: {
      'vue/no-restricted-html-elements': ['error', ...RAW],
      // What is said stands in the texts.ts of its feature.
      'vue/no-bare-strings-in-template': [
        'error',
        {
          allowlist: [...SIGNS, ...UNITS, ...TYPED],
          attributes: {
            '/.+/': [
              'title',
              'aria-label',
              'alt',
              'placeholder',
              'label',
              'hint',
              'legend',
              'what',
              'action',
              'unit',
            ],
          },
          directives: ['v-text'],
        },
      ],
    },
  },
  {
    // Drawn by hand, since no library draws them: the tiles, the keypad, the pads of the eye test, the plan's chips and dots,
    // the bar of a phone.
    files: [
      'src/app/PhoneBar.vue',
      'src/features/interval/EyeView.vue',
      'src/features/plan/DayCell.vue',
      'src/features/plan/TankRows.vue',
      'src/features/visit/FindingPick.vue',
      'src/features/water/KeyPad.vue',
      'src/features/water/ValueRow.vue',
    ],
    rules: { 'vue/no-restricted-html-elements': 'off' },
  },
  { files: ['*.js', '*.cjs', '*.mjs', '*.ts'], languageOptions: { globals: { ...globals.node } } },
  prettier,
)
