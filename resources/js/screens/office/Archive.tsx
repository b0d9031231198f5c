import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { jobsQuery } from '../../api/queries';
import { BehindScreen } from '../../shared/BehindScreen';

/** The whole book as plain files, so that nobody is locked in. */
export function Archive() {
    const { data: jobs } = useQuery(jobsQuery);

    return (
        <BehindScreen
            label="Archive"
            job={jobs?.find(({ kind }) => kind === 'archive')}
            make="Make an archive of the whole book"
            making="Making the archive"
            hint="Records, documents, the log and all files, as plain files in one ZIP."
            far={({ done }) => `${done} % of the archive is made`}
            save="Save the archive (ZIP)"
            begin={() => ask(api.POST('/api/office/archive'))}
        />
    );
}
