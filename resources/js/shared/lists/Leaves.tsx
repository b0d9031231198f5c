import { useQuery } from '@tanstack/react-query';
import { useLocation, useNavigate } from 'react-router';
import { directoryQuery, documentsQuery, engagementsQuery, wantedIn, type ListOf } from '../../api/queries';
import { QuietButton } from '../../ui/Button';
import { useShortcut } from '../../ui/shortcuts';
import { Quiet, Row } from '../../ui/Text';
import { documentName } from '../DocumentTable';
import { PLACE_OF } from './listAddress';
import { askedOf, SIZE_OF } from './pages';

/** From which list something was opened, and which line of it it is. */
export interface LeafOf {
    list: string;
    at: number;
}

interface Line {
    id: number;
    name: string;
}

/** A page of a list: how many there are in it, and what each line is called. */
interface Lines {
    total: number;
    lines: Line[];
}

interface TurnProps extends LeafOf {
    of: ListOf;
    /** Where one of them is opened. */
    path: string;
    /** The page that holds a line. */
    useLines: (list: string, page: number) => Lines | undefined;
}

function useRecords(list: string, page: number): Lines | undefined {
    const { data } = useQuery(directoryQuery(wantedIn(new URLSearchParams(list)), page));
    return data && { total: data.total, lines: data.rows.map(({ id, fileAs }) => ({ id, name: fileAs })) };
}

function useDocuments(list: string, page: number): Lines | undefined {
    const { data } = useQuery(documentsQuery(askedOf(new URLSearchParams(list)), page));
    return data && { total: data.total, lines: data.rows.map((row) => ({ id: row.id, name: documentName(row) })) };
}

function useEngagements(list: string, page: number): Lines | undefined {
    const { data } = useQuery(engagementsQuery(askedOf(new URLSearchParams(list)), page));
    return data && { total: data.total, lines: data.rows.map(({ id, number, title }) => ({ id, name: `${number} ${title}` })) };
}

const WAYS = {
    parties: { path: '/records', useLines: useRecords },
    documents: { path: '/documents', useLines: useDocuments },
    engagements: { path: '/engagements', useLines: useEngagements },
};

/** One after another through the list that something was opened from, as leaves are turned; and back to its line. */
export function Leaves({ of }: { of: ListOf }) {
    const place = useLocation().state as Partial<LeafOf> | null;
    return typeof place?.list === 'string' && typeof place.at === 'number'
        ? <Turn of={of} list={place.list} at={place.at} {...WAYS[of]} />
        : null;
}

function Turn({ of, list, at, path, useLines }: TurnProps) {
    const navigate = useNavigate();
    const size = SIZE_OF[of];
    const pageOf = (line: number) => Math.max(1, Math.floor(line / size) + 1);
    const after = useLines(list, pageOf(at + 1));
    const before = useLines(list, pageOf(Math.max(0, at - 1)));
    const count = after?.total ?? before?.total;
    const next = after?.lines[(at + 1) % size];
    const last = at === 0 ? undefined : before?.lines[(at - 1) % size];
    const go = (id: number | undefined, to: number) => id !== undefined && void navigate(`${path}/${id}`, { state: { list, at: to }, replace: true });
    useShortcut('.', 'Next one of the list', () => go(next?.id, at + 1));
    useShortcut(',', 'The one before it in the list', () => go(last?.id, at - 1));

    return (
        <nav aria-label="In the list">
            <Row $gap="small">
                <QuietButton isDisabled={last === undefined} onPress={() => go(last?.id, at - 1)}>‹ {last?.name ?? 'the first'}</QuietButton>
                {count !== undefined && <Quiet>{(at + 1).toLocaleString('en')} of {count.toLocaleString('en')}</Quiet>}
                <QuietButton isDisabled={next === undefined} onPress={() => go(next?.id, at + 1)}>{next?.name ?? 'the last'} ›</QuietButton>
                <QuietButton onPress={() => void navigate(`${PLACE_OF[of]}?${list}`, { state: { at } })}>Back to the list</QuietButton>
            </Row>
        </nav>
    );
}
