import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['**/dist/**', '**/coverage/**', '.local/**', '**/node_modules/**'] },
  js.configs.recommended,
  tseslint.configs.recommended,
  { rules: { 'no-undef': 'off' } },
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { prefer: 'type-imports', fixStyle: 'separate-type-imports' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: 'error',
    },
  },
  // Nest needs the class itself at run time for injection: a type-only import there breaks the decorator metadata.
  { files: ['apps/server/**/*.ts'], rules: { '@typescript-eslint/consistent-type-imports': 'off' } },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  { files: ['apps/web/**/*.{ts,tsx}'], ...hooks.configs.flat['recommended-latest'] },
  {
    files: ['apps/web/src/**/*.{ts,tsx}'],
    ignores: ['apps/web/src/ui/theme/**', '**/*.test.*'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'Property[key.name="fontSize"] > Literal.value[raw=/^[0-9]/]',
          message: 'a size of type is one of `typeSize` in ui/theme.',
        },
        {
          selector: 'JSXAttribute[name.name="fontSize"] Literal[value=/^[0-9.]+$/]',
          message: 'a size of type is one of `typeSize` in ui/theme.',
        },
        { selector: 'Literal[value=/^@media/]', message: 'a width or way of showing is one of `under` and `media` in ui/theme.' },
        { selector: 'JSXText[value=/[A-Za-z]{2}/]', message: 'what a page says is a sentence of packages/words: t(key).' },
        {
          selector: 'JSXAttribute[name.name=/^(label|title|aria-label|placeholder|helperText)$/] > Literal',
          message: 'what a page says is a sentence of packages/words: t(key).',
        },
      ],
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/worked/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '^(?!\\.{1,2}/|ml-matrix$)', message: 'core is pure: only its own files and one numeric package.' }] },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'fetch',
        'process',
        'localStorage',
        'setTimeout',
        'setInterval',
        'performance',
        'crypto',
        'console',
      ],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random' }, { object: 'Date', property: 'now' }],
      'no-restricted-syntax': [
        'error',
        { selector: 'NewExpression[callee.name="Date"][arguments.length=0]', message: 'time is an argument.' },
      ],
    },
  },
);
