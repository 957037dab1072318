import imports from 'eslint-plugin-import-x';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

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
const forbid = (...patterns) => ['error', { patterns: patterns.map(([group, message]) => ({ group, message })) }];

export default tseslint.config(
  { ignores: ['resources/js/shared/api/openapi.ts', 'public/', 'vendor/', 'var/', 'node_modules/'] },
  ...tseslint.configs.strictTypeChecked,
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { 'react-hooks': hooks, 'import-x': imports },
    settings: {
      'import-x/resolver-next': [imports.createNodeResolver({ extensions: ['.ts', '.tsx', '.js'] })],
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
    },
    rules: {
      'import-x/no-cycle': 'error',
      ...hooks.configs.recommended.rules,
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true, ignoreVoidReturningFunctions: true }],
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/no-unused-expressions': ['error', { allowShortCircuit: true }],
    },
  },
  {
    files: ['resources/js/**'],
    ignores: ['resources/js/shared/api/client.ts', 'resources/js/shared/api/early.ts'],
    rules: { 'no-restricted-globals': ['error', { name: 'fetch', message: 'shared/api is the only caller of fetch.' }] },
  },
  {
    files: ['resources/js/**'],
    ignores: ['resources/js/shared/api/keys.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: 'Property[key.name="queryKey"] > ArrayExpression', message: 'Names of answers are written in shared/api/keys.ts alone.' },
      ],
    },
  },
  {
    files: ['resources/js/shared/**'],
    rules: { 'no-restricted-imports': forbid([['**/features/**', '**/app/**', '**/at-home/**'], 'shared knows neither features nor app.']) },
  },
  {
    files: ['resources/js/at-home/**'],
    rules: {
      'no-restricted-imports': forbid([['**/features/**', 'react-router', '@tanstack/*', 'dexie', '@mui/*'], "A page at home knows nothing of the coach's."]),
    },
  },
  {
    files: ['resources/js/kernel/**'],
    rules: { 'no-restricted-imports': forbid([['**/features/**', '**/app/**', '**/shared/**', 'react'], 'The kernel is plain rules.']) },
  },
  ...features.map((feature) => ({
    files: [`resources/js/features/${feature}/**`],
    rules: {
      'no-restricted-imports': forbid(
        [features.filter((other) => other !== feature).map((other) => `**/${other}/**`), 'A feature knows no other feature: lift what both need into shared.'],
        [['**/app/**'], 'A feature does not know the app around it.'],
      ),
    },
  })),
);
