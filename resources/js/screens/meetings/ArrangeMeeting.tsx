import { useQuery } from '@tanstack/react-query';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { engagementQuery, keepMeeting, recordQuery } from '../../api/queries';
import { documentName } from '../../shared/DocumentTable';
import { Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Row, Stack, Title } from '../../ui/Text';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { MeetingForm, NEW_MEETING } from './MeetingForm';

type Rows = Schemas['DocumentRow'][];

/** Arranges a meeting for a record, with it as who comes. */
export function ArrangeWithRecord() {
    const id = Number(useParams().id);
    const { data, error, refetch } = useQuery(recordQuery(id));
    if (data === undefined) {
        return <AwaitedSheet what="The form" error={error} retry={() => void refetch()} />;
    }
    return (
        <Arrange
            for={data.party.displayName}
            back={`/records/${id}`}
            parties={[{ id, name: data.party.displayName }]}
            documents={data.documents.newest}
            send={(body) => ask(api.POST('/api/parties/{id}/meetings', { params: { path: { id } }, body }))}
        />
    );
}

/** Arranges a meeting for a case or a project, with its clients. */
export function ArrangeForEngagement() {
    const id = Number(useParams().id);
    const { data, error, refetch } = useQuery(engagementQuery(id));
    if (data === undefined) {
        return <AwaitedSheet what="The form" error={error} retry={() => void refetch()} />;
    }
    return (
        <Arrange
            for={`${data.row.number} ${data.row.title}`}
            back={`/engagements/${id}`}
            parties={data.row.clients.map((client) => ({ id: client.id, name: client.name }))}
            documents={data.documents}
            send={(body) => ask(api.POST('/api/engagements/{engagement}/meetings', { params: { path: { engagement: id } }, body }))}
        />
    );
}

interface Props {
    for: string;
    back: string;
    parties: { id: number; name: string }[];
    documents: Rows;
    send: (body: Schemas['MeetingInput']) => Promise<Schemas['Meeting']>;
}

function Arrange({ for: whom, back, parties, documents, send }: Props) {
    const [search] = useSearchParams();
    const navigate = useNavigate();
    const say = useSay();
    const about = Number(search.get('document')) || null;
    useTitle('New meeting');
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $gap="large" $stretch>
                <Row><Title>New meeting</Title><span>for {whom}</span></Row>
                <MeetingForm
                    label="New meeting"
                    begun={{ ...NEW_MEETING, parties, documentId: documents.some(({ id }) => id === about) ? about : null }}
                    documents={documents.map((row) => ({ id: String(row.id), name: documentName(row) }))}
                    saveLabel="Arrange it"
                    onLeave={() => void navigate(back)}
                    save={async (input) => {
                        const meeting = await send({ ...input, version: 0 });
                        keepMeeting(meeting);
                        await navigate(`/meetings/${meeting.id}`, { replace: true });
                        say(meeting.isInvited && meeting.parties.length > 0 ? 'Arranged; the invitations are in the outbox.' : 'Arranged.');
                    }}
                />
            </Stack>
        </Sheet>
    );
}
