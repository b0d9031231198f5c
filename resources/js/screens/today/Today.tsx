import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../../api/client';
import { todayQuery } from '../../api/queries';
import { EmptyDesk } from '../../shared/EmptyDesk';
import { documentName, DueText } from '../../shared/DocumentTable';
import { AwaitedSheet } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { ReminderLine } from '../../shared/ReminderLine';
import { SubjectLink } from '../../shared/SubjectLink';
import { momentText } from '../../ui/moment';
import { Sheet } from '../../ui/Page';
import { Heading, Mark, Notice, Quiet, Row, Small, Stack, Title } from '../../ui/Text';
import { line, narrow, space } from '../../ui/tokens';
import { CalendarAddress } from './CalendarAddress';

type TodayData = Schemas['Today'];

const Columns = styled.div`
    display: grid;
    grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
    gap: ${space.wide};
    ${narrow} { grid-template-columns: minmax(0, 1fr); }
`;

const List = styled.ul`
    width: 100%;
    margin: 0;
    padding: 0;
    list-style: none;
    li { padding: ${space.tight} 0; border-top: ${line.rule}; }
    li:first-child { border-top: 0; }
`;

/** What needs doing: the first screen. */
export function Today() {
    const { data, error, refetch } = useQuery(todayQuery);

    useTitle('Today');

    if (error !== null && data === undefined) {
        return <AwaitedSheet what="Today" error={error} retry={() => void refetch()} />;
    }
    if (data?.everybodys.length === 0) {
        return <EmptyDesk />;
    }
    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={data === undefined}>
            <Stack $gap="large" $stretch>
                <Row>
                    <Title>Today</Title>
                    {data !== undefined && <Quiet>{data.dayText}</Quiet>}
                </Row>
                {data !== undefined && data.backupProblem !== '' && (
                    <Notice tone="stop" title="Nightly backup failed">
                        {data.backupProblem} <Link to="/office">Open Office</Link>
                    </Notice>
                )}
                {data !== undefined && <Day today={data} />}
            </Stack>
        </Sheet>
    );
}

