import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { choicesQuery, engagementKindsQuery, listFieldsQuery } from '../../api/queries';
import { EngagementPicker } from '../../shared/EngagementPicker';
import { useTitles } from '../../shared/titles';
import { asOptions, byNumber, ChooseOne, ChooseSeveral, type Option } from '../../ui/Choose';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Field } from '../../ui/Field';
import { Suggest } from '../../ui/Suggest';
import { TagPicker } from '../../ui/TagPicker';
import { FieldRow, Quiet, Row } from '../../ui/Text';

type Change = Schemas['BulkChangeInput'];

interface Props {
    change: Change;
    onChange: (change: Change) => void;
    problem: string | undefined;
}

const NOBODY: Option = { id: '0', name: 'nobody' };

/** What has to be said for each kind of change. */
export function BulkFields({ change, onChange, problem }: Props) {
    const { data: choices } = useQuery(choicesQuery);
    const text = change.values[0] ?? '';
    const setText = (value: string) => onChange({ ...change, values: [value] });
    const listed = (list: string) => choices?.lists.find(({ list: name }) => name === list)?.names ?? [];
    const colleagues = byNumber(choices?.colleagues ?? []);
    const setUser = (id: string) => onChange({ ...change, userId: id === '0' ? null : Number(id) });

    switch (change.kind) {
        case 'owner':
        case 'account-manager':
        case 'buyer':
            return (
                <ChooseOne
                    label="Who"
                    width="line"
                    options={[...colleagues, NOBODY]}
                    value={change.userId === undefined ? '' : String(change.userId ?? 0)}
                    onChange={setUser}
                    problem={problem}
                />
            );
        case 'add-types':
        case 'take-types':
            return (
                <>
                    <ChooseSeveral
                        label="Types"
                        options={asOptions(listed('types'))}
                        value={change.values}
                        onChange={(values) => onChange({ ...change, values })}
                    />
                    {problem !== undefined && <Quiet role="alert">{problem}</Quiet>}
                </>
            );
        case 'add-tags':
        case 'take-tags':
            return (
                <TagPicker
                    label="Tags"
                    options={listed('tags')}
                    value={change.values}
                    takesNew={change.kind === 'add-tags'}
                    onChange={(values) => onChange({ ...change, values })}
                    problem={problem}
                />
            );
        case 'source':
            return (
                <Suggest
                    label="Where they came from"
                    width="line"
                    options={asOptions(listed('sources'))}
                    value={text}
                    onType={setText}
                    problem={problem}
                />
            );
        case 'language':
            return (
                <ChooseFromMany
                    label="Language"
                    width="line"
                    options={(choices?.languages ?? []).map(({ code, name }) => ({ id: code, name }))}
                    value={text}
                    onChange={setText}
                    problem={problem}
                />
            );
        case 'terms':
            return (
                <FieldRow>
                    <SideChoice change={change} onChange={onChange} />
                    <Field label="Terms" width="name" value={text} onChange={setText} problem={problem} hint="As in 2/10 net 30; empty inherits them" />
                </FieldRow>
            );
        case 'side-field':
            return <SideFieldChoice change={change} onChange={onChange} problem={problem} />;
        case 'detail':
            return <DetailChoice change={change} onChange={onChange} problem={problem} />;
        case 'archive':
            return <Field label="Why" value={text} onChange={setText} problem={problem} hint="As in: closed their business" />;
        case 'reminder':
            return (
                <FieldRow>
                    <Field label="What to do" width="line" value={text} onChange={setText} problem={problem} />
                    <Field label="Day" width="day" value={change.day ?? ''} onChange={(day) => onChange({ ...change, day })} hint="today, +7, 31 jan" />
                    <ChooseOne
                        label="For"
                        width="name"
                        options={[{ id: '0', name: 'who looks after them' }, ...colleagues]}
                        value={String(change.userId ?? 0)}
                        onChange={setUser}
                    />
                </FieldRow>
            );
        case 'log-entry':
            return <Field label="What happened" lines={3} value={text} onChange={setText} problem={problem} />;
        case 'engagement':
            return <RoleChoice change={change} onChange={onChange} problem={problem} />;
        case 'delete':
            return <Quiet>Those that something refers to stay, and the list says why. It can be taken back.</Quiet>;
        default:
            return null;
    }
}

