import { Link } from 'react-router';
import styled from 'styled-components';
import { useSession } from '../../api/session';
import { Mark, Quiet } from '../../ui/Text';
import { line, size, space, type } from '../../ui/tokens';
import type { RecordData } from './sections/spec';

type Side = RecordData['standing']['sides'][number];

const Figures = styled.dl`
    display: grid;
    grid-template-columns: 1fr max-content;
    gap: ${space.hair} ${space.small};
    margin: 0;
    > div { display: contents; }
    dt { color: var(--quiet); }
    dd { margin: 0; text-align: right; font-variant-numeric: tabular-nums; }
    dd a { display: inline-block; min-width: ${size.target}; min-height: ${size.target}; color: inherit; }
    .main { font: 600 ${type.heading}/1.4 ${type.sans}; color: var(--ink); }
`;

const Strip = styled.div`
    display: flex;
    gap: ${space.hair};
    height: ${space.small};
    margin: ${space.tight} 0;
    > span { min-width: ${space.tight}; background: var(--edge); }
    > [data-bucket='not-due'] { background: var(--fine); }
    > [data-bucket='1-30'] { background: var(--look); opacity: 0.55; }
    > [data-bucket='31-60'], > [data-bucket='61-90'] { background: var(--look); }
    > [data-bucket='over-90'] { background: var(--stop); }
`;

const Part = styled.span<{ $share: number }>`flex-grow: ${({ $share }) => Math.max(1, $share)};`;

/** The strip is pressed to see its figures. */
const ByAge = styled.details`
    summary { display: block; cursor: pointer; }
    summary:focus-visible { outline: ${line.focus}; }
`;

const Small = styled.p`
    color: var(--quiet);
    margin-top: ${space.tight};
`;

/** What they owe, what we owe, how late and how fast; every figure opens what makes it up. */
export function Standing({ record }: { record: RecordData }) {
    const { party, standing: { sides, net, credit, taxYear } } = record;
    if (sides.length === 0 && credit === null && (taxYear === null || taxYear.paid.sign === 0)) {
        return null;
    }
    return (
        <>
            {sides.map((side) => <OneSide key={side.side + side.currency} side={side} partyId={party.id} />)}
            {net !== null && (
                <section>
                    <h2>Net, receivable less payable</h2>
                    <Figures><dt>in {net.currency}</dt><dd>{net.text}</dd></Figures>
                    <Small>The two sides are not offset automatically.</Small>
                </section>
            )}
            {credit !== null && (
                <section>
                    <h2>Credit</h2>
                    {credit.isOver ? (
                        <Mark tone="stop">
                            {credit.left.currency} {credit.left.text.replace('−', '')} over the limit
                        </Mark>
                    ) : (
                        <p>
                            {credit.left.currency} {credit.left.text} left
                        </p>
                    )}
                    <Small>
                        {credit.sentence} At the limit: {credit.policyWords}.
                    </Small>
                </section>
            )}
            {taxYear !== null && (taxYear.isReportable || taxYear.paid.sign > 0) && (
                <section>
                    <h2>Tax report {taxYear.year}</h2>
                    <Figures>
                        <dt>paid, without cards</dt>
                        <dd>
                            <Link
                                to={`/ledger?what=payments&partyId=${party.id}&side=vendor&state=reported&from=${taxYear.year}-01-01&to=${taxYear.year}-12-31`}
                            >
                                {taxYear.paid.text}
                            </Link>
                        </dd>
                        <dt>threshold</dt>
                        <dd>{taxYear.threshold.text}</dd>
                    </Figures>
                    <Small>
                        {taxYear.isReportable ? (taxYear.isAbove ? 'Reported.' : 'Below the threshold.') : 'Not reported.'} {taxYear.why}
                    </Small>
                    {taxYear.missing.map((missing) => (
                        <p key={missing}>
                            <Mark tone={taxYear.isAbove ? 'stop' : 'look'}>{missing}</Mark>
                        </p>
                    ))}
                </section>
            )}
        </>
    );
}

