import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, Refused, type Schemas } from '../../api/client';
import { forget, forgetLedger, importsQuery, isUnderWay } from '../../api/queries';
import { useSession } from '../../api/session';
import { uploadDocuments } from '../../api/upload';
import { Unread } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { MainButton, QuietButton } from '../../ui/Button';
import { DropPlace, Progress } from '../../ui/DropPlace';
import { Sheet } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { FieldGroup, Mark, Quiet, Row, Small, Stack, Title } from '../../ui/Text';

type Import = Schemas['Import'];

const MOST_SHOWN = 200;

/** Documents that are read in from files: checked first, taken when somebody says so. */
export function Imports() {
    useTitle('Import a file');
    const { data, error, refetch } = useQuery(importsQuery);
    const { mayChangeRecords } = useSession();
    const [sending, setSending] = useState<{ name: string; part: number }>();
    const say = useSay();
    const send = async ([file]: File[]) => {
        if (file === undefined) {
            return;
        }
        setSending({ name: file.name, part: 0 });
        try {
            await uploadDocuments(file, (part) => setSending({ name: file.name, part }));
            await forget(importsQuery.queryKey);
        } catch (failure) {
            const problem = failure instanceof Refused ? Object.values(failure.fields)[0] : undefined;
            say(`Not uploaded. ${problem ?? (failure as Error).message}`);
        }
        setSending(undefined);
    };
    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={data === undefined && error === null}>
            <Stack $gap="large" $stretch>
                <Title>Import a file</Title>
                <p>
                    A table as CSV with the columns <strong>kind, number, party, date, amount</strong>, and as you like{' '}
                    <strong>due, currency, tax, text, quantity, reference, terms</strong>; rows that follow each other with the same number
                    are one document. Or one invoice as UBL 2.1. The party is found by its number here, its tax number or its name.
                </p>
                {mayChangeRecords && (
                    <DropPlace label="Choose a file" onFiles={(files) => void send(files)}>
                        or drag it here. It is checked first; nothing is imported before you say so.
                    </DropPlace>
                )}
                {sending !== undefined && (
                    <Row $gap="small">
                        <span>{sending.name}</span>
                        <Progress aria-label={`Sending ${sending.name}`} value={sending.part} />
                    </Row>
                )}
                {error !== null && <Unread what="The files" error={error} retry={() => void refetch()} />}
                {data?.map((one) => <OneImport key={one.id} one={one} />)}
            </Stack>
        </Sheet>
    );
}

function OneImport({ one }: { one: Import }) {
    const say = useSay();
    const { mayChangeRecords } = useSession();
    const path = { params: { path: { import: one.id } } };
    const act = async (work: () => Promise<unknown>) => {
        try {
            await work();
            forgetLedger();
        } catch (error) {
            say(`Not done. ${(error as Error).message}`);
        }
    };
    const lines = one.problemCount > one.problems.length ? one.problemCount : new Set(one.problems.map(({ line }) => line)).size;
    return (
        <FieldGroup aria-label={one.name}>
            <Row>
                <strong>{one.name}</strong>
                <Small>by {one.by}</Small>
                {one.state === 'taken' && <Mark tone="fine">{one.done.toLocaleString('en')} imported</Mark>}
                {one.state === 'failed' && <Mark tone="stop">{one.failure}</Mark>}
                {one.state === 'checking' && !one.isStuck && <Quiet>being checked …</Quiet>}
            </Row>
            {one.isStuck && <Mark tone="stop">The work was interrupted. Nothing was imported.</Mark>}
            {(one.state === 'taking' || one.state === 'counting') && !one.isStuck && (
                <Row $gap="small">
                    <Progress aria-label={`Importing ${one.name}`} value={one.found === 0 ? 0 : one.done / one.found} />
                    <span>
                        {one.done.toLocaleString('en')} of {one.found.toLocaleString('en')}. You can leave this page.
                    </span>
                </Row>
            )}
            {one.state === 'checked' && (
                <Stack $gap="small">
                    {one.failure !== '' && <Mark tone="stop">{one.failure}</Mark>}
                    <span>
                        {one.found.toLocaleString('en')} documents can be imported.{' '}
                        {lines > 0 && (
                            <Mark tone="stop">
                                {lines === 1 ? '1 line cannot be read' : `${lines.toLocaleString('en')} lines cannot be read`}
                            </Mark>
                        )}
                    </span>
                </Stack>
            )}
            {one.problems.length > 0 && one.state === 'checked' && (
                <TableScroll
                    $short
                    tabIndex={0}
                    role="region"
                    aria-label={`What is wrong in ${one.name}`}
                >
                    <Table>
                        <thead>
                            <tr>
                                <th>Line</th>
                                <th>Column</th>
                                <th>What is wrong</th>
                            </tr>
                        </thead>
                        <tbody>
                            {one.problems.slice(0, MOST_SHOWN).map(({ line, field, message }, at) => (
                                <tr key={at}>
                                    <td>{line}</td>
                                    <td>{field}</td>
                                    <td>{message}</td>
                                </tr>
                            ))}
                        </tbody>
                    </Table>
                    {one.problemCount > MOST_SHOWN && <Small>and {(one.problemCount - MOST_SHOWN).toLocaleString('en')} more</Small>}
                </TableScroll>
            )}
            {mayChangeRecords && (
                <Row $gap="small">
                    {((one.state === 'checked' && one.found > 0) || one.isStuck) && (
                        <MainButton onPress={() => void act(() => ask(api.POST('/api/imports/{import}/take', path)))}>
                            {one.isStuck
                                ? 'Start again'
                                : `Import ${one.found.toLocaleString('en')} documents${lines > 0 ? ', without the bad lines' : ''}`}
                        </MainButton>
                    )}
                    {one.state === 'taken' && <Link to="/ledger">Open the ledger</Link>}
                    {!isUnderWay(one) && (
                        <QuietButton
                            aria-label={`Forget ${one.name}`}
                            onPress={() => void act(() => ask(api.DELETE('/api/imports/{import}', path)))}
                        >
                            Discard this file
                        </QuietButton>
                    )}
                </Row>
            )}
        </FieldGroup>
    );
}
