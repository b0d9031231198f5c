import { useSay } from '../../ui/StatusLine';
import type { RecordData } from './sections/spec';
import { useSubjectAction } from '../../shared/useSubjectAction';

/** Does something to the record and says so at the foot of the page. */
export function useSaid() {
    const act = useSubjectAction();
    const say = useSay();
    const save = async (call: () => Promise<RecordData>, said: string) => {
        await act(call);
        say(said);
    };
    return {
        save,
        tryTo: (call: () => Promise<RecordData>, said: string) =>
            save(call, said).catch((error: Error) => say(`Not done. ${error.message}`)),
    };
}
