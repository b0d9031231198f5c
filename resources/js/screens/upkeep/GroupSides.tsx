import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, type Schemas } from '../../api/client';
import { forgetLookAlikes, lookAlikeGroupQuery } from '../../api/queries';
import { useSession } from '../../api/session';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Foot } from '../../ui/Page';
import { useSay } from '../../ui/StatusLine';
import { Table, TableScroll } from '../../ui/Table';
import { Heading, Mark, Quiet, Row, Small, Stack } from '../../ui/Text';
import { useShortcut } from '../../ui/shortcuts';
import { LineDialog } from './LineDialog';
import { useSettling } from './useSettling';

type Pair = Schemas['LookAlikePair'];

interface Props {
    id: number;
    /** What is opened when this one is settled. */
    next: number | undefined;
    onNext: (id: number | undefined) => void;
}

/** Records that look alike, side by side: what each has, what speaks for it and against, and what somebody says of it. */
export function GroupSides({ id, next, onNext }: Props) {
    const { data, error, refetch } = useQuery(lookAlikeGroupQuery(id));
    const { mayChangeRecords } = useSession();
    const [why, setWhy] = useState('');
    const [isBusy, setBusy] = useState(false);
    const [naming, setNaming] = useState<Schemas['SharedLine']>();
    const say = useSay();
    const navigate = useNavigate();
    const { openAgain } = useSettling();

    const settle = async (as: 'different' | 'later', pairs: Pair[]) => {
        if (isBusy || pairs.length === 0) {
            return;
        }
        const body = { pairIds: pairs.map((pair) => pair.id), why };
        setBusy(true);
        try {
            await ask(as === 'different' ? api.POST('/api/look-alikes/different', { body }) : api.POST('/api/look-alikes/later', { body }));
            say(as === 'different' ? 'They are different records.' : 'Put off: they stand last.', () => void openAgain(body.pairIds));
            if (pairs.length === data?.pairs.length) {
                onNext(next);
            }
        } catch (failure) {
            say(`Not settled. ${(failure as Error).message}`);
        }
        setBusy(false);
        await forgetLookAlikes();
    };
    const all = mayChangeRecords ? data?.pairs ?? [] : [];
    const same = () => void navigate(`/upkeep/make-one?records=${data?.row.records.map((one) => one.id).join(',') ?? ''}`);
    useShortcut('s', 'They are the same: make one', () => { if (all.length > 0) { same(); } });
    useShortcut('d', 'They are different records', () => void settle('different', all));
    useShortcut('l', 'Later', () => void settle('later', all));

    return (
        <Stack as="section" $stretch aria-label="Side by side" aria-busy={data === undefined && error === null}>
            {error !== null && (
                <Quiet>
                    It has been settled meanwhile, or could not be loaded.{' '}
                    <QuietButton onPress={() => void refetch()}>Try again</QuietButton>
                </Quiet>
            )}
            {data !== undefined && (
                <>
                    <Sides group={data} />
                    {data.pairs.map((pair) => (
                        <Evidence
                            key={pair.id}
                            pair={pair}
                            names={data.pairs.length > 1 ? namesOf(pair, data.row.records) : ''}
                            onDifferent={data.pairs.length > 1 && mayChangeRecords ? () => void settle('different', [pair]) : undefined}
                        />
                    ))}
                    {data.shared.map((line) => (
                        <Row key={line.value} $gap="small">
                            <span>
                                {line.text}{line.name === '' ? ' is with several of them.' : <>: <strong>{line.name}</strong></>}
                            </span>
                            {mayChangeRecords && (
                                <Button
                                    aria-label={line.name === '' ? `They share it …: ${line.text}` : `Call it otherwise …: ${line.name}`}
                                    onPress={() => setNaming(line)}
                                >
                                    {line.name === '' ? 'They share it …' : 'Call it otherwise …'}
                                </Button>
                            )}
                        </Row>
                    ))}
                    {naming !== undefined && <LineDialog line={naming} onClose={() => setNaming(undefined)} />}
                    {mayChangeRecords && (
                        <Form isFleeting $stretch onSubmit={() => undefined}>
                            <Field label="Why, in a few words (may be left out)" value={why} onChange={setWhy} />
                            <Foot aria-label="What they are">
                                <MainButton onPress={same}>They are the same …</MainButton>
                                <Button onPress={() => void settle('different', data.pairs)}>They are different records</Button>
                                <Button onPress={() => void settle('later', data.pairs)}>Later</Button>
                                <Quiet>j k turn, s same, d different, l later</Quiet>
                            </Foot>
                        </Form>
                    )}
                </>
            )}
        </Stack>
    );
}

function namesOf({ firstId, secondId }: Pair, records: Schemas['PartyRow'][]): string {
    return [firstId, secondId].map((id) => records.find((one) => one.id === id)?.displayName ?? '').join(' and ');
}

/** What several have is set in bold. */
function Sides({ group: { row, lines } }: { group: Schemas['LookAlikeGroup'] }) {
    return (
        <TableScroll>
            <Table>
                <thead>
                    <tr>
                        <td />
                        {row.records.map(({ id, displayName, isArchived }) => (
                            <th key={id} scope="col">
                                <Link className="name" to={`/records/${id}`}>{displayName}</Link>{isArchived && <Small> archived</Small>}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {lines.map(({ title, values }) => {
                        const all = values.flat();
                        return (
                            <tr key={title}>
                                <th scope="row">{title}</th>
                                {values.map((some, at) => (
                                    <td key={row.records[at]?.id} className="words">
                                        {some.map((value) => (
                                            <div key={value}>
                                                {all.filter((one) => one === value).length > 1 ? <strong>{value}</strong> : value}
                                            </div>
                                        ))}
                                    </td>
                                ))}
                            </tr>
                        );
                    })}
                </tbody>
            </Table>
        </TableScroll>
    );
}

/** What speaks for it and against, in words; with the weights when it is opened. */
function Evidence({ pair, names, onDifferent }: { pair: Pair; names: string; onDifferent: (() => void) | undefined }) {
    const [isOpen, setOpen] = useState(false);
    const words = (signs: Pair['signs']) => signs
        .map(({ words: one, bits }) => isOpen ? `${one} (${bits > 0 ? '+' : '−'}${Math.abs(bits).toFixed(1)})` : one).join(', ');
    const speaks = pair.signs.filter(({ bits }) => bits > 0);
    const doubts = pair.signs.filter(({ bits }) => bits < 0);
    return (
        <Stack $gap="tight" $stretch>
            {names !== '' && <Heading as="h3">{names}</Heading>}
            <Row $gap="small">
                {pair.isSure ? <Mark tone="look">nearly sure</Mark> : <Quiet>perhaps</Quiet>}
                <QuietButton aria-expanded={isOpen} onPress={() => setOpen(!isOpen)}>{isOpen ? 'Without weights' : 'With weights'}</QuietButton>
                {onDifferent !== undefined && <Button onPress={onDifferent}>These two are different</Button>}
            </Row>
            {speaks.length > 0 && <div>For it: {words(speaks)}.</div>}
            {doubts.length > 0 && <div>Against it: {words(doubts)}.</div>}
            {isOpen && (
                <Quiet>
                    In bits: each one more makes it twice as likely, each one less half as likely. Counted in this office’s own book.
                </Quiet>
            )}
        </Stack>
    );
}
