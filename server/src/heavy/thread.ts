/**
 * What runs in threads of its own, so that whoever asks for something else meanwhile does not wait for it. Each takes plain data and gives plain data back;
 * none of it reaches the database.
 */
export { diaryText } from '../calendar/diary-text';
export { summaryUnder } from '../jobs/summary';
export { makePackFiles } from '../packs/make-files';
export { pictureOf, printedOf } from '../photos/picture';
