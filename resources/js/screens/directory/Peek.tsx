import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { recordQuery } from '../../api/queries';
import { QuietButton } from '../../ui/Button';
import { rolesOf } from '../../ui/PartyLine';
import { Aside } from '../../ui/Page';
import { Heading, Mark, Quiet, Row, Small, Stack } from '../../ui/Text';
import { Unread } from '../../ui/Unread';

/** A look at a record beside the list, without leaving it. */
export function Peek({ id, onClose }: { id: number; onClose: () => void }) {
    const { data: record, error, refetch } = useQuery(recordQuery(id));
    return (
        <Aside aria-label="A look at the record" aria-live="polite">
            {error !== null && <Unread what="The record" error={error} retry={() => void refetch()} />}
            {record !== undefined && (
                <Stack $gap="small">
                    <Row $gap="small">
                        <Heading><Link to={`/records/${id}`}>{record.party.displayName}</Link></Heading>
                        <QuietButton aria-label="Close the look" onPress={onClose}>p</QuietButton>
                    </Row>
                    <Quiet>{[rolesOf(record.party), record.party.position].filter(Boolean).join(' · ')}</Quiet>
                    {record.cautions.map(({ id: caution, level, text }) => (
                        <Mark key={caution} tone={level === 'stop' ? 'stop' : 'look'}>{text}</Mark>
                    ))}
                    {record.reach.contactPoints.slice(0, 4).map((point) => (
                        <div key={point.id}>{point.uri === '' ? point.display : <a href={point.uri}>{point.display}</a>} <Small>{point.label}</Small></div>
                    ))}
                    <div>{record.letter.envelope.map((one) => <div key={one}>{one}</div>)}</div>
                    {record.standing.sides.map((side) => (
                        <div key={`${side.side} ${side.currency}`}>
                            <Small>{side.side === 'client' ? 'They owe us' : 'We owe them'}</Small> {side.currency} {side.open.text}
                            {side.overdue.sign !== 0 && <> <Mark tone="stop">{side.overdue.text} overdue</Mark></>}
                        </div>
                    ))}
                    {record.reminders.slice(0, 2).map((reminder) => <Small key={reminder.id}>{reminder.whenText}: {reminder.text}</Small>)}
                    {record.pinned.slice(0, 2).map((entry) => <Small key={entry.id}>{entry.text}</Small>)}
                </Stack>
            )}
        </Aside>
    );
}
