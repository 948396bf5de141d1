import type { Plugin } from 'vite';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';

/** Below this a file fits into one packet as it is. */
const LEAST_BYTES = 1000;

/** Half a percent larger than the best there is, in a third of its time. */
const QUALITY = 10;

const compressed = promisify(brotliCompress);

/**
 * Every script and style beside itself as it is sent, compressed once as it is built: an eighth smaller than what a server has time for while somebody waits.
 */
export function compressedAhead(): Plugin {
  return {
    name: 'compressed-ahead',
    apply: 'build',
    async writeBundle({ dir = '' }, bundle) {
      await Promise.all(
        Object.values(bundle).map(async (file) => {
          const content = Buffer.from(file.type === 'chunk' ? file.code : file.source);
          if (!/\.(js|css)$/.test(file.fileName) || content.length < LEAST_BYTES) return;
          const params = {
            [constants.BROTLI_PARAM_QUALITY]: QUALITY,
            [constants.BROTLI_PARAM_SIZE_HINT]: content.length,
          };
          await writeFile(join(dir, `${file.fileName}.br`), await compressed(content, { params }));
        }),
      );
    },
  };
}
