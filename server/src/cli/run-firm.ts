/** `node dist/server/firm.js --firm … --name … --email …`: a further firm. */
import { runFirm } from './firm';

runFirm(process.argv.slice(2), process.env)
  .then((code) => {
    process.exitCode = code;
  })
  .catch((error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exitCode = 1;
  });
