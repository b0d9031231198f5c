import { useQuery } from '@tanstack/react-query';
import { AtSign, Contact, Globe, Mail, Phone, X } from 'lucide-react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { holdersQuery } from '../../api/queries';
import { useListed } from '../../api/useListed';
import { useLookAlikes } from '../../api/useLookAlikes';
import { useQuiet } from '../../api/useQuiet';
import { useTitles } from '../../shared/titles';
import { AlikeNotice } from '../../ui/AlikeNotice';
import { AddRow } from '../../ui/AddRow';
import { QuietButton } from '../../ui/Button';
import { asOptions, ChooseOne, ChooseSeveral, Tick } from '../../ui/Choose';
import { Field } from '../../ui/Field';
import { Suggest } from '../../ui/Suggest';
import { FieldGroup, FieldRow, Mark, Row, Small, Stack } from '../../ui/Text';
import { size, space } from '../../ui/tokens';
import { PartyLinks } from './PartyLinks';
import { SectionFrame } from '../../shared/section/SectionFrame';
import { reachSpec, type ContactRow } from './sections/reach';
import { newKey, type RecordData } from './sections/spec';
import { useSection } from './useSection';

const SIGNS = { phone: Phone, email: Mail, website: Globe, handle: AtSign, profile: Contact };
const NAMES = { phone: 'Phone', email: 'Email', website: 'Website', handle: 'Messaging handle', profile: 'Profile page' };
const OPENS = ['website', 'profile'];

const Line = styled.div`
    display: grid;
    grid-template-columns: ${size.icon} minmax(0, auto) 1fr;
    gap: ${space.small};
    align-items: baseline;
    svg { align-self: center; color: var(--quiet); }
    a { overflow-wrap: anywhere; }
`;

function blank(kind: ContactRow['kind'], label: string): ContactRow {
    return { key: newKey(), id: null, kind, value: '', label, uses: [], isPrimary: false, sameAsId: null, addressUseId: null };
}

/** An empty section begins with what is most often filled in. */
function withBlanks(rows: ContactRow[]): ContactRow[] {
    return rows.length === 0 ? [blank('phone', 'office'), blank('email', 'office')] : rows;
}

/** Rows that were offered and not used are not sent. */
function withoutBlanks(rows: ContactRow[]): ContactRow[] {
    return rows.filter((row) => row.id !== null || row.value.trim() !== '');
}

export function ReachSection({ record, startsOpen }: { record: RecordData; startsOpen: boolean }) {
    const edit = useSection(record, reachSpec, { starter: withBlanks, tidy: withoutBlanks, startsOpen });
    const { contactPoints } = record.reach;

    return (
        <SectionFrame
            edit={edit}
            saveLabel="Save reach"
            folded={contactPoints.length === 0 ? 'No phone, email or website yet.' : undefined}
            read={
                <>
                    {contactPoints.map((point) => {
                        const Sign = SIGNS[point.kind];
                        return (
                            <Line key={point.id}>
                                <Sign size={15} aria-label={NAMES[point.kind]} />
                                {point.uri === '' ? (
                                    <span>{point.display}</span>
                                ) : (
                                    <a href={point.uri} {...(OPENS.includes(point.kind) ? { target: '_blank', rel: 'noreferrer' } : {})}>
                                        {point.display}
                                    </a>
                                )}
                                <Row $gap="small">
                                    <Small>
                                        {[
                                            point.label,
                                            point.lineName,
                                            point.isPrimary && 'primary',
                                            point.atText !== '' && `at ${point.atText}`,
                                            ...point.uses.map((use) => `for ${use}`),
                                        ]
                                            .filter(Boolean)
                                            .join(', ')}
                                    </Small>
                                    {point.sameAs !== null && (
                                        <Small>
                                            same as <Link to={`/records/${point.sameAs.id}`}>{point.sameAs.name}</Link>, by link
                                        </Small>
                                    )}
                                    {point.isUnusual && <Mark tone="look">unusual, worth a second look</Mark>}
                                </Row>
                            </Line>
                        );
                    })}
                    <LocalTime time={record.reach.localTime} />
                </>
            }
            fields={(draft) => (
                <>
                    <ReachFields
                        partyId={record.party.id}
                        offices={officesOf(record)}
                        rows={draft}
                        problems={edit.problems}
                        onChange={edit.change}
                    />
                    <ReachAlikes record={record} rows={draft} />
                </>
            )}
        />
    );
}

/** What the clock shows there, when it is not what it shows here. */
function LocalTime({ time }: { time: RecordData['reach']['localTime'] }) {
    return time !== null && (
        <Row $gap="small" className="internal">
            <Small>{time.text} in {time.place}</Small>
            {!time.isWorkingHours && <Mark tone="look">outside 9 to 17</Mark>}
        </Row>
    );
}

