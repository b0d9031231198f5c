import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { lookAlikesQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { addressWith } from '../../shared/useWanted';
import { Button, ButtonLink } from '../../ui/Button';
import { OneOf } from '../../ui/OneOf';
import { Sheet } from '../../ui/Page';
import { Pager } from '../../ui/Pager';
import { Progress } from '../../ui/Progress';
import { Mark, Quiet, Row, Stack, Title } from '../../ui/Text';
import { useShortcut } from '../../ui/shortcuts';
import { useTitle } from '../../ui/useTitle';
import { snug, space, widths } from '../../ui/tokens';
import { AwaitedSheet } from '../../ui/Unread';
import { Decided } from './Decided';
import { GroupList } from './GroupList';
import { GroupSides } from './GroupSides';
import { Proposed } from './Proposed';
import { useSettling } from './useSettling';

const Beside = styled.div`
    display: grid;
    grid-template-columns: minmax(${widths.name}, 3fr) minmax(0, 7fr);
    align-items: start;
    gap: ${space.large};
    ${snug} { grid-template-columns: minmax(0, 1fr); }
`;

/** What may stand in the book twice: the list of what is to settle with one of it beside, and what was decided. */
export function LookAlikes() {
    useTitle('Look-alikes');
    const { mayChangeRecords } = useSession();
    const [search, setSearch] = useSearchParams();
    const page = Math.max(1, Number(search.get('page')) || 1);
    const reason = search.get('reason') ?? '';
    const isDecided = search.get('show') === 'decided';
    const { data, error, refetch } = useQuery({ ...lookAlikesQuery(page, reason), placeholderData: keepPreviousData });
    const go = (part: Record<string, string>) => setSearch(addressWith(part), { replace: part.group !== undefined });
    const rows = data?.rows ?? [];
    const wanted = Number(search.get('group'));
    // One that is asked for by its number is shown, on whichever page of the list it stands.
    const at = wanted > 0 ? rows.findIndex(({ id }) => id === wanted) : 0;
    const open = wanted > 0 ? wanted : rows[0]?.id;
    const turn = (by: number) => {
        const next = rows[Math.max(0, at + by)];
        if (next !== undefined) {
            go({ group: String(next.id) });
        }
    };
    useShortcut('j', 'Next of the list', () => turn(1));
    useShortcut('k', 'The one before', () => turn(-1));
    useEffect(() => {
        document.querySelector('[data-group][aria-current=true]')?.scrollIntoView({ block: 'nearest' });
    }, [open]);

    if (data === undefined) {
        return <AwaitedSheet what="The look-alikes" error={error} retry={() => void refetch()} />;
    }
    return (
        <Sheet id="sheet" tabIndex={-1}>
            <Stack $stretch>
                <Row>
                    <Title>Look-alikes</Title>
                    <OneOf
                        label="What is shown"
                        value={isDecided ? 'decided' : 'open'}
                        options={[{ id: 'open', name: `To settle, ${data.total.toLocaleString('en')}` }, { id: 'decided', name: 'Decided' }] as const}
                        onChange={(show) => go({ show: show === 'open' ? '' : show, group: '', page: '' })}
                    />
                </Row>
                <ScanLine scan={data.scan} />
                {!isDecided && <Proposed />}
                {!isDecided && mayChangeRecords && data.sure > 1 && (
                    <Row>
                        <Quiet>{data.sure.toLocaleString('en')} are nearly sure.</Quiet>
                        <ButtonLink href="/upkeep/make-one/several">Settle those together …</ButtonLink>
                    </Row>
                )}
                {isDecided ? <Decided /> : (
                    <>
                        {data.reasons.length > 1 && (
                            <OneOf
                                label="Why they look alike"
                                value={reason}
                                options={[
                                    { id: '', name: 'For any reason' },
                                    ...data.reasons.map(({ code, name, count }) => ({ id: code, name: `${name}, ${count.toLocaleString('en')}` })),
                                ]}
                                onChange={(to) => go({ reason: to, group: '', page: '' })}
                            />
                        )}
                        {open === undefined ? (
                            <Quiet>
                                {data.scan === null
                                    ? 'The book has not been gone through yet. Whoever is added although they look like somebody waits here, too.'
                                    : 'Nothing to settle. Whoever is entered twice waits here.'}
                            </Quiet>
                        ) : (
                            <Beside>
                                <Stack $gap="small" $stretch>
                                    <GroupList rows={rows} openId={open} onOpen={(id) => go({ group: String(id) })} />
                                    <Pager page={data.page} pages={data.pages} onGo={(to) => go({ page: String(to), group: '' })} />
                                </Stack>
                                <GroupSides
                                    key={open}
                                    id={open}
                                    next={rows[at + 1]?.id ?? rows[at - 1]?.id}
                                    onNext={(id) => go({ group: id === undefined ? '' : String(id) })}
                                />
                            </Beside>
                        )}
                    </>
                )}
            </Stack>
        </Sheet>
    );
}

/** When the book was gone through, and how far that is. */
function ScanLine({ scan }: { scan: Schemas['LookAlikePage']['scan'] }) {
    const { mayChangeRecords } = useSession();
    const { act } = useSettling();
    if (scan?.isUnderWay === true) {
        return (
            <Row>
                <Progress label="Going through the book" done={scan.done} of={100} />
                <Button
                    onPress={() => void act(
                        () => ask(api.POST('/api/look-alikes/scan/{scan}/stop', { params: { path: { scan: scan.id } } })),
                        'Stopped. What was found stays.',
                    )}
                >
                    Stop
                </Button>
            </Row>
        );
    }
    return (
        <Row>
            {scan !== null && (scan.state === 'failed'
                ? <Mark tone="stop">{scan.failure}</Mark>
                : (
                    <Quiet>
                        {scan.state === 'stopped' ? 'Last gone through in part' : 'The whole book was last gone through'} on {scan.day}
                        {scan.state === 'done' && `: ${scan.records.toLocaleString('en')} records`}. What changes is compared by itself.
                    </Quiet>
                ))}
            {mayChangeRecords && (
                <Button onPress={() => void act(() => ask(api.POST('/api/look-alikes/scan')), 'The book is being gone through.')}>
                    Go through the book
                </Button>
            )}
        </Row>
    );
}
