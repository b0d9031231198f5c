import { Button } from './Button';
import { Quiet, Row } from './Text';

/** From page to page of a long list. */
export function Pager({ page, pages, onGo }: { page: number; pages: number; onGo: (page: number) => void }) {
    return pages <= 1 ? null : (
        <Row>
            <Button isDisabled={page <= 1} onPress={() => onGo(page - 1)}>Earlier</Button>
            <Quiet>Page {page} of {pages}</Quiet>
            <Button isDisabled={page >= pages} onPress={() => onGo(page + 1)}>Later</Button>
        </Row>
    );
}