function Day({ today }: { today: TodayData }) {
    return (
        <Columns>
            <Stack $gap="wide" $stretch>
                <Part
                    title="To do"
                    empty="Nothing is due. Reminders are set on the page of a record."
                    items={today.due.map((reminder) => (
                        <ReminderLine key={reminder.id} reminder={reminder} withParty />
                    ))}
                />
                <Part
                    title="In the next seven days"
                    empty="Nothing yet."
                    items={today.soon.map((reminder) => (
                        <ReminderLine key={reminder.id} reminder={reminder} withParty />
                    ))}
                />
                {today.meetings.length > 0 && (
                    <Part
                        title="Meetings"
                        empty=""
                        items={today.meetings.map(({ id, title, whenText, subject, isToBeWritten }) => (
                            <div key={id}>
                                <Link to={`/meetings/${id}`}>{title}</Link> <Small>{whenText} · <SubjectLink subject={subject} /></Small>
                                {isToBeWritten && <div><Mark tone="look">Write what came of it</Mark></div>}
                            </div>
                        ))}
                    />
                )}
                {(today.dueThisWeek.length > 0 || today.newlyOverdue.length > 0 || today.overLimit.length > 0) && (
                    <>
                        <Part
                            title="Due within a week"
                            empty="Nothing falls due."
                            items={today.dueThisWeek.map((row) => (
                                <Falls key={row.id} row={row} />
                            ))}
                        />
                        <Part
                            title="Newly overdue"
                            empty="Nothing has become overdue this week."
                            items={today.newlyOverdue.map((row) => (
                                <Falls key={row.id} row={row} />
                            ))}
                        />
                        {today.overLimit.length > 0 && (
                            <Part
                                title="Over the credit limit"
                                empty=""
                                items={today.overLimit.map((party) => (
                                    <Link key={party.id} to={`/records/${party.id}`}>
                                        {party.name}
                                    </Link>
                                ))}
                            />
                        )}
                    </>
                )}
                {(today.toBeDecided.length > 0 || today.weighed.length > 0) && (
                    <Part
                        title="Decisions expected"
                        empty="No decision within a week."
                        items={today.toBeDecided.map((row) => (
                            <div key={row.id}>
                                <Link to={`/engagements/${row.id}`}>{row.number} {row.title}</Link>{' '}
                                <Small>
                                    {[
                                        row.decidedText,
                                        row.clients.map(({ name }) => name).join(', '),
                                        row.weighed !== null && `${row.weighed.currency} ${row.weighed.text} weighed`,
                                    ].filter(Boolean).join(' · ')}
                                </Small>
                            </div>
                        ))}
                        foot={today.weighed.length > 0 && (
                            <Small>
                                All <Link to="/engagements?state=enquiry">enquiries</Link> by their chances:{' '}
                                {today.weighed.map(({ currency, text }) => `${currency} ${text}`).join(', ')}
                            </Small>
                        )}
                    />
                )}
                {today.standingTooLong.length > 0 && (
                    <Part
                        title="Standing too long"
                        empty=""
                        items={today.standingTooLong.map((row) => (
                            <div key={row.id}>
                                <Link to={`/engagements/${row.id}`}>{row.number} {row.title}</Link>{' '}
                                <Small>
                                    {[`${row.days} days “${row.stage.name}”`, row.owner].filter(Boolean).join(' · ')}
                                </Small>
                            </div>
                        ))}
                    />
                )}
                <CalendarAddress />
                <Part
                    title={
                        today.gapCount > today.gaps.length
                            ? `Gaps in my records, ${today.gaps.length} of ${today.gapCount}`
                            : 'Gaps in my records'
                    }
                    empty="The records that you look after lack nothing."
                    items={today.gaps.map(({ party, readiness }) => (
                        <div key={party.id}>
                            <Link to={`/records/${party.id}`}>{party.displayName}</Link>{' '}
                            <Small>
                                {readiness
                                    .flatMap(({ checks }) => checks)
                                    .filter(({ state }) => state !== 'passed')
                                    .slice(0, 2)
                                    .map(({ name, todo, section }) => (
                                        <span key={name}>
                                            {todo} <Link to={`/records/${party.id}#${section}`}>Go there</Link>{' '}
                                        </span>
                                    ))}
                            </Small>
                        </div>
                    ))}
                />
            </Stack>
            <Stack $gap="wide" $stretch>
                {(today.cautions.length > 0 || today.files.length > 0) && (
                    <Part
                        title="Ending and expiring"
                        empty=""
                        items={[
                            ...today.cautions.map(({ id, party, level, text, untilText }) => (
                                <div key={`caution-${id}`}>
                                    <Mark tone={level === 'stop' ? 'stop' : 'look'}>
                                        {level === 'stop' ? 'Stop' : 'Note'} ends on {untilText}
                                    </Mark>
                                    <div>
                                        <Small>
                                            {text} · <Link to={`/records/${party.id}`}>{party.name}</Link>
                                        </Small>
                                    </div>
                                </div>
                            )),
                            ...today.files.map(({ id, about, name, expiresOn, isExpired }) => (
                                <div key={`file-${id}`}>
                                    <Mark tone="look">{isExpired ? 'expired' : 'expires'} on {expiresOn}</Mark>
                                    <div><Small>{name} · <SubjectLink subject={about} at="#files" /></Small></div>
                                </div>
                            )),
                        ]}
                    />
                )}
                <Part
                    title="My latest changes"
                    empty="You have changed nothing yet."
                    items={today.mine.map((touched) => (
                        <Touched key={touched.party.id} touched={touched} />
                    ))}
                />
                <Part
                    title="Everybody’s latest changes"
                    empty="Nobody has changed anything."
                    items={today.everybodys.map((touched) => (
                        <Touched key={touched.party.id} touched={touched} withWho />
                    ))}
                />
            </Stack>
        </Columns>
    );
}

/** A document that falls due: for whom, how much, when. */
function Falls({ row }: { row: Schemas['DocumentRow'] }) {
    return (
        <Row $gap="small" $apart>
            <span>
                <Link to={`/documents/${row.id}`}>{documentName(row)}</Link>{' '}
                <Link to={`/records/${row.party.id}`}>{row.party.name}</Link>{' '}
                <Small>
                    <DueText row={row} />
                </Small>
            </span>
            <span>
                {row.side === 'vendor' ? 'to pay ' : ''}
                {row.open.currency} {row.open.text}
            </span>
        </Row>
    );
}

function Part({ title, empty, items, foot }: { title: string; empty: string; items: ReactNode[]; foot?: ReactNode }) {
    return (
        <Stack as="section" $gap="small" aria-label={title} $stretch>
            <Heading>{title}</Heading>
            {items.length === 0 ? <Quiet>{empty}</Quiet> : <List>{items.map((item, index) => <li key={index}>{item}</li>)}</List>}
            {foot}
        </Stack>
    );
}

function Touched({ touched: { party, section, by, at }, withWho = false }: { touched: Schemas['Touched']; withWho?: boolean }) {
    return (
        <>
            <Link to={`/records/${party.id}`}>{party.displayName}</Link>{' '}
            <Small>{section.toLowerCase()}, {withWho && `${by}, `}{momentText(at)}</Small>
        </>
    );
}
