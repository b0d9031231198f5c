import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { api, ask, type Schemas } from '../../api/client';
import { forgetChoices, keepAnswer, listsQuery } from '../../api/queries';
import { useSaving } from '../../api/useSaving';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { ChooseOne, Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Form } from '../../ui/Form';
import { useSay } from '../../ui/StatusLine';
import { FieldRow, Heading, Notice, Quiet, Row, Small, Stack } from '../../ui/Text';
import { line, space, widths } from '../../ui/tokens';

type List = Schemas['OfficeList'];
type Item = Schemas['ListItem'];

const Items = styled.ul`
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(${widths.line}, 100%), 1fr));
    gap: 0 ${space.large};
    width: 100%;
    margin: 0;
    padding: 0;
    list-style: none;
    li { display: flex; gap: ${space.small}; align-items: baseline; padding: ${space.hair} 0; border-bottom: ${line.rule}; }
    li > span:first-child { flex: 1; overflow-wrap: anywhere; }
`;

/** The lists of words that the office keeps for itself, one at a time. */
export function Lists() {
    const { data: lists } = useQuery(listsQuery);
    const [shown, setShown] = useState('types');
    const [edited, setEdited] = useState<Item | 'new'>();
    const list = lists?.find((one) => one.list === shown);
    const keep = (saved: List[]) => {
        keepAnswer(listsQuery.queryKey, saved);
        forgetChoices();
        setEdited(undefined);
    };

    return (
        <Stack as="section" data-section aria-label="Our own words" $stretch>
            <Heading>Our own words</Heading>
            {list !== undefined && (
                <>
                    <ChooseOne
                        label="List"
                        width="line"
                        options={lists?.map(({ list: id, title }) => ({ id, name: title })) ?? []}
                        value={shown}
                        onChange={(id) => {
                            setShown(id);
                            setEdited(undefined);
                        }}
                    />
                    {list.items.length === 0 && <Quiet>Nothing in this list yet.</Quiet>}
                    <Items>
                        {list.items.map((item) => (
                            <li key={item.id}>
                                <span>
                                    {item.name}
                                    {item.inverse !== '' && <Small> · from the other end: {item.inverse}</Small>}
                                    {item.isRetired && <Small> · retired</Small>}
                                </span>
                                <Small>{item.uses === 0 ? 'not used' : item.uses === 1 ? 'used once' : `used ${item.uses} times`}</Small>
                                <QuietButton aria-label={`Change ${item.name}`} onPress={() => setEdited(item)}>Change</QuietButton>
                            </li>
                        ))}
                    </Items>
                    {edited === undefined ? (
                        <div>
                            <Button data-edit onPress={() => setEdited('new')}>
                                Add to this list
                            </Button>
                        </div>
                    ) : (
                        <ItemForm
                            key={edited === 'new' ? `new-${shown}` : edited.id}
                            list={list}
                            item={edited === 'new' ? undefined : edited}
                            onSaved={keep}
                            onClose={() => setEdited(undefined)}
                        />
                    )}
                </>
            )}
        </Stack>
    );
}

interface FormProps {
    list: List;
    item: Item | undefined;
    onSaved: (lists: List[]) => void;
    onClose: () => void;
}

function ItemForm({ list, item, onSaved, onClose }: FormProps) {
    const [name, setName] = useState(item?.name ?? '');
    const [inverse, setInverse] = useState(item?.inverse ?? '');
    const [isRetired, setRetired] = useState(item?.isRetired ?? false);
    const { run, problems, message } = useSaving();
    const say = useSay();

    const save = async (event: FormEvent) => {
        event.preventDefault();
        await run(async () => {
            onSaved(await ask(item === undefined
                ? api.POST('/api/lists/{list}', { params: { path: { list: list.list } }, body: { name, inverse } })
                : api.PUT('/api/list-items/{item}', { params: { path: { item: item.id } }, body: { name, inverse, isRetired } })));
            say(item === undefined ? `${name} added.` : `${name} saved.`);
        });
    };

    return (
        <Form
            aria-label={item === undefined ? `Add to ${list.title}` : `Change ${item.name}`}
            onSubmit={(event) => void save(event)}
            onLeave={onClose}
        >
            <FieldRow $foot>
                <Field label="Name" autoFocus width="phrase" value={name} onChange={setName} problem={problems.name} />
                {list.hasInverse && (
                    <Field
                        label="From the other end, if it differs"
                        width="phrase"
                        value={inverse}
                        onChange={setInverse}
                        problem={problems.inverse}
                    />
                )}
                {item !== undefined && (
                    <Tick isSelected={isRetired} onChange={setRetired}>
                        retired: offered no more
                    </Tick>
                )}
            </FieldRow>
            {item !== undefined && item.uses > 0 && <Quiet>Renaming it renames it wherever it is used.</Quiet>}
            {message !== undefined && <Notice tone="stop" title="Not saved">{message}</Notice>}
            <Row $gap="small">
                <MainButton type="submit">{item === undefined ? 'Add it' : 'Save it'}</MainButton>
                <Button onPress={onClose}>Cancel</Button>
            </Row>
        </Form>
    );
}
