import { QuietButton } from '../../ui/Button';
import { Row, Small } from '../../ui/Text';

interface Props {
    name: string;
    notes: string;
    onOpen: () => void;
    onRemove: () => void;
}

/** A row of a long list that is not being edited, with what it says in short. */
export function ClosedRow({ name, notes, onOpen, onRemove }: Props) {
    return (
        <Row $gap="small">
            <span>{name}</span>
            {notes !== '' && <Small>{notes}</Small>}
            <QuietButton aria-label={`Change ${name}`} onPress={onOpen}>Change</QuietButton>
            <QuietButton aria-label={`Remove ${name}`} onPress={onRemove}>Remove</QuietButton>
        </Row>
    );
}
