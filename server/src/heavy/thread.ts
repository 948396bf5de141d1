/**
 * What runs in threads of its own, so that whoever asks for something else meanwhile does not wait for it. Each takes plain data and gives plain data back;
 * none of it reaches the database.
 */
import { setPriority } from 'node:os';
import { isMainThread } from 'node:worker_threads';

// Linux gives each thread a priority of its own: whoever answers requests goes first where there are few processors. Elsewhere it would be the whole process's.
if (!isMainThread && process.platform === 'linux') setPriority(10);

export { diaryText } from '../calendar/diary-text';
export { failsUnder } from '../firm/try-rules';
export { summaryUnder } from '../jobs/summary';
export { linesOfJobs } from '../orders/lines';
export { quoteOf } from '../quotations/quote-of';
export { quotationPdf } from '../quotations/pdf';
export { makePackFiles } from '../packs/make-files';
export { pictureOf, printedOf } from '../photos/picture';
