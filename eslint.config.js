import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const uiOnly = [
    { group: ['react-aria-components', 'react-aria', 'react-aria/*'], message: 'Only ui/ uses React Aria: give the component a look there first.' },
];
const screens = ['access', 'directory', 'find', 'ledger', 'office', 'record', 'today', 'upkeep'];

const rawColours = { selector: 'TemplateElement[value.raw=/#[0-9a-fA-F]{3,8}\\b|rgba?\\(/]', message: 'Raw colours stand in ui/tokens.ts only.' };

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

/** A screen knows ui/, api/ and app/, but no other screen. */
const screenWalls = screens.map((screen) => ({
    files: [`resources/js/screens/${screen}/**/*.{ts,tsx}`],
    rules: {
        'no-restricted-imports': ['error', {
            patterns: [
                ...uiOnly,
                ...screens.filter((other) => other !== screen).map((other) => ({
                    group: [`**/screens/${other}/**`, `../${other}/**`],
                    message: 'Screens do not import each other: move what both need to ui/ or api/.',
                })),
            ],
        }],
    },
}));

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
        ignores: ['resources/js/ui/**', 'resources/js/screens/**'],
        rules: { 'no-restricted-imports': ['error', { patterns: uiOnly }] },
    },
    {
        files: ['resources/js/**/*.{ts,tsx}'],
        ignores: ['resources/js/ui/**'],
        rules: { 'no-restricted-syntax': ['error', rawColours, inlineStyles, ...arithmetic] },
    },
    ...screenWalls,
);
