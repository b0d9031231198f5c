import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { pairsQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { Button, MainButton } from '../../ui/Button';
import { Sheet } from '../../ui/Page';
import { PartyLine } from '../../ui/PartyLine';
import { useSay } from '../../ui/StatusLine';
import { Empty, Heading, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { space } from '../../ui/tokens';

const Pairs = styled.ul`
    width: 100%;
    margin: 0;
    padding: 0;
    list-style: none;

    > li {
        display: grid;
        gap: ${space.small};
        padding: ${space.medium} 0;
        border-top: 1px solid var(--rule);
    }
    a { display: block; max-width: 640px; color: inherit; text-decoration: none; }
    a:hover { text-decoration: underline; }
`;

/** What keeps the book tidy: records that look alike and wait for somebody to look. */
export function Upkeep() {
    const { data: pairs, isError, refetch } = useQuery(pairsQuery);

    useEffect(() => {
        document.title = 'Upkeep – Neat Almanac';
    }, []);

    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={pairs === undefined}>
            <Stack $gap="large" style={{ justifyItems: 'stretch' }}>
                <Title>Upkeep</Title>
                <Stack $gap="small" style={{ justifyItems: 'stretch' }}>
                    <Row>
                        <Heading>Look-alikes</Heading>
                        {pairs !== undefined && pairs.length > 0 && <Quiet>{pairs.length === 1 ? '1 pair' : `${pairs.length} pairs`}</Quiet>}
                    </Row>
                    {isError && (
                        <Empty role="alert">
                            <p>They could not be read. The server may be down.</p>
                            <MainButton onPress={() => void refetch()}>Try again</MainButton>
                        </Empty>
                    )}
                    {pairs?.length === 0 && (
                        <Empty>
                            <p>Nothing to look at. When somebody adds a record that looks like one in the book, the two wait here.</p>
                        </Empty>
                    )}
                    <Pairs>{pairs?.map((pair) => <Pair key={pair.id} pair={pair} />)}</Pairs>
                </Stack>
            </Stack>
        </Sheet>
    );
}

function Pair({ pair }: { pair: Schemas['LookAlikePair'] }) {
    const client = useQueryClient();
    const say = useSay();
    const { mayChangeRecords } = useSession();
    const settle = async () => {
        try {
            await ask(api.DELETE('/api/look-alikes/{pair}', { params: { path: { pair: pair.id } } }));
            await client.invalidateQueries({ queryKey: pairsQuery.queryKey });
            say('Settled: they are two records.');
        } catch (error) {
            say(`Not settled. ${(error as Error).message}`);
        }
    };

    return (
        <li>
            <Small>
                {pair.reasons.length === 0 ? 'no longer alike' : pair.reasons.join(', ')} · the second was added by {pair.by}
            </Small>
            <Link to={`/records/${pair.first.id}`}><PartyLine party={pair.first} reasons={[]} /></Link>
            <Link to={`/records/${pair.second.id}`}><PartyLine party={pair.second} reasons={[]} /></Link>
            {mayChangeRecords && (
                <Row $gap="small"><Button onPress={() => void settle()}>They are two different records</Button></Row>
            )}
        </li>
    );
}
