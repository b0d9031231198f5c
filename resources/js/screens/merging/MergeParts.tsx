import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { ChooseOne, Tick } from '../../ui/Choose';
import { Table, TableScroll } from '../../ui/Table';
import { Heading, Notice, Quiet, Stack } from '../../ui/Text';
import type { Decided } from './decided';
import { MergeSection } from './MergeSection';

type Preview = Schemas['MergePreview'];
type Side = Schemas['MergeSide'];

interface Props {
    preview: Preview;
    decided: Decided;
    onDecide: (decided: Decided) => void;
}

/** The record that several become, as it will stand: what is proposed, why, and what somebody decides otherwise. */
export function MergeParts({ preview, decided, onDecide }: Props) {
    const { sides, sections, keptId } = preview;
    return (
        <Stack $gap="large" $stretch>
            <InTheWay preview={preview} decided={decided} onDecide={onDecide} />
            <ChooseOne
                label="The record that stays, with its number"
                width="wide"
                options={sides.map((side) => ({ id: String(side.id), name: called(side) }))}
                value={String(keptId)}
                onChange={(id) => onDecide({ ...decided, keptId: Number(id) })}
            />
            {sections.map((section) => (
                <MergeSection key={section.name} section={section} sides={sides} decided={decided} onDecide={onDecide} />
            ))}
            <Figures preview={preview} />
        </Stack>
    );
}

export function called({ number, name }: Pick<Side, 'number' | 'name'>): string {
    return `no. ${number} ${name}`;
}

/** What stands in the way, what clears it, and where. */
function InTheWay({ preview: { hindrances, sides }, decided, onDecide }: Props) {
    const hard = hindrances.filter(({ isWaived }) => !isWaived);
    const soft = hindrances.filter(({ isWaived }) => isWaived);
    return (
        <>
            {hard.length > 0 && (
                <Notice tone="stop" title="They cannot be made one yet">
                    {hard.map(({ what, remedy, partyId }) => {
                        const side = sides.find(({ id }) => id === partyId);
                        return (
                            <div key={what}>
                                {what} {remedy}{side !== undefined && <> <Link to={`/records/${side.id}`}>Open {called(side)}</Link></>}
                            </div>
                        );
                    })}
                </Notice>
            )}
            {soft.length > 0 && (
                <Notice tone="look" title={soft.map(({ what }) => what).join(' ')}>
                    <Tick isSelected={decided.withArchived} onChange={(withArchived) => onDecide({ ...decided, withArchived })}>
                        What is archived may come with what it has
                    </Tick>
                </Notice>
            )}
        </>
    );
}

/** What each owes and is owed, what comes along, and all together. */
function Figures({ preview: { sides, standing, carried } }: { preview: Preview }) {
    return standing.length + carried.length === 0 ? null : (
        <Stack as="section" $gap="small" $stretch aria-label="Standing and what comes along">
            <Heading>Standing, and what comes along</Heading>
            <TableScroll>
                <Table>
                    <thead>
                        <tr>
                            <td />
                            {sides.map(({ id, number }) => <th key={id} className="figure" scope="col">no. {number}</th>)}
                            <th className="figure" scope="col">Afterwards</th>
                        </tr>
                    </thead>
                    <tbody>
                        {[...standing, ...carried].map(({ title, ofEach, together }) => (
                            <tr key={title}>
                                <th scope="row">{title}</th>
                                {ofEach.map((figure, at) => <td key={sides[at]?.id} className="figure">{figure === '' ? <Quiet>–</Quiet> : figure}</td>)}
                                <td className="figure"><strong>{together}</strong></td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
            </TableScroll>
        </Stack>
    );
}
