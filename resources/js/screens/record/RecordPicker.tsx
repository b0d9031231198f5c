import { useState } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import type { PartyKind } from '../../api/queries';
import { useFind } from '../../api/useFind';
import { AddLine } from '../../ui/AddLine';
import { FindBox } from '../../ui/FindBox';
import { PartyLine } from '../../ui/PartyLine';

const Root = styled.div`width: min(480px, 100%);`;

interface Props {
    label: string;
    kind?: PartyKind;
    onPick: (party: Schemas['PartyRow']) => void;
    /** Offered below what was found. */
    onAdd?: (name: string) => void;
    onLeave?: () => void;
    takesFocus?: boolean;
}

/** Picks a record by searching for it. */
export function RecordPicker({ label, kind, onPick, onAdd, onLeave, takesFocus = true }: Props) {
    const [typed, setTyped] = useState('');
    const { results, isBehind, isUnanswered } = useFind(typed, { archived: false, ...(kind === undefined ? {} : { kind }) });
    const name = typed.trim();
    const options = [
        ...results.map(({ party, reasons }) => ({ id: String(party.id), content: <PartyLine party={party} reasons={reasons} /> })),
        ...(onAdd !== undefined && name !== '' && kind !== undefined
            ? [{ id: 'add', content: <AddLine what={`a ${kind}`} name={name} /> }]
            : []),
    ];
    const nobody = isUnanswered ? 'The server cannot be reached.' : 'Nobody in the book answers to that.';

    return (
        <Root>
            <FindBox
                autoFocus={takesFocus}
                label={label}
                placeholder={label}
                value={typed}
                onType={setTyped}
                options={options}
                isBehind={isBehind}
                foot={!isBehind && results.length === 0 ? nobody : undefined}
                onChoose={(id) => {
                    const found = results.find(({ party }) => String(party.id) === id);
                    if (found === undefined) {
                        onAdd?.(name);
                    } else {
                        onPick(found.party);
                    }
                    setTyped('');
                }}
                {...(onLeave === undefined ? {} : { onLeave })}
            />
        </Root>
    );
}
