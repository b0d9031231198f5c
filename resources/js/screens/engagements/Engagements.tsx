import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { choicesQuery, engagementKindsQuery, engagementsQuery, recordQuery, type EngagementsWanted } from '../../api/queries';
import { useSession } from '../../api/session';
import { FilterForm } from '../../shared/FilterForm';
import { SIZE_OF } from '../../shared/lists/pages';
import { useLongList } from '../../shared/lists/useLongList';
import { useWanted } from '../../shared/useWanted';
import { ButtonLink, QuietButton } from '../../ui/Button';
import { byNumber, ChooseOne, type Option } from '../../ui/Choose';
import { Sheet } from '../../ui/Page';
import { Empty, Quiet, Row, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { EngagementList } from './EngagementList';
import { StageBand } from './StageBand';

type Kind = Schemas['EngagementKind'];

const STATES: Option[] = [
    { id: 'live', name: 'going on' },
    { id: 'enquiry', name: 'enquiries' },
    { id: 'closed', name: 'closed' },
    { id: 'all', name: 'all of them' },
    { id: 'archived', name: 'archived' },
];

/** Cases and projects, with the band of their stages above them. */
export function Engagements() {
    useTitle('Cases & projects');
    const { search, wanted, set } = useWanted<EngagementsWanted>('any', ['list']);
    const { data: kinds, error: kindsError } = useQuery(engagementKindsQuery);
    const list = useLongList((page) => engagementsQuery(wanted, page), SIZE_OF.engagements);
    const { page: data, error, refetch } = list;
    if (error !== null || kindsError !== null || data === undefined || kinds === undefined) {
        return <AwaitedSheet what="The list" error={error ?? kindsError} retry={() => void refetch()} />;
    }
    const isBare = Object.keys(wanted).length === 0;
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $stretch>
                <Row>
                    <Title>Cases & projects</Title>
                    <Quiet>{data.total === 1 ? '1 in the list' : `${data.total.toLocaleString('en')} in the list`}</Quiet>
                    <BeginButtons kinds={kinds} />
                    <Link to="/conflicts">Conflict search</Link>
                </Row>
                {isBare && data.total === 0 ? (
                    <Empty>
                        <p>
                            What the firm does for its clients stands here: each with its stage, whoever is concerned, its documents and
                            its money.
                        </p>
                        <p>Begin one above, or from the page of a client, under Cases & projects.</p>
                    </Empty>
                ) : (
                    <>
                        <StageBand
                            band={data.band}
                            chosen={wanted.stageId === undefined ? undefined : Number(wanted.stageId)}
                            onChoose={(stageId) => set({ stageId: stageId === undefined ? '' : String(stageId) })}
                        />
                        <Filters key={wanted.q ?? ''} kinds={kinds} wanted={wanted} set={set} />
                        <EngagementList list={list} page={data} kinds={kinds} wanted={wanted} search={search} set={set} />
                    </>
                )}
            </Stack>
        </Sheet>
    );
}

function BeginButtons({ kinds }: { kinds: Kind[] }) {
    const { mayChangeRecords } = useSession();
    return mayChangeRecords && kinds.filter(({ isRetired }) => !isRetired).map(({ id, name }) => (
        <ButtonLink key={id} href={`/engagements/begin?kind=${id}`}>New {name}</ButtonLink>
    ));
}

interface FiltersProps {
    kinds: Kind[];
    wanted: EngagementsWanted;
    set: (part: Record<string, string>) => void;
}

function Filters({ kinds, wanted, set }: FiltersProps) {
    const { data: choices } = useQuery(choicesQuery);
    const { data: record } = useQuery({ ...recordQuery(Number(wanted.partyId)), enabled: wanted.partyId !== undefined });
    const shown = kinds.filter(({ id }) => wanted.kindId === undefined || id === Number(wanted.kindId));
    const roles = shown.flatMap(({ name, roles: ofKind }) =>
        ofKind.map((role) => ({ id: String(role.id), name: shown.length > 1 ? `${role.name} (${name})` : role.name })),
    );
    return (
        <FilterForm
            label="Number, title, who or where"
            words={wanted.q ?? ''}
            onSearch={(q) => set({ q })}
            also={
                <>
                    {wanted.partyId !== undefined && (
                        <QuietButton onPress={() => set({ partyId: '' })}>only {record?.party.displayName ?? 'one record'} ✕</QuietButton>
                    )}
                    {(wanted.from ?? wanted.to) !== undefined && (
                        <QuietButton onPress={() => set({ from: '', to: '' })}>begun {wanted.from} to {wanted.to} ✕</QuietButton>
                    )}
                </>
            }
        >
            {kinds.length > 1 && (
                <ChooseOne
                    label="Kind"
                    width="code"
                    options={[{ id: 'any', name: 'every kind' }, ...kinds.map(({ id, plural }) => ({ id: String(id), name: plural }))]}
                    value={wanted.kindId ?? 'any'}
                    onChange={(kindId) => set({ kindId, stageId: '', roleId: '' })}
                />
            )}
            <ChooseOne
                label="Shown"
                width="code"
                options={STATES}
                value={wanted.state ?? 'live'}
                onChange={(state) => set({ state: state === 'live' ? '' : state, stageId: '' })}
            />
            <ChooseOne
                label="With somebody as"
                width="word"
                options={[{ id: 'any', name: 'any role' }, ...roles]}
                value={wanted.roleId ?? 'any'}
                onChange={(roleId) => set({ roleId })}
            />
            <ChooseOne
                label="Looked after by"
                width="word"
                options={[
                    { id: 'any', name: 'anybody' },
                    ...byNumber(choices?.colleagues ?? []),
                ]}
                value={wanted.ownerId ?? 'any'}
                onChange={(ownerId) => set({ ownerId })}
            />
        </FilterForm>
    );
}