function SideChoice({ change, onChange }: Omit<Props, 'problem'>) {
    return (
        <ChooseOne
            label="Side"
            width="name"
            options={[{ id: 'client', name: 'when we bill them' }, { id: 'vendor', name: 'when we pay them' }]}
            value={change.side ?? ''}
            onChange={(side) => onChange({ ...change, side })}
        />
    );
}

function SideFieldChoice({ change, onChange, problem }: Props) {
    const fixed: Record<string, Option[]> = {
        treatment: useTitles('treatments'), delivery: useTitles('deliveries'), 'credit-policy': useTitles('creditPolicies'),
        'pay-by': useTitles('waysToPay'),
    };
    const fields: Option[] = [
        { id: 'delivery', name: 'How papers reach them' }, { id: 'currency', name: 'Currency' }, { id: 'discount', name: 'Discount, %' },
        { id: 'limit', name: 'Credit limit' }, { id: 'treatment', name: 'Tax on amounts' }, { id: 'reference', name: 'Reference' },
        { id: 'send-to', name: 'For whose attention' },
        ...change.side === 'vendor' ? [{ id: 'pay-by', name: 'How we pay' }] : [{ id: 'credit-policy', name: 'At the credit limit' }],
    ];
    const text = change.values[0] ?? '';
    const options = fixed[change.field ?? ''];
    return (
        <FieldRow>
            <SideChoice change={change} onChange={onChange} />
            <ChooseOne
                label="Field"
                width="name"
                options={fields}
                value={change.field ?? ''}
                onChange={(field) => onChange({ ...change, field, values: [] })}
            />
            {options === undefined ? (
                <Field
                    label="Value"
                    width="name"
                    value={text}
                    onChange={(value) => onChange({ ...change, values: [value] })}
                    problem={problem}
                    hint="Empty inherits it"
                />
            ) : (
                <ChooseOne
                    label="Value"
                    width="name"
                    options={options}
                    value={text}
                    onChange={(value) => onChange({ ...change, values: [value] })}
                    problem={problem}
                />
            )}
        </FieldRow>
    );
}

function DetailChoice({ change, onChange, problem }: Props) {
    const { data: fields = [] } = useQuery(listFieldsQuery('parties'));
    const details = fields.filter(({ key, isColumn }) => isColumn && key.startsWith('detail-'));
    const field = details.find(({ key }) => key === `detail-${change.fieldId ?? 0}`);
    const setText = (value: string) => onChange({ ...change, values: [value] });
    const text = change.values[0] ?? '';
    return (
        <FieldRow>
            <ChooseFromMany
                label="Field"
                width="line"
                options={details.map(({ key, title }) => ({ id: key, name: title }))}
                value={field?.key ?? ''}
                onChange={(key) => onChange({ ...change, fieldId: Number(key.slice('detail-'.length)), values: [] })}
                problem={field === undefined ? problem : undefined}
            />
            {field !== undefined && (field.type === 'several choices' ? (
                <ChooseSeveral
                    label="Value"
                    options={asOptions(field.choices ?? [])}
                    value={change.values}
                    onChange={(values) => onChange({ ...change, values })}
                />
            ) : field.choices !== null ? (
                <ChooseOne label="Value" width="name" options={asOptions(field.choices)} value={text} onChange={setText} problem={problem} />
            ) : (
                <Field label="Value" width="line" value={text} onChange={setText} problem={problem} hint="Empty takes it away" />
            ))}
        </FieldRow>
    );
}

function RoleChoice({ change, onChange, problem }: Props) {
    const [picked, setPicked] = useState<Schemas['EngagementRow']>();
    const { data: kinds = [] } = useQuery(engagementKindsQuery);
    const roles = kinds.find(({ id }) => id === picked?.kindId)?.roles.filter(({ isRetired }) => !isRetired) ?? [];
    return (
        <>
            {picked === undefined ? (
                <EngagementPicker
                    label="Case or project"
                    onPick={(row) => {
                        setPicked(row);
                        onChange({ ...change, engagementId: row.id });
                    }}
                />
            ) : (
                <Row><span>{picked.number} {picked.title}</span></Row>
            )}
            {picked !== undefined && (
                <ChooseOne
                    label="As"
                    width="name"
                    options={byNumber(roles)}
                    value={change.roleId === undefined ? '' : String(change.roleId)}
                    onChange={(id) => onChange({ ...change, roleId: Number(id) })}
                    problem={problem}
                />
            )}
        </>
    );
}
