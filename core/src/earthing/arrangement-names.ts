/** Names as the trade says them. */
export const ARRANGEMENT_NAMES = { 'tn-c-s': 'TN-C-S (PME)', 'tn-s': 'TN-S', tt: 'TT', unknown: 'Not known' } as const;
