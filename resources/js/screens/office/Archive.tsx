import { useQuery } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { jobsQuery } from '../../api/queries';
import { BehindScreen } from '../../shared/BehindScreen';
import { Heading, Quiet, Stack } from '../../ui/Text';

/** The whole book as plain files, so that nobody is locked in. */
export function Archive() {
    const { data: jobs } = useQuery(jobsQuery);

    return (
        <Stack as="section" data-section aria-label="The whole book" $stretch>
            <Heading>The whole book</Heading>
            <Quiet>
                Records, documents, the log and all files, as plain files in one ZIP, with what is private: nobody is locked in. Keep it as
                you would keep the book.
            </Quiet>
            <BehindScreen
                label="Archive"
                job={jobs?.find(({ kind }) => kind === 'archive')}
                make="Make an archive"
                making="Making the archive"
                hint="It takes a moment, and you may leave this page."
                far={({ done }) => `${done}% of the archive is made`}
                save="Save the archive (ZIP)"
                begin={() => ask(api.POST('/api/office/archive'))}
            />
        </Stack>
    );
}
