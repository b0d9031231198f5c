import { Link } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { Quiet } from '../ui/Text';
import { line, size, space, type } from '../ui/tokens';

export const Figures = styled.dl`
    display: grid;
    grid-template-columns: 1fr max-content;
    gap: ${space.hair} ${space.small};
    margin: 0;
    > div { display: contents; }
    dt { color: var(--quiet); }
    dd { margin: 0; text-align: right; font-variant-numeric: tabular-nums; }
    dd a { display: inline-block; min-width: ${size.target}; min-height: ${size.target}; color: inherit; }
    .main { font: 600 ${type.heading}/1.4 ${type.sans}; color: var(--ink); }
`;

const Strip = styled.div`
    display: flex;
    gap: ${space.hair};
    height: ${space.small};
    margin: ${space.tight} 0;
    > span { min-width: ${space.tight}; background: var(--edge); }
    > [data-bucket='not-due'] { background: var(--fine); }
    > [data-bucket='1-30'] { background: var(--look); opacity: 0.55; }
    > [data-bucket='31-60'], > [data-bucket='61-90'] { background: var(--look); }
    > [data-bucket='over-90'] { background: var(--stop); }
`;

const Part = styled.span<{ $share: number }>`flex-grow: ${({ $share }) => Math.max(1, $share)};`;

/** The strip is pressed to see its figures. */
const Folded = styled.details`
    summary { display: block; cursor: pointer; }
    summary:focus-visible { outline: ${line.focus}; }
`;

export const Remark = styled.p`
    color: var(--quiet);
    margin-top: ${space.tight};
`;

interface ByAgeProps {
    ageing: Schemas['AgeingBucket'][];
    /** The address of the list that makes up what is asked for. */
    list: (more: string) => string;
}

/** What is open by how late it is; every figure opens what makes it up. */
export function ByAge({ ageing, list }: ByAgeProps) {
    const some = ageing.filter(({ amount }) => amount.sign !== 0);
    return (
        <Folded>
            <summary>
                <Strip role="img" aria-label={`Ageing: ${some.map(({ title, amount }) => `${title} ${amount.text}`).join(', ')}`}>
                    {some.map(({ bucket, share }) => <Part key={bucket} data-bucket={bucket} $share={share} />)}
                </Strip>
                <Quiet>by age: {some.map(({ title }) => title).join(', ')}</Quiet>
            </summary>
            <Figures>
                {ageing.map(({ bucket, title, amount }) => (
                    <div key={bucket}>
                        <dt>{title}</dt>
                        <dd>{amount.sign === 0 ? '–' : <Link to={list(`&bucket=${bucket}`)}>{amount.text}</Link>}</dd>
                    </div>
                ))}
            </Figures>
        </Folded>
    );
}

/** How long it took until invoices were paid, and from what that is worked out. */
export function DaysToPay({ days, verb }: { days: Schemas['DaysToPay']; verb: 'pays' | 'paid' }) {
    return (
        <details>
            <summary>
                {verb} in <strong>{days.days}</strong> days
                {Number(days.beyond) > 0 && <>, {days.beyond} beyond the terms</>}
            </summary>
            <Remark>{days.sentence}</Remark>
        </details>
    );
}
