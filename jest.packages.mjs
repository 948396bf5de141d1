/** Before the tests: the packages that they load from one file each. */
import { ensureBuilt } from './scripts/machine/build.mjs';

export default function prepare() {
  ensureBuilt('test-packages');
}
