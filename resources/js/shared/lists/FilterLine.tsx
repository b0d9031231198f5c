import { useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { useRef, useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { proposalsQuery, type ListOf } from '../../api/queries';
import { Button, QuietButton } from '../../ui/Button';
import { Piece, Pieces } from '../../ui/Pieces';
import { SentenceLine } from '../../ui/SentenceLine';
import { useShortcut } from '../../ui/shortcuts';
import { Mark, Row, Small, Stack } from '../../ui/Text';
import { ConditionDialog } from './ConditionDialog';

interface Props {
    of: ListOf;
    /** What asks for everything: "Everybody". */
    everything: string;
    /** What could be typed. */
    example: string;
    /** What the list is asked for, as it was typed. */
    asked: string | undefined;
    /** Whether what is shown is still what was asked before. */
    isBehind: boolean;
    filter: Schemas['ListFilter'];
    onFilter: (sentence: string) => void;
    /** What else is done with the list. */
    children?: ReactNode;
}

const LABELS: Record<ListOf, string> = { parties: 'Which records?', documents: 'Which documents?', engagements: 'Which of them?' };

/** Puts parts together as they stand in a sentence. */
export function together(parts: readonly string[], isAll: boolean): string {
    return parts.join(isAll ? ', ' : ' or ');
}

/** What the list is asked for: as a sentence that is typed, and in pieces that can be opened one by one. */
export function FilterLine({ of, everything, example, asked = '', isBehind, filter, onFilter, children }: Props) {
    // As it was typed where not all of it was understood.
    const sentence = isBehind || filter.misread.length > 0 ? asked : filter.sentence;
    const [typed, setTyped] = useState<string>();
    const [open, setOpen] = useState<{ part?: Schemas['FilterPart'] }>();
    const line = useRef<HTMLInputElement>(null);
    const { data: proposals = [] } = useQuery({ ...proposalsQuery(of, typed ?? ''), enabled: typed !== undefined });
    const { parts, isAll } = filter;
    const label = LABELS[of];
    useShortcut('f', label, () => {
        line.current?.focus();
        line.current?.select();
    });

    const apply = (text: string) => {
        setTyped(undefined);
        onFilter(text.trim());
    };
    /** One part otherwise, or gone, or one more. */
    const change = (at: number, text: string | undefined) => {
        const next = parts.map((part) => part.text);
        if (text === undefined) {
            next.splice(at, 1);
        } else {
            next[at] = text;
        }
        apply(together(next, isAll));
    };

    return (
        <Stack $gap="tight" $stretch>
            <SentenceLine
                label={label}
                placeholder={`${everything}. Type, for example: ${example}`}
                inputRef={line}
                value={typed ?? sentence}
                onType={setTyped}
                proposals={proposals}
                onDone={() => apply(typed ?? sentence)}
                onLeave={() => {
                    setTyped(undefined);
                    line.current?.blur();
                }}
                problem={filter.misread.length > 0 ? 'misread' : undefined}
            />
            {/* What stands still comes first: nothing moves under the pointer when the answer comes. */}
            <Row $gap="small">
                <QuietButton onPress={() => setOpen({})}>Add a condition</QuietButton>
                {parts.length > 0 && (
                    <Pieces aria-label="The parts of the filter">
                        {parts.map((part, at) => (
                            <Piece key={part.text}>
                                {part.field === null ? part.text : <QuietButton onPress={() => setOpen({ part })}>{part.text}</QuietButton>}
                                <QuietButton aria-label={`Take out: ${part.text}`} onPress={() => change(at, undefined)}>
                                    <X size={14} aria-hidden />
                                </QuietButton>
                            </Piece>
                        ))}
                    </Pieces>
                )}
                {parts.length > 1 && (
                    <QuietButton onPress={() => apply(together(parts.map((part) => part.text), !isAll))}>
                        {isAll ? 'All of these' : 'Any of these'}
                    </QuietButton>
                )}
                {typed !== undefined && typed !== sentence && (
                    <><Button onPress={() => apply(typed)}>Show these</Button><Small>Enter</Small></>
                )}
                {sentence !== '' && <QuietButton onPress={() => apply('')}>{everything}</QuietButton>}
                {children}
            </Row>
            {filter.misread.length > 0 && (
                <div id="misread" role="status">
                    <Stack $gap="hair">
                        {filter.misread.map(({ at, message, isLeftOut }) => (
                            <Mark key={`${at} ${message}`} tone="look">{message}{isLeftOut && ' The list does without it.'}</Mark>
                        ))}
                    </Stack>
                </div>
            )}
            {open !== undefined && (
                <ConditionDialog
                    of={of}
                    part={open.part}
                    onDone={(text) => {
                        setOpen(undefined);
                        // The parts may be others by now.
                        const at = parts.findIndex((part) => part.text === open.part?.text);
                        change(at === -1 ? parts.length : at, text);
                    }}
                    onClose={() => setOpen(undefined)}
                />
            )}
        </Stack>
    );
}
