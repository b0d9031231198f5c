import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import type { LongLine } from '../../shared/lists/useLongList';
import { Card, LongCards } from '../../ui/LongCards';
import type { Choosing } from '../../ui/LongTable';
import { rolesOf } from '../../ui/PartyLine';
import { Hidden, Mark, Small } from '../../ui/Text';

type Row = Schemas['PartyRow'];

/** The first letters of the first two words: "St. Osyth, Parish of" is S and O. */
function lettersOf(name: string): string {
    return name.split(/[\s,]+/u).filter((word) => /^[\p{L}\p{N}]/u.test(word)).slice(0, 2)
        .map((word) => [...word][0]?.toLocaleUpperCase('en') ?? '').join('');
}

interface Props {
    columns: Schemas['Column'][];
    total: number;
    lineAt: (index: number) => LongLine<Row> | undefined;
    onRange: (first: number, last: number) => void;
    overLimit: ReadonlySet<number>;
    list: string;
    active: number;
    onActive: (index: number) => void;
    onOpen: (index: number) => void;
    choosing: Choosing | undefined;
    goTo: (go: (index: number) => void) => void;
}

/** The records of a list as cards: how to reach them, where they are, how they stand. */
export function Cards({ columns, total, lineAt, onRange, overLimit, list, active, onActive, onOpen, choosing, goTo }: Props) {
    return (
        <LongCards
            label="Records"
            total={total}
            onRange={onRange}
            active={active}
            onActive={onActive}
            onOpen={onOpen}
            goTo={goTo}
            {...(choosing === undefined ? {} : { choosing })}
            card={(index) => {
                const line = lineAt(index);
                if (line === undefined) {
                    return <Card letters="" isCompany={false} isChosen={false} head="" choose={null}>{null}</Card>;
                }
                const { row, cells } = line;
                const isChosen = choosing?.has(index) ?? false;
                return (
                    <Card
                        letters={lettersOf(row.fileAs)}
                        isCompany={row.kind === 'company'}
                        isChosen={isChosen}
                        head={
                            <>
                                <Link className="name" to={`/records/${row.id}`} state={{ list, at: index }} tabIndex={index === active ? 0 : -1}>
                                    {row.fileAs}
                                </Link>
                                {row.kind === 'company' && <Hidden> (company)</Hidden>}
                            </>
                        }
                        choose={choosing !== undefined && (
                            <input
                                type="checkbox"
                                tabIndex={-1}
                                aria-label={`Choose ${row.fileAs}`}
                                checked={isChosen}
                                onChange={() => undefined}
                                onClick={(event) => event.shiftKey ? choosing.reach(index) : choosing.toggle(index)}
                            />
                        )}
                    >
                        <div><Small>{[rolesOf(row), row.position, row.isArchived ? 'archived' : ''].filter(Boolean).join(' · ') || ' '}</Small></div>
                        <div>{row.phone}</div>
                        <div>{row.email !== '' && <a href={`mailto:${row.email}`} tabIndex={-1}>{row.email}</a>}</div>
                        <div>{row.place}</div>
                        <div className="figures">
                            {columns.map(({ key, title, isFigure }, at) => {
                                const text = cells[at] ?? '';
                                return isFigure && text !== '' && (
                                    <span key={key}>
                                        <Small>{title}</Small> {key === 'overdue' || overLimit.has(row.id) ? <Mark tone="stop">{text}</Mark> : text}{' '}
                                    </span>
                                );
                            })}
                        </div>
                    </Card>
                );
            }}
        />
    );
}
