import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { Table, TableScroll } from '../ui/Table';
import { Quiet } from '../ui/Text';

interface Props {
    label: string;
    people: Schemas['LeftOut'][];
    /** How many there are, where the first of them are shown and the rest is counted. */
    all?: number;
}

/** Those whom no letter goes to, with the way to each, and why. */
export function LeftOut({ label, people, all = people.length }: Props) {
    return (
        <TableScroll $short role="region" aria-label={label}>
            <Table>
                <thead><tr><th>{label}</th><th>Why</th></tr></thead>
                <tbody>
                    {people.map(({ id, name, why }) => (
                        <tr key={id}>
                            <td className="words"><Link className="name" to={`/records/${id}`}>{name}</Link></td>
                            <td className="words">{why}</td>
                        </tr>
                    ))}
                    {all > people.length && <tr><td colSpan={2}><Quiet>and {(all - people.length).toLocaleString('en')} more</Quiet></td></tr>}
                </tbody>
            </Table>
        </TableScroll>
    );
}
