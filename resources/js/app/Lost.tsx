import { ButtonLink, MainButton } from '../ui/Button';
import { Empty, Title } from '../ui/Text';

/** For an address that leads nowhere. */
export function Lost() {
    return (
        <Empty>
            <Title>There is nothing here</Title>
            <p>The address does not lead to a page or a record. Press / and search for what you need.</p>
            <ButtonLink href="/directory">Open the directory</ButtonLink>
        </Empty>
    );
}

/** For a screen that could not be shown: most often a part of the program that did not arrive. */
export function Broken() {
    return (
        <Empty role="alert" $alone>
            <Title>This page could not be shown</Title>
            <p>Nothing that was saved is lost. Load the page again; if it happens again, tell your administrator.</p>
            <MainButton onPress={() => location.reload()}>Load again</MainButton>
        </Empty>
    );
}
