import { QuietButton } from '../ui/Button';
import { Field } from '../ui/Field';
import { FieldRow, Quiet, Row } from '../ui/Text';
import type { Width } from '../ui/tokens';

interface FieldProps {
    label: string;
    /** Null leaves what is kept as it is. */
    value: string | null;
    isKept: boolean;
    /** What may be seen of it. */
    masked?: string;
    onChange: (value: string | null) => void;
    problem?: string | undefined;
    hint?: string;
    width?: Width;
    placeholder?: string;
}

/** A private value while it is edited: what is kept is not shown, but can be replaced or removed. */
export function PrivateField({ label, value, isKept, onChange, masked = 'kept, private', ...props }: FieldProps) {
    if (!isKept) {
        return <Field label={label} value={value ?? ''} onChange={onChange} {...props} />;
    }
    if (value === null) {
        return (
            <Row $gap="small">
                <Quiet>{label}: {masked}</Quiet>
                <QuietButton aria-label={`Replace the ${label.toLowerCase()}`} onPress={() => onChange('')}>Replace or remove</QuietButton>
            </Row>
        );
    }
    return (
        <FieldRow $foot>
            <Field
                label={`${label}, new value`}
                value={value}
                onChange={onChange}
                {...props}
                hint={value === '' ? 'Leave it empty to remove what is kept.' : undefined}
                autoFocus
            />
            <QuietButton onPress={() => onChange(null)}>Keep what is kept</QuietButton>
        </FieldRow>
    );
}
