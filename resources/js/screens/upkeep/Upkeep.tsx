import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { gapsQuery, lookAlikesQuery, waitingConflictsQuery } from '../../api/queries';
import { useAllRead } from '../../api/useAllRead';
import { useTitle } from '../../ui/useTitle';
import { Sheet } from '../../ui/Page';
import { Pager } from '../../ui/Pager';
import { PartyLine } from '../../ui/PartyLine';
import { Heading, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { line, size, space } from '../../ui/tokens';
import { AwaitedSheet, Unread } from '../../ui/Unread';

const List = styled.ul`
    width: 100%;
    margin: 0;
    padding: 0;
    list-style: none;

    > li {
        display: grid;
        gap: ${space.small};
        grid-template-columns: minmax(0, 1fr);
        padding: ${space.medium} 0;
        overflow-wrap: anywhere;
        border-top: ${line.rule};
    }
    a.party { display: block; max-width: ${size.reading}; color: inherit; text-decoration: none; }
    a.party:hover { text-decoration: underline; }
`;

const FEW = 5;

/** What keeps the book tidy: records that look alike, conflicts to be decided, and records that lack something. */
export function Upkeep() {
    const { isRead, error, retry } = useAllRead(lookAlikesQuery(), gapsQuery(1), waitingConflictsQuery);
    useTitle('Upkeep');

    if (!isRead) {
        return <AwaitedSheet what="What is to be kept up" error={error} retry={retry} />;
    }
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="wide" $stretch>
                <Title>Upkeep</Title>
                <LookAlikes />
                <Conflicts />
                <Gaps />
            </Stack>
        </Sheet>
    );
}

/** The first few of what is to settle, and the way to all of it. */
function LookAlikes() {
    const { data } = useQuery(lookAlikesQuery());
    const total = data?.total ?? 0;
    return (
        <Stack as="section" $gap="small" $stretch aria-label="Look-alikes" aria-busy={data === undefined}>
            <Row>
                <Heading>Look-alikes</Heading>
                {total > 0 && <Quiet>{total.toLocaleString('en')} to settle, {data?.sure.toLocaleString('en')} of them nearly sure</Quiet>}
                <Link to="/upkeep/look-alikes">{total > 0 ? 'Settle them' : 'What was decided'}</Link>
            </Row>
            {data?.scan === null && (
                <Quiet>
                    The book has not been gone through yet. <Link to="/upkeep/look-alikes">Go through it</Link>, and whoever stands in it
                    twice waits here.
                </Quiet>
            )}
            {total === 0 && data?.scan !== null && <Quiet>Nothing to settle. Whoever is entered twice waits here.</Quiet>}
            <List>
                {data?.rows.slice(0, FEW).map(({ id, records, reasons, addedBy }) => (
                    <li key={id}>
                        <Link className="party" to={`/upkeep/look-alikes?group=${id}`}>
                            {records.map(({ displayName }) => displayName).join(' · ')}
                        </Link>
                        <Small>{[...reasons, ...(addedBy === '' ? [] : [`added all the same by ${addedBy}`])].join(' · ')}</Small>
                    </li>
                ))}
            </List>
        </Stack>
    );
}

function Conflicts() {
    const { data: searches } = useQuery(waitingConflictsQuery);
    return (
        <Stack as="section" $gap="small" $stretch aria-label="Conflicts" aria-busy={searches === undefined}>
            <Heading>Conflicts</Heading>
            {searches?.length === 0 && (
                <Quiet>
                    Nothing to decide. When somebody is added to a case that was searched before, or gets a relation, what is new
                    waits here.
                </Quiet>
            )}
            <List>
                {searches?.map(({ id, engagement, byText, names }) => (
                    <li key={id}>
                        <Small>{byText}</Small>
                        {engagement !== null && (
                            <Link to={`/engagements/${engagement.id}`}>{engagement.number} {engagement.title}</Link>
                        )}
                        {names.map((one) => (
                            <div key={one.id}>
                                {one.name}{one.role !== '' && `, ${one.role}`}:{' '}
                                {one.findings.filter(({ decision }) => decision === null).map(({ sentence }) => sentence).join('; ')}
                            </div>
                        ))}
                        <Link to={`/conflicts/${id}`}>Decide</Link>
                    </li>
                ))}
            </List>
        </Stack>
    );
}

function Gaps() {
    const [page, setPage] = useState(1);
    const { data, error, refetch } = useQuery({ ...gapsQuery(page), placeholderData: keepPreviousData });
    return (
        <Stack as="section" $gap="small" $stretch aria-busy={data === undefined}>
            <Row>
                <Heading>Gaps</Heading>
                {data !== undefined && data.total > 0 && (
                    <Quiet>
                        {data.total === 1 ? '1 record' : `${data.total.toLocaleString('en')} records`}, where most money is at stake first
                    </Quiet>
                )}
            </Row>
            {error !== null && <Unread what="This page" error={error} retry={() => void refetch()} />}
            {data?.total === 0 && <Quiet>Every record has what it needs to be written to, billed and paid.</Quiet>}
            <List>{data?.rows.map((row) => <Gap key={row.party.id} row={row} />)}</List>
            {data !== undefined && <Pager page={page} pages={data.pages} onGo={setPage} />}
        </Stack>
    );
}

function Gap({ row: { party, readiness, atStake } }: { row: Schemas['GapRow'] }) {
    return (
        <li>
            <Link className="party" to={`/records/${party.id}`}><PartyLine party={party} reasons={[]} /></Link>
            {atStake !== '' && <Small>{atStake} at stake</Small>}
            {readiness.filter(({ passed, applicable }) => passed < applicable).map(({ purpose, words, passed, applicable, checks }) => (
                <Small key={purpose}>
                    {words}, {passed} of {applicable}:{' '}
                    {checks.filter(({ state }) => state !== 'passed').map(({ name, todo, section }) => (
                        <span key={name}>{todo} <Link to={`/records/${party.id}#${section}`}>Go there</Link> </span>
                    ))}
                </Small>
            ))}
        </li>
    );
}
