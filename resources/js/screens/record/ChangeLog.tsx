import { useInfiniteQuery } from '@tanstack/react-query';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { momentText } from '../../ui/moment';
import { Quiet, Small, Stack } from '../../ui/Text';
import { space } from '../../ui/tokens';
import { PlainSection } from './SectionFrame';

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
                <Entries>{changes.map((change) => <Entry key={change.id} change={change} />)}</Entries>
                {hasNextPage && <Button onPress={() => void fetchNextPage()}>Show earlier changes</Button>}
            </Stack>
        </PlainSection>
    );
}

function Entry({ change }: { change: Schemas['Change'] }) {
    return (
        <li>
            <Small><time dateTime={change.at}>{momentText(change.at)}</time> · {change.by} · {change.section}</Small>
            <br />
            {change.label}: {change.from === '' ? <ins>{change.to}</ins> : change.to === '' ? <><del>{change.from}</del> removed</> : (
                <><del>{change.from}</del> → <ins>{change.to}</ins></>
            )}
        </li>
    );
}
