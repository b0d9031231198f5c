import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { Refused } from '../../api/client';
import { asOfQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { pathOf, type SubjectKind } from '../../api/subjects';
import { Button } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Sheet } from '../../ui/Page';
import { FieldRow, Mark, Notice, Quiet, Row, Stack, Title } from '../../ui/Text';
import { useTitle } from '../../ui/useTitle';
import { AsOfSection } from './AsOfSection';
import { BringBackDialog } from './BringBackDialog';

export const RecordAsOf = () => <AsOfPage kind="party" />;
export const EngagementAsOf = () => <AsOfPage kind="engagement" />;

/** A record, a case or a project as it was on a past day, beside another day. Nothing on it can be changed. */
function AsOfPage({ kind }: { kind: SubjectKind }) {
    const id = Number(useParams().id);
    const [search, setSearch] = useSearchParams();
    const [isShort, setShort] = useState(false);
    const [brought, setBrought] = useState<string>();
    const { mayChangeRecords } = useSession();
    const day = search.get('day') ?? '';
    const other = search.get('other') ?? '';
    const wanted = useDeferredValue(`${day}\n${other}`);
    const [askedDay = '', askedOther = ''] = wanted.split('\n');
    const { data, error, refetch } = useQuery({ ...asOfQuery(kind, id, askedDay, askedOther), placeholderData: keepPreviousData });
    useTitle(data === undefined ? 'As of a day' : `${data.name} on ${data.day}`);
    const problems = error instanceof Refused ? error.fields : {};
    const go = (key: 'day' | 'other', typed: string) => setSearch((now) => {
        const next = new URLSearchParams(now);
        if (typed === '') {
            next.delete(key);
        } else {
            next.set(key, typed);
        }
        return next;
    }, { replace: true });
    const different = data?.sections.filter((section) => section.isDifferent) ?? [];
    const bringing = data?.sections.find(({ section }) => section === brought);
    const beside = data === undefined ? '' : other === '' ? 'today' : data.other;

    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={data === undefined && error === null}>
            <Stack $gap="large" $stretch>
                <Stack $gap="small">
                    <Row>
                        <Title>{data?.name ?? 'As of a day'}</Title>
                        {data !== undefined && <strong>as it was on {data.day}</strong>}
                    </Row>
                    {data !== undefined && (
                        <Quiet>
                            Read only. <Link to={pathOf(kind, id)}>{data.subject.name} as it is today</Link>
                        </Quiet>
                    )}
                </Stack>
                <FieldRow className="internal" $foot>
                    <Field
                        label="As it was on"
                        width="code"
                        autoFocus
                        placeholder="today"
                        value={day}
                        onChange={(typed) => go('day', typed)}
                        problem={problems.day}
                    />
                    <Field
                        label="Beside"
                        width="code"
                        placeholder="today"
                        value={other}
                        onChange={(typed) => go('other', typed)}
                        problem={problems.other}
                    />
                    <Button isDisabled={data?.savedBefore == null} onPress={() => go('day', data?.savedBefore ?? '')}>Earlier save</Button>
                    <Button isDisabled={data?.savedAfter == null} onPress={() => go('day', data?.savedAfter ?? '')}>Later save</Button>
                    <Button onPress={() => window.print()}>Print</Button>
                </FieldRow>
                {error !== null && Object.keys(problems).length === 0 && (
                    <Notice tone="stop" title={error.message}><Button onPress={() => void refetch()}>Try again</Button></Notice>
                )}
                {data !== undefined && (
                    <>
                        <Row>
                            {different.length === 0
                                ? <Mark tone="fine">Nothing differs between {data.day} and {beside}.</Mark>
                                : <Mark tone="look">{sentence(different.map(({ title }) => title), beside)}</Mark>}
                            {different.length > 0 && <Tick isSelected={isShort} onChange={setShort}>Only what differs</Tick>}
                        </Row>
                        {data.sections.filter(({ facts, isDifferent }) => facts.length > 0 && (isDifferent || !isShort)).map((section) => (
                            <AsOfSection
                                key={section.section}
                                section={section}
                                day={data.day}
                                beside={beside}
                                isShort={isShort}
                                onBringBack={data.canBringBack && mayChangeRecords && section.isKept && section.isDifferent
                                    ? () => setBrought(section.section)
                                    : undefined}
                            />
                        ))}
                    </>
                )}
            </Stack>
            {data !== undefined && bringing !== undefined && (
                <BringBackDialog kind={kind} id={id} day={data.day} section={bringing} onClose={() => setBrought(undefined)} />
            )}
        </Sheet>
    );
}

function sentence(titles: string[], beside: string): string {
    const last = titles.at(-1) ?? '';
    const named = titles.length === 1 ? last : `${titles.slice(0, -1).join(', ')} and ${last}`;
    return `Other than ${beside === 'today' ? 'it is today' : `on ${beside}`}: ${named}.`;
}
