import { MainButton } from './Button';
import { Sheet } from './Page';
import { Empty } from './Text';

interface Props {
    what: string;
    error: Error;
    retry: () => void;
}

/** A page that is still on its way, or could not be read. */
export function AwaitedSheet({ error, ...rest }: Omit<Props, 'error'> & { error: Error | null }) {
    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={error === null}>
            {error !== null && <Unread error={error} {...rest} />}
        </Sheet>
    );
}

/** For something that could not be read. */
export function Unread({ what, error, retry }: Props) {
    return (
        <Empty role="alert">
            <p>{what} could not be loaded. {error.message}</p>
            <MainButton onPress={retry}>Try again</MainButton>
        </Empty>
    );
}
