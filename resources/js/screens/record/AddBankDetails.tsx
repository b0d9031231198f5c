import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { useSaving } from '../../api/useSaving';
import { useTitles } from '../../shared/titles';
import { Button, MainButton } from '../../ui/Button';
import { ChooseOne } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { FieldGroup, FieldRow, Notice, Row } from '../../ui/Text';
import type { RecordData } from './sections/spec';
import { useSaid } from './useSaid';

export function AddBankDetails({ record, onClose }: { record: RecordData; onClose: () => void }) {
    const kinds = useTitles('bankAccountKinds');
    const uses = useTitles('bankAccountUses');
    const country = record.addresses.addresses[0]?.country ?? 'US';
    const [draft, setDraft] = useState<Schemas['BankDetailInput']>({
        kind: country === 'US' ? 'us' : country === 'GB' ? 'uk' : 'iban',
        iban: '',
        bic: '',
        routing: '',
        sortCode: '',
        account: '',
        use: 'checking',
        holder: '',
        bankName: '',
    });
    const { run, problems, message } = useSaving();
    const act = useSaid();
    const set = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
    return (
        <FieldGroup aria-label="New bank details">
            <Form
                onLeave={onClose}
                onSubmit={(event) => {
                    event.preventDefault();
                    void run(async () => {
                        await act.save(
                            () =>
                                ask(api.POST('/api/parties/{id}/bank-details', { params: { path: { id: record.party.id } }, body: draft })),
                            'Entered; on hold until a second person confirms it.',
                        );
                        onClose();
                    });
                }}
            >
                <FieldRow>
                    <ChooseOne
                        label="Kind"
                        width="code"
                        options={kinds}
                        value={draft.kind}
                        onChange={(kind) => set({ kind })}
                    />
                    {draft.kind === 'iban' && (
                        <Field
                            label="IBAN"
                            autoFocus
                            width="line"
                            value={draft.iban}
                            onChange={(iban) => set({ iban })}
                            problem={problems.iban}
                        />
                    )}
                    {draft.kind === 'iban' && <Field label="BIC" width="day" value={draft.bic} onChange={(bic) => set({ bic })} />}
                    {draft.kind === 'us' && (
                        <Field
                            label="Routing number"
                            autoFocus
                            width="code"
                            value={draft.routing}
                            onChange={(routing) => set({ routing })}
                        />
                    )}
                    {draft.kind === 'uk' && (
                        <Field
                            label="Sort code"
                            autoFocus
                            width="code"
                            value={draft.sortCode}
                            onChange={(sortCode) => set({ sortCode })}
                        />
                    )}
                    {draft.kind !== 'iban' && (
                        <Field
                            label="Account number"
                            width="day"
                            value={draft.account}
                            onChange={(account) => set({ account })}
                            problem={problems.account}
                        />
                    )}
                    {draft.kind === 'us' && (
                        <ChooseOne
                            label="Used as"
                            width="figure"
                            options={uses}
                            value={draft.use}
                            onChange={(use) => set({ use })}
                        />
                    )}
                </FieldRow>
                <FieldRow>
                    <Field
                        label="In the name of"
                        width="phrase"
                        value={draft.holder}
                        onChange={(holder) => set({ holder })}
                        problem={problems.holder}
                    />
                    <Field
                        label="Bank"
                        width="name"
                        value={draft.bankName}
                        onChange={(bankName) => set({ bankName })}
                        problem={problems.bankName}
                    />
                </FieldRow>
                {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
                <Row $gap="small"><MainButton type="submit">Save bank details</MainButton><Button onPress={onClose}>Cancel</Button></Row>
            </Form>
        </FieldGroup>
    );
}
