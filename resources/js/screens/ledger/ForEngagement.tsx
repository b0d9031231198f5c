import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import type { Schemas } from '../../api/client';
import { engagementQuery, engagementsOfRecordQuery, forgetLedger } from '../../api/queries';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { Mark, Notice, Row } from '../../ui/Text';

interface Props {
    partyId: number;
    value: number | null;
    onChange: (id: number | null) => void;
    problem?: string | undefined;
}

/** The case or project that it is for: those of the record that are going on, and the one that was chosen. */
export function ForEngagement({ partyId, value, onChange, problem }: Props) {
    const { data: rows } = useQuery(engagementsOfRecordQuery(partyId));
    const { data: chosen } = useQuery({ ...engagementQuery(value ?? 0), enabled: value !== null });
    const offered = (rows ?? []).filter(({ isClosed }) => !isClosed);
    if (offered.length === 0 && value === null) {
        return null;
    }
    const isElsewhere = chosen !== undefined && !offered.some(({ id }) => id === chosen.row.id);
    return (
        <>
            <ChooseOne
                label="For the case or project"
                width="wide"
                options={[
                    { id: 'none', name: 'none' },
                    ...offered.map(({ id, number, title }) => ({ id: String(id), name: `${number} ${title}` })),
                    ...(isElsewhere ? [{ id: String(chosen.row.id), name: `${chosen.row.number} ${chosen.row.title}` }] : []),
                ]}
                value={value === null ? 'none' : String(value)}
                onChange={(id) => onChange(id === 'none' ? null : Number(id))}
                problem={problem}
            />
            {chosen?.row.isClosed === true && <Mark tone="look">it is closed: is this still for it?</Mark>}
        </>
    );
}

type Link = Schemas['EngagementLink'];

interface LineProps {
    partyId: number;
    engagement: Link | null;
    /** What goes with it, said where it is asked. */
    hint?: string | undefined;
    /** Keeps another choice, and what it answers. */
    put: (engagementId: number | null) => Promise<Link | null>;
}

/** The case or project that something is for, which can be put right later. */
export function EngagementLine({ partyId, engagement, hint, put }: LineProps) {
    const { mayChangeRecords } = useSession();
    const { data: rows } = useQuery(engagementsOfRecordQuery(partyId));
    const [isAsking, setAsking] = useState(false);
    const mayChoose = mayChangeRecords && (engagement !== null || (rows?.length ?? 0) > 0);
    return (
        <Row $gap="small">
            {engagement !== null && (
                <span>for <RouterLink to={`/engagements/${engagement.id}`}>{engagement.number} {engagement.title}</RouterLink></span>
            )}
            {mayChoose && (
                <QuietButton onPress={() => setAsking(true)}>
                    {engagement === null ? 'Say which case or project it is for' : 'Change'}
                </QuietButton>
            )}
            {isAsking && (
                <ChooseDialog partyId={partyId} engagement={engagement} put={put} hint={hint} onClose={() => setAsking(false)} />
            )}
        </Row>
    );
}

function ChooseDialog({ partyId, engagement, hint, put, onClose }: LineProps & { onClose: () => void }) {
    const [value, setValue] = useState(engagement?.id ?? null);
    const { run, problems, message } = useSaving();
    const say = useSay();
    return (
        <Dialog title="For which case or project?" onClose={onClose}>
            <Form
                onSubmit={(event) => {
                    event.preventDefault();
                    void run(async () => {
                        const kept = await put(value);
                        forgetLedger();
                        say(kept === null ? 'It is for none now.' : `It is for ${kept.number} now.`);
                        onClose();
                    });
                }}
            >
                {hint !== undefined && <p>{hint}</p>}
                <ForEngagement partyId={partyId} value={value} onChange={setValue} problem={problems.engagementId} />
                {message !== undefined && <Notice tone="stop" title="Not changed">{message}</Notice>}
                <DialogButtons>
                    <MainButton type="submit">Save</MainButton>
                    <Button onPress={onClose}>Cancel</Button>
                </DialogButtons>
            </Form>
        </Dialog>
    );
}
