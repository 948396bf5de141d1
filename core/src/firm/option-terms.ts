import { IsIn } from 'class-validator';
import type { Rules } from '../rules/rules';
import { Count, ListOf, OneOf, Part, Text } from '../survey/fields';
import { FirmContact } from './contact';
import { FirmSteps } from '../customer/firm-steps';
import { COST_BANDS, OPTION_KINDS, type CostBand, type OptionKind } from '../survey/words/option-words';

/** What one option costs and how long it takes, as a firm has found. */
export class FirmOptionTerms {
  @IsIn([...OPTION_KINDS], { message: `one of ${OPTION_KINDS.join(', ')}` }) option: OptionKind;
  @IsIn([...COST_BANDS], { message: `one of ${COST_BANDS.join(', ')}` }) costBand: CostBand;
  @Count(0, 520) fromWeeks?: number;
  @Count(0, 520) toWeeks?: number;
}

/** What a firm writes for a cost band, such as an amount. */
export class FirmBandWords {
  @IsIn([...COST_BANDS], { message: `one of ${COST_BANDS.join(', ')}` }) band: CostBand;
  @Text(40) words?: string;
}

/** A firm's own cost bands and waits; what it has not set is the rules’. */
export class FirmTerms {
  @ListOf(() => FirmOptionTerms, OPTION_KINDS.length) options: FirmOptionTerms[] = [];
  @ListOf(() => FirmBandWords, COST_BANDS.length) bands: FirmBandWords[] = [];
  /** What packs and letters are written under. */
  @Part(() => FirmContact) contact?: FirmContact;
  /** For how many days a device may show what it carries along without having heard from the server. */
  @Count(1, 60) keptDays?: number;
  /** The customer’s survey as the firm words it. */
  @Part(() => FirmSteps) customerSteps?: FirmSteps;
  /** Letters, covering messages and reminders are mailed, or kept as drafts only; left out, drafts. */
  @OneOf(['send', 'draft']) mail?: 'send' | 'draft';
  /** For how many years signed packs are kept, and then erased with their jobs; left out, jobs are kept, and packs of what is erased for six years. */
  @Count(1, 40) packYears?: number;
  /** After how many months without a change a job that was never signed is erased; left out, never. */
  @Count(1, 240) unsignedMonths?: number;
  /** For how long customers are told that what they send is kept. */
  @Count(1, 240) keptMonths?: number;
}

/** The rules with a firm's own terms laid over it. A wait that ends before it begins is put in order. */
export function withFirmTerms(rules: Rules, terms: FirmTerms | undefined): Rules {
  if (!terms || (terms.options.length === 0 && terms.bands.length === 0)) return rules;
  const value = { ...rules.optionTerms.value };
  for (const { option, costBand, fromWeeks, toWeeks } of terms.options) {
    const usual = value[option];
    const [from, to] = [fromWeeks ?? usual.waitWeeks[0], toWeeks ?? usual.waitWeeks[1]];
    value[option] = { ...usual, costBand, waitWeeks: [Math.min(from, to), Math.max(from, to)] };
  }
  const words = { ...rules.costBandWords };
  for (const { band, words: own } of terms.bands) if (own !== undefined && own !== '') words[band] = own;
  return { ...rules, optionTerms: { value, source: 'the firm’s own' }, costBandWords: words };
}
