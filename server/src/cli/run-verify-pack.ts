import { verifyPack } from './verify-pack';

void verifyPack(process.argv.slice(2)).then((status) => {
  process.exitCode = status;
});
