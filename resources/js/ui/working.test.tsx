// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { useBusy, working } from './working';

beforeEach(() => vi.useFakeTimers());
afterEach(async () => {
    await vi.runAllTimersAsync();
    vi.useRealTimers();
});

/** Begins a write that lasts until it is told to end. */
function aWrite() {
    let end: (value: undefined) => void;
    const promise = new Promise<undefined>((resolve) => {
        end = resolve;
    });
    let done = promise;
    act(() => {
        done = working(() => promise);
    });
    return () =>
        act(async () => {
            end(undefined);
            await done;
        });
}

test('the button that was pressed is busy until all that it began is done', async () => {
    const { result } = renderHook(useBusy);
    const other = renderHook(useBusy);
    result.current.press();
    const end = aWrite();
    expect(result.current.isBusy).toBe(true);
    expect(other.result.current.isBusy).toBe(false);
    await end();
    expect(result.current.isBusy).toBe(false);
    const endTheNext = aWrite();
    expect(result.current.isBusy).toBe(true);
    await endTheNext();
});

test('a press that wrote nothing is forgotten: somebody else\'s write leaves its button free', async () => {
    const { result } = renderHook(useBusy);
    result.current.press();
    await act(() => vi.advanceTimersByTimeAsync(200));
    const end = aWrite();
    expect(result.current.isBusy).toBe(false);
    await end();
});

test('so is a press whose write is done', async () => {
    const { result } = renderHook(useBusy);
    result.current.press();
    await aWrite()();
    await act(() => vi.advanceTimersByTimeAsync(200));
    const end = aWrite();
    expect(result.current.isBusy).toBe(false);
    await end();
});
