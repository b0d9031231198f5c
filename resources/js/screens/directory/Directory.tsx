import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Link, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { directoryQuery } from '../../api/queries';
import { EmptyDesk } from '../../app/EmptyDesk';
import { Button, MainButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { Sheet } from '../../ui/Page';
import { rolesOf } from '../../ui/PartyLine';
import { useShortcut } from '../../ui/shortcuts';
import { Empty, Hidden, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { space, type } from '../../ui/tokens';

const Table = styled.table`
    width: 100%;
    border-collapse: collapse;

    th, td { padding: 6px ${space.medium} 6px 0; border-bottom: 1px solid var(--rule); text-align: left; vertical-align: baseline; }
    th { color: var(--quiet); font-size: ${type.small}; font-weight: 500; }
    tbody tr:hover, tbody tr:focus-within { background: var(--wash); }
    td:first-child a { font-family: ${type.serif}; font-weight: 500; color: var(--ink); text-decoration: none; }
    td:first-child a:hover { text-decoration: underline; }
    td:last-child { white-space: nowrap; }
`;

/** Everybody, as they are filed. */
export function Directory() {
    const [search, setSearch] = useSearchParams();
    const page = Math.max(1, Number(search.get('page')) || 1);
    const withArchived = search.get('archived') === '1';
    const { data, error, refetch } = useQuery({ ...directoryQuery(page, withArchived), placeholderData: keepPreviousData });
    const body = useRef<HTMLTableSectionElement>(null);

    useEffect(() => {
        document.title = 'Directory – Neat Almanac';
    }, []);

    const go = (to: number, archived: boolean) => setSearch({ ...(to > 1 ? { page: String(to) } : {}), ...(archived ? { archived: '1' } : {}) });

    const move = (step: number) => {
        const links = [...body.current?.querySelectorAll<HTMLAnchorElement>('td:first-child a') ?? []];
        const at = links.findIndex((link) => link === document.activeElement);
        links[at === -1 ? (step > 0 ? 0 : links.length - 1) : Math.min(links.length - 1, Math.max(0, at + step))]?.focus();
    };
    useShortcut('j', 'Next line of the list', () => move(1));
    useShortcut('k', 'Line before', () => move(-1));

    if (error !== null) {
        return (
            <Sheet id="sheet" tabIndex={-1}>
                <Empty role="alert">
                    <p>The directory could not be read. {error.message}</p>
                    <MainButton onPress={() => void refetch()}>Try again</MainButton>
                </Empty>
            </Sheet>
        );
    }
    if (data?.total === 0 && data.archived === 0) {
        return <EmptyDesk />;
    }

    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={data === undefined}>
            <Stack $gap="large" style={{ justifyItems: 'stretch' }}>
                <Row>
                    <Title>Directory</Title>
                    {data !== undefined && <Quiet>{data.total === 1 ? '1 record' : `${data.total.toLocaleString('en')} records`}</Quiet>}
                    {data !== undefined && data.archived > 0 && (
                        <Tick isSelected={withArchived} onChange={(isSelected) => go(1, isSelected)}>{`show archived too (${data.archived})`}</Tick>
                    )}
                </Row>
                <Table>
                    <thead>
                        <tr><th>Name</th><th>Position</th><th>Role</th><th>Place</th><th>Phone</th></tr>
                    </thead>
                    <tbody ref={body}>
                        {data?.rows.map((party) => (
                            <tr key={party.id}>
                                <td><Link to={`/records/${party.id}`}>{party.fileAs}</Link>{party.kind === 'company' && <Hidden> (company)</Hidden>}</td>
                                <td><Small>{party.position}</Small></td>
                                <td>{[party.isArchived ? 'archived' : '', rolesOf(party)].filter(Boolean).join(' · ')}</td>
                                <td>{party.place}</td>
                                <td>{party.phone}</td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
                {data !== undefined && data.pages > 1 && (
                    <Row>
                        <Button isDisabled={page <= 1} onPress={() => go(page - 1, withArchived)}>Earlier</Button>
                        <Quiet>Page {page} of {data.pages}</Quiet>
                        <Button isDisabled={page >= data.pages} onPress={() => go(page + 1, withArchived)}>Later</Button>
                    </Row>
                )}
            </Stack>
        </Sheet>
    );
}
