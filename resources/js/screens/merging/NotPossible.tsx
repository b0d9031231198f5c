import { Refused } from '../../api/client';
import { ButtonLink, MainButton } from '../../ui/Button';
import { Sheet } from '../../ui/Page';
import { Empty, Title } from '../../ui/Text';

interface Props {
    title: string;
    error: Error | null;
    retry: () => void;
    /** Where one goes from here when it is refused. */
    href: string;
    way: string;
}

/** Instead of a preview that is still on its way, or that there is none of: refused, or not to be read. */
export function NotPossible({ title, error, retry, href, way }: Props) {
    return (
        <Sheet id="sheet" tabIndex={-1} aria-busy={error === null}>
            {error !== null && (
                <Empty role="alert">
                    <Title>{title}</Title>
                    <p>{error.message}</p>
                    {error instanceof Refused
                        ? <ButtonLink href={href}>{way}</ButtonLink>
                        : <MainButton onPress={retry}>Try again</MainButton>}
                </Empty>
            )}
        </Sheet>
    );
}
