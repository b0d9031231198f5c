import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../../api/client';
import { keepAnswer, savedListsQuery, type ListOf } from '../../api/queries';
import { useSession } from '../../api/session';
import { useSaving } from '../../api/useSaving';
import { LabelsDialog } from './LabelsDialog';
import { addressOf, choicesOf, isAsKept, PLACE_OF } from './listAddress';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { Menu } from '../../ui/Menu';
import { useSay } from '../../ui/StatusLine';
import { Notice, Quiet } from '../../ui/Text';

type SavedList = Schemas['SavedList'];

interface Props {
    of: ListOf;
    /** Whether it is counted here. */
    isCounted?: boolean;
    search: URLSearchParams;
    onOpen: (address: string) => void;
}

/** Keeps what the list shows under a name, and changes or removes what is kept. */
export function ListTools({ of, isCounted = false, search, onOpen }: Props) {
    const saved = savedListsQuery(of);
    const { data: lists = [] } = useQuery(saved);
    const [dialog, setDialog] = useState<'add' | 'change'>();
    const [isLabelling, setLabelling] = useState(false);
    const { mayChangeRecords } = useSession();
    const say = useSay();
    const list = lists.find(({ key }) => key === search.get('list'));
    const body = ({ name, isShared }: { name: string; isShared: boolean }) => ({
        name,
        isShared,
        sentence: search.get('filter') ?? '',
        sort: search.get('sort') ?? '',
        columns: (search.get('columns') ?? '').split(',').filter((key) => key !== ''),
        choices: choicesOf(search),
        view: isCounted ? 'counted' as const : (search.get('view') ?? 'table') as SavedList['view'],
        countedBy: isCounted ? search.get('by') ?? '' : '',
        period: isCounted ? search.get('period') ?? '' : '',
    });
    const write = async (named: { name: string; isShared: boolean }, changed: SavedList | undefined) => {
        const written = changed?.id == null
            ? await ask(api.POST('/api/long-lists/{list}/saved', { params: { path: { list: of } }, body: body(named) }))
            : await ask(api.PUT('/api/saved-lists/{savedList}', {
                params: { path: { savedList: changed.id } }, body: { ...body(named), version: changed.version },
            }));
        keepAnswer(saved.queryKey, written);
        const known = new Set(lists.map(({ key }) => key));
        const kept = written.find(({ key }) => changed === undefined ? !known.has(key) : key === changed.key);
        say(changed === undefined ? `“${named.name.trim()}” is kept at the left.` : 'The list is kept as it is now.');
        if (kept !== undefined) {
            onOpen(addressOf(of, kept));
        }
    };
    const remove = async (removed: SavedList) => {
        if (removed.id === null) {
            return;
        }
        try {
            const left = await ask(api.DELETE('/api/saved-lists/{savedList}', {
                params: { path: { savedList: removed.id } }, body: { version: removed.version },
            }));
            keepAnswer(saved.queryKey, left);
            onOpen(PLACE_OF[of]);
            say(`“${removed.name}” is removed. What it listed stays.`, () => void write(removed, undefined));
        } catch (error) {
            say((error as Error).message);
        }
    };
    const isChanged = list !== undefined && !isAsKept(list, search);
    const isAnything = isCounted || choicesOf(search) !== '' || ['filter', 'sort', 'columns', 'view'].some((key) => (search.get(key) ?? '') !== '');

    return (
        <>
            {list !== undefined && <Quiet>{list.name}{list.by !== '' && !list.mayChange && `, kept by ${list.by}`}</Quiet>}
            {isChanged && list.mayChange && <QuietButton onPress={() => void write(list, list)}>Keep the change</QuietButton>}
            {list === undefined && isAnything && <QuietButton onPress={() => setDialog('add')}>Keep this list</QuietButton>}
            {list !== undefined && (
                <Menu
                    label="List"
                    items={[
                        { id: 'copy', name: 'Keep a copy', onChoose: () => setDialog('add') },
                        ...list.mayChange ? [
                            { id: 'change', name: 'Rename or share', onChoose: () => setDialog('change') },
                            { id: 'remove', name: 'Remove this list', onChoose: () => void remove(list) },
                        ] : [],
                    ]}
                />
            )}
            {of === 'parties' && !isCounted && <Menu label="Save as" items={FILES.map(({ id, name, whole = false }) => ({
                id, name, onChoose: () => window.location.assign(`/api/parties/export?${fileOf(search, id.replace('whole-', ''), whole)}`),
            }))} />}
            {of === 'parties' && !isCounted && <Menu label="Print" items={[
                { id: 'list', name: 'This list', onChoose: () => setTimeout(() => window.print()) },
                { id: 'labels', name: 'Labels and envelopes', onChoose: () => setLabelling(true) },
                ...mayChangeRecords ? [{ id: 'letters', name: 'Letters', onChoose: () => onOpen(lettersTo(search)) }] : [],
                { id: 'book', name: 'Address book (PDF)', onChoose: () => window.location.assign(`/api/address-book/pdf?${askedOf(search).toString()}`) },
                { id: 'phones', name: 'Phone list (PDF)', onChoose: () => window.location.assign(`/api/address-book/pdf?phones=1&${askedOf(search).toString()}`) },
            ]} />}
            {isLabelling && <LabelsDialog asked={Object.fromEntries(askedOf(search, ['sort']))} onClose={() => setLabelling(false)} />}
            {dialog !== undefined && (
                <NameDialog
                    title={dialog === 'add' ? 'Keep this list' : 'Rename or share'}
                    name={dialog === 'add' ? '' : list?.name ?? ''}
                    isShared={dialog === 'change' && list?.isShared === true}
                    onClose={() => setDialog(undefined)}
                    write={(named) => write(named, dialog === 'add' ? undefined : list)}
                />
            )}
        </>
    );
}

