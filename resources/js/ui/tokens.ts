import { createGlobalStyle, css } from 'styled-components';

/** Every raw value of the look stands in this file; the rest of the program names them. */
const paper = css`
    --paper: #f6f2e9;
    --sheet: #fffdf8;
    --print: #ffffff;
    --ink: #20262d;
    --quiet: #59626c;
    --rule: #dcd4c3;
    --edge: #8b8370;
    --wash: #efe9db;
    --accent: #24406b;
    --accent-wash: #e3e8ef;
    --on-accent: #fffdf8;
    --look: #8a5a00;
    --stop: #9c2f27;
    --fine: #46682c;
    color-scheme: light;
`;

const lamp = css`
    --paper: #1a1917;
    --sheet: #23211e;
    --print: #ffffff;
    --ink: #ece5d6;
    --quiet: #b5ac9b;
    --rule: #423d35;
    --edge: #8d8472;
    --wash: #2d2a26;
    --accent: #a9c4ee;
    --accent-wash: #2b3545;
    --on-accent: #1a1917;
    --look: #e3b65f;
    --stop: #f29c92;
    --fine: #abcb8c;
    color-scheme: dark;
`;

/** How wide a field is, by what goes into it. */
export const widths = {
    mark: '90px',
    figure: '110px',
    code: '130px',
    day: '150px',
    word: '180px',
    name: '220px',
    phrase: '260px',
    line: '300px',
    wide: '380px',
    full: '500px',
    all: '100%',
};

export type Width = keyof typeof widths;

/** Of a field that may take all the room there is. */
export function widthOf({ $width }: { $width?: Width }): string {
    return widths[$width ?? 'all'];
}

export const space = {
    hair: '2px',
    tight: '4px',
    small: '8px',
    medium: '12px',
    large: '20px',
    wide: '32px',
} as const;

/** What is as large as it is for a reason of its own. */
export const size = {
    /** The least that a finger hits: WCAG 2.2, 2.5.8. */
    target: '24px',
    icon: '18px',
    corner: '3px',
    /** Beside the words of a quiet button: moved back by it, they stand flush with what is above. */
    beside: '6px',
    /** What the line at the top covers. */
    head: '70px',
    /** The ways to the places, in bold too. */
    places: '144px',
    /** What stands before values of which one is chosen. */
    labels: '170px',
    /** As wide as a line is read with ease. */
    reading: '640px',
} as const;

export const line = {
    rule: '1px solid var(--rule)',
    edge: '1px solid var(--edge)',
    ink: '1px solid var(--ink)',
    focus: '2px solid var(--accent)',
    /** The shadow at the edge of what is at hand. */
    chosen: 'inset 3px 0 0 var(--accent)',
} as const;

export const type = {
    body: '15px',
    small: '13.5px',
    heading: '17px',
    title: '28px',
    serif: "'Literata Variable', Georgia, serif",
    sans: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif",
} as const;

/** Below this width the three columns become one. */
export const narrow = '@media (max-width: 860px)';

/** Below this width a figure in a table needs the room that a title beside it would take. */
export const snug = '@media (max-width: 1120px)';

export const print = '@media print';

export const GlobalStyle = createGlobalStyle`
    :root { ${paper} }
    @media (prefers-color-scheme: dark) { :root:not([data-light='paper']) { ${lamp} } }
    :root[data-light='lamp'] { ${lamp} }
    ${print} { :root, :root[data-light] { ${paper} } }

    *, *::before, *::after { box-sizing: border-box; }
    body {
        margin: 0;
        background: var(--paper);
        color: var(--ink);
        font: 400 ${type.body}/1.5 ${type.sans};
        font-variant-numeric: tabular-nums;
        -webkit-text-size-adjust: 100%;
        overflow-wrap: anywhere;
    }
    /* A table gives each column room for its longest word, but where a cell says otherwise. */
    table { overflow-wrap: normal; }
    h1, h2, h3 { font-family: ${type.serif}; font-weight: 600; margin: 0; text-wrap: balance; }
    p { margin: 0; }
    a { color: var(--accent); text-underline-offset: 3px; text-decoration-thickness: 1px; }
    button { font: inherit; }
    :focus-visible { outline: 2px solid var(--accent); outline-offset: 2px; }
    @media (prefers-reduced-motion: reduce) {
        *, *::before, *::after { transition: none !important; animation: none !important; scroll-behavior: auto !important; }
    }
    ${print} {
        @page { margin: 14mm; }
        body { background: none; zoom: 0.86; }
        /* Nothing can be pressed on paper, and what stays in the office is not on it. */
        button, .internal { display: none !important; }
        a { color: inherit; text-decoration: none; }
    }
`;

export const field = css`
    width: 100%;
    padding: 5px 9px;
    border: 1px solid var(--edge);
    border-radius: 3px;
    background: var(--sheet);
    color: var(--ink);
    font: inherit;

    &::placeholder { color: var(--quiet); opacity: 1; }
    &[data-focused], &:focus-visible { outline: 2px solid var(--accent); outline-offset: 0; border-color: var(--accent); }
    &[data-invalid] { border-color: var(--stop); box-shadow: inset 3px 0 0 var(--stop); }
    &[data-disabled] { background: var(--wash); color: var(--quiet); }
`;
