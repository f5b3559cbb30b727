import js from '@eslint/js';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import { defineConfig, globalIgnores } from 'eslint/config';
import ts from 'typescript-eslint';

export default defineConfig(
  globalIgnores(['dist', 'src/api/schema.d.ts']),
  js.configs.recommended,
  ts.configs.strict,
  hooks.configs.flat.recommended,
  a11y.flatConfigs.recommended,
  { rules: { '@typescript-eslint/no-invalid-void-type': 'off' } },
  {
    // Calls are made in api/ only: changes there, questions by `api`.
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/api/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: [{ group: ['**/api/http'], importNames: ['http'] }] }] },
  },
  {
    // What is said stands in the words.ts of its room.
    files: ['src/**/*.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: 'JSXText[value=/\\p{L}{2}/u]', message: 'Words stand in words.ts.' },
        {
          selector: 'JSXAttribute[name.name=/^(aria-label|title|label|placeholder)$/] > Literal[value=/\\p{L}/u]',
          message: 'Words stand in words.ts.',
        },
        ...['', ' > ConditionalExpression', ' > LogicalExpression'].map((within) => ({
          selector: `:matches(JSXElement, JSXFragment, JSXAttribute[name.name=/^(aria-label|title|label|placeholder)$/]) > JSXExpressionContainer${within} > TemplateLiteral > TemplateElement[value.raw=/\\p{L}{2}/u]`,
          message: 'Words stand in words.ts.',
        })),
      ],
    },
  },
);
