import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { booksQuery } from '../api/queries';
import { QuietButton } from '../ui/Button';
import { asOptions, ChooseOne, type Option } from '../ui/Choose';
import { Field } from '../ui/Field';
import { TagPicker } from '../ui/TagPicker';
import { useTitles } from './titles';
import { Quiet, Small } from '../ui/Text';
import { narrow, space } from '../ui/tokens';

type SideField = Schemas['SideField'];
type Side = 'client' | 'vendor';

const Grid = styled.div`
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: ${space.medium} ${space.large};
    width: 100%;
    ${narrow} { grid-template-columns: minmax(0, 1fr); }
`;

/** The fields that are one of a few. */
function useFixed(name: string): Option[] | undefined {
    const treatments = useTitles('treatments');
    const deliveries = useTitles('deliveries');
    const policies = useTitles('creditPolicies');
    const ways = useTitles('waysToPay');
    const fixed: Record<string, Option[]> = {
        treatment: treatments,
        delivery: deliveries,
        'credit-policy': policies,
        'pay-by': ways,
    };
    return fixed[name];
}

interface Props {
    side: Side;
    fields: SideField[];
    own: Record<string, string | null>;
    problems: Record<string, string>;
    onChange: (own: Record<string, string | null>) => void;
    /** From whom it is inherited, for who has it; nobody where this is the office itself. */
    inheritsFrom?: string;
}

/** What holds on a side, each its own or inherited. */
export function SideFields({ side, fields, own, problems, onChange, inheritsFrom }: Props) {
    const { data: books } = useQuery(booksQuery);
    const root = useRef<HTMLDivElement>(null);
    const turned = useRef<string>(undefined);

    // What was pressed is gone then: the keyboard goes on from what came in its place.
    useEffect(() => {
        if (turned.current !== undefined) {
            root.current?.querySelector<HTMLElement>(`[data-field="${turned.current}"] :is(input, button)`)?.focus();
            turned.current = undefined;
        }
    }, [own]);

    return (
        <Grid ref={root}>
            {fields.map((field) => {
                const value = own[field.name] ?? null;
                const set = (next: string | null) => onChange({ ...own, [field.name]: next });
                const turn = (next: string | null) => {
                    turned.current = field.name;
                    set(next);
                };
                if (value === null && inheritsFrom !== undefined) {
                    return (
                        <div key={field.name} data-field={field.name} role="group" aria-label={field.title}>
                            <Small>{field.title}</Small>
                            <div>
                                {field.own === null && field.text !== '' ? (
                                    <>
                                        {field.text} <Small>as {field.from}</Small>
                                    </>
                                ) : (
                                    <Quiet>{field.inherited === '' ? 'not set' : `as ${inheritsFrom}`}</Quiet>
                                )}{' '}
                                <QuietButton aria-label={`Set its own: ${field.title}`} onPress={() => turn(field.inherited)}>
                                    Set its own
                                </QuietButton>
                            </div>
                        </div>
                    );
                }
                return (
                    <div key={field.name} data-field={field.name}>
                        <Control
                            side={side}
                            field={field}
                            value={value ?? ''}
                            books={books}
                            problem={problems[`fields.${field.name}`]}
                            onChange={set}
                        />
                        {inheritsFrom !== undefined && (
                            <QuietButton aria-label={`Back to inherited: ${field.title}`} onPress={() => turn(null)}>
                                Back to inherited
                            </QuietButton>
                        )}
                    </div>
                );
            })}
        </Grid>
    );
}

interface ControlProps {
    side: Side;
    field: SideField;
    value: string;
    books: Schemas['Books'] | undefined;
    problem: string | undefined;
    onChange: (value: string) => void;
}

function Control({ side, field: { name, title }, value, books, problem, onChange }: ControlProps) {
    const fixed = useFixed(name);
    if (fixed !== undefined) {
        return <ChooseOne label={title} options={fixed} value={value} onChange={onChange} problem={problem} />;
    }
    if (name === 'tax-rate') {
        const rates = (books?.taxRates ?? []).filter((rate) => rate.side === side && (!rate.isRetired || String(rate.id) === value));
        return (
            <ChooseOne
                label={title}
                options={rates.map(({ id, text }) => ({ id: String(id), name: text }))}
                value={value}
                onChange={onChange}
                problem={problem}
            />
        );
    }
    if (name === 'currency') {
        return (
            <ChooseOne
                label={title}
                options={asOptions(books?.currencies ?? [])}
                value={value}
                onChange={onChange}
                problem={problem}
            />
        );
    }
    if (name === 'accounts' || name === 'cost-centres') {
        const kept =
            name === 'accounts'
                ? (books?.accounts ?? []).map((one) => ({ id: String(one.id), name: `${one.code} ${one.name}`, isRetired: one.isRetired }))
                : (books?.costCentres ?? []).map((one) => ({
                      id: String(one.id),
                      name: `${one.group}: ${one.name}`,
                      isRetired: one.isRetired,
                  }));
        const ids = value === '' ? [] : value.split(',');
        return (
            <TagPicker
                width="all"
                label={title}
                options={kept.filter(({ isRetired }) => !isRetired).map((one) => one.name)}
                value={ids.flatMap((id) => kept.find((one) => one.id === id)?.name ?? [])}
                onChange={(names) => onChange(names.flatMap((chosen) => kept.find((one) => one.name === chosen)?.id ?? []).join(','))}
                problem={problem}
            />
        );
    }
    return <Field label={title} value={value} onChange={onChange} problem={problem} />;
}
