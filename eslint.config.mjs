import next from 'eslint-config-next/core-web-vitals';
import nextTypescript from 'eslint-config-next/typescript';

const config = [
  { ignores: ['.next/**', '.data/**', '.workers/**', 'node_modules/**', 'next-env.d.ts', 'drizzle/**', 'test-results/**', 'playwright-report/**'] },
  ...next,
  ...nextTypescript,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-unused-expressions': 'off',
      'no-console': ['error', { allow: ['error', 'warn'] }],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  {
    // A part of the page that comes later is asked for again while the server is away.
    files: ['src/ui/**', 'src/job/**', 'src/stations/**'],
    ignores: ['**/*.test.*', 'src/stations/screen/parts.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: ':not(CallExpression[callee.name="again"]) > ArrowFunctionExpression > ImportExpression',
          message: 'Read it through again(), which waits for the server.',
        },
        { selector: ':not(ArrowFunctionExpression) > ImportExpression', message: 'Read it through again(), which waits for the server.' },
      ],
    },
  },
  { files: ['scripts/**', 'bench/**'], rules: { 'no-console': 'off' } },
];

export default config;
