import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

export default tseslint.config(
  { ignores: ['.next/', '.easel/', 'node_modules/', 'next-env.d.ts', 'test-results/', 'public/'] },
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      eqeqeq: 'error',
      'no-console': ['error', { allow: ['warn', 'error'] }],
      'no-restricted-properties': [
        'error',
        {
          property: 'findOne',
          message: 'It may read all rows of a site; use firstOf of server/database.',
        },
      ],
      'max-lines': ['error', { max: 350, skipBlankLines: true, skipComments: true }],
    },
  },
  { files: ['src/**/*.tsx', 'src/ui/**/*.ts'], ...hooks.configs.flat['recommended-latest'] },
  {
    files: ['tools/**', 'bench/**', 'docs/**', 'demo/**', 'e2e/**', 'easel.mjs'],
    rules: { 'no-console': 'off' },
  },
  {
    files: ['src/**'],
    rules: {
      'no-restricted-globals': [
        'error',
        ...['localStorage', 'sessionStorage'].map((name) => ({
          name,
          message: 'It throws where a browser is full; use ui/browser-storage.',
        })),
      ],
    },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
)
