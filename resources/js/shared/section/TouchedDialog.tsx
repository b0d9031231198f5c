import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { documentName } from '../DocumentTable';
import { Button, MainButton } from '../../ui/Button';
import { Tick } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Shelf, Small } from '../../ui/Text';

interface Props {
    touched: Schemas['TouchedDocuments'];
    /** Which documents follow; undefined goes on editing. */
    onAnswer: (documentIds: number[] | undefined, withTerms: boolean) => void;
}

/** Says what a change touches before it is saved, and lets whoever saves choose which documents take it. */
export function TouchedDialog({ touched, onAnswer }: Props) {
    const drafts = touched.documents.filter(({ row }) => row.state === 'draft').map(({ row }) => row.id);
    const [chosen, setChosen] = useState<number[]>(drafts);
    const severalParties = new Set(touched.documents.map(({ row }) => row.party.id)).size > 1;
    const withTerms = touched.documents.some(({ what }) => what.split(', ').includes('terms'));
    return (
        <Dialog title="What this touches" role="alertdialog" onClose={() => onAnswer(undefined, false)}>
            <p>{touched.sentence} Which of them take the new one? What is settled keeps what was sent.</p>
            <Shelf>
                {touched.documents.map(({ row, what }) => (
                    <div key={row.id}>
                        <Tick
                            isSelected={chosen.includes(row.id)}
                            onChange={(isOn) => setChosen(isOn ? [...chosen, row.id] : chosen.filter((id) => id !== row.id))}
                        >
                            {documentName(row)}
                        </Tick>{' '}
                        <Small>
                            {severalParties && `${row.party.name}, `}
                            {row.dateText}, {row.stateWords}: {what}
                        </Small>
                    </div>
                ))}
            </Shelf>
            <DialogButtons>
                <MainButton autoFocus onPress={() => onAnswer(chosen, withTerms)}>
                    {chosen.length === 0
                        ? 'Save, only from now on'
                        : chosen.length === 1
                          ? 'Save, and change 1 document'
                          : `Save, and change ${chosen.length} documents`}
                </MainButton>
                {chosen.length > 0 && <Button onPress={() => onAnswer([], false)}>Only from now on</Button>}
                <Button onPress={() => onAnswer(undefined, false)}>Go on editing</Button>
            </DialogButtons>
        </Dialog>
    );
}
