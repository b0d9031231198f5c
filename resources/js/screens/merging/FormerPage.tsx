import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { formerRecordQuery } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Sheet } from '../../ui/Page';
import { Facts, Heading, Quiet, Row, Stack, Title } from '../../ui/Text';
import { useTitle } from '../../ui/useTitle';
import { AwaitedSheet } from '../../ui/Unread';
import { called } from './MergeParts';

/** A record as it was before it was made one with another, and what of it was not taken over. Nothing on it can be changed. */
export function FormerPage() {
    const { merge, former } = useParams();
    const { data, error, refetch } = useQuery(formerRecordQuery(Number(merge), Number(former)));
    useTitle(data === undefined ? 'As it was' : `${data.side.name}, as it was`);
    if (data === undefined) {
        return <AwaitedSheet what="The record as it was" error={error} retry={() => void refetch()} />;
    }
    const { side, sections, merge: { sides, struck, day, by, keptId, why } } = data;
    const kept = called(sides.find(({ id }) => id === keptId) ?? side);
    const own = struck.filter(({ partyId }) => partyId === side.id);
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Stack $gap="small">
                    <Row>
                        <Title>{side.name}</Title>
                        <strong>no. {side.number}, as it was</strong>
                        <Button className="internal" onPress={() => window.print()}>Print</Button>
                    </Row>
                    <Quiet>
                        Read only. Made one with <Link to={`/records/${keptId}`}>{kept}</Link> on {day} by {by}{why !== '' && `: ${why}`}
                    </Quiet>
                </Stack>
                {sections.map(({ title, facts }) => (
                    <Stack key={title} as="section" $gap="small" $stretch aria-label={title}>
                        <Heading>{title}</Heading>
                        <Facts>
                            {facts.map(({ label, text }, at) => <div key={`${label} ${at}`}><dt>{label}</dt><dd>{text}</dd></div>)}
                        </Facts>
                    </Stack>
                ))}
                {own.length > 0 && (
                    <Stack as="section" $gap="small" $stretch aria-label="Not taken over">
                        <Heading>Not taken over</Heading>
                        <Facts>{own.map(({ title, text }, at) => <div key={`${title} ${at}`}><dt>{title}</dt><dd>{text}</dd></div>)}</Facts>
                    </Stack>
                )}
            </Stack>
        </Sheet>
    );
}
