import boundaries from 'eslint-plugin-boundaries';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import tseslint from 'typescript-eslint';

/** Which room may import which. Anything not listed is a breach. */
export const ALLOWED = {
  core: ['core'],
  contract: ['contract', 'core'],
  server: ['server', 'contract', 'core'],
  web: ['web', 'contract', 'core'],
  demo: ['demo', 'contract', 'core'],
  e2e: ['e2e', 'demo', 'contract', 'core'],
};

/** One module knows days: what a Date or an ISO text says of them is said in universal time, which is nobody's day. */
const DAYS = [
  'CallExpression[callee.property.name=/^(get|set)(UTC)?(Date|Day|Hours|Minutes|Month|FullYear)$/]',
  'CallExpression[callee.property.name=/^toLocale(Date|Time)?String$/]',
  "MemberExpression[object.name='Intl']",
  "CallExpression[callee.property.name='slice'][arguments.0.value=0][arguments.1.value=10]",
].map((selector) => ({ selector, message: 'Days, clocks and months come from core/days, in the shop’s time zone.' }));
/** Money is whole minor units; only core/quantity knows how many make one. */
const MONEY = [
  'BinaryExpression[operator=/[*\u002f]/][left.name=/[mM]inor/][right.value=100]',
  "BinaryExpression[operator='/'][left.property.name=/[mM]inor/][right.value=100]",
].map((selector) => ({
  selector,
  message: 'A currency has its own decimals: use the money functions of core/quantity.',
}));

const rooms = Object.keys(ALLOWED);
const only = (message, patterns) => ['error', { patterns: patterns.map((regex) => ({ regex, message })) }];

export default tseslint.config(
  { ignores: ['dist/**', 'var/**', 'node_modules/**', 'test-results/**'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
    rules: {
      'no-undef': 'off',
      'vue/multi-word-component-names': 'error',
      'vue/no-v-html': 'error',
      'vue/require-default-prop': 'off',
    },
  },
  {
    files: ['**/*.{ts,vue}'],
    plugins: { boundaries },
    settings: {
      'boundaries/elements': rooms.map((room) => ({ type: room, pattern: room })),
      'boundaries/include': rooms.map((room) => `${room}/**/*`),
      'import/resolver': { node: { extensions: ['.ts', '.vue', '.js'] } },
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: Object.entries(ALLOWED).map(([from, to]) => ({
            from: { element: { type: from } },
            allow: { to: { element: { type: to } } },
          })),
        },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
      ],
      eqeqeq: ['error', 'smart'],
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': only('core imports nothing but core.', ['^[^.]']),
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'localStorage',
        'setTimeout',
        'setInterval',
        'crypto',
        'console',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time comes in with the command.' },
        { object: 'Math', property: 'random', message: 'Randomness comes in as an argument.' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Time comes in with the command.',
        },
        {
          selector: "CallExpression[callee.property.name='split'][arguments.0.value=/^[,:] $/]",
          message: 'Logic reads data, never words: give it the data.',
        },
        ...DAYS,
        ...MONEY,
      ],
    },
  },
  {
    files: ['core/days/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': only(
        'core/days stands on date-fns, and imports nothing but it and core.',
        ['^(?!date-fns$|@date-fns/tz$)[^.]'],
      ),
      'no-restricted-syntax': 'off',
    },
  },
  {
    files: ['contract/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': only('contract imports zod and core only.', ['^(?!zod$)[^.]']),
    },
  },
  {
    files: ['web/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts', 'web/forms/**'],
    rules: {
      '@typescript-eslint/no-restricted-imports': only(
        'The browser has no Node, and only its forms work with schemas: the first load carries none.',
        ['^node:', '^(express|better-sqlite3|sharp|pdfkit|pino|zod)$'],
      ),
    },
  },
  {
    files: ['web/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts', 'web/data/**', 'web/stores/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '/data/api\\.ts$',
              importNames: ['api'],
              message: 'No request in a component: the data layer asks, a function for each thing that is asked.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['web/**/*.{ts,vue}'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          // A getter that makes an array is a change each time anything it reads is touched, equal or not.
          selector:
            "CallExpression[callee.name='watch'] > ArrowFunctionExpression.arguments:first-child[body.type=/^(ArrayExpression|ObjectExpression|TSAsExpression)$/]",
          message: 'Watch several sources as [() => a, () => b]: a getter of an array fires though nothing changed.',
        },
        {
          selector: "CallExpression[callee.property.name='split'][arguments.0.value=/^[,:] $/]",
          message: 'Logic reads data, never words: give it the data.',
        },
        ...DAYS,
        ...MONEY,
      ],
    },
  },
  {
    files: ['web/**/*.vue'],
    rules: {
      'no-restricted-globals': [
        'error',
        { name: 'fetch', message: 'Components do not fetch; stores own server state.' },
      ],
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/attributes-order': 'off',
    },
  },
  { files: ['server/**/*.test.ts', 'server/testing/**/*.ts'], rules: { 'boundaries/dependencies': 'off' } },
  {
    files: ['server/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': only('The server knows nothing of the interface.', [
        '^vue',
        '^pinia',
      ]),
    },
  },
  {
    files: ['server/**/*.ts'],
    ignores: ['**/*.test.ts', 'server/testing/**', 'server/store/oneGo.ts', 'server/store/migrate.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.property.name='transaction']",
          message: 'One request, one transaction: the route opens it through OneGo, the store opens none.',
        },
        ...DAYS,
        ...MONEY,
      ],
    },
  },
  prettier,
);
