import { useQuery } from '@tanstack/react-query';
import { useLocation, useNavigate } from 'react-router';
import { directoryQuery } from '../api/queries';
import { QuietButton } from '../ui/Button';
import { useShortcut } from '../ui/shortcuts';
import { Quiet, Row } from '../ui/Text';

const PAGE = 100;

/** From which list a record was opened, and which line of it it is. */
export interface LeafOf {
    list: string;
    at: number;
}

/** One after another through the list that a record was opened from, as leaves are turned; and back to its line. */
export function Leaves() {
    const place = useLocation().state as Partial<LeafOf> | null;
    return typeof place?.list === 'string' && typeof place.at === 'number' ? <Turn list={place.list} at={place.at} /> : null;
}

function Turn({ list, at }: LeafOf) {
    const navigate = useNavigate();
    const search = new URLSearchParams(list);
    const wanted = Object.fromEntries(['filter', 'sort', 'columns', 'archived'].flatMap((key) => {
        const value = search.get(key);
        return value === null ? [] : [[key, value]];
    }));
    const pageOf = (line: number) => Math.max(1, Math.floor(line / PAGE) + 1);
    const { data: after } = useQuery(directoryQuery(wanted, pageOf(at + 1)));
    const { data: before } = useQuery(directoryQuery(wanted, pageOf(Math.max(0, at - 1))));
    const count = after?.total ?? before?.total;
    const next = after?.rows[(at + 1) % PAGE];
    const last = at === 0 ? undefined : before?.rows[(at - 1) % PAGE];
    const go = (id: number | undefined, to: number) => id !== undefined && void navigate(`/records/${id}`, { state: { list, at: to }, replace: true });
    useShortcut('.', 'Next record of the list', () => go(next?.id, at + 1));
    useShortcut(',', 'Record before it in the list', () => go(last?.id, at - 1));

    return (
        <nav aria-label="In the list">
            <Row $gap="small">
                <QuietButton isDisabled={last === undefined} onPress={() => go(last?.id, at - 1)}>‹ {last?.fileAs ?? 'the first'}</QuietButton>
                {count !== undefined && <Quiet>{(at + 1).toLocaleString('en')} of {count.toLocaleString('en')}</Quiet>}
                <QuietButton isDisabled={next === undefined} onPress={() => go(next?.id, at + 1)}>{next?.fileAs ?? 'the last'} ›</QuietButton>
                <QuietButton onPress={() => void navigate(`/directory?${list}`, { state: { at } })}>Back to the list</QuietButton>
            </Row>
        </nav>
    );
}
