import { useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { choicesQuery } from '../../api/queries';
import { Button, QuietButton } from '../../ui/Button';
import { ChooseOne, ChooseSeveral, Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Suggest } from '../../ui/Suggest';
import { FieldGroup, FieldRow, Small, Stack } from '../../ui/Text';
import type { AddressRow } from './sections';

interface Props {
    row: AddressRow;
    sharedWith: { name: string }[];
    problemAt: (field: string) => string | undefined;
    hasOthers: boolean;
    onChange: (part: Partial<AddressRow>) => void;
    onMakePrimary: () => void;
    onRemove: () => void;
}

/** One address, typed in the order of its country or used by link, with its uses and dates. */
export function AddressFields({ row, sharedWith, problemAt, hasOthers, onChange, onMakePrimary, onRemove }: Props) {
    const { data: choices } = useQuery(choicesQuery);

    return (
        <FieldGroup aria-label={row.linkedAddressId === null ? 'Address' : `Address, same as ${row.linkedTo}`}>
            {row.linkedAddressId === null ? <OwnAddress row={row} problemAt={problemAt} onChange={onChange} /> : (
                <Stack $gap="tight">
                    <span>{row.text.join(', ')}</span>
                    <FieldRow>
                        <Small>same as {row.linkedTo}, by link: a change there shows here</Small>
                        <QuietButton onPress={() => onChange({ linkedAddressId: null })}>Use an address of its own</QuietButton>
                    </FieldRow>
                </Stack>
            )}
            {sharedWith.length > 0 && row.linkedAddressId === null && (
                <Small>also used by {sharedWith.map(({ name }) => name).join(', ')}: a change here shows there</Small>
            )}
            <ChooseSeveral label="Use for" options={choices?.addressUses ?? []} value={row.uses} onChange={(uses) => onChange({ uses })} />
            <FieldRow style={{ alignItems: 'flex-end' }}>
                <Field label="Since" width="140px" placeholder="1 May" value={row.since} onChange={(since) => onChange({ since })} problem={problemAt('since')} />
                <Field label="Until" width="140px" placeholder="+30" value={row.until} onChange={(until) => onChange({ until })} problem={problemAt('until')} />
                {hasOthers && <Tick isSelected={row.isPrimary} onChange={(isPrimary) => isPrimary && onMakePrimary()}>primary</Tick>}
                <Button aria-label="Remove this address" onPress={onRemove}><X size={16} aria-hidden />Remove</Button>
            </FieldRow>
        </FieldGroup>
    );
}

function OwnAddress({ row, problemAt, onChange }: Pick<Props, 'row' | 'problemAt' | 'onChange'>) {
    const { data: choices } = useQuery(choicesQuery);
    const layout = choices?.layouts.find(({ country }) => country === row.country) ?? choices?.layouts.find(({ country }) => country === '');

    const places = (layout?.order ?? []).filter((part) => part !== 'lines').map((part) => {
        const text = {
            value: row[part as 'locality' | 'region' | 'postcode'],
            problem: problemAt(part),
        };
        const onType = (value: string) => onChange({ [part]: value });
        switch (part) {
            case 'region':
                return (layout?.regions.length ?? 0) > 0
                    ? <Suggest key={part} label={layout?.regionName ?? ''} width="120px" options={(layout?.regions ?? []).map(({ code, name }) => ({ id: code, name: `${code} ${name}` }))} onType={(value) => onType(regionCode(value))} {...text} />
                    : <Field key={part} label={layout?.regionName ?? ''} width="180px" onChange={onType} {...text} />;
            case 'postcode':
                return <Field key={part} label={layout?.postcodeName ?? ''} width="130px" onChange={onType} placeholder={layout?.postcodeExample.split(' or ')[0] ?? ''} {...text} />;
            default:
                return <Field key={part} label={layout?.localityName ?? ''} width="220px" onChange={onType} {...text} />;
        }
    });

    return (
        <>
            <FieldRow>
                <Field label="Street, building, floor: one to a line" lines={2} width="380px" value={row.lines} onChange={(lines) => onChange({ lines })} problem={problemAt('lines')} />
                <ChooseOne
                    label="Country"
                    width="200px"
                    options={(choices?.countries ?? []).map(({ code, name }) => ({ id: code, name }))}
                    value={row.country}
                    onChange={(country) => onChange({ country })}
                    problem={problemAt('country')}
                />
            </FieldRow>
            <FieldRow>{places}</FieldRow>
        </>
    );
}

/** A region that was picked from the list stands as its code; one that is being typed stays as typed. */
function regionCode(text: string): string {
    return /^([A-Z]{2,3}) [A-Z]/.exec(text)?.[1] ?? text;
}
