import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import type { EngagementData } from '../../api/queries';
import { ByAge, DaysToPay } from '../../shared/Figures';
import { Contents, LastChange, NextToDo } from '../../shared/MarginParts';
import { Margin } from '../../ui/Page';
import { Facts, Mark, Quiet, Small } from '../../ui/Text';
import { size, space } from '../../ui/tokens';

const Sums = styled(Facts)`
    dd a { display: inline-block; min-height: ${size.target}; }
`;

const Steps = styled.ol`
    display: grid;
    gap: ${space.tight};
    margin: 0;
    padding: 0;
    list-style: none;
    li { overflow-wrap: anywhere; }
`;

/** What the program works out from it. It never takes input. */
export function EngagementMargin({ engagement }: { engagement: EngagementData }) {
    const { row, head, figures, moves, todo, details, lastChange } = engagement;
    return (
        <Margin aria-label="Worked out from it">
            {figures.map((one) => <Figures key={one.billed.currency} id={row.id} figures={one} severalCurrencies={figures.length > 1} />)}
            {head.value !== '' && row.stage.meaning === 'enquiry' && (
                <section>
                    <h2>If it comes</h2>
                    <Facts>
                        <div><dt>expected</dt><dd>{head.currency} {head.value}</dd></div>
                        {head.chance !== '' && <div><dt>chance</dt><dd>{head.chance}%</dd></div>}
                        {row.weighed !== null && <div><dt>weighed</dt><dd>{row.weighed.currency} {row.weighed.text}</dd></div>}
                        {head.decidedOn !== '' && <div><dt>decided</dt><dd>{head.decidedOn}</dd></div>}
                    </Facts>
                    {head.isDecisionOverdue && <Mark tone="look">was to be decided by then</Mark>}
                </section>
            )}
            {todo.length > 0 && (
                <section>
                    <h2>Still needed</h2>
                    {todo.map((text) => <p key={text}><Mark tone="look">{text}</Mark></p>)}
                </section>
            )}
            <section>
                <h2>How it came here</h2>
                <Steps>
                    {moves.map((move) => (
                        <li key={move.id}>
                            {move.onText}: {move.stage}
                            {move.days !== null && <> <Small>{move.days} {move.days === 1 ? 'day' : 'days'}</Small></>}
                            {move.reason !== '' && <div><Quiet>{move.reason}</Quiet></div>}
                        </li>
                    ))}
                </Steps>
            </section>
            <Contents aria-label="On this page">
                <h2>On this page</h2>
                <a href="#parties">Parties</a>
                <a href="#site">Site</a>
                {details.sheets.length > 0 && <a href="#details">Details</a>}
                <a href="#documents">Documents</a>
                <a href="#links">Linked</a>
                <a href="#files">Files</a>
                <a href="#reminders">Reminders</a>
                <a href="#log">Log</a>
            </Contents>
            <NextToDo reminders={engagement.reminders} />
            <LastChange change={lastChange} />
        </Margin>
    );
}

interface FiguresProps {
    id: number;
    figures: Schemas['EngagementFigures'];
    severalCurrencies: boolean;
}

/** Each figure opens the list that makes it up. */
function Figures({ id, figures, severalCurrencies }: FiguresProps) {
    const { agreed, billed, open, received, bills, left, percent, overdue, ageing, daysToPay } = figures;
    const of = `engagementId=${id}${severalCurrencies ? `&currency=${billed.currency}` : ''}`;
    return (
        <section>
            <h2>Money, {billed.currency}</h2>
            <Sums>
                {agreed !== null && <div><dt>agreed</dt><dd>{agreed.text}</dd></div>}
                <div>
                    <dt>billed</dt>
                    <dd><Link to={`/ledger?${of}&side=client&state=billed`}>{billed.text}</Link>{percent !== null && ` (${percent}%)`}</dd>
                </div>
                {left !== null && <div><dt>{left.sign === -1 ? 'left' : 'not billed yet'}</dt><dd>{left.text}</dd></div>}
                <div><dt>open</dt><dd><Link to={`/ledger?${of}&side=client&state=open`}>{open.text}</Link></dd></div>
                {overdue.sign !== 0 && (
                    <div>
                        <dt><Mark tone="stop">overdue</Mark></dt>
                        <dd><Link to={`/ledger?${of}&side=client&state=overdue`}>{overdue.text}</Link></dd>
                    </div>
                )}
                <div><dt>received</dt><dd><Link to={`/ledger?what=payments&${of}&side=client`}>{received.text}</Link></dd></div>
                <div><dt>bills of others</dt><dd><Link to={`/ledger?${of}&side=vendor&state=billed`}>{bills.text}</Link></dd></div>
            </Sums>
            {ageing.some(({ amount }) => amount.sign !== 0) && (
                <ByAge ageing={ageing} list={(more) => `/ledger?${of}&side=client${more}`} />
            )}
            {daysToPay !== null && <DaysToPay days={daysToPay} verb="paid" />}
            {left?.sign === -1 && <Mark tone="look">more is billed than was agreed</Mark>}
        </section>
    );
}
