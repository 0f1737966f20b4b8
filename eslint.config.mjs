import prettier from 'eslint-config-prettier';
import globals from 'globals';
import vue from 'eslint-plugin-vue';
import tseslint from 'typescript-eslint';
import vueParser from 'vue-eslint-parser';
import { dependenceDirection } from './scripts/lint/dependence-direction.mjs';
import { buildersWords } from './scripts/lint/builders-words.mjs';
import { unitWords } from './scripts/lint/unit-words.mjs';

const ours = {
  plugins: {
    'grain-fold': {
      rules: { 'dependence-direction': dependenceDirection, 'unit-words': unitWords, 'builders-words': buildersWords },
    },
  },
};

export default tseslint.config(
  { ignores: ['**/node_modules/**', '**/dist/**', '.grain-fold/**', '**/test-results/**'] },
  ...tseslint.configs.recommended,
  ...vue.configs['flat/recommended'],
  prettier,
  {
    files: ['**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser, sourceType: 'module' } },
    rules: { 'no-undef': 'off' },
  },
  {
    ...ours,
    files: ['**/*.{ts,mjs,vue}'],
    rules: {
      'grain-fold/dependence-direction': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'error',
      'vue/attributes-order': 'off',
      'vue/require-default-prop': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/no-multiple-template-root': 'off',
      'vue/one-component-per-file': 'off',
      // tsc checks that every case returns.
      'vue/return-in-computed-property': 'off',
      // Composables are handed down whole; only the prop itself may not be replaced.
      'vue/no-mutating-props': ['error', { shallowOnly: true }],
    },
  },
  {
    files: ['core/src/**/*.ts', 'web/src/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts'],
    rules: { 'grain-fold/unit-words': 'error', 'grain-fold/builders-words': 'error' },
  },
  {
    files: ['web/src/**/*.vue'],
    ignores: ['web/src/kit/**'],
    rules: {
      'vue/no-restricted-html-elements': [
        'error',
        ...['button', 'input', 'select', 'textarea', 'table', 'details'].map((element) => ({
          element,
          message: `Use the kit's or Element Plus's component instead of <${element}>`,
        })),
      ],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'navigator',
        'process',
        'Buffer',
        'fetch',
        'localStorage',
        'performance',
        'setTimeout',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'core draws its randomness from a passed seed' },
        { object: 'Date', property: 'now', message: 'core has no clock: pass the time in' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'core has no clock: pass the time in',
        },
      ],
    },
  },
  {
    files: ['server/src/**/*.ts', 'cli/src/**/*.ts', 'web/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/vite.config.ts'],
    languageOptions: { parserOptions: { projectService: true } },
    rules: { '@typescript-eslint/no-floating-promises': 'error' },
  },
  {
    files: ['scripts/**', 'cli/src/**', 'bench/**', 'attack/**', 'server/src/main.ts', 'server/build.mjs', '**/*.mjs'],
    languageOptions: { globals: globals.node },
    rules: { 'no-console': 'off' },
  },
);
