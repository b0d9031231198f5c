import { working } from '../ui/working';

const MOST_TRIES = 8;
const SECOND = 1000;

/** Keys of writes that have no answer yet: the same write, sent again, carries the same key and is done once. */
const unanswered = new Map<string, string>();

const isPreview = (url: string) => /\/(document-preview|payment-preview|preview|look-alikes|touched\/[\w-]+)$/.test(new URL(url).pathname);

/**
 * Sends a request. A write says by a key which act it is, so that a double press or a second try after
 * a lost answer does nothing twice; the server that is busy is asked again by itself.
 */
export async function sendOnce(request: Request): Promise<Response> {
    if (request.method === 'GET' || isPreview(request.url)) {
        return patiently(request);
    }
    const body = request.headers.get('Content-Type')?.startsWith('multipart/') === true ? crypto.randomUUID() : await request.clone().text();
    const act = `${request.method} ${request.url} ${body}`;
    const key = unanswered.get(act) ?? crypto.randomUUID();
    unanswered.set(act, key);
    request.headers.set('Idempotency-Key', key);
    return working(async () => {
        const answer = await patiently(request);
        if (answer.status < 500) {
            unanswered.delete(act);
        }
        return answer;
    });
}

/** Tries again as long as the server says when to. */
async function patiently(request: Request, tries = 1): Promise<Response> {
    const answer = await fetch(request.clone());
    const wait = Number(answer.headers.get('Retry-After'));
    if (answer.status !== 503 || !(wait > 0) || tries === MOST_TRIES || request.signal.aborted) {
        return answer;
    }
    await new Promise((resolve) => setTimeout(resolve, Math.min(wait, 5) * SECOND));
    return patiently(request, tries + 1);
}
