import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useSession } from '../../api/session';
import { useFind } from '../../api/useFind';
import { EngagementLine } from '../../shared/EngagementPicker';
import { AddLine } from '../../ui/AddLine';
import { FindBox, type FindOption } from '../../ui/FindBox';
import { PartyLine } from '../../ui/PartyLine';
import { useShortcut } from '../../ui/shortcuts';

/** One line that searches everything, and adds what is not there. */
export function FindLine() {
    const [typed, setTyped] = useState('');
    const input = useRef<HTMLInputElement>(null);
    const navigate = useNavigate();
    const { mayChangeRecords } = useSession();
    const { results, engagements, isBehind, failure } = useFind(typed, { engagements: true });
    const name = typed.trim();

    useShortcut('/', 'Find or add', () => {
        input.current?.focus();
        input.current?.select();
    });

    const options: FindOption[] = [
        ...results.map(({ party, reasons, owed }) => ({
            id: `/records/${party.id}`,
            content: <PartyLine party={party} reasons={reasons} owed={owed} />,
        })),
        ...engagements.map((row) => ({ id: `/engagements/${row.id}`, content: <EngagementLine row={row} /> })),
        ...(mayChangeRecords && name !== '' ? [
            { id: `/add/company?name=${encodeURIComponent(name)}`, content: <AddLine what="a company" name={name} /> },
            { id: `/add/person?name=${encodeURIComponent(name)}`, content: <AddLine what="a person" name={name} /> },
        ] : []),
    ];

    const foot = failure !== null
        ? `${failure.message} Type on to try again.`
        : !isBehind && results.length === 0 && engagements.length === 0
            ? 'Nobody in the book matches that.'
            : '↑ ↓ to choose, Enter to open, Esc to leave';

    return (
        <FindBox
            label="Find or add"
            placeholder="Find or add: a name, a phone number, an email, a place …"
            keyHint="/"
            inputRef={input}
            value={typed}
            onType={setTyped}
            options={options}
            isBehind={isBehind}
            foot={foot}
            onChoose={(path) => {
                setTyped('');
                input.current?.blur();
                void navigate(path);
            }}
            onLeave={() => {
                setTyped('');
                input.current?.blur();
            }}
        />
    );
}
