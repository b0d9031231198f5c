import { forget } from '../api/queries';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { areaOf, type SubjectKind } from '../api/subjects';
import { useSession } from '../api/session';
import { QuietButton } from '../ui/Button';
import { useSay } from '../ui/StatusLine';
import { Quiet, Row } from '../ui/Text';

interface ValueProps {
    /** Whose it is. */
    kind?: SubjectKind;
    id: number;
    /** What it is, for the button. */
    name: string;
    /** Of a detail sheet; null for the birth date. */
    fieldId: number | null;
    taxNumberId?: number;
    /** What may be seen of it. */
    masked?: string;
}

/** A value that is kept private: shown to those who may see it, and each time is written into the log. */
export function PrivateValue({ kind = 'party', id, name, fieldId, taxNumberId, masked = 'kept, private' }: ValueProps) {
    const [shown, setShown] = useState<string>();
    const { maySeePrivate } = useSession();
    const say = useSay();

    const show = async () => {
        try {
            const body = { fieldId, taxNumberId: taxNumberId ?? null };
            const { value } = await ask(kind === 'party'
                ? api.POST('/api/parties/{id}/reveal', { params: { path: { id } }, body })
                : api.POST('/api/engagements/{engagement}/reveal', { params: { path: { engagement: id } }, body }));
            setShown(value);
            void forget([areaOf(kind), 'stream', id]);
        } catch (error) {
            say(`Not shown. ${(error as Error).message}`);
        }
    };

    if (shown !== undefined) {
        return (
            <Row $gap="small">
                <span>{shown}</span>
                <QuietButton aria-label={`Hide the ${name}`} onPress={() => setShown(undefined)}>
                    Hide
                </QuietButton>
            </Row>
        );
    }
    return (
        <Row $gap="small">
            <Quiet>{masked}</Quiet>
            {maySeePrivate && <QuietButton aria-label={`Show the ${name}`} onPress={() => void show()}>Show</QuietButton>}
        </Row>
    );
}
