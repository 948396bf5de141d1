import { STATIONS } from '../finding';
import type { QuestionEntry } from './question';

/** What the firm itself asks of a survey before it is signed. */
export const REVIEW_QUESTIONS: readonly QuestionEntry[] = [
  {
    id: 'comment-open',
    station: 'pack',
    stop: 'desk',
    field: 'comments.reply',
    askOf: 'surveyor',
    on: 'form',
    ownUse: true,
    why: 'The survey was handed back with it.',
    open: ({ survey }) =>
      (survey.comments ?? [])
        .filter(({ settledAt }) => settledAt === undefined)
        .map(({ id, by, says, station }) => ({
          subjectId: id,
          station: STATIONS.find((each) => each === station) ?? 'pack',
          title: `${by ?? 'A colleague'} asks: ${says}`,
          remedy: 'Correct it or say why it stands, then mark it settled.',
        })),
  },
];
