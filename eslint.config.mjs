import withNuxt from './.nuxt/eslint.config.mjs'

/** Controls made by hand, because the job is in them; each says why in its file. Every other control is the kit's. */
const OWN_CONTROLS = ['StationRail', 'KeyPad', 'QuantityField', 'ContactGrid', 'BoltRing', 'IndexDial']
const KITS = "is the component kit's here: el-button, el-input, el-select, el-radio-group… Or say why it is our own."

/** The arrows of the house run one way; each room names what it may not reach. */
const mayNot = (files, group, message) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ regex: group, message }] }] },
})

export default withNuxt(
  {
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/html-self-closing': 'off',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/unified-signatures': 'off',
    },
  },
  {
    files: ['app/**/*.vue'],
    ignores: OWN_CONTROLS.map(name => `app/components/**/${name}.vue`),
    rules: {
      'vue/no-restricted-html-elements': [
        'error',
        ...['button', 'input', 'select', 'textarea'].map(element => ({ element, message: `A ${element} ${KITS}` })),
      ],
      'vue/no-restricted-static-attribute': ['error', { key: 'role', value: 'button', message: `A button ${KITS}` }],
    },
  },
  mayNot(
    ['core/**/*.ts'],
    '^(?!\\.)|/(app|server|shared|demo|library)(/|$)',
    'The core imports nothing from outside the core.',
  ),
  // What comes from anywhere is held against JSON Schema by a kept package, which computes and does nothing else.
  { files: ['core/**/*.test.ts', 'core/sheet/examination/shape.ts'], rules: { 'no-restricted-imports': 'off' } },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time comes in as an argument.' },
        { object: 'Math', property: 'random', message: 'Randomness comes in as an argument.' },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage'],
      'no-restricted-syntax': [
        'error',
        { selector: 'NewExpression[callee.name="Date"][arguments.length=0]', message: 'Time comes in as an argument.' },
      ],
    },
  },
  mayNot(
    ['app/**/*.{ts,vue}'],
    '(^|/)(server|demo|library|examination)(/|$)|^(drizzle-orm|postgres|pdfmake|h3)',
    'Screens reach the core and shared only; the server is across the wire.',
  ),
  mayNot(
    ['server/**/*.ts'],
    '(^|/)(app|demo)(/|$)|^(vue|pinia|element-plus)',
    'The server reaches the core and shared only.',
  ),
  mayNot(
    ['shared/**/*.ts'],
    '(^|/)(app|server|demo)(/|$)|^(vue|pinia|drizzle-orm)',
    'What crosses the wire reaches the core only.',
  ),
  {
    // Nobody comes in by a handler that does not say who may.
    files: ['server/api/**/*.ts', 'server/routes/**/*.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ExportDefaultDeclaration > :not(CallExpression[callee.name="route"])',
          message: 'A route is made by route(who may come in, answer).',
        },
        {
          selector: 'CallExpression[callee.name=/^(define|lazy|cached)?[eE]ventHandler$/]',
          message: 'A route is made by route(who may come in, answer).',
        },
      ],
    },
  },
)
