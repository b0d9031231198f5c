import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import {
    choicesQuery, engagementKindsQuery, engagementsQuery, keepEngagement, recordQuery, type EngagementData, type EngagementsWanted,
} from '../../api/queries';
import { useSession } from '../../api/session';
import { FilterForm } from '../../shared/FilterForm';
import { useWanted } from '../../shared/useWanted';
import { whileSaving } from '../../ui/unsaved';
import { Button, ButtonLink, QuietButton } from '../../ui/Button';
import { byNumber, ChooseOne, Tick, type Option } from '../../ui/Choose';
import { Menu } from '../../ui/Menu';
import { Sheet } from '../../ui/Page';
import { Pager } from '../../ui/Pager';
import { useShortcut } from '../../ui/shortcuts';
import { useSay } from '../../ui/StatusLine';
import { Empty, Hidden, Mark, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { Table, TableScroll } from '../../ui/Table';
import { AwaitedSheet } from '../../ui/Unread';
import { useRowKeys } from '../../ui/useRowKeys';
import { useTitle } from '../../ui/useTitle';
import { StageBand } from './StageBand';
import { needsReason, sendMove, StageDialog } from './StageDialog';
import { useSayMoved } from './useSayMoved';

type EngagementRow = Schemas['EngagementRow'];
type Kind = Schemas['EngagementKind'];
type Stage = Schemas['Stage'];

const STATES: Option[] = [
    { id: 'live', name: 'going on' },
    { id: 'enquiry', name: 'enquiries' },
    { id: 'closed', name: 'closed' },
    { id: 'all', name: 'all of them' },
    { id: 'archived', name: 'archived' },
];

const COLUMNS = [
    { key: 'number', title: 'Number and title' },
    { key: '', title: 'For' },
    { key: 'stage', title: 'Stage' },
    { key: 'days', title: 'Since' },
    { key: '', title: 'Looked after by' },
    { key: 'agreed', title: 'Agreed or expected' },
];

/** Cases and projects, with the band of their stages above them. */
export function Engagements() {
    useTitle('Cases & projects');
    const { wanted, page, set, go } = useWanted<EngagementsWanted>('any');
    const { data: kinds, error: kindsError } = useQuery(engagementKindsQuery);
    const { data, error, refetch } = useQuery({ ...engagementsQuery(wanted, page), placeholderData: keepPreviousData });
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
                        {data.total === 0
                            ? <Quiet>Nothing in the book matches that. Choose another stage, or take a filter away.</Quiet>
                            : <List rows={data.rows} kinds={kinds} wanted={wanted} set={set} />}
                        <Pager page={data.page} pages={data.pages} onGo={go} />
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

interface ListProps {
    rows: EngagementRow[];
    kinds: Kind[];
    wanted: EngagementsWanted;
    set: (part: Record<string, string>) => void;
}

function List({ rows, kinds, wanted, set }: ListProps) {
    const { mayChangeRecords } = useSession();
    const [chosen, setChosen] = useState<number[]>([]);
    const [asked, setAsked] = useState<{ row: EngagementRow; to: Stage | undefined }>();
    const body = useRowKeys<HTMLTableSectionElement>();
    const navigate = useNavigate();
    const say = useSay();
    const sayMoved = useSayMoved();
    const sort = wanted.sort ?? 'number';
    const isReversed = wanted.reversed === '1';
    const stagesOf = (row: EngagementRow) => (kinds.find(({ id }) => id === row.kindId)?.stages ?? []);
    const choose = (id: number, isOn: boolean) => setChosen(isOn ? [...chosen, id] : chosen.filter((other) => other !== id));
    const picked = rows.filter(({ id }) => chosen.includes(id));

    const said = (moved: EngagementData[]) => {
        const [first] = moved;
        if (first !== undefined) {
            sayMoved(moved.length === 1 ? `${first.row.number} is now “${first.row.stage.name}”.` : `${moved.length} moved.`, moved);
        }
    };

    /** The stage after it, or the one before. */
    const step = (row: EngagementRow, by: 1 | -1): Stage | undefined => {
        const stages = stagesOf(row).filter(({ id, isRetired }) => !isRetired || id === row.stage.id);
        return stages[stages.findIndex(({ id }) => id === row.stage.id) + by];
    };

    const move = async (some: EngagementRow[], by: 1 | -1) => {
        const steps = some.map((row) => ({ row, to: step(row, by) }));
        const [alone] = steps;
        if (alone !== undefined && steps.length === 1 && (alone.to === undefined || needsReason(alone.row.stage, alone.to))) {
            if (alone.to !== undefined) {
                setAsked(alone);
            }
            return;
        }
        const moved: EngagementData[] = [];
        const left: string[] = [];
        await whileSaving(async () => {
            for (const { row, to } of steps) {
                if (to === undefined || needsReason(row.stage, to)) {
                    left.push(row.number);
                    continue;
                }
                try {
                    const engagement = await sendMove(row, to.id);
                    keepEngagement(engagement);
                    moved.push(engagement);
                } catch (error) {
                    left.push(`${row.number}: ${(error as Error).message}`);
                }
            }
        });
        setChosen([]);
        if (left.length > 0) {
            say(`${moved.length} moved. Not moved: ${left.join(', ')}. What is closed is moved one by one.`);
        } else {
            said(moved);
        }
    };

    const atHand = () => {
        const id = document.activeElement?.closest<HTMLElement>('tr[data-id]')?.dataset.id;
        return picked.length > 0 ? picked : rows.filter((row) => String(row.id) === id);
    };
    useShortcut('.', 'Move on: the line at hand, or those chosen', () => mayChangeRecords && void move(atHand(), 1));
    useShortcut(',', 'Move back: the line at hand, or those chosen', () => mayChangeRecords && void move(atHand(), -1));

    return (
        <Stack $gap="small" $stretch>
            {picked.length > 0 && (
                <Row $gap="small" role="group" aria-label="Chosen">
                    <strong>{picked.length} chosen</strong>
                    <Button onPress={() => void move(picked, 1)}>Move on</Button>
                    <Button onPress={() => void move(picked, -1)}>Move back</Button>
                    <QuietButton onPress={() => setChosen([])}>Choose none</QuietButton>
                </Row>
            )}
            <TableScroll>
                <Table>
                    <thead>
                        <tr>
                            {mayChangeRecords && <th><Hidden>Choose</Hidden></th>}
                            {COLUMNS.map(({ key, title }) => (
                                <th
                                    key={title}
                                    className={key === 'agreed' ? 'figure' : ''}
                                    aria-sort={key === '' || sort !== key ? 'none' : isReversed ? 'descending' : 'ascending'}
                                >
                                    {key === '' ? title : (
                                        <QuietButton
                                            onPress={() => set({ sort: key === 'number' ? '' : key, reversed: sort === key && !isReversed ? '1' : '' })}
                                        >
                                            {title}{sort === key && <span aria-hidden> {isReversed ? '↑' : '↓'}</span>}
                                        </QuietButton>
                                    )}
                                </th>
                            ))}
                            {mayChangeRecords && <th><Hidden>Move</Hidden></th>}
                        </tr>
                    </thead>
                    <tbody ref={body}>
                        {rows.map((row) => (
                            <tr key={row.id} data-id={row.id}>
                                {mayChangeRecords && (
                                    <td>
                                        <Tick
                                            isSelected={chosen.includes(row.id)}
                                            onChange={(isOn) => choose(row.id, isOn)}
                                            label={`Choose ${row.number}`}
                                        />
                                    </td>
                                )}
                                <td>
                                    <Link className="name" to={`/engagements/${row.id}`}>{row.number} {row.title}</Link>{' '}
                                    {row.isPrivate && <Small>private</Small>} {row.place !== '' && <Small>{row.place}</Small>}
                                </td>
                                <td className="words">
                                    <Stack $gap="tight">
                                        {row.clients.map(({ id, name }) => <Link key={id} to={`/records/${id}`}>{name}</Link>)}
                                    </Stack>
                                </td>
                                <td>{row.stage.name}</td>
                                <td className="tight">
                                    {row.isClosed ? row.sinceText : `${row.days} ${row.days === 1 ? 'day' : 'days'}`}
                                    {row.standsTooLong && <div><Mark tone="look">too long</Mark></div>}
                                </td>
                                <td className="tight">{row.owner}</td>
                                <td className="figure">
                                    {row.agreed !== null && `${row.agreed.currency} ${row.agreed.text}`}
                                    {row.agreed === null && row.weighed !== null && (
                                        <Small>{row.weighed.currency} {row.weighed.text} weighed</Small>
                                    )}
                                </td>
                                {mayChangeRecords && (
                                    <td>
                                        <Menu
                                            label={<Hidden>Move {row.number}</Hidden>}
                                            items={[
                                                ...stagesOf(row)
                                                    .filter(({ id, isRetired }) => id !== row.stage.id && !isRetired)
                                                    .map((stage) => ({
                                                        id: String(stage.id),
                                                        name: `to “${stage.name}”${needsReason(row.stage, stage) ? ' …' : ''}`,
                                                        onChoose: () => needsReason(row.stage, stage)
                                                            ? setAsked({ row, to: stage })
                                                            : void whileSaving(async () => {
                                                                try {
                                                                    const moved = await sendMove(row, stage.id);
                                                                    keepEngagement(moved);
                                                                    said([moved]);
                                                                } catch (error) {
                                                                    say(`Not moved. ${(error as Error).message}`);
                                                                }
                                                            }),
                                                    })),
                                                { id: 'open', name: 'Open it', onChoose: () => void navigate(`/engagements/${row.id}`) },
                                            ]}
                                        />
                                    </td>
                                )}
                            </tr>
                        ))}
                    </tbody>
                </Table>
            </TableScroll>
            {asked !== undefined && (
                <StageDialog
                    row={asked.row}
                    stages={stagesOf(asked.row)}
                    to={asked.to}
                    onClose={() => setAsked(undefined)}
                    onMoved={(moved) => said([moved])}
                />
            )}
        </Stack>
    );
}