/** Where a letter to all of the list is written. */
function lettersTo(search: URLSearchParams): string {
    return `/letters/write?${new URLSearchParams({ filter: search.get('filter') ?? '', archived: search.get('archived') ?? '' }).toString()}`;
}

/** As what a list is saved. */
const FILES: { id: string; name: string; whole?: boolean }[] = [
    { id: 'xlsx', name: 'This list as a spreadsheet (XLSX)' },
    { id: 'ods', name: 'This list as a spreadsheet (ODS)' },
    { id: 'csv', name: 'This list as a table (CSV)' },
    { id: 'whole-xlsx', name: 'Everything of these records (XLSX)', whole: true },
    { id: 'whole-csv', name: 'Everything of these records (CSV)', whole: true },
    { id: 'json', name: 'Everything of these records (JSON)' },
    { id: 'vcard4', name: 'Contact cards (vCard 4.0)' },
    { id: 'vcard3', name: 'Contact cards for older programs (vCard 3.0)' },
    { id: 'jcard', name: 'Contact cards as JSON (jCard)' },
];

/** What is asked of the list, as it stands in the address. */
function fileOf(search: URLSearchParams, format: string, isWhole: boolean): string {
    const asked = askedOf(search, ['sort', 'columns', 'view']);
    asked.set('format', format);
    if (isWhole) {
        asked.set('whole', '1');
    }
    return asked.toString();
}

/** Which records the list asks for, and what else of it is wanted. */
function askedOf(search: URLSearchParams, also: string[] = []): URLSearchParams {
    return new URLSearchParams(['filter', 'archived', ...also].flatMap((key) => {
        const value = search.get(key) ?? '';
        return value === '' ? [] : [[key, value]];
    }));
}

interface DialogProps {
    title: string;
    name: string;
    isShared: boolean;
    write: (of: { name: string; isShared: boolean }) => Promise<void>;
    onClose: () => void;
}

function NameDialog({ title, name: before, isShared: wasShared, write, onClose }: DialogProps) {
    const [name, setName] = useState(before);
    const [isShared, setShared] = useState(wasShared);
    const { run, problems, message } = useSaving();
    return (
        <Dialog title={title} onClose={onClose}>
            <Form
                takesFocus
                onSubmit={() => void run(async () => {
                    await write({ name, isShared });
                    onClose();
                })}
            >
                <Field label="Name" autoFocus value={name} onChange={setName} problem={problems.name} />
                <Tick isSelected={isShared} onChange={setShared}>everybody has it at the left</Tick>
                {message !== undefined && <Notice tone="stop" title="Not kept">{message}</Notice>}
                <DialogButtons><MainButton type="submit">Keep</MainButton><Button onPress={onClose}>Cancel</Button></DialogButtons>
            </Form>
        </Dialog>
    );
}
