import type { Option } from '../ui/Choose';

/** What amounts say about the tax on them. */
export const TREATMENTS: Option[] = [
    { id: 'exclusive', name: 'amounts exclude tax' },
    { id: 'inclusive', name: 'amounts include tax' },
    { id: 'none', name: 'no tax' },
];

/** How money passes. */
export const WAYS_TO_PAY: Option[] = ['transfer', 'cheque', 'card', 'cash', 'direct debit'].map((id) => ({ id, name: id }));
