import { working } from '../ui/working';

const MOST_TRIES = 8;
const SECOND = 1000;

/** What proves to the server that a request comes from its own page. */
export function sameSiteToken(): string | undefined {
    const token = /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1];
    return token === undefined ? undefined : decodeURIComponent(token);
}

/** Keys of writes that have no answer yet: the same write, sent again, carries the same key and is done once. */
const unanswered = new Map<string, string>();

/** They keep nothing, or nothing that anybody waits for. */
const isAside = (url: string) => /\/(document-preview|payment-preview|preview|look-alikes|touched\/[\w/-]+|opened|editing)$/.test(new URL(url).pathname);

/**
 * Sends a request. A write says by a key which act it is, so that a double press or a second try after
 * a lost answer does nothing twice; the server that is busy is asked again by itself.
 */
export async function sendOnce(request: Request): Promise<Response> {
    if (request.method === 'GET' || isAside(request.url)) {
        return patiently(request);
    }
    return working(async () => {
        const body =
            request.headers.get('Content-Type')?.startsWith('multipart/') === true ? crypto.randomUUID() : await request.clone().text();
        const act = `${request.method} ${request.url} ${body}`;
        const key = unanswered.get(act) ?? crypto.randomUUID();
        unanswered.set(act, key);
        request.headers.set('Idempotency-Key', key);
        let answer = await patiently(request);
        if (await isCodeNeeded(answer) && await askForCode?.() === true) {
            answer = await patiently(request);
        }
        if (answer.status < 500) {
            unanswered.delete(act);
        }
        return answer;
    });
}

/** Asks for the code of the second factor; whether it was given. */
let askForCode: (() => Promise<boolean>) | undefined;

/** Says who asks for a code when the server wants one; what is answered ends that. */
export function onCodeNeeded(ask: () => Promise<boolean>): () => void {
    askForCode = ask;
    return () => {
        askForCode = undefined;
    };
}

async function isCodeNeeded(answer: Response): Promise<boolean> {
    if (answer.status !== 403) {
        return false;
    }
    const problem = await answer.clone().json().catch(() => undefined) as { type?: string } | undefined;
    return problem?.type === '/problems/code-needed';
}

/** The page's proof was of a session that has gone: it gets a new one, and the request is sent again. */
const PROOF_IS_OLD = 419;

/** A lost answer is asked for once more: a read changes nothing, and a write carries a key. */
async function fetchAgain(request: Request): Promise<Response> {
    try {
        return await fetch(request.clone());
    } catch (lost) {
        if (request.signal.aborted) {
            throw lost;
        }
        await pause(SECOND / 4);
        return fetch(request.clone());
    }
}

/** Tries again as long as the server says when to. */
async function patiently(request: Request, tries = 1): Promise<Response> {
    const answer = await fetchAgain(request);
    if (answer.status === PROOF_IS_OLD && tries === 1) {
        await fetch('/api/session', { credentials: 'same-origin', headers: { Accept: 'application/json' } });
        request.headers.set('X-XSRF-TOKEN', sameSiteToken() ?? '');
        return patiently(request, tries + 1);
    }
    return !request.signal.aborted && (await askedToWait(answer.status, answer.headers.get('Retry-After'), tries))
        ? patiently(request, tries + 1)
        : answer;
}

/** Waits as long as a busy server asks to; false where it did not, or was asked often enough. */
export async function askedToWait(status: number, retryAfter: string | null, tries: number): Promise<boolean> {
    const wait = Number(retryAfter);
    if (status !== 503 || !(wait > 0) || tries >= MOST_TRIES) {
        return false;
    }
    await pause(Math.min(wait, 5) * SECOND);
    return true;
}

function pause(milliseconds: number): Promise<void> {
    return new Promise((resolve) => setTimeout(resolve, milliseconds));
}
