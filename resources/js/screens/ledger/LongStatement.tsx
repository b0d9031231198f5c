import { useQuery } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../api/client';
import { jobsQuery } from '../../api/queries';
import { BehindScreen } from '../../shared/BehindScreen';

type Input = Schemas['StatementInput'];

interface Props {
    partyId: number;
    query: { side: string; currency: string; from: string; to: string };
}

/** A statement that is too long to be drawn while somebody waits. */
export function LongStatement({ partyId, query }: Props) {
    const { data: jobs } = useQuery(jobsQuery);
    const job = jobs?.find(
        (one) => one.partyId === partyId && (['side', 'currency', 'from', 'to'] as const).every((part) => one[part] === query[part]),
    );
    const params = { path: { id: partyId } };

    return (
        <BehindScreen
            label="PDF"
            job={job}
            make="Make the PDF"
            making="Making the PDF"
            hint="A long statement: it takes a moment, and you may leave this page."
            far={({ done, total }) => `${done.toLocaleString('en')} of ${total.toLocaleString('en')} lines`}
            save="Save the PDF"
            begin={() => ask(api.POST('/api/parties/{id}/statement', { params, body: query as Input }))}
        />
    );
}
