import { api, ask } from '../../api/client';
import { forgetLookAlikes } from '../../api/queries';
import { useSay } from '../../ui/StatusLine';

/** Does something about look-alikes or the lines they share, says what came of it, and has everything that shows them asked anew. */
export function useSettling() {
    const say = useSay();
    const act = async (work: () => Promise<unknown>, said: string) => {
        try {
            await work();
            say(said);
        } catch (failure) {
            say((failure as Error).message);
        }
        await forgetLookAlikes();
    };
    const openAgain = (pairIds: number[]) => act(
        () => ask(api.POST('/api/look-alikes/open-again', { body: { pairIds } })),
        'They are to be settled again.',
    );
    return { act, openAgain };
}
