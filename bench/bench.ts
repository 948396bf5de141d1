/**
 * Prints what the application measures here against what it is meant to. Run with `npm run bench`, or with the names of
 * the benches wanted; never a test.
 */
import { benchAssess } from './assess';
import { benchAutosave } from './autosave';
import { agent } from './call';
import { benchDiary } from './diary';
import { benchFirstLoad } from './first-load';
import { benchLineup } from './line-up';
import { benchLog } from './log';
import { benchLogPage } from './log-page';
import { benchOptions } from './options';
import { benchPack } from './pack';
import { benchPhotos } from './photos';
import { benchHomes } from './homes';
import { benchPhone } from './phone';
import { benchPricing } from './pricing';
import { benchPool } from './pool';
import { benchNoSignal } from './no-signal';
import { benchQuickPass } from './quick-pass';
import { benchReadNumber } from './read-number';
import { benchSite } from './site';
import { benchTrial } from './trial';
import { benchTrialPage } from './trial-page';
import { benchTyping } from './typing';

const BENCHES: Readonly<Record<string, (base: string) => void | Promise<void>>> = {
  assess: benchAssess,
  'first-load': benchFirstLoad,
  autosave: benchAutosave,
  log: benchLog,
  'log-page': benchLogPage,
  'line-up': benchLineup,
  typing: benchTyping,
  'quick-pass': benchQuickPass,
  phone: benchPhone,
  'no-signal': benchNoSignal,
  photos: benchPhotos,
  pack: benchPack,
  options: benchOptions,
  pricing: benchPricing,
  diary: benchDiary,
  homes: benchHomes,
  pool: benchPool,
  'read-number': benchReadNumber,
  site: benchSite,
  trial: benchTrial,
  'trial-page': benchTrialPage,
};

const wanted = process.argv.slice(2);
for (const [name, run] of Object.entries(BENCHES))
  if (wanted.length === 0 || wanted.includes(name)) await run(process.env['BENCH_URL'] ?? '');
agent.destroy();
