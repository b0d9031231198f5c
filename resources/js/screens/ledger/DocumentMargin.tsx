import { type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { momentText } from '../../ui/moment';
import { Margin } from '../../ui/Page';
import { Quiet } from '../../ui/Text';

type Doc = Schemas['Document'];

export function DocumentMargin({ document }: { document: Doc }): ReactNode {
    const { row, source, madeFromIt, discount, events } = document;
    return (
        <Margin aria-label="Worked out from the document">
            {row.state !== 'draft' && (
                <section>
                    <h2>Open</h2>
                    <p><strong>{document.currency} {row.open.text}</strong> of {row.total.text}</p>
                    {document.lateInterest !== null && <p>Interest to date {document.lateInterest.text}</p>}
                    {discount !== null && row.open.sign > 0 && <p>{discount.sentence}</p>}
                </section>
            )}
            {(document.replaces !== null || document.replacedBy !== null) && (
                <section>
                    <h2>Revisions</h2>
                    {document.replaces !== null && (
                        <p>
                            before it <Link to={`/documents/${document.replaces.id}`}>{document.replaces.title}</Link>
                        </p>
                    )}
                    {document.replacedBy !== null && (
                        <p>
                            after it <Link to={`/documents/${document.replacedBy.id}`}>{document.replacedBy.title}</Link>{' '}
                            <Quiet>{document.replacedBy.stateWords}</Quiet>
                        </p>
                    )}
                </section>
            )}
            {(source !== null || madeFromIt.length > 0) && (
                <section>
                    <h2>Chain</h2>
                    {source !== null && (
                        <p>
                            from <Link to={`/documents/${source.id}`}>{source.title}</Link>
                        </p>
                    )}
                    {madeFromIt.map((made) => (
                        <p key={made.id}>
                            became <Link to={`/documents/${made.id}`}>{made.title}</Link> <Quiet>{made.stateWords}</Quiet>
                        </p>
                    ))}
                </section>
            )}
            {document.sentText !== '' && <section><h2>Sent</h2><p>{document.sentText}</p></section>}
            <section>
                <h2>History</h2>
                {events.map((event, at) => <p key={at}>{event.text} <Quiet>{momentText(event.at)}, {event.by}</Quiet></p>)}
            </section>
        </Margin>
    );
}
