import boundaries from 'eslint-plugin-boundaries';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const uiOnly = {
    group: ['react-aria-components', 'react-aria', 'react-aria/*'],
    message: 'Only ui/ uses React Aria: give the component a look there first.',
};

/** From the ground up; each knows those below it. The shell shows the line that finds, and no other screen. */
const rooms = ['ui', 'api', 'shared', 'screens', 'app', 'start'];
const elements = [
    { type: 'ui', pattern: 'resources/js/ui' },
    { type: 'api', pattern: 'resources/js/api' },
    { type: 'shared', pattern: 'resources/js/shared' },
    { type: 'screens', pattern: 'resources/js/screens/*', capture: ['screen'] },
    { type: 'app', pattern: 'resources/js/app' },
    { type: 'start', pattern: 'resources/js' },
];
const rawValues = {
    selector: 'TemplateElement[value.raw=/#[0-9a-fA-F]{3,8}\\b|rgba?\\(|[0-9]px/]',
    message: 'Colours and sizes have names in ui/tokens.ts.',
};

/** What is left, the sum, the discounted price: the server works them out, to the cent. */
const amounts = '[property.name=/^(amount|price|discount|quantity|rate|total|open|used|left|unallocated)$/]';
const arithmetic = [
    `CallExpression[callee.name=/^(Number|parseFloat|parseInt)$/] MemberExpression${amounts}`,
    `CallExpression[callee.object.name='Number'] MemberExpression${amounts}`,
    `BinaryExpression[operator=/^[-*/%]$/] MemberExpression${amounts}`,
    `UnaryExpression[operator=/^[-+]$/] > MemberExpression${amounts}`,
    "CallExpression[callee.property.name='toFixed'] MemberExpression[property.name='amount']",
].map((selector) => ({ selector, message: 'Amounts are worked out by the server; show what it says (text, sign).' }));

const inlineStyles = { selector: 'JSXAttribute[name.name="style"]', message: 'A component of ui/ says how it looks; give it a property for it.' };

export default tseslint.config(
    { ignores: ['public/**', 'vendor/**', 'storage/**', 'resources/js/api/schema.d.ts', 'test-results/**', 'playwright-report/**'] },
    ...tseslint.configs.strict,
    reactHooks.configs.flat['recommended-latest'] ?? reactHooks.configs['recommended-latest'],
    {
        rules: {
            eqeqeq: ['error', 'always', { null: 'ignore' }],
            '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
            'no-console': 'error',
            'max-len': ['error', { code: 140, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true }],
        },
    },
    {
        files: ['resources/js/**/*.{ts,tsx}'],
        plugins: { boundaries },
        settings: {
            'boundaries/elements': elements,
            'import/resolver': { node: { extensions: ['.ts', '.tsx'] } },
        },
        rules: {
            'boundaries/dependencies': ['error', {
                default: 'disallow',
                policies: [
                    ...rooms.map((room, at) => ({
                        from: { element: { type: room } },
                        allow: { to: { element: { types: { anyOf: rooms.slice(0, at) } } } },
                    })),
                    {
                        from: { element: { type: 'app' } },
                        disallow: { to: { element: { type: 'screens', captured: { screen: '!find' } } } },
                        message: 'The shell shows the line that finds, and no other screen.',
                    },
                ],
            }],
        },
    },
    {
        files: ['resources/js/**/*.{ts,tsx}'],
        ignores: ['resources/js/ui/**'],
        rules: {
            'no-restricted-syntax': ['error', rawValues, inlineStyles, ...arithmetic],
            'no-restricted-imports': ['error', { patterns: [uiOnly] }],
        },
    },
);
