// @vitest-environment jsdom
import { QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { Refused } from '../../api/client';
import { queryClient, recordQuery } from '../../api/queries';
import { SessionContext, type Session } from '../../api/session';
import { SignInContext } from '../../api/signIn';
import { holdsUnsaved } from '../../ui/unsaved';
import { useSection } from './useSection';
import type { RecordData, SectionSpec } from './sections/spec';

const said: { text: string | undefined; undo: (() => void) | undefined }[] = [];

vi.mock('../../ui/StatusLine', () => ({ useSay: () => (text?: string, undo?: () => void) => said.push({ text, undo }) }));

/** A record as far as a section of it goes: one text, in one version. */
function record(text: string, version: number, live = 0): RecordData {
    return { party: { id: 7 }, documents: { live }, text, version } as unknown as RecordData;
}

const textOf = (of: RecordData) => (of as unknown as { text: string }).text;

function begin(kept: RecordData, part: Partial<SectionSpec<{ text: string }>> = {}, signIn = () => Promise.resolve(false)) {
    const spec: SectionSpec<{ text: string }> = {
        name: 'reach',
        title: () => 'Reach',
        version: (of) => (of as unknown as { version: number }).version,
        draft: (of) => ({ text: textOf(of) }),
        put: vi.fn((_id, version, draft) => Promise.resolve(record(draft.text, version + 1))),
        ...part,
    };
    const wrapper = ({ children }: { children: ReactNode }) => (
        <SessionContext value={{ mayChangeRecords: true } as Session}>
            <SignInContext value={signIn}>
                <QueryClientProvider client={queryClient}>{children}</QueryClientProvider>
            </SignInContext>
        </SessionContext>
    );
    const hook = renderHook(() => useSection(kept, spec), { wrapper });
    act(() => hook.result.current.begin());
    return { spec, hook, edit: () => hook.result.current, type: (text: string) => act(() => hook.result.current.change({ text })) };
}

const refusal = (status: number, errors: { field: string; message: string }[] = []) =>
    new Refused({ type: 'about:blank', title: '', status, detail: 'Refused.', errors } as ConstructorParameters<typeof Refused>[0]);

afterEach(() => {
    said.length = 0;
    queryClient.clear();
});

test('what is typed is held until it is saved, and the answer is what is kept', async () => {
    const { spec, edit, type } = begin(record('old', 3));
    expect(holdsUnsaved()).toBe(false);
    type('new');
    expect(holdsUnsaved()).toBe(true);
    await act(() => edit().save());
    expect(spec.put).toHaveBeenCalledExactlyOnceWith(7, 3, { text: 'new' }, undefined);
    expect(edit().draft).toBeUndefined();
    expect(holdsUnsaved()).toBe(false);
    expect(textOf(queryClient.getQueryData(recordQuery(7).queryKey) as RecordData)).toBe('new');
    expect(said.at(-1)).toMatchObject({ text: 'Reach saved.' });
    expect(said.at(-1)?.undo).toBeDefined();
});

test('saving what was not changed offers no way back', async () => {
    const { edit } = begin(record('old', 3), { put: (_id, version, draft) => Promise.resolve(record(draft.text, version)) });
    await act(() => edit().save());
    expect(said.at(-1)).toEqual({ text: 'Reach saved.', undo: undefined });
});

test('a refusal stands at its field, and nothing typed is lost', async () => {
    const { edit, type } = begin(record('old', 3), { put: () => Promise.reject(refusal(422, [{ field: 'text', message: 'Too short.' }])) });
    type('x');
    await act(() => edit().save());
    expect(edit().problems).toEqual({ text: 'Too short.' });
    expect(edit().draft).toEqual({ text: 'x' });
    expect(edit().isBusy).toBe(false);
    expect(holdsUnsaved()).toBe(true);
});

test('who has been signed out signs in on the way, and is not asked twice', async () => {
    const put = vi.fn(() => Promise.resolve(record('new', 4)));
    put.mockRejectedValueOnce(refusal(401));
    const { edit, type } = begin(record('old', 3), { put }, () => Promise.resolve(true));
    type('new');
    await act(() => edit().save());
    expect(put).toHaveBeenCalledTimes(2);
    expect(edit().draft).toBeUndefined();
});

test('documents that carry the change are asked about before it is saved', async () => {
    const touched = vi.fn(() => Promise.resolve({ documents: [{}], sentence: '' } as never));
    const { spec, edit, type } = begin(record('old', 3, 2), { touched });
    type('new');
    await act(() => edit().save());
    expect(spec.put).not.toHaveBeenCalled();
    expect(edit().touched).toBeDefined();
    await act(() => edit().answerTouched(undefined, false));
    expect(spec.put).not.toHaveBeenCalled();
    expect(edit().draft).toEqual({ text: 'new' });
    await act(() => edit().save());
    await act(() => edit().answerTouched([5], true));
    expect(spec.put).toHaveBeenCalledExactlyOnceWith(7, 3, { text: 'new' }, { documentIds: [5], withTerms: true });
    expect(edit().draft).toBeUndefined();
});

test('mine is saved over theirs, in the version that theirs made', async () => {
    const { spec, edit, type } = begin(record('old', 3));
    type('mine');
    vi.spyOn(queryClient, 'fetchQuery').mockResolvedValueOnce(record('theirs', 9));
    await act(() => edit().saveMine());
    expect(spec.put).toHaveBeenCalledExactlyOnceWith(7, 9, { text: 'mine' }, undefined);
    expect(edit().draft).toBeUndefined();
});
