import { expect, test } from 'vitest';
import type { Schemas } from '../../api/client';
import { addressOf, choicesOf, isAsKept } from './listAddress';
import { sortedBy } from './useListLook';

const list: Schemas['SavedList'] = {
    key: '7', id: 7, name: 'Late', sentence: 'overdue, above 500', choices: 'kind=invoice&side=client', columns: ['number', 'open'], sort: '-due',
    view: 'table', countedBy: '', period: '', isShared: true, by: 'Maud', mayChange: true, version: 0, count: null, isWhole: true,
};

test('a list is opened as it was kept, and known to be so until something is chosen otherwise', () => {
    const address = new URL(addressOf('documents', list), 'http://here');
    expect(address.pathname).toBe('/ledger');
    expect(isAsKept(list, address.searchParams)).toBe(true);
    expect(choicesOf(address.searchParams)).toBe('kind=invoice&side=client');
    address.searchParams.set('page', '3');
    expect(isAsKept(list, address.searchParams)).toBe(true);
    address.searchParams.set('side', 'vendor');
    expect(isAsKept(list, address.searchParams)).toBe(false);
});

test('what is counted is opened where it is counted', () => {
    const counted = { ...list, choices: '', columns: [], sort: '', view: 'counted' as const, countedBy: 'source', period: 'last year' };
    const address = new URL(addressOf('parties', counted), 'http://here');
    expect([address.pathname, address.searchParams.get('by'), address.searchParams.get('view')]).toEqual(['/directory/counted', 'source', null]);
    expect(isAsKept(counted, address.searchParams)).toBe(true);
    address.searchParams.set('period', 'this year');
    expect(isAsKept(counted, address.searchParams)).toBe(false);
});

test('a heading turns its list round; with Shift it comes after the others', () => {
    expect(sortedBy([], 'due', false)).toBe('due');
    expect(sortedBy([{ key: 'due', isReversed: false }], 'due', false)).toBe('-due');
    expect(sortedBy([{ key: 'due', isReversed: true }], 'total', true)).toBe('-due,total');
    expect(sortedBy([{ key: 'due', isReversed: true }, { key: 'total', isReversed: false }], 'due', true)).toBe('due,total');
});
