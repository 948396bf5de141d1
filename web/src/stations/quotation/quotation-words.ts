import type { QuotationState } from '../../api/jobs';

/** How a quotation stands, in a word or two. */
export const QUOTATION_WORDS: Readonly<Record<QuotationState, string>> = {
  made: 'not sent yet',
  sent: 'with the customer',
  accepted: 'accepted',
  declined: 'declined',
  withdrawn: 'withdrawn',
  replaced: 'replaced by a revision',
};
