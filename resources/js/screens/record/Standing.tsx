import { Link } from 'react-router';
import { useSession } from '../../api/session';
import { ByAge, DaysToPay, Figures, Remark } from '../../shared/Figures';
import { Mark } from '../../ui/Text';
import type { RecordData } from './sections/spec';

type Side = RecordData['standing']['sides'][number];

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
                    <Remark>The two sides are not offset automatically.</Remark>
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
                    <Remark>
                        {credit.sentence} At the limit: {credit.policyWords}.
                    </Remark>
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
                    <Remark>
                        {taxYear.isReportable ? (taxYear.isAbove ? 'Reported.' : 'Below the threshold.') : 'Not reported.'} {taxYear.why}
                    </Remark>
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
            {has(open) && <ByAge ageing={ageing} list={list} />}
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
            {daysToPay !== null && <DaysToPay days={daysToPay} verb={isClient ? 'pays' : 'paid'} />}
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
            {side.inHome !== '' && <Remark>{side.inHome}</Remark>}
        </section>
    );
}
