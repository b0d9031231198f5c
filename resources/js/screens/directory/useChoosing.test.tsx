// @vitest-environment jsdom
import { act, renderHook } from '@testing-library/react';
import { expect, test } from 'vitest';
import type { WantedList } from '../../api/queries';
import { StatusLine } from '../../ui/StatusLine';
import { useChoosing } from './useChoosing';

/** A list of ten, of which the numbers are ten times their places. */
function choosing(first: WantedList = {}) {
    return renderHook(({ wanted }) => useChoosing(wanted, 10, (index) => (index < 10 ? (index + 1) * 10 : undefined)), {
        initialProps: { wanted: first },
        wrapper: StatusLine,
    });
}

test('a line is chosen and left again, and a reach takes all from the last one', () => {
    const { result } = choosing();
    act(() => result.current.choosing.toggle(2));
    expect([result.current.count, result.current.choosing.has(2), result.current.input.ids]).toEqual([1, true, [30]]);
    act(() => result.current.choosing.reach(5));
    expect(result.current.input.ids).toEqual([30, 40, 50, 60]);
    act(() => result.current.choosing.toggle(3));
    expect([result.current.count, result.current.choosing.has(3)]).toEqual([3, false]);
    act(() => result.current.choosing.all(false));
    expect([result.current.count, result.current.choosing.isSome]).toEqual([0, false]);
});

test('all of a list is chosen though not all has been read; those that are left out are told', () => {
    const { result } = choosing({ filter: 'clients', archived: '1' });
    act(() => result.current.choosing.all(true));
    expect([result.current.count, result.current.choosing.isAll]).toEqual([10, true]);
    act(() => result.current.choosing.toggle(4));
    expect([result.current.count, result.current.choosing.isAll, result.current.choosing.has(4)]).toEqual([9, false, false]);
    expect(result.current.input).toEqual({ isAll: true, filter: 'clients', withArchived: true, ids: [50] });
});

test('another order keeps what is chosen, another list does not', () => {
    const { result, rerender } = choosing({ filter: 'clients' });
    act(() => result.current.choosing.toggle(0));
    rerender({ wanted: { filter: 'clients', sort: '-name', view: 'cards' } });
    expect(result.current.count).toBe(1);
    rerender({ wanted: { filter: 'vendors' } });
    expect(result.current.count).toBe(0);
});
