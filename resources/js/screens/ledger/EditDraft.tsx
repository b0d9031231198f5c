import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { documentQuery, forgetLedger, keepAnswer } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Notice } from '../../ui/Text';
import { bodyOf, DocumentFields, lineKey } from './DocumentForm';
import type { Draft } from './draft';

type Doc = Schemas['Document'];

export function EditDraft({ document, onClose }: { document: Doc; onClose: () => void }) {
    const { row } = document;
    const [draft, setDraft] = useState<Draft>(() => ({
        // A draft is never an opening balance.
        kind: row.kind as Draft['kind'],
        date: document.date,
        due: document.due,
        terms: document.terms,
        treatment: document.treatment,
        currency: document.currency,
        number: row.number,
        reference: row.reference,
        note: document.note,
        engagementId: document.engagement?.id ?? null,
        validUntil: document.validUntil,
        lines: document.lines.map(({ text, quantity, price, discount, taxRateId, accountId, costCentreIds, sourceLineId }) => ({
            key: lineKey(),
            text,
            quantity,
            price,
            discount: discount === '0' ? '' : discount,
            taxRateId,
            accountId,
            costCentreIds,
            sourceLineId,
        })),
    }));
    const { run, problems, message } = useSaving();
    const say = useSay();
    const last = draft.lines.at(-1);
    return (
        <Form
            aria-label="Change the draft"
            takesFocus
            onLeave={onClose}
            $stretch
            onSubmit={(event) => {
                event.preventDefault();
                void run(async () => {
                    // At once as it is now: who issues it next has seen this version.
                    keepAnswer(
                        documentQuery(row.id).queryKey,
                        await ask(
                            api.PUT('/api/documents/{document}', {
                                params: { path: { document: row.id } },
                                body: { ...bodyOf(draft), version: document.version },
                            }),
                        ),
                    );
                    forgetLedger();
                    say('Draft saved.');
                    onClose();
                });
            }}
        >
            <DocumentFields
                draft={draft}
                onChange={setDraft}
                problems={problems}
                partyId={row.party.id}
                isTheirs={row.kind === 'bill' || row.kind === 'credit-received'}
                blank={() => ({
                    key: lineKey(),
                    text: '',
                    quantity: '',
                    price: '',
                    discount: '',
                    taxRateId: last?.taxRateId ?? null,
                    accountId: last?.accountId ?? null,
                    costCentreIds: last?.costCentreIds ?? [],
                })}
            />
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <FieldRow><MainButton type="submit">Save the draft</MainButton><Button onPress={onClose}>Cancel</Button></FieldRow>
        </Form>
    );
}
