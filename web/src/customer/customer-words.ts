import type { CustomerLink, FromCustomer } from '../api/customer';

/** Whether the customer can still answer by it. */
export function isOpen({ revokedAt, expiresAt }: CustomerLink, now = Date.now()): boolean {
  return revokedAt === null && new Date(expiresAt).getTime() > now;
}

/** How the customer’s survey stands, in few words. */
export function customerWords(from: FromCustomer | undefined): string {
  if (!from?.link) return 'not asked yet';
  const toReview = from.answers.filter(({ state }) => state === 'came').length;
  if (toReview > 0) return `${toReview} to review`;
  if (!isOpen(from.link)) return 'link closed';
  return from.link.openedAt === null ? 'link sent' : 'link opened';
}
