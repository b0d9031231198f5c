import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Refused, type Schemas } from '../../api/client';
import { forget, importsQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { uploadImport } from '../../api/upload';
import { DropPlace, Progress } from '../../ui/DropPlace';
import { Sheet } from '../../ui/Page';
import { Table, TableScroll } from '../../ui/Table';
import { Heading, Mark, Notice, Row, Small, Stack, Title } from '../../ui/Text';
import { Unread } from '../../ui/Unread';
import { useTitle } from '../../ui/useTitle';
import { Elsewhere } from './Elsewhere';

/** Where files come in, and those that have. */
export function Imports() {
    useTitle('Import a file');
    const { data, error, refetch } = useQuery(importsQuery);
    const { mayChangeRecords } = useSession();
    const [sending, setSending] = useState<{ name: string; part: number }>();
    const [problem, setProblem] = useState('');
    const navigate = useNavigate();
    const send = async ([file]: File[]) => {
        if (file === undefined || sending !== undefined) {
            return;
        }
        setProblem('');
        setSending({ name: file.name, part: 0 });
        try {
            const { id } = await uploadImport(file, (part) => setSending({ name: file.name, part }));
            await forget(importsQuery.queryKey);
            await navigate(`/imports/${id}`);
        } catch (failure) {
            const refused = failure instanceof Refused ? Object.values(failure.fields)[0] : undefined;
            setProblem(`${file.name}: ${refused ?? (failure as Error).message}`);
        }
        setSending(undefined);
    };
    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={data === undefined && error === null}>
            <Stack $gap="large" $stretch>
                <Title>Import a file</Title>
                <p>
                    People and companies from a spreadsheet (CSV, XLSX, ODS) or an address book (vCard, jCard, LDIF), whatever its columns
                    are called; or documents: a table with kind, number, party, date and amount, or an invoice as UBL 2.1.
                    Everything is shown first, and nothing is imported before you say so.
                </p>
                {mayChangeRecords && (
                    <DropPlace label="Choose a file" onFiles={(files) => void send(files)}>or drag it here.</DropPlace>
                )}
                {sending !== undefined && (
                    <Row $gap="small">
                        <span>{sending.name}</span>
                        <Progress aria-label={`Sending ${sending.name}`} value={sending.part} />
                    </Row>
                )}
                {problem !== '' && <Notice tone="stop" title="Not taken">{problem}</Notice>}
                <Small>
                    Starting from nothing? Fill in a table:{' '}
                    <a href="/api/imports/template?format=xlsx">as a spreadsheet</a>, <a href="/api/imports/template?format=csv">as CSV</a>,{' '}
                    <a href="/api/imports/template?format=ods">as ODS</a>.
                </Small>
                {mayChangeRecords && <Elsewhere />}
                {error !== null && <Unread what="The files" error={error} retry={() => void refetch()} />}
                {data !== undefined && data.length > 0 && <Files files={data} />}
            </Stack>
        </Sheet>
    );
}

function Files({ files }: { files: Schemas['Import'][] }) {
    return (
        <section aria-labelledby="files">
            <Stack $stretch>
                <Heading id="files">Files so far</Heading>
                <TableScroll>
                    <Table>
                        <thead><tr><th>File</th><th>What is in it</th><th>How far</th><th>By</th><th>Day</th></tr></thead>
                        <tbody>
                            {files.map((one) => (
                                <tr key={one.id}>
                                    <td className="words"><Link className="name" to={`/imports/${one.id}`}>{one.name}</Link></td>
                                    <td>{one.lines.toLocaleString('en')} {one.of === 'documents' ? 'lines of documents' : 'people and companies'}</td>
                                    <td>{one.failure === '' ? one.stateText : <Mark tone="stop">{one.stateText}</Mark>}</td>
                                    <td>{one.by}</td>
                                    <td>{one.day}</td>
                                </tr>
                            ))}
                        </tbody>
                    </Table>
                </TableScroll>
            </Stack>
        </section>
    );
}
