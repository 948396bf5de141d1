import { IsIn } from 'class-validator';
import { Id, ListOf, RequiredText, Text, YesNo } from '../survey/fields';
import { CUSTOMER_STEP_IDS, CUSTOMER_STEPS, type AnswerPart, type CustomerStep, type CustomerStepId } from './steps';

/** A step as a firm words it, or leaves it out. */
export class StepWords {
  @IsIn([...CUSTOMER_STEP_IDS], { message: `one of ${CUSTOMER_STEP_IDS.join(', ')}` }) id: CustomerStepId;
  @Text(300) ask?: string;
  @Text(500) how?: string;
  @YesNo() isLeftOut?: boolean;
}

const OWN_KINDS = ['picture', 'words', 'yes-no'] as const;
export type OwnKind = (typeof OWN_KINDS)[number];

/** A step that a firm has added. */
export class OwnStep {
  @Id() id: string;
  @IsIn([...OWN_KINDS], { message: `one of ${OWN_KINDS.join(', ')}` }) kind: OwnKind;
  @RequiredText(300, 'what is asked') ask: string;
  @Text(500) how?: string;
}

/** What a firm has made of the customer’s survey. */
export class FirmSteps {
  @ListOf(() => StepWords, CUSTOMER_STEP_IDS.length) words: StepWords[] = [];
  @ListOf(() => OwnStep, 20) own: OwnStep[] = [];
}

const PARTS: Readonly<Record<OwnKind, readonly AnswerPart[]>> = {
  picture: ['picture', 'words'],
  words: ['words'],
  'yes-no': ['choice', 'words'],
};

/** Every step that a firm can send: Keen Gauge’s own as the firm words them, then the firm’s. */
export function stepsOfFirm(firm: FirmSteps | undefined): readonly CustomerStep[] {
  const usual = CUSTOMER_STEPS.flatMap((step): CustomerStep[] => {
    const own = firm?.words.find(({ id }) => id === step.id);
    // Whether anything is dangerous is always asked, in whatever words.
    if (own?.isLeftOut && step.id !== 'danger') return [];
    return [{ ...step, ask: own?.ask?.trim() || step.ask, how: own?.how?.trim() || step.how }];
  });
  const added = (firm?.own ?? []).map(({ id, kind, ask, how }): CustomerStep => ({
    id,
    ask,
    how: how ?? '',
    parts: PARTS[kind],
    helps: [],
    ...(kind === 'yes-no'
      ? {
          choices: [
            { value: 'yes', label: 'Yes' },
            { value: 'no', label: 'No' },
            { value: 'unsure', label: 'I am not sure' },
          ],
        }
      : {}),
  }));
  return [...usual, ...added];
}
