import { useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { api, ask } from '../../api/client';
import { engagementQuery, forget, keepEngagement, queryClient, type EngagementData } from '../../api/queries';
import { AskWhy } from '../../shared/AskWhy';
import { PinnedEntry } from '../../shared/log/LogSection';
import { SectionForm } from '../../shared/section/SectionFrame';
import { whileSaving } from '../../ui/unsaved';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Menu } from '../../ui/Menu';
import { useShortcut } from '../../ui/shortcuts';
import { useSay } from '../../ui/StatusLine';
import { Mark, Notice, Quiet, Row, Title } from '../../ui/Text';
import { line, space } from '../../ui/tokens';
import { HeadFields } from './HeadFields';
import { headSpec } from './sections';
import { StageDialog } from './StageDialog';
import { useEngagementLog, useEngagementSection, useMayEdit, type PageProps } from './useEngagement';
import { useSayMoved } from './useSayMoved';

const Root = styled.div`
    display: grid;
    gap: ${space.small};
    padding-bottom: ${space.large};
    &:focus-visible { outline: ${line.focus}; outline-offset: ${space.tight}; }
`;

/** The title at the head of its page, with where it stands. */
export function EngagementTitle({ engagement, kind }: PageProps) {
    const edit = useEngagementSection(engagement, headSpec);
    const log = useEngagementLog(engagement);
    const mayEdit = useMayEdit(engagement);
    const [isMoving, setMoving] = useState(false);
    const sayMoved = useSayMoved();
    const { row, head, archive } = engagement;
    useShortcut('m', 'Move it into another stage', () => mayEdit && setMoving(true));

    const onMoved = (moved: EngagementData) => sayMoved(`Now “${moved.row.stage.name}”.`, [moved]);

    if (edit.draft !== undefined) {
        return (
            <Root id="engagement" data-section tabIndex={-1} role="region" aria-label="Title and terms">
                <Title>{row.title}</Title>
                <SectionForm edit={edit} saveLabel="Save title and terms">
                    <HeadFields draft={edit.draft} problems={edit.problems} meaning={row.stage.meaning} onChange={edit.change} />
                </SectionForm>
            </Root>
        );
    }
    return (
        <Root id="engagement" data-section tabIndex={-1} role="region" aria-label="Title and terms">
            <Row>
                <Title>{row.title}</Title>
                {mayEdit && <QuietButton data-edit aria-label="Edit title and terms" onPress={edit.begin}>Edit</QuietButton>}
                {mayEdit && <Life engagement={engagement} kindName={kind.name} />}
            </Row>
            <Quiet>
                {[
                    kind.name.charAt(0).toUpperCase() + kind.name.slice(1),
                    row.number,
                    `begun ${row.begunText}`,
                    row.owner === '' ? 'looked after by nobody yet' : `looked after by ${row.owner}`,
                    head.terms !== '' && `billed at ${head.terms}`,
                    row.isPrivate && `private to ${head.readers.map(({ name }) => name).join(', ')}`,
                ].filter(Boolean).join(' · ')}
            </Quiet>
            <Row $gap="small">
                <strong>{row.stage.name}</strong>
                <Quiet>
                    since {row.sinceText}{row.isClosed ? '' : `, ${row.days} ${row.days === 1 ? 'day' : 'days'}`}
                </Quiet>
                {row.standsTooLong && <Mark tone="look">longer than {row.stage.mostDays} days</Mark>}
                {mayEdit && <Button onPress={() => setMoving(true)}>Move it</Button>}
            </Row>
            {archive !== null && <Archived engagement={engagement} />}
            {engagement.pinned.map((entry) => <PinnedEntry key={entry.id} log={log} entry={entry} />)}
            {isMoving && <StageDialog row={row} stages={kind.stages} onClose={() => setMoving(false)} onMoved={onMoved} />}
        </Root>
    );
}

function useRestore(engagement: EngagementData) {
    const say = useSay();
    const path = { engagement: engagement.row.id };
    return () => whileSaving(async () => {
        try {
            keepEngagement(await ask(api.DELETE('/api/engagements/{engagement}/archive', { params: { path } })));
            say(`${engagement.row.number} is in use again.`);
        } catch (error) {
            say(`Not restored. ${(error as Error).message}`);
        }
    });
}

function Archived({ engagement }: { engagement: EngagementData }) {
    const restore = useRestore(engagement);
    return (
        <Notice tone="look" title={`Archived on ${engagement.archive?.onText}: ${engagement.archive?.reason}`}>
            <Button onPress={() => void restore()}>Take it back into use</Button>
        </Notice>
    );
}

function Life({ engagement, kindName }: { engagement: EngagementData; kindName: string }) {
    const [asked, setAsked] = useState<'archive' | 'delete'>();
    const navigate = useNavigate();
    const say = useSay();
    const restore = useRestore(engagement);
    const { row } = engagement;
    const path = { engagement: row.id };
    const close = () => setAsked(undefined);
    // Where letters go, as the parties say; else to all of them.
    const mailed = engagement.parties.filter(({ isMailed }) => isMailed);
    const readers = [...new Set((mailed.length > 0 ? mailed : engagement.parties).map(({ party }) => party.id))];
    return (
        <>
            <Menu
                label="More"
                items={[
                    { id: 'conflicts', name: 'Search for conflicts', onChoose: () => void navigate(`/conflicts?engagement=${row.id}`) },
                    { id: 'meet', name: 'Arrange a meeting …', onChoose: () => void navigate(`/engagements/${row.id}/meet`) },
                    ...readers.length === 0 ? [] : [{
                        id: 'letters',
                        name: 'Write a letter …',
                        onChoose: () => void navigate(`/letters/write?engagement=${row.id}&ids=${readers.join(',')}`),
                    }],
                    { id: 'as-of', name: 'As it was on a day …', onChoose: () => void navigate(`/engagements/${row.id}/as-of`) },
                    { id: 'archive', name: `Archive this ${kindName} …`, onChoose: () => setAsked('archive') },
                    { id: 'delete', name: `Delete this ${kindName} …`, onChoose: () => setAsked('delete') },
                ]}
            />
            {asked === 'archive' && (
                <AskWhy
                    title={`Archive ${row.number}?`}
                    hint="It stays whole, and is found among what is archived."
                    action="Archive it"
                    onClose={close}
                    run={async (reason) => {
                        keepEngagement(await ask(api.PUT('/api/engagements/{engagement}/archive', { params: { path }, body: { reason } })));
                        say(`${row.number} archived.`, () => void restore());
                    }}
                />
            )}
            {asked === 'delete' && (
                <Dialog title={`Delete ${row.number}?`} role="alertdialog" onClose={close}>
                    <p>It goes for good, with its log. What documents or payments refer to is archived instead.</p>
                    <DialogButtons>
                        <MainButton
                            onPress={() => void whileSaving(async () => {
                                try {
                                    await ask(api.DELETE('/api/engagements/{engagement}', { params: { path } }));
                                    await navigate('/engagements');
                                    queryClient.removeQueries({ queryKey: engagementQuery(row.id).queryKey });
                                    void forget(['engagements']);
                                    say(`${row.number} deleted.`);
                                } catch (error) {
                                    close();
                                    say(`Not deleted. ${(error as Error).message}`);
                                }
                            })}
                        >
                            Delete it
                        </MainButton>
                        <Button autoFocus onPress={close}>Keep it</Button>
                    </DialogButtons>
                </Dialog>
            )}
        </>
    );
}
