/** When a photograph was taken, as people write it; nothing where nobody knows. */
export function takenWords(takenAt: string | undefined): string {
  return takenAt === undefined
    ? ''
    : new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(takenAt));
}
