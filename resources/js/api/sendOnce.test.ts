import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { sendOnce } from './sendOnce';

const ADDRESS = 'http://office.example/api/parties';

/** What the server was sent, and what it answers, one after the other; an error is an answer that was lost. */
let sent: { method: string; key: string | null; proof: string | null }[];
let answers: (Response | Error)[];

beforeEach(() => {
    sent = [];
    vi.useFakeTimers();
    vi.stubGlobal('document', { cookie: 'XSRF-TOKEN=new%20proof' });
    vi.stubGlobal('fetch', (request: Request | string) => {
        if (typeof request === 'string') {
            return Promise.resolve(new Response('{}'));
        }
        const { method, headers } = request;
        sent.push({ method, key: headers.get('Idempotency-Key'), proof: headers.get('X-XSRF-TOKEN') });
        const answer = answers.shift() ?? new Response('{}');
        return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer);
    });
});

afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
});

function post(body: string, address = ADDRESS): Request {
    return new Request(address, { method: 'POST', body, headers: { 'Content-Type': 'application/json' } });
}

/** The answer, with the clock turned on for as long as it takes. */
async function answerOf(request: Request): Promise<Response> {
    const answer = sendOnce(request);
    answer.catch(() => undefined);
    await vi.runAllTimersAsync();
    return answer;
}

test('a write carries a key of its own, a read and a preview carry none', async () => {
    answers = [];
    await answerOf(post('{"name":"A"}'));
    await answerOf(post('{"name":"B"}'));
    await answerOf(new Request(ADDRESS));
    await answerOf(post('{}', `${ADDRESS}/1/document-preview`));
    const [first, second, ...others] = sent.map(({ key }) => key);
    expect(first).toMatch(/^[0-9a-f-]{36}$/);
    expect(second).not.toBe(first);
    expect(others).toEqual([null, null]);
});

test('an answer that is lost is asked for once more, by the same key', async () => {
    answers = [new TypeError('lost'), new Response('{}', { status: 201 })];
    expect((await answerOf(post('{"name":"C"}'))).status).toBe(201);
    expect(sent).toHaveLength(2);
    expect(sent[1]?.key).toBe(sent[0]?.key);
});

test('the same write that failed is sent again by its key; once it is done, the same words are another act', async () => {
    answers = [new TypeError('away'), new TypeError('away')];
    await expect(answerOf(post('{"name":"D"}'))).rejects.toThrow('away');
    answers = [new Response('{}', { status: 500 }), new Response('{}', { status: 201 })];
    await answerOf(post('{"name":"D"}'));
    await answerOf(post('{"name":"D"}'));
    await answerOf(post('{"name":"D"}'));
    const keys = sent.map(({ key }) => key);
    expect(new Set(keys.slice(0, 4)).size).toBe(1);
    expect(keys[4]).not.toBe(keys[3]);
});

test('a busy server is asked again when it says, and not for ever', async () => {
    const busy = () => new Response('', { status: 503, headers: { 'Retry-After': '1' } });
    answers = [busy(), busy(), new Response('{}', { status: 200 })];
    expect((await answerOf(post('{"name":"E"}'))).status).toBe(200);
    expect(sent).toHaveLength(3);
    sent = [];
    answers = Array.from({ length: 20 }, busy);
    expect((await answerOf(post('{"name":"F"}'))).status).toBe(503);
    expect(sent).toHaveLength(8);
    expect(new Set(sent.map(({ key }) => key)).size).toBe(1);
});

test('an old proof is renewed once, and the write sent again with the new one', async () => {
    answers = [new Response('', { status: 419 }), new Response('{}', { status: 200 })];
    expect((await answerOf(post('{"name":"G"}'))).status).toBe(200);
    expect(sent.map(({ proof }) => proof)).toEqual([null, 'new proof']);
    answers = [new Response('', { status: 419 }), new Response('', { status: 419 })];
    expect((await answerOf(post('{"name":"H"}'))).status).toBe(419);
});
