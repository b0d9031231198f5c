import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { Mark, Quiet, Row, Stack } from '../../ui/Text';
import { line, space } from '../../ui/tokens';

const Sums = styled.dl`
    display: grid;
    grid-template-columns: max-content max-content;
    gap: ${space.hair} ${space.large};
    justify-self: end;
    margin: 0;
    > div { display: contents; }
    dt { color: var(--quiet); }
    dd { margin: 0; text-align: right; }
    .all { font-weight: 600; border-top: ${line.ink}; }
`;

/** What a document comes to, with the tax at each rate. */
export function TotalsOf({ totals, currency }: { totals: Schemas['Totals']; currency: string }) {
    const taxed = totals.taxes.filter(({ tax, rate }) => tax.sign !== 0 || rate !== '0%');
    return (
        <Row $end>
            <Sums>
                {taxed.length > 0 && <><dt>Without tax</dt><dd>{totals.net.text}</dd></>}
                {taxed.map(({ rate, taxable, tax }) => (
                    <div key={rate}><dt>Tax {rate} on {taxable.text}</dt><dd>{tax.text}</dd></div>
                ))}
                <dt className="all">Total, {currency}</dt><dd className="all">{totals.gross.text}</dd>
            </Sums>
        </Row>
    );
}

/** Cautions and the credit limit, before anything is saved. */
export function UseNotes({ use }: { use: Schemas['DocumentUse'] }) {
    return (
        <Stack $gap="tight">
            {use.stops.map((text) => (
                <Mark key={text} tone="stop">
                    Stop: {text}
                </Mark>
            ))}
            {use.notes.map((text) => (
                <Mark key={text} tone="look">
                    {text}
                </Mark>
            ))}
            {use.creditSentence !== '' &&
                (use.policy === null ? (
                    <Quiet>{use.creditSentence}</Quiet>
                ) : (
                    <Mark tone={use.policy === 'tell' ? 'look' : 'stop'}>{use.creditSentence}</Mark>
                ))}
        </Stack>
    );
}
