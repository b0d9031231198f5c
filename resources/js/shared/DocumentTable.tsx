import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { useSession } from '../api/session';
import { Table, TableScroll } from '../ui/Table';
import { Mark, Small, Together } from '../ui/Text';

type Row = Schemas['DocumentRow'];

/** What a document is called in a line: its kind and its number. */
export function documentName({ kindTitle, number }: Row): string {
    return `${kindTitle} ${number === '' ? '(draft)' : number}`;
}

/** Credits take off. */
export function signOf({ kind }: Row): string {
    return kind === 'credit-note' || kind === 'credit-received' ? '−' : '';
}

/** When it is due, and how late that is. */
export function DueText({ row }: { row: Row }) {
    return (
        <>
            <Together>{row.dueText}</Together>
            {row.daysLate > 0 && (
                <>
                    {' '}
                    <Together>
                        <Mark tone="stop">
                            {row.daysLate} {row.daysLate === 1 ? 'day' : 'days'} late
                        </Mark>
                    </Together>
                </>
            )}
        </>
    );
}

interface Props {
    rows: Row[];
    /** Whether the party stands below the number, where there is no room for its own column. */
    withPartyBelow?: boolean;
}

/** Documents, a line each; credits have a minus before them. On a record there is room for fewer columns. */
export function DocumentTable({ rows, withPartyBelow = false }: Props) {
    const { officeCurrency } = useSession();
    return (
        <TableScroll>
            <Table>
                <thead>
                    <tr>
                        <th>Document</th>
                        <th>Due</th>
                        <th className="figure">Total</th>
                        <th className="figure">Open</th>
                    </tr>
                </thead>
                <tbody>
                    {rows.map((row) => (
                        <tr key={row.id}>
                            <td>
                                <Link className="name" to={`/documents/${row.id}`}>
                                    {documentName(row)}
                                </Link>{' '}
                                <Small>{row.dateText}</Small>
                                {withPartyBelow && <div><Small><Link to={`/records/${row.party.id}`}>{row.party.name}</Link></Small></div>}
                            </td>
                            <td>
                                <DueText row={row} /> <Small>{row.stateWords}</Small>
                            </td>
                            <td className="figure">
                                {row.total.currency !== officeCurrency && `${row.total.currency} `}
                                {signOf(row)}
                                {row.total.text}
                            </td>
                            <td className="figure">{row.open.sign === 0 ? '' : `${signOf(row)}${row.open.text}`}</td>
                        </tr>
                    ))}
                </tbody>
            </Table>
        </TableScroll>
    );
}
