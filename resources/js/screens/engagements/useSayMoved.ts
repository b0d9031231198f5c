import { keepEngagement, type EngagementData } from '../../api/queries';
import { useSay } from '../../ui/StatusLine';
import { whileSaving } from '../../ui/unsaved';
import { takeMoveBack } from './StageDialog';

/** Says that some were moved, with the way back of all of them. */
export function useSayMoved() {
    const say = useSay();
    return (text: string, moved: EngagementData[]) => say(
        text,
        () => void whileSaving(async () => {
            try {
                for (const { row, moves } of moved) {
                    const last = moves.at(-1);
                    if (last !== undefined) {
                        keepEngagement(await takeMoveBack(row.id, last.id));
                    }
                }
                say('As it was before.');
            } catch (error) {
                say(`Not taken back. ${(error as Error).message}`);
            }
        }),
    );
}
