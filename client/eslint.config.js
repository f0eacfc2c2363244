import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['dist', 'src/api/schema.d.ts'] },
  js.configs.recommended,
  ...ts.configs.strictTypeChecked,
  hooks.configs.flat['recommended-latest'],
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      // Not there on a plain http page, where phones open the room.
      'no-restricted-properties': [
        'error',
        { object: 'crypto', property: 'randomUUID', message: 'Use newId() of ui/newId.' },
        { object: 'navigator', property: 'clipboard', message: 'Not there on a plain http page.' },
      ],
      // Nothing that fails is passed over: whoever catches says it, marks it, or throws it on.
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'CatchClause:not(:has(ThrowStatement)):not(:has(CallExpression[callee.name=/^(refusalOf|refused|lost)$/])):not(:has(CallExpression[callee.property.name=/^(silent|say)$/]))',
          message: 'A failure is shown (refusalOf, refused), noted (silent, lost, say) or thrown on.',
        },
        {
          selector: "CallExpression[callee.property.name='catch']:not([arguments.0.name='refused'])",
          message: 'Catch it where it is shown: with try, or with refused.',
        },
      ],
      'no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@tanstack/react-query',
              importNames: ['useMutation'],
              message:
                'Changes go through useWrite, what is only asked through useAsk; both stand in api/writing.',
            },
          ],
        },
      ],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
    },
  },
  { files: ['src/api/writing.ts'], rules: { 'no-restricted-imports': 'off' } },
);
