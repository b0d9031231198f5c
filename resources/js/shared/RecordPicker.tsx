import { useState } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import type { PartyKind } from '../api/queries';
import { useFind } from '../api/useFind';
import { AddLine } from '../ui/AddLine';
import { FindBox } from '../ui/FindBox';
import { PartyLine } from '../ui/PartyLine';
import { widths } from '../ui/tokens';

const Root = styled.div`width: min(${widths.full}, 100%);`;

interface Props {
    label: string;
    kind?: PartyKind;
    onPick: (party: Schemas['PartyRow']) => void;
    /** Offered below what was found. */
    onAdd?: (name: string) => void;
    onLeave?: () => void;
    takesFocus?: boolean;
    /** The kind that is added, where any kind is found. */
    addsKind?: PartyKind;
}

/** Picks a record by searching for it. */
export function RecordPicker({ label, kind, onPick, onAdd, onLeave, takesFocus = true, addsKind = kind }: Props) {
    const [typed, setTyped] = useState('');
    const { results, isBehind, failure } = useFind(typed, { archived: false, ...(kind === undefined ? {} : { kind }) });
    const name = typed.trim();
    const options = [
        ...results.map(({ party, reasons }) => ({ id: String(party.id), content: <PartyLine party={party} reasons={reasons} /> })),
        // Whoever adds has seen what is there.
        ...(onAdd !== undefined && name !== '' && !isBehind && addsKind !== undefined
            ? [{ id: 'add', content: <AddLine what={`a ${addsKind}`} name={name} /> }]
            : []),
    ];
    const nobody = failure === null ? 'Nobody in the book matches that.' : failure.message;

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
