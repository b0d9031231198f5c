import { useInfiniteQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { momentText } from '../../ui/moment';
import { Quiet, Small, Stack } from '../../ui/Text';
import { space } from '../../ui/tokens';
import { PlainSection } from './SectionFrame';

type Change = Schemas['Change'];

const Entries = styled.ol`
    display: grid;
    gap: ${space.small};
    width: 100%;
    margin: 0;
    padding: 0;
    list-style: none;
    li { overflow-wrap: anywhere; }
    del { color: var(--quiet); }
    ins { text-decoration: none; }
`;

/** Who changed what, when, from what, to what. */
export function ChangeLog({ id }: { id: number }) {
    const { data, isError, hasNextPage, fetchNextPage, refetch } = useInfiniteQuery({
        queryKey: ['changes', id],
        queryFn: ({ pageParam }) => ask(api.GET('/api/parties/{id}/changes', {
            params: { path: { id }, query: pageParam === undefined ? {} : { before: pageParam } },
        })),
        initialPageParam: undefined as number | undefined,
        getNextPageParam: (last) => last.before ?? undefined,
    });
    const changes = data?.pages.flatMap((page) => page.changes) ?? [];

    return (
        <PlainSection id="changes" title="Log of changes">
            <Stack $gap="small">
                {isError && <Quiet>The log could not be read. <Button onPress={() => void refetch()}>Try again</Button></Quiet>}
                <Entries>{bySave(changes).map((save) => <Entry key={save.first.id} save={save} />)}</Entries>
                {hasNextPage && <Button onPress={() => void fetchNextPage()}>Show earlier changes</Button>}
            </Stack>
        </PlainSection>
    );
}

interface Save {
    first: Change;
    changes: Change[];
}

/** What one person saved at once stands under one line. */
function bySave(changes: Change[]): Save[] {
    const saves: Save[] = [];
    for (const change of changes) {
        const last = saves.at(-1);
        if (last !== undefined && last.first.at === change.at && last.first.by === change.by && last.first.section === change.section) {
            last.changes.push(change);
        } else {
            saves.push({ first: change, changes: [change] });
        }
    }
    return saves;
}

function Entry({ save: { first, changes } }: { save: Save }) {
    return (
        <li>
            <Small><time dateTime={first.at}>{momentText(first.at)}</time> · {first.by} · {first.section}</Small>
            {changes.map(({ id, label, from, to }) => (
                <div key={id}>
                    {label}: {from === '' ? <ins>{to}</ins> : to === '' ? <><del>{from}</del> removed</> : (
                        <><del>{from}</del> → <ins>{to}</ins></>
                    )}
                </div>
            ))}
        </li>
    );
}
