import { useState } from 'react';
import { api, ask } from '../../api/client';
import { Button, QuietButton } from '../../ui/Button';
import { Mark, Quiet, Row, Small, Stack } from '../../ui/Text';
import { PlainSection } from '../../shared/section/SectionFrame';
import type { RecordData } from './sections/spec';
import { useMayEdit } from './useMayEdit';
import { AddBankDetails } from './AddBankDetails';
import { AddCard } from './AddCard';
import { BankDetail } from './BankDetail';
import { useSaid } from './useSaid';

/** Bank details: in force, on hold, and what was before; and cards, by what may be shown of them. */
export function BankSection({ record }: { record: RecordData }) {
    const { current, history, cards } = record.bank;
    const mayEdit = useMayEdit(record);
    const [adds, setAdds] = useState<'account' | 'card'>();
    const act = useSaid();
    const add = (
        <Row $gap="small">
            <Button data-edit onPress={() => setAdds('account')}>Add bank details</Button>
            <Button onPress={() => setAdds('card')}>Add a card</Button>
        </Row>
    );
    return (
        <PlainSection
            id="bank"
            title="Bank and cards"
            folded={current.length + cards.length + history.length === 0 && adds === undefined ? 'No bank details yet.' : undefined}
            tools={current.length + cards.length + history.length === 0 && mayEdit && adds === undefined && add}
        >
            <Stack $gap="small" $stretch>
                {current.length === 0 && cards.length === 0 && (
                    <Quiet>No bank details yet. New ones are on hold until a second person has confirmed them.</Quiet>
                )}
                {current.map((detail) => (
                    <BankDetail key={detail.id} record={record} detail={detail} mayEdit={mayEdit} />
                ))}
                {cards.map((card) => (
                    <Row key={card.id} $gap="small">
                        <span>
                            {card.brand} •••• {card.lastFour}
                        </span>
                        <Small>
                            until {card.expires}
                            {card.holder !== '' && `, ${card.holder}`}
                            {card.postcode !== '' && `, ${card.postcode}`}
                        </Small>
                        {card.isExpired && <Mark tone="look">expired</Mark>}
                        {mayEdit && (
                            <QuietButton
                                aria-label={`Remove the card ending in ${card.lastFour}`}
                                onPress={() =>
                                    void act.tryTo(
                                        () =>
                                            ask(
                                                api.DELETE('/api/parties/{id}/cards/{card}', {
                                                    params: { path: { id: record.party.id, card: card.id } },
                                                }),
                                            ),
                                        'Card removed.',
                                    )
                                }
                            >
                                Forget
                            </QuietButton>
                        )}
                    </Row>
                ))}
                {history.length > 0 && (
                    <details>
                        <summary>
                            <Small>What was before ({history.length})</Small>
                        </summary>
                        {history.map((detail) => (
                            <p key={detail.id}>
                                <Small>
                                    {detail.kindTitle} {detail.masked}, entered by {detail.enteredBy} on {detail.enteredText};{' '}
                                    {detail.decidedText || detail.stateTitle}
                                </Small>
                            </p>
                        ))}
                    </details>
                )}
                {mayEdit && adds === undefined && current.length + cards.length + history.length > 0 && add}
                {adds === 'account' && <AddBankDetails record={record} onClose={() => setAdds(undefined)} />}
                {adds === 'card' && <AddCard record={record} onClose={() => setAdds(undefined)} />}
            </Stack>
        </PlainSection>
    );
}