/** Records that have a phone or an email that is typed here, and may be the same. */
function ReachAlikes({ record, rows }: { record: RecordData; rows: ContactRow[] }) {
    const typed = (kind: ContactRow['kind']) => rows.filter((row) => row.kind === kind && row.value.trim() !== '').map((row) => row.value);
    const { given, family, name } = record.identity;
    const alikes = useLookAlikes({
        kind: record.party.kind,
        given,
        family,
        name,
        phones: typed('phone'),
        emails: typed('email'),
        taxNumbers: [],
        exceptId: record.party.id,
    });
    return <AlikeNotice alikes={alikes} />;
}

/** Who else has what is typed, whether or not they may be the same. */
function AlsoHave({ partyId, kind, typed }: { partyId: number; kind: 'phone' | 'email'; typed: string }) {
    const { data: holders } = useQuery(holdersQuery(kind, useQuiet(typed.trim()), partyId));
    return holders !== undefined && holders.length > 0 && typed.trim() !== '' && (
        <Row $gap="small" role="status"><Small>also the {kind} of <PartyLinks parties={holders} /></Small></Row>
    );
}

/** Where a company with several addresses is reached at each. */
function officesOf(record: RecordData) {
    const { addresses } = record.addresses;
    return addresses.length < 2
        ? []
        : addresses.filter(({ period }) => period.isInForce).map(({ id, text }) => ({ id: String(id), name: text.slice(0, 2).join(', ') }));
}

interface FieldsProps {
    partyId: number;
    offices: { id: string; name: string }[];
    rows: ContactRow[];
    problems: Record<string, string>;
    onChange: (rows: ContactRow[]) => void;
}

function ReachFields({ partyId, offices, rows, problems, onChange }: FieldsProps) {
    const uses = useTitles('contactUses');
    const labels = {
        phone: useListed('phone-labels'), email: useListed('email-labels'), website: useListed('website-labels'),
        handle: useListed('handle-labels'), profile: useListed('handle-labels'),
    };
    const change = (index: number, change: Partial<ContactRow>) =>
        onChange(rows.map((row, at) => at === index ? { ...row, ...change } : row));
    const makePrimary = (index: number, isPrimary: boolean) => onChange(rows.map((row, at) =>
        row.kind === rows[index]?.kind ? { ...row, isPrimary: at === index && isPrimary } : row));

    return (
        <Stack $wide>
            {rows.map((row, index) => {
                const ofKind = rows.filter((other) => other.kind === row.kind).length;
                return (
                    <FieldGroup key={row.key} aria-label={`Line ${index + 1}`}>
                        <FieldRow>
                            <Field
                                label={NAMES[row.kind]}
                                type={row.kind === 'phone' ? 'tel' : 'text'}
                                width="line"
                                value={row.value}
                                onChange={(value) => change(index, { value, sameAsId: null })}
                                hint={row.sameAsId !== null ? 'by link: typing another number here ends the link' : undefined}
                                problem={problems[`contactPoints.${index}.value`]}
                            />
                            <Suggest
                                label="Label"
                                width="day"
                                options={asOptions(labels[row.kind])}
                                value={row.label}
                                onType={(label) => change(index, { label })}
                                problem={problems[`contactPoints.${index}.label`]}
                            />
                            <QuietButton
                                aria-label={`Remove ${NAMES[row.kind].toLowerCase()} ${row.value}`}
                                $below
                                onPress={() => onChange(rows.filter((_, at) => at !== index))}
                            >
                                <X size={16} aria-hidden />
                            </QuietButton>
                        </FieldRow>
                        {(row.kind === 'phone' || row.kind === 'email') && row.sameAsId === null && (
                            <AlsoHave partyId={partyId} kind={row.kind} typed={row.value} />
                        )}
                        <FieldRow>
                            {ofKind > 1 && (
                                <Tick isSelected={row.isPrimary} onChange={(isPrimary) => makePrimary(index, isPrimary)}>primary</Tick>
                            )}
                            {offices.length > 0 && (
                                <ChooseOne
                                    label="At"
                                    width="name"
                                    options={[{ id: 'none', name: 'no address in particular' }, ...offices]}
                                    value={row.addressUseId === null ? 'none' : String(row.addressUseId)}
                                    onChange={(id) => change(index, { addressUseId: id === 'none' ? null : Number(id) })}
                                />
                            )}
                            {row.kind === 'email' && (
                                <ChooseSeveral
                                    label="Use for"
                                    options={uses}
                                    value={row.uses}
                                    onChange={(uses) => change(index, { uses })}
                                />
                            )}
                        </FieldRow>
                    </FieldGroup>
                );
            })}
            <Row $gap="small">
                <AddRow onAdd={() => onChange([...rows, blank('phone', '')])}>Add a phone</AddRow>
                <AddRow onAdd={() => onChange([...rows, blank('email', '')])}>Add an email</AddRow>
                <AddRow onAdd={() => onChange([...rows, blank('website', '')])}>Add a website</AddRow>
                <AddRow onAdd={() => onChange([...rows, blank('handle', '')])}>Add a handle</AddRow>
                <AddRow onAdd={() => onChange([...rows, blank('profile', '')])}>Add a profile page</AddRow>
            </Row>
        </Stack>
    );
}
