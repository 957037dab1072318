import { defineConfig } from 'oxlint';

const off = (...names) => Object.fromEntries(names.map((name) => [name, 'off']));
const rules = (plugin, words) =>
  Object.fromEntries(
    words
      .trim()
      .split(/\s+/)
      .map((name) => [`${plugin}/${name}`, 'error']),
  );

/** What may be imported from where: app → features → shared, kernel stands alone, features never know each other. */
const features = [
  'sign-in',
  'welcome',
  'today',
  'plan',
  'proposals',
  'sheet',
  'run',
  'waiting',
  'squad',
  'player',
  'book',
  'settings',
  'find',
  'rehearsal',
  'season',
  'home',
];
const forbid = (...patterns) => ({
  'no-restricted-imports': ['error', { patterns: patterns.map(([group, message]) => ({ group, message })) }],
});

export default defineConfig({
  plugins: ['typescript', 'react', 'import'],
  categories: { correctness: 'off' },
  options: { typeAware: true, typeCheck: true, denyWarnings: true },
  ignorePatterns: ['resources/js/shared/api/openapi.ts'],
  rules: {
    ...rules('eslint', 'no-unused-vars no-useless-constructor no-array-constructor no-var prefer-const prefer-rest-params prefer-spread'),
    'eslint/no-unused-expressions': ['error', { allowShortCircuit: true }],
    'import/no-cycle': 'error',
    ...rules(
      'react',
      `rules-of-hooks exhaustive-deps static-components use-memo preserve-manual-memoization incompatible-library immutability
      globals refs set-state-in-effect set-state-in-render error-boundaries purity unsupported-syntax`,
    ),
    ...rules(
      'typescript',
      `await-thenable ban-ts-comment no-array-delete no-base-to-string no-deprecated no-duplicate-enum-values
      no-duplicate-type-constituents no-dynamic-delete no-empty-object-type no-explicit-any no-extra-non-null-assertion
      no-extraneous-class no-floating-promises no-for-in-array no-generated-empty-object-type no-implied-eval no-invalid-void-type
      no-meaningless-void-operator no-misused-new no-misused-spread no-mixed-enums no-namespace
      no-non-null-asserted-nullish-coalescing no-non-null-asserted-optional-chain no-non-null-assertion
      no-redundant-type-constituents no-require-imports no-this-alias no-unnecessary-boolean-literal-compare
      no-unnecessary-condition no-unnecessary-template-expression no-unnecessary-type-arguments no-unnecessary-type-assertion
      no-unnecessary-type-constraint no-unnecessary-type-conversion no-unnecessary-type-parameters no-unsafe-argument
      no-unsafe-assignment no-unsafe-call no-unsafe-class-instance-assignment no-unsafe-declaration-merging
      no-unsafe-enum-assignment no-unsafe-enum-comparison no-unsafe-function-type no-unsafe-member-access no-unsafe-return
      no-unsafe-unary-minus no-useless-default-assignment no-wrapper-object-types only-throw-error prefer-as-const
      prefer-literal-enum-member prefer-namespace-keyword prefer-promise-reject-errors prefer-reduce-type-parameter
      prefer-return-this-type related-getter-setter-pairs require-await triple-slash-reference unbound-method unified-signatures
      use-unknown-in-catch-callback-variable`,
    ),
    'typescript/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true, ignoreVoidReturningFunctions: true }],
    'typescript/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
    'typescript/restrict-plus-operands': ['error', { allowAny: false, allowBoolean: false, allowNullish: false, allowNumberAndString: false }],
    'typescript/restrict-template-expressions': ['error', { allowNumber: true }],
    'typescript/return-await': ['error', 'error-handling-correctness-only'],
  },
  overrides: [
    {
      files: ['resources/js/**'],
      rules: { 'no-restricted-globals': ['error', { name: 'fetch', message: 'shared/api is the only caller of fetch.' }] },
    },
    { files: ['resources/js/shared/api/client.ts', 'resources/js/shared/api/early.ts'], rules: off('no-restricted-globals') },
    {
      files: ['resources/js/shared/**'],
      rules: forbid([['**/features/**', '**/app/**', '**/at-home/**'], 'shared knows neither features nor app.']),
    },
    {
      files: ['resources/js/at-home/**'],
      rules: forbid([['**/features/**', 'react-router', '@tanstack/*', '@mui/*'], "A page at home knows nothing of the coach's."]),
    },
    {
      files: ['resources/js/kernel/**'],
      rules: forbid([['**/features/**', '**/app/**', '**/shared/**', 'react'], 'The kernel is plain rules.']),
    },
    ...features.map((feature) => ({
      files: [`resources/js/features/${feature}/**`],
      rules: forbid(
        [features.filter((other) => other !== feature).map((other) => `**/${other}/**`), 'A feature knows no other feature: lift what both need into shared.'],
        [['**/app/**'], 'A feature does not know the app around it.'],
      ),
    })),
  ],
});
