import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { Mark, Quiet, Small } from '../../ui/Text';
import { line, space, type } from '../../ui/tokens';

const List = styled.ul`
    width: 100%;
    margin: 0;
    padding: 0;
    list-style: none;
    border-bottom: ${line.rule};

    button {
        display: grid;
        gap: ${space.hair};
        width: 100%;
        padding: ${space.small};
        border: 0;
        border-top: ${line.rule};
        background: none;
        color: inherit;
        font: inherit;
        text-align: left;
        overflow-wrap: anywhere;
        cursor: pointer;
    }
    button:hover { background: var(--wash); }
    button:focus-visible { outline: ${line.focus}; }
    button[aria-current=true] { background: var(--wash); box-shadow: ${line.chosen}; }
    b { font: 500 ${type.body}/1.4 ${type.serif}; }
`;

interface Props {
    rows: Schemas['LookAlikeGroupRow'][];
    openId: number;
    onOpen: (id: number) => void;
}

/** Groups of records that look alike: the surest first, those that were put off last. */
export function GroupList({ rows, openId, onOpen }: Props) {
    return (
        <List aria-label="To settle">
            {rows.map(({ id, records, isSure, isLater, reasons, atStake, addedBy }) => (
                <li key={id}>
                    <button type="button" data-group aria-current={id === openId} onClick={() => onOpen(id)}>
                        <b>{[...new Set(records.map(({ displayName }) => displayName))].join(' · ')}</b>
                        <span>
                            {isSure ? <Mark tone="look">nearly sure</Mark> : <Quiet>perhaps</Quiet>}
                            <Small>
                                {[
                                    '', records.length > 2 ? `${records.length} records` : '', ...reasons.slice(0, 3),
                                    atStake === '' ? '' : `${atStake} at stake`, isLater ? 'put off' : '',
                                    addedBy === '' ? '' : `added all the same by ${addedBy}`,
                                ].filter((words, first) => first === 0 || words !== '').join(' · ')}
                            </Small>
                        </span>
                    </button>
                </li>
            ))}
        </List>
    );
}
