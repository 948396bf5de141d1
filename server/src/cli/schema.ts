import { surveySchema } from '../formats/survey-schema';

process.stdout.write(`${JSON.stringify(surveySchema(), null, 2)}\n`);
