import { useState } from 'react';
import { api, ask } from '../../api/client';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { FieldGroup, FieldRow, Notice, Row, Small } from '../../ui/Text';
import type { RecordData } from './sections/spec';
import { useSaid } from './useSaid';

export function AddCard({ record, onClose }: { record: RecordData; onClose: () => void }) {
    const [draft, setDraft] = useState({ number: '', expires: '', holder: '', postcode: '' });
    const { run, problems, message } = useSaving();
    const act = useSaid();
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
    return (
        <FieldGroup aria-label="New card">
            <Form
                onLeave={onClose}
                autoComplete="off"
                onSubmit={(event) => {
                    event.preventDefault();
                    void run(async () => {
                        await act.save(
                            () => ask(api.POST('/api/parties/{id}/cards', { params: { path: { id: record.party.id } }, body: draft })),
                            'Card kept by its token; the number is not.',
                        );
                        onClose();
                    });
                }}
            >
                <FieldRow>
                    <Field
                        label="Card number"
                        autoFocus
                        width="name"
                        value={draft.number}
                        onChange={(number) => set({ number })}
                        problem={problems.number}
                    />
                    <Field
                        label="Until"
                        width="figure"
                        placeholder="04/28"
                        value={draft.expires}
                        onChange={(expires) => set({ expires })}
                        problem={problems.expires}
                    />
                    <Field
                        label="Name on it"
                        width="name"
                        value={draft.holder}
                        onChange={(holder) => set({ holder })}
                        problem={problems.holder}
                    />
                    <Field
                        label="Billing postcode"
                        width="code"
                        value={draft.postcode}
                        onChange={(postcode) => set({ postcode })}
                        problem={problems.postcode}
                    />
                </FieldRow>
                <Small>The number is checked, handed to the vault, and not kept here.</Small>
                {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
                <Row $gap="small"><MainButton type="submit">Save this card</MainButton><Button onPress={onClose}>Cancel</Button></Row>
            </Form>
        </FieldGroup>
    );
}
