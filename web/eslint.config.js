import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['src/core/generated', 'src/api/schema.d.ts'] },
  ...tseslint.configs.recommended,
  {
    plugins: { 'react-hooks': reactHooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      // Prettier breaks what it can; this holds for comments, too.
      'max-len': ['error', { code: 120, ignoreUrls: true, ignoreStrings: true, ignoreTemplateLiterals: true }],
      complexity: ['error', 30],
      'max-lines-per-function': ['error', { max: 240, skipBlankLines: true, skipComments: true }],
      'max-lines': ['error', { max: 400, skipBlankLines: false, skipComments: false }],
      // The compiled core has one door; nothing else may reach it.
      'no-restricted-imports': ['error', { patterns: ['**/core/generated/*'] }],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }],
    },
  },
  { files: ['src/core/*.ts'], rules: { 'no-restricted-imports': 'off' } },
);
