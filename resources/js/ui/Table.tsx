import styled from 'styled-components';
import { narrow, print, snug, space, type } from './tokens';

/** Rows of figures and words; figures stand under each other at their last digit. */
export const Table = styled.table`
    width: 100%;
    border-collapse: collapse;

    th, td { padding: 6px ${space.medium} 6px 0; border-bottom: 1px solid var(--rule); text-align: left; vertical-align: top; }
    th { color: var(--quiet); font-size: ${type.small}; font-weight: 500; }
    th:last-child, td:last-child { padding-right: 0; }
    th.figure, td.figure { text-align: right; white-space: nowrap; }
    td.tight { white-space: nowrap; }
    /* A long name or text gives way to the figures beside it. */
    td:has(> a.name), td.words { min-width: 8em; overflow-wrap: anywhere; }
    td.tight:has(> a.name) { min-width: 0; }
    ${snug} { td.tight:has(> a.name) { white-space: normal; } }
    td.stop { color: var(--stop); }
    tbody tr:hover, tbody tr:focus-within { background: var(--wash); }
    tbody th { font-weight: 400; }
    tfoot td, tfoot th { border-bottom: 0; color: var(--ink); font-weight: 600; }
    a.name { font-family: ${type.serif}; font-weight: 500; color: var(--ink); text-decoration: none; }
    a.name:hover { text-decoration: underline; }
    th button { margin: -3px 0 -3px -6px; font-size: inherit; }
    th.figure button { margin: -3px -6px -3px 0; }
    ${print} { tbody tr { break-inside: avoid; } }
`;

/** A table that may be wider than the page: it scrolls by itself. */
/** With $short, a long table is looked through where it stands. */
export const TableScroll = styled.div.attrs<{ $short?: boolean }>(({ $short }) => $short === true ? { tabIndex: 0 } : {})`
    /* What is hidden from the eye in it must not make the page wider. */
    position: relative;
    width: 100%;
    overflow-x: auto;
    ${({ $short }) => ($short === true ? 'max-height: 320px; overflow-y: auto;' : '')}
    ${narrow} { table { font-size: ${type.small}; } }
`;
