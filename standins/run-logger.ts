import { runLogger } from './logger';

runLogger(process.argv.slice(2), (text) => process.stdout.write(text));
