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
    /** Whether each line says for whom it is. */
    withParty?: boolean;
    /** Whether the party stands below the number, where there is no room for its own column. */
    withPartyBelow?: boolean;
    sums?: Schemas['LedgerSum'][];
    /** Whether each line and the whole say what it is without tax. */
    withNet?: boolean;
}

/** Documents, a line each; credits have a minus before them. On a record there is room for fewer columns. */
export function DocumentTable({ rows, withParty = false, withPartyBelow = false, sums = [], withNet = false }: Props) {
    const { officeCurrency } = useSession();
    const sign = ({ kind }: Row) => kind === 'credit-note' || kind === 'credit-received' ? '−' : '';
    return (
        <TableScroll>
            <Table>
                <thead>
                    <tr>
                        <th>Document</th>
                        {withParty && <th>With</th>}
                        {withParty && <th>Date</th>}
                        <th>Due</th>
                        {withParty && <th>State</th>}
                        {withNet && <th className="figure">Without tax</th>}
                        <th className="figure">Total</th>
                        <th className="figure">Open</th>
                    </tr>
                </thead>
                <tbody>
                    {rows.map((row) => (
                        <tr key={row.id}>
                            <td className={withParty ? 'tight' : ''}>
                                <Link className="name" to={`/documents/${row.id}`}>
                                    {documentName(row)}
                                </Link>
                                {!withParty && (
                                    <>
                                        {' '}
                                        <Small>{row.dateText}</Small>
                                    </>
                                )}
                                {withPartyBelow && <div><Small><Link to={`/records/${row.party.id}`}>{row.party.name}</Link></Small></div>}
                            </td>
                            {withParty && (
                                <td className="words">
                                    <Link to={`/records/${row.party.id}`}>{row.party.name}</Link>
                                </td>
                            )}
                            {withParty && <td className="tight">{row.dateText}</td>}
                            <td>
                                <DueText row={row} />
                                {!withParty && (
                                    <>
                                        {' '}
                                        <Small>{row.stateWords}</Small>
                                    </>
                                )}
                            </td>
                            {withParty && (
                                <td className="tight">
                                    <Small>{row.stateWords}</Small>
                                </td>
                            )}
                            {withNet && (
                                <td className="figure">
                                    {sign(row)}
                                    {row.net.text}
                                </td>
                            )}
                            <td className="figure">
                                {row.total.currency !== officeCurrency && `${row.total.currency} `}
                                {sign(row)}
                                {row.total.text}
                            </td>
                            <td className="figure">{row.open.sign === 0 ? '' : `${sign(row)}${row.open.text}`}</td>
                        </tr>
                    ))}
                </tbody>
                {sums.length > 0 && (
                    <tfoot>
                        {sums.map(({ total, open, net }) => (
                            <tr key={total.currency}>
                                <th colSpan={withParty ? 5 : 2} scope="row">Total, {total.currency}</th>
                                {withNet && <td className="figure">{net.text}</td>}
                                <td className="figure">{total.currency} {total.text}</td>
                                <td className="figure">{open.text}</td>
                            </tr>
                        ))}
                    </tfoot>
                )}
            </Table>
        </TableScroll>
    );
}
