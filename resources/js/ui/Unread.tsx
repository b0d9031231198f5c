import { MainButton } from './Button';
import { Empty } from './Text';

/** For something that could not be read. */
export function Unread({ what, error, retry }: { what: string; error: Error; retry: () => void }) {
    return (
        <Empty role="alert">
            <p>{what} could not be loaded. {error.message}</p>
            <MainButton onPress={retry}>Try again</MainButton>
        </Empty>
    );
}
