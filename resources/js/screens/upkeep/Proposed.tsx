import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { proposedMergesQuery } from '../../api/queries';
import { Heading, Row, Small, Stack } from '../../ui/Text';

/** What somebody proposes to make one, and an approver does. */
export function Proposed() {
    const { data: proposed = [] } = useQuery(proposedMergesQuery);
    return proposed.length === 0 ? null : (
        <Stack as="section" $gap="small" $stretch aria-label="Proposed">
            <Heading>Proposed</Heading>
            {proposed.map(({ id, sides, proposedBy, day, why }) => (
                <Row key={id} $gap="small">
                    <Link to={`/upkeep/make-one?proposal=${id}`}>Make one of {sides.map(({ name }) => name).join(' and ')}</Link>
                    <Small>proposed by {proposedBy} on {day}{why !== '' && `: ${why}`}</Small>
                </Row>
            ))}
        </Stack>
    );
}
