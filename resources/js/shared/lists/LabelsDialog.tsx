import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Refused } from '../../api/client';
import { mailingQuery } from '../../api/queries';
import { count } from '../count';
import { LeftOut } from '../LeftOut';
import { Button, MainLink } from '../../ui/Button';
import { ChooseOne, Tick } from '../../ui/Choose';
import { Dialog, DialogButtons } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { FieldRow, Mark, Paragraphs, Quiet, Row, Small, Stack } from '../../ui/Text';

const OWN = 'own';
const MEASURES = [
    { key: 'pageWidth', label: 'Page width', usual: '210' }, { key: 'pageHeight', label: 'Page height', usual: '297' },
    { key: 'across', label: 'Labels across', usual: '2' }, { key: 'down', label: 'Labels down', usual: '8' },
    { key: 'left', label: 'Left of the first', usual: '5' }, { key: 'top', label: 'Top of the first', usual: '13' },
    { key: 'width', label: 'Label width', usual: '99' }, { key: 'height', label: 'Label height', usual: '34' },
    { key: 'gapAcross', label: 'Gap across', usual: '2' }, { key: 'gapDown', label: 'Gap down', usual: '0' },
] as const;

/** Labels or envelopes of a list, or of those that were chosen from it: on which sheet, from which label on, and who gets none. */
export function LabelsDialog({ asked, onClose }: { asked: Record<string, string>; onClose: () => void }) {
    const [sheet, setSheet] = useState('');
    const [own, setOwn] = useState<Record<string, string>>(Object.fromEntries(MEASURES.map(({ key, usual }) => [key, usual])));
    const [start, setStart] = useState('1');
    const [copies, setCopies] = useState('1');
    const [isOnce, setOnce] = useState(true);
    const [isEnvelope, setEnvelope] = useState(false);
    const query = {
        ...asked,
        ...sheet === OWN ? { own: MEASURES.map(({ key }) => own[key]?.replace(',', '.').trim() ?? '').join(',') } : sheet === '' ? {} : { sheet },
        ...!isEnvelope && isNumber(start) ? { start: Number(start) } : {},
        ...isNumber(copies) ? { copies: Number(copies) } : {},
        ...isOnce ? { household: '1' } : {},
    };
    const { data, error } = useQuery({ ...mailingQuery(query), placeholderData: keepPreviousData });
    const address = `/api/mailing/pdf?${new URLSearchParams(Object.entries(query).map(([key, value]) => [key, String(value)])).toString()}`;
    const problem = (field: string) => (error instanceof Refused ? error.fields[field] : undefined);
    const chosen = sheet === '' ? data?.sheet ?? '' : sheet;
    const what = isEnvelope ? 'envelope' : 'label';
    return (
        <Dialog title="Labels and envelopes" onClose={onClose} isWide>
            <Stack $stretch>
                <FieldRow>
                    <ChooseOne
                        label="Sheet" width="line" value={chosen}
                        onChange={(key) => {
                            setSheet(key);
                            setEnvelope(data?.sheetsToChoose.some((one) => one.key === key && one.isEnvelope) === true);
                        }}
                        options={[...(data?.sheetsToChoose ?? []).map(({ key, title }) => ({ id: key, name: title })), { id: OWN, name: 'A sheet of our own' }]}
                    />
                    {!isEnvelope && (
                        <Field label="Start at label" width="mark" inputMode="numeric" value={start} onChange={setStart} problem={numberProblem(start) ?? problem('start')} />
                    )}
                    <Field label="Of each" width="mark" inputMode="numeric" value={copies} onChange={setCopies} problem={numberProblem(copies)} />
                </FieldRow>
                {sheet === OWN && (
                    <FieldRow aria-label="In millimeters">
                        {MEASURES.map(({ key, label }) => (
                            <Field
                                key={key} label={`${label}${key === 'across' || key === 'down' ? '' : ', mm'}`} width="code" inputMode="decimal"
                                value={own[key] ?? ''} onChange={(text) => setOwn((before) => ({ ...before, [key]: text }))}
                            />
                        ))}
                    </FieldRow>
                )}
                <Tick isSelected={isOnce} onChange={setOnce}>One for all who live at one address</Tick>
                {error !== null && problem('start') === undefined && (
                    <Mark tone="stop">{problem('own') ?? problem('sheet') ?? error.message}</Mark>
                )}
                {data !== undefined && error === null && (
                    <>
                        <Row>
                            <strong role="status">
                                {count(data.labels, what)}{!isEnvelope && ` on ${count(data.sheets, 'sheet')}`}
                            </strong>
                            {data.leftOutCount > 0 && <Mark tone="look">{`${count(data.leftOutCount, 'record')} without a label`}</Mark>}
                        </Row>
                        <Row>
                            {data.examples.map((lines, at) => <Paragraphs key={at}><Small>{lines.join('\n')}</Small></Paragraphs>)}
                        </Row>
                        {data.leftOut.length > 0 && <LeftOut label="Who gets none" people={data.leftOut} />}
                    </>
                )}
                <DialogButtons>
                    {data !== undefined && error === null && data.labels > 0
                        ? <MainLink href={address} download>Save as PDF</MainLink>
                        : <Quiet>Nothing to print.</Quiet>}
                    <Button onPress={onClose}>Close</Button>
                </DialogButtons>
            </Stack>
        </Dialog>
    );
}

function isNumber(text: string): boolean {
    return /^[1-9]\d{0,3}$/.test(text.trim());
}

function numberProblem(text: string): string | undefined {
    return isNumber(text) ? undefined : 'A number, from 1.';
}
