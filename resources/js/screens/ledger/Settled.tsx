import { Link } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { forgetLedger } from '../../api/queries';
import { useSession } from '../../api/session';
import { QuietButton } from '../../ui/Button';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { Heading, Small, Stack } from '../../ui/Text';

type Doc = Schemas['Document'];

export function Settled({ document }: { document: Doc }) {
    const { mayChangeRecords } = useSession();
    const say = useSay();
    const takeBack = async (id: number) => {
        try {
            await ask(api.DELETE('/api/allocations/{allocation}', { params: { path: { allocation: id } } }));
            forgetLedger();
            say('Taken back.');
        } catch (error) {
            say(`Not taken back. ${(error as Error).message}`);
        }
    };
    if (document.allocations.length === 0) {
        return null;
    }
    const isCredit = document.row.kind.startsWith('credit');
    return (
        <Stack as="section" $gap="small" $stretch>
            <Heading>{isCredit ? 'Used on' : 'Settled by'}</Heading>
            <TableScroll>
                <Table>
                    <tbody>
                        {document.allocations.map((one) => (
                            <tr key={one.id}>
                                <td className="tight">{one.dayText}</td>
                                <td>
                                    {isCredit ? (
                                        <Link to={`/documents/${one.document.id}`}>{one.document.title}</Link>
                                    ) : one.kind === 'write-off' ? (
                                        'written off'
                                    ) : (
                                        one.kind
                                    )}{' '}
                                    {!isCredit && one.credit !== null && <Link to={`/documents/${one.credit.id}`}>{one.credit.title}</Link>}
                                    {one.paymentId !== null && <Link to={`/payments/${one.paymentId}`}>open the payment</Link>}
                                    {one.reason !== '' && <Small> {one.reason}</Small>}
                                </td>
                                <td><Small>{one.by}</Small></td>
                                <td className="figure">{one.amount.text}</td>
                                <td className="figure">
                                    {mayChangeRecords && (
                                        <QuietButton
                                            aria-label={`Take back ${one.kind} of ${one.amount.text}`}
                                            onPress={() => void takeBack(one.id)}
                                        >
                                            Take back
                                        </QuietButton>
                                    )}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
            </TableScroll>
        </Stack>
    );
}
