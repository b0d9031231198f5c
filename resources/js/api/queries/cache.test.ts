import { QueryObserver } from '@tanstack/react-query';
import { afterEach, expect, test } from 'vitest';
import { forget, forgetBut, keepAnswer, queryClient } from './cache';

const leaving: (() => void)[] = [];

/** A server whose answers come when they are let go, in the order in which they were asked for. */
function slowServer() {
    const waiting: ((answer: string) => void)[] = [];
    const show = (queryKey: string[]) => {
        const observer = new QueryObserver(queryClient, {
            queryKey,
            queryFn: () => new Promise<string>((resolve) => waiting.push(resolve)),
            staleTime: Infinity,
        });
        const leave = observer.subscribe(() => undefined);
        leaving.push(leave);
        return leave;
    };
    const answer = async (text: string) => {
        waiting.shift()?.(text);
        await settled();
    };
    return { show, answer, asked: () => waiting.length };
}

const settled = () => new Promise((done) => setTimeout(done, 5));

afterEach(() => {
    leaving.splice(0).forEach((leave) => leave());
    queryClient.clear();
});

test('what was asked before a change is called off, and asked again by whoever shows it', async () => {
    const { show, answer, asked } = slowServer();
    show(['choices']);
    await settled();
    void forget(['choices']);
    await settled();
    expect(asked()).toBe(2);
    await answer('as it was before the change');
    expect(queryClient.getQueryData(['choices'])).toBeUndefined();
    await answer('as it is');
    expect(queryClient.getQueryData(['choices'])).toBe('as it is');
});

test('what nobody shows is asked again when somebody does, even if it was on its way', async () => {
    const { show, answer, asked } = slowServer();
    const leave = show(['choices']);
    await settled();
    leave();
    void forget(['choices']);
    await settled();
    await answer('as it was before the change');
    show(['choices']);
    await settled();
    expect(asked()).toBe(1);
    await answer('as it is');
    expect(queryClient.getQueryData(['choices'])).toBe('as it is');
});

test('areas are forgotten by how their keys begin, but for what is known to hold', async () => {
    const { show, asked } = slowServer();
    show(['records', 'record', '1']);
    show(['records', 'record', '2']);
    show(['ledger', 'documents']);
    await settled();
    keepAnswer(['records', 'record', '1'] as never, 'saved');
    await settled();
    const before = asked();
    void forgetBut(['records', 'record', '1'], ['records']);
    await settled();
    expect(asked() - before).toBe(1);
    expect(queryClient.getQueryData(['records', 'record', '1'])).toBe('saved');
});

test('the answer of a change holds, whatever is still on its way', async () => {
    const { show, answer } = slowServer();
    show(['records', 'record', '1']);
    await settled();
    keepAnswer(['records', 'record', '1'] as never, 'saved');
    await answer('as it was before it was saved');
    expect(queryClient.getQueryData(['records', 'record', '1'])).toBe('saved');
});
