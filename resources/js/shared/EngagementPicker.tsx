import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { engagementsQuery } from '../api/queries';
import { useQuiet } from '../api/useQuiet';
import { FindBox } from '../ui/FindBox';
import { Small } from '../ui/Text';

const MOST = 8;

interface Props {
    label: string;
    exceptIds?: number[];
    takesFocus?: boolean;
    onPick: (row: Schemas['EngagementRow']) => void;
}

/** Picks a case or a project by searching for it. */
export function EngagementPicker({ label, exceptIds = [], takesFocus = false, onPick }: Props) {
    const [typed, setTyped] = useState('');
    const quiet = useQuiet(typed.trim());
    const { data } = useQuery({ ...engagementsQuery({ state: 'all', q: quiet }, 1), enabled: quiet !== '' });
    const rows = quiet === '' ? [] : (data?.rows ?? []).filter(({ id }) => !exceptIds.includes(id)).slice(0, MOST);
    const isBehind = quiet !== typed.trim() || (quiet !== '' && data === undefined);
    return (
        <FindBox
            autoFocus={takesFocus}
            label={label}
            placeholder="Number, title, who or where"
            value={typed}
            onType={setTyped}
            options={rows.map((row) => ({ id: String(row.id), content: <EngagementLine row={row} /> }))}
            isBehind={isBehind}
            foot={typed.trim() !== '' && !isBehind && rows.length === 0 ? 'Nothing matches that.' : undefined}
            onChoose={(id) => {
                const row = rows.find((one) => String(one.id) === id);
                if (row !== undefined) {
                    onPick(row);
                    setTyped('');
                }
            }}
        />
    );
}

/** A case or a project as an answer of a search. */
export function EngagementLine({ row }: { row: Schemas['EngagementRow'] }) {
    return (
        <span>
            {row.number} {row.title}{' '}
            <Small>{[row.clients.map(({ name }) => name).join(', '), row.stage.name, row.place].filter(Boolean).join(' · ')}</Small>
        </span>
    );
}
