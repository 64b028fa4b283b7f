import next from 'eslint-config-next';
import tseslint from 'typescript-eslint';

const FIGURES = {
  selector:
    ":matches(TemplateLiteral, JSXExpressionContainer) > CallExpression[callee.property.name='toFixed']",
  message: 'Figures that are shown are written by figure() of core/figure.ts.',
};
/** Two words or more that end as a sentence does. */
const SENTENCE = '/\\w[^.]* [^.]*\\w[.?!](\\s|$)/';
const NO_SENTENCE = {
  // Broken invariants are for whoever calls wrongly, never for the user.
  selector: `:matches(Literal[value=${SENTENCE}], TemplateElement[value.cooked=${SENTENCE}]):not(CallExpression[callee.name='assert'] > *, NewExpression[callee.name='RangeError'] > *, NewExpression[callee.name='RangeError'] > TemplateLiteral > *)`,
  message: 'The core names a message; its sentence stands in src/words/messages.',
};

const config = [
  {
    ignores: [
      '.next/**',
      'dist/**',
      'node_modules/**',
      'next-env.d.ts',
      'data/**',
      '.cache/**',
      'test-results/**',
    ],
  },
  ...next,
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { varsIgnorePattern: '^_', argsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*'],
    rules: {
      'no-restricted-syntax': ['error', FIGURES],
      'no-restricted-imports': [
        'error',
        { name: 'next/link', message: 'Links of the house are those of ui/Link.' },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.*'],
    rules: { 'no-restricted-syntax': ['error', FIGURES, NO_SENTENCE] },
  },
  { files: ['src/ui/Link.tsx'], rules: { 'no-restricted-imports': 'off' } },
];

export default config;