function OneSide({ side, partyId }: { side: Side; partyId: number }) {
    const { open, credits, unallocated, balance, overdue, ageing, oldest, nextDue, daysToPay, currency } = side;
    const isClient = side.side === 'client';
    const year = useSession().today.slice(0, 4);
    const list = (more: string) => `/ledger?partyId=${partyId}&side=${side.side}&currency=${currency}${more}`;
    const has = (money: { sign: number }) => money.sign !== 0;
    return (
        <section aria-label={isClient ? `Receivable in ${currency}` : `Payable in ${currency}`}>
            <h2>{isClient ? 'They owe us' : 'We owe them'}</h2>
            <Figures>
                <dt className="main">{currency}</dt>
                <dd className="main">
                    <Link to={list('&state=owed')}>{open.text}</Link>
                </dd>
                {has(overdue) && (
                    <>
                        <dt>
                            <Mark tone="stop">overdue</Mark>
                        </dt>
                        <dd>
                            <Link to={list('&state=overdue')}>{overdue.text}</Link>
                        </dd>
                    </>
                )}
                {has(credits) && (
                    <>
                        <dt>credits not used</dt>
                        <dd>
                            <Link to={list(`&state=open&kind=${isClient ? 'credit-note' : 'credit-received'}`)}>−{credits.text}</Link>
                        </dd>
                    </>
                )}
                {has(unallocated) && (
                    <>
                        <dt>money not used</dt>
                        <dd>
                            <Link to={list('&what=payments&state=open')}>−{unallocated.text}</Link>
                        </dd>
                    </>
                )}
                {(has(credits) || has(unallocated)) && (
                    <>
                        <dt>balance</dt>
                        <dd>{balance.text}</dd>
                    </>
                )}
            </Figures>
            {has(open) && (
                <ByAge>
                    <summary>
                        <Strip
                            role="img"
                            aria-label={`Ageing: ${ageing
                                .filter(({ amount }) => has(amount))
                                .map(({ title, amount }) => `${title} ${amount.text}`)
                                .join(', ')}`}
                        >
                            {ageing
                                .filter(({ amount }) => has(amount))
                                .map(({ bucket, share }) => (
                                    <Part key={bucket} data-bucket={bucket} $share={share} />
                                ))}
                        </Strip>
                        <Quiet>
                            {oldest === null
                                ? 'by age'
                                : `by age: ${ageing
                                      .filter(({ amount }) => has(amount))
                                      .map(({ title }) => title)
                                      .join(', ')}`}
                        </Quiet>
                    </summary>
                    <Figures>
                        {ageing.map(({ bucket, title, amount }) => (
                            <div key={bucket}>
                                <dt>{title}</dt>
                                <dd>{has(amount) ? <Link to={list(`&bucket=${bucket}`)}>{amount.text}</Link> : '–'}</dd>
                            </div>
                        ))}
                    </Figures>
                </ByAge>
            )}
            {oldest !== null && (
                <p>
                    oldest <Link to={`/documents/${oldest.id}`}>due {oldest.dueText}</Link>, {oldest.when}
                </p>
            )}
            {nextDue !== null && nextDue.id !== oldest?.id && (
                <p>
                    next <Link to={`/documents/${nextDue.id}`}>due {nextDue.dueText}</Link>, {nextDue.when}
                </p>
            )}
            {side.warning !== '' && (
                <p>
                    <Mark tone="look">{side.warning}</Mark>
                </p>
            )}
            {daysToPay !== null && (
                <details>
                    <summary>
                        {isClient ? 'pays' : 'paid'} in <strong>{daysToPay.days}</strong> days
                        {Number(daysToPay.beyond) > 0 && <>, {daysToPay.beyond} beyond the terms</>}
                    </summary>
                    <Small>{daysToPay.sentence}</Small>
                </details>
            )}
            <details>
                <summary>this year</summary>
                <Figures>
                    <dt>{isClient ? 'invoiced, without tax' : 'billed, without tax'}</dt>
                    <dd>
                        <Link to={list(`&state=billed&from=${year}-01-01&to=${year}-12-31`)}>{side.turnover.text}</Link>
                    </dd>
                    <dt>{isClient ? 'received' : 'paid'}</dt>
                    <dd>
                        <Link to={list(`&what=payments&state=counted&from=${year}-01-01&to=${year}-12-31`)}>{side.paid.text}</Link>
                    </dd>
                </Figures>
            </details>
            {side.inHome !== '' && <Small>{side.inHome}</Small>}
        </section>
    );
}
