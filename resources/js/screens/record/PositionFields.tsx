import { X } from 'lucide-react';
import { useListed } from '../../api/useListed';
import { Button } from '../../ui/Button';
import { asOptions, ChooseSeveral, Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { FieldGroup, FieldRow, Mark } from '../../ui/Text';
import type { PositionRow } from './sections/positions';

interface Props {
    row: PositionRow;
    isAtCompany: boolean;
    /** Duties that somebody else may have there too. */
    shared: string[];
    problemAt: (field: string) => string | undefined;
    onChange: (part: Partial<PositionRow>) => void;
    onMakePrimary: (isPrimary: boolean) => void;
    onRemove: () => void;
}

/** One position: title, department, duties, since and until. */
export function PositionFields({ row, isAtCompany, shared, problemAt, onChange, onMakePrimary, onRemove }: Props) {
    const duties = useListed('duties', row.duties);
    const missing = problemAt('partyId');
    return (
        <FieldGroup>
            <legend>{row.partyName}</legend>
            {missing !== undefined && <Mark tone="stop">{missing}</Mark>}
            <FieldRow>
                <Field
                    label="Title"
                    width="name"
                    value={row.title}
                    onChange={(title) => onChange({ title })}
                    problem={problemAt('title')}
                />
                <Field
                    label="Department"
                    width="word"
                    value={row.department}
                    onChange={(department) => onChange({ department })}
                    problem={problemAt('department')}
                />
            </FieldRow>
            <ChooseSeveral
                label="Duties"
                options={asOptions(duties)}
                value={row.duties}
                onChange={(chosen) => onChange({ duties: chosen, firstFor: row.firstFor.filter((duty) => chosen.includes(duty)) })}
            />
            {shared.length > 0 && (
                <ChooseSeveral
                    label="First to ask about"
                    options={asOptions(shared)}
                    value={row.firstFor}
                    onChange={(firstFor) => onChange({ firstFor })}
                />
            )}
            <FieldRow $foot>
                <Field
                    label="Since"
                    width="day"
                    placeholder="1 Mar"
                    value={row.since}
                    onChange={(since) => onChange({ since })}
                    problem={problemAt('since')}
                />
                <Field
                    label="Until"
                    width="day"
                    placeholder="30 Jun 2027"
                    value={row.until}
                    onChange={(until) => onChange({ until })}
                    problem={problemAt('until')}
                />
                <Tick isSelected={row.isPrimary} onChange={onMakePrimary}>
                    {isAtCompany ? 'primary here' : 'primary there'}
                </Tick>
                <Button aria-label={`Remove the position of ${row.partyName}`} onPress={onRemove}>
                    <X size={16} aria-hidden />
                    Remove
                </Button>
            </FieldRow>
        </FieldGroup>
    );
}
