import styled, { keyframes } from 'styled-components';
import { line, narrow, print, size, space, type } from './tokens';

const late = keyframes`from { visibility: hidden; } to { visibility: visible; }`;

export const Shell = styled.div`
    display: grid;
    grid-template-rows: auto 1fr;
    min-height: 100vh;
`;

export const TopLine = styled.header`
    position: sticky;
    top: 0;
    z-index: 20;
    display: grid;
    grid-template-columns: ${size.places} minmax(0, 640px) 1fr;
    align-items: center;
    gap: ${space.medium};
    padding: ${space.small} ${space.large};
    border-bottom: 1px solid var(--rule);
    background: var(--paper);

    > :last-child { justify-self: end; }
    ${narrow} { grid-template-columns: 1fr auto; > :nth-child(2) { grid-column: 1 / -1; order: 3; } }
    ${print} { display: none; }
`;

export const Wordmark = styled.span`
    font: 600 17px/1 ${type.serif};
    white-space: nowrap;
`;

export const Body = styled.div`
    display: grid;
    grid-template-columns: ${size.places} minmax(0, 1fr);
    gap: ${space.medium};
    padding: ${space.large};
    ${narrow} { grid-template-columns: 1fr; padding: ${space.medium}; }
    ${print} { display: block; padding: 0; }
`;

export const Places = styled.nav`
    display: flex;
    position: sticky;
    top: ${size.head};
    flex-direction: column;
    align-self: start;
    gap: ${space.hair};

    a {
        padding: 4px 10px;
        border-radius: 3px;
        color: var(--ink);
        text-decoration: none;
    }
    a:hover { background: var(--wash); }
    a[aria-current='page'] { background: var(--wash); font-weight: 600; box-shadow: ${line.chosen}; }
    ${narrow} { position: static; flex-flow: row wrap; }
    ${print} { display: none; }
`;

/** What belongs to a place, below its name. */
export const Under = styled.ul`
    display: grid;
    gap: ${space.hair};
    margin: 0 0 ${space.small};
    padding: 0;
    list-style: none;
    a { display: flex; justify-content: space-between; gap: ${space.tight}; padding-left: 20px; font-size: ${type.small}; }
    a > :last-child { white-space: nowrap; }
    ${narrow} { display: flex; flex-flow: row wrap; width: 100%; a { padding-left: ${space.small}; } }
    a[aria-current] { background: var(--wash); font-weight: 600; }
`;

/** The sheet and, beside it, the margin. */
export const Spread = styled.div`
    display: grid;
    grid-template-columns: minmax(0, 1fr) 264px;
    gap: ${space.large};
    align-items: start;
    max-width: 1360px;
    @media (max-width: 1020px) { grid-template-columns: minmax(0, 1fr); }
    ${print} { display: block; }
`;

export const Sheet = styled.main`
    min-width: 0;
    padding: 26px 34px 40px;
    border: 1px solid var(--rule);
    border-radius: 2px;
    background: var(--sheet);
    &:focus { outline: none; }
    /* A page that is still on its way says so, when it takes longer than a moment. */
    &[aria-busy='true']:empty::before { content: 'Loading …'; color: var(--quiet); animation: ${late} 0.4s step-end both; }
    ${narrow} { padding: ${space.medium}; }
    ${print} { padding: 0; border: 0; }
`;

export const Margin = styled.aside`
    position: sticky;
    top: ${size.head};
    display: grid;
    gap: ${space.large};
    padding-top: ${space.medium};
    font-size: ${type.small};
    h2 { margin-bottom: ${space.tight}; color: var(--quiet); font: 600 ${type.small}/1.4 ${type.sans}; }
    p + p { margin-top: ${space.tight}; }
    summary { min-height: 24px; padding: 2px 0; cursor: pointer; }
    ${narrow} { position: static; }
    ${print} { display: none; }
`;

/** Something narrow at the edge of what takes the room. */
export const Beside = styled.div`
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    gap: ${space.small};
    > :only-child { grid-column: 1 / -1; }
    ${narrow} { grid-template-columns: minmax(0, 1fr); }
    ${print} { display: block; }
`;

/** Something to be read beside a list. */
export const Aside = styled.aside`
    width: 250px;
    max-height: 76vh;
    overflow: auto;
    padding-left: ${space.medium};
    border-left: 1px solid var(--rule);
    overflow-wrap: anywhere;
    ${narrow} { width: auto; padding: 0; border: 0; }
    ${print} { display: none; }
`;

/** What is to be done with what is chosen: at the foot, in sight. */
export const Foot = styled.section`
    position: sticky;
    bottom: 0;
    z-index: 5;
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: ${space.small} ${space.medium};
    padding: ${space.small} ${space.medium};
    border: 1px solid var(--edge);
    border-radius: 3px;
    background: var(--sheet);
    ${print} { display: none; }
`;

/** A page with nothing but one sheet in the middle. */
export const Doorway = styled.main`
    display: grid;
    gap: ${space.large};
    width: min(420px, 100% - 40px);
    margin: 12vh auto ${space.large};
    padding: 30px 34px;
    border: 1px solid var(--rule);
    border-radius: 2px;
    background: var(--sheet);
`;

export const SkipLink = styled.a`
    position: absolute;
    left: -999px;
    &:focus { left: ${space.small}; top: ${space.small}; z-index: 60; padding: ${space.small}; background: var(--sheet); }
`;
