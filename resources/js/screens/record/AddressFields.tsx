import { X } from 'lucide-react';
import { useTitles } from '../../shared/titles';
import { Button, QuietButton } from '../../ui/Button';
import { ChooseSeveral, Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { FieldGroup, FieldRow, Small, Stack } from '../../ui/Text';
import { PlaceFields } from '../../shared/PlaceFields';
import type { AddressRow } from './sections/addresses';

interface Props {
    partyId: number;
    row: AddressRow;
    /** Who else uses it, by name; empty when nobody does. */
    sharedWith: string;
    problemAt: (field: string) => string | undefined;
    hasOthers: boolean;
    onChange: (part: Partial<AddressRow>) => void;
    onMakePrimary: () => void;
    onRemove: () => void;
}

/** One address, typed in the order of its country or used by link, with its uses and dates. */
export function AddressFields({ partyId, row, sharedWith, problemAt, hasOthers, onChange, onMakePrimary, onRemove }: Props) {
    const uses = useTitles('addressUses');

    return (
        <FieldGroup aria-label={row.linkedAddressId === null ? 'Address' : `Address, same as ${row.linkedTo}`}>
            {row.linkedAddressId === null ? (
                <PlaceFields
                    partyId={partyId}
                    place={row}
                    problemAt={problemAt}
                    onChange={onChange}
                    onLink={({ addressId, usedBy, ...place }) =>
                        onChange({ ...place, linkedAddressId: addressId, linkedTo: usedBy[0]?.name ?? '' })
                    }
                />
            ) : (
                <Stack $gap="tight">
                    <span>{row.text.join(', ')}</span>
                    <FieldRow>
                        <Small>same as {row.linkedTo}, by link: a change there shows here</Small>
                        <QuietButton onPress={() => onChange({ linkedAddressId: null })}>Use an address of its own</QuietButton>
                    </FieldRow>
                </Stack>
            )}
            {sharedWith !== '' && row.linkedAddressId === null && (
                <Small>also used by {sharedWith}: a change here shows there</Small>
            )}
            <FieldRow>
                <Field
                    label="To the attention of"
                    width="name"
                    placeholder="Accounts payable"
                    value={row.attention}
                    onChange={(attention) => onChange({ attention })}
                    problem={problemAt('attention')}
                />
                <Field
                    label="In care of"
                    width="name"
                    value={row.careOf}
                    onChange={(careOf) => onChange({ careOf })}
                    problem={problemAt('careOf')}
                />
            </FieldRow>
            <ChooseSeveral label="Use for" options={uses} value={row.uses} onChange={(uses) => onChange({ uses })} />
            <FieldRow $foot>
                <Field
                    label="Since"
                    width="day"
                    placeholder="1 May"
                    value={row.since}
                    onChange={(since) => onChange({ since })}
                    problem={problemAt('since')}
                />
                <Field
                    label="Until"
                    width="day"
                    placeholder="+30"
                    value={row.until}
                    onChange={(until) => onChange({ until })}
                    problem={problemAt('until')}
                />
                {hasOthers && (
                    <Tick isSelected={row.isPrimary} onChange={(isPrimary) => isPrimary && onMakePrimary()}>
                        primary
                    </Tick>
                )}
                <Button aria-label="Remove this address" onPress={onRemove}>
                    <X size={16} aria-hidden />
                    Remove
                </Button>
            </FieldRow>
        </FieldGroup>
    );
}
