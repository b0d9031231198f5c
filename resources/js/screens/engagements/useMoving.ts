import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { keepEngagement, type EngagementData } from '../../api/queries';
import { useSay } from '../../ui/StatusLine';
import { whileSaving } from '../../ui/unsaved';
import { needsReason, sendMove } from './StageDialog';
import { useSayMoved } from './useSayMoved';

type EngagementRow = Schemas['EngagementRow'];
type Stage = Schemas['Stage'];

/**
 * Moves lines of a list on in their stages, or back; where a reason is needed, it is asked for.
 *
 * @param onMoved once several have been moved
 */
export function useMoving(kinds: Schemas['EngagementKind'][], onMoved: () => void) {
    const [asked, setAsked] = useState<{ row: EngagementRow; to: Stage | undefined }>();
    const say = useSay();
    const sayMoved = useSayMoved();
    const stagesOf = (row: EngagementRow) => (kinds.find(({ id }) => id === row.kindId)?.stages ?? []);

    const said = (moved: EngagementData[]) => {
        const [first] = moved;
        if (first !== undefined) {
            sayMoved(moved.length === 1 ? `${first.row.number} is now “${first.row.stage.name}”.` : `${moved.length} moved.`, moved);
        }
    };

    /** The stage after it, or the one before. */
    const step = (row: EngagementRow, by: 1 | -1): Stage | undefined => {
        const stages = stagesOf(row).filter(({ id, isRetired }) => !isRetired || id === row.stage.id);
        return stages[stages.findIndex(({ id }) => id === row.stage.id) + by];
    };

    const move = async (some: EngagementRow[], by: 1 | -1) => {
        const steps = some.map((row) => ({ row, to: step(row, by) }));
        const [alone] = steps;
        if (alone !== undefined && steps.length === 1 && (alone.to === undefined || needsReason(alone.row.stage, alone.to))) {
            if (alone.to !== undefined) {
                setAsked(alone);
            }
            return;
        }
        const moved: EngagementData[] = [];
        const left: string[] = [];
        await whileSaving(async () => {
            for (const { row, to } of steps) {
                if (to === undefined || needsReason(row.stage, to)) {
                    left.push(row.number);
                    continue;
                }
                try {
                    const engagement = await sendMove(row, to.id);
                    keepEngagement(engagement);
                    moved.push(engagement);
                } catch (error) {
                    left.push(`${row.number}: ${(error as Error).message}`);
                }
            }
        });
        onMoved();
        if (left.length > 0) {
            say(`${moved.length} moved. Not moved: ${left.join(', ')}. What is closed is moved one by one.`);
        } else {
            said(moved);
        }
    };
    const moveTo = (row: EngagementRow, stage: Stage) => needsReason(row.stage, stage)
        ? setAsked({ row, to: stage })
        : void whileSaving(async () => {
            try {
                const moved = await sendMove(row, stage.id);
                keepEngagement(moved);
                said([moved]);
            } catch (error) {
                say(`Not moved. ${(error as Error).message}`);
            }
        });

    return { asked, stagesOf, move, moveTo, said, leave: () => setAsked(undefined) };
}
