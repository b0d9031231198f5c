// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { expect, test, vi } from 'vitest';
import { Refused, Unreachable } from './client';
import { useSaving } from './useSaving';

const refusal = (errors: { field: string; message: string }[]) =>
    new Refused({ type: 'about:blank', title: '', status: 422, detail: 'Not so.', errors } as ConstructorParameters<typeof Refused>[0]);

test('work is not begun again while it runs', async () => {
    const { result } = renderHook(() => useSaving());
    let done = () => undefined as unknown;
    const work = vi.fn(() => new Promise<void>((resolve) => {
        done = resolve;
    }));
    await act(async () => {
        const first = result.current.run(work);
        expect(await result.current.run(work)).toBe(false);
        done();
        expect(await first).toBe(true);
    });
    expect(work).toHaveBeenCalledTimes(1);
});

test('what is refused stands at its field, or as a whole where it has none; the next try begins clean', async () => {
    const { result } = renderHook(() => useSaving());
    await act(() => result.current.run(() => Promise.reject(refusal([{ field: 'name', message: 'Type the name.' }]))));
    expect([result.current.problems, result.current.message]).toEqual([{ name: 'Type the name.' }, undefined]);
    await act(() => result.current.run(() => Promise.reject(new Unreachable())));
    expect([result.current.problems, result.current.message]).toEqual([{}, 'The server cannot be reached.']);
    await act(() => result.current.run(() => Promise.resolve()));
    expect(result.current.failure).toBeUndefined();
});
