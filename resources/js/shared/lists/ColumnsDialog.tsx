import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { listFieldsQuery, type ListOf } from '../../api/queries';
import { Button, MainButton, QuietButton } from '../../ui/Button';
import { ChooseFromMany } from '../../ui/ChooseFromMany';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { OrderedList } from '../../ui/OrderedList';
import { Quiet, Stack } from '../../ui/Text';

interface Props {
    of: ListOf;
    /** The column that always stands there. */
    first: string;
    columns: string[];
    onDone: (keys: string[]) => void;
    onClose: () => void;
}

/** Which fields stand in the list, and in which order. The first usual one always does. */
function ColumnsDialog({ of, first, columns, onDone, onClose }: Props) {
    const [keys, setKeys] = useState(columns);
    const { data: fields = [] } = useQuery(listFieldsQuery(of));
    const titles = new Map(fields.map(({ key, title }) => [key, title]));
    return (
        <Dialog title="Columns" onClose={onClose}>
            <Stack $stretch>
                <Quiet>Draw one to another place, or press Enter on its handle and use the arrow keys.</Quiet>
                <OrderedList
                    label="Columns in their order"
                    items={keys.map((key) => ({ id: key, name: titles.get(key) ?? key }))}
                    onOrder={setKeys}
                    onRemove={(key) => setKeys(keys.filter((other) => other !== key))}
                    mayRemove={(key) => key !== first}
                />
                {fields.length > 0 && (
                    <ChooseFromMany
                        key={keys.length}
                        label="Add a column"
                        options={fields
                            .filter(({ key, isColumn }) => isColumn && !keys.includes(key))
                            .map(({ key, title }) => ({ id: key, name: title }))}
                        value=""
                        onChange={(key) => setKeys([...keys, key])}
                    />
                )}
            </Stack>
            <DialogButtons>
                <MainButton onPress={() => onDone(keys)}>Show these columns</MainButton>
                <Button onPress={onClose}>Cancel</Button>
                <QuietButton onPress={() => onDone([])}>The usual ones</QuietButton>
            </DialogButtons>
        </Dialog>
    );
}

interface ButtonProps {
    of: ListOf;
    first: string;
    columns: Schemas['Column'][];
    onDone: (keys: string[]) => void;
}

/** Opens the columns of a list to be chosen. */
export function ColumnsButton({ of, first, columns, onDone }: ButtonProps) {
    const [isOpen, setOpen] = useState(false);
    return (
        <>
            <QuietButton onPress={() => setOpen(true)}>Columns</QuietButton>
            {isOpen && (
                <ColumnsDialog
                    of={of}
                    first={first}
                    columns={columns.map(({ key }) => key)}
                    onClose={() => setOpen(false)}
                    onDone={(keys) => {
                        setOpen(false);
                        onDone(keys);
                    }}
                />
            )}
        </>
    );
}
