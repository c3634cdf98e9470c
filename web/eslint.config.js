import js from '@eslint/js';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['dist', 'src/api/schema.gen.d.ts'] },
  js.configs.recommended,
  ...ts.configs.strict,
  a11y.flatConfigs.strict,
  hooks.configs.flat['recommended-latest'],
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-invalid-void-type': 'off',
      // A component that is longer holds a second one.
      'max-lines-per-function': ['error', { max: 100 }],
    },
  },
  {
    // A kind of change has one hook, in the changes of its feature.
    files: ['src/features/**'],
    ignores: ['src/features/*/changes.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['**/api/changes'], message: 'Write the hook in the changes.ts of the feature.' },
          ],
        },
      ],
    },
  },
);
