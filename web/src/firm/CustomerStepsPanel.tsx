import { FirmSteps, type OwnKind, type OwnStep, type StepWords } from '@keen-gauge/core/customer/firm-steps';
import { CUSTOMER_STEPS } from '@keen-gauge/core/customer/steps';
import { Plus } from 'lucide-react';
import { BareButton, Button } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { More } from '../kit/More';
import { Panel, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { freshId } from '../stations/bound';
import { Saving, TermsOf, type TermsFormProps } from './terms-form';
import { useDraft } from './use-draft';

const KINDS: readonly { readonly value: OwnKind; readonly label: string }[] = [
  { value: 'yes-no', label: 'Yes or no' },
  { value: 'words', label: 'A few words' },
  { value: 'picture', label: 'A photograph' },
];
const ASKED = [
  { value: 'yes', label: 'Can be asked' },
  { value: 'no', label: 'Left out' },
] as const;

/** What customers are asked, in the firm’s own words, and what the firm asks besides. */
export function CustomerStepsPanel() {
  return (
    <TermsOf title="What customers are asked">{(terms, save) => <StepsForm terms={terms} onSave={save} />}</TermsOf>
  );
}

function StepsForm({ terms, onSave }: TermsFormProps) {
  const {
    draft: steps,
    isChanged,
    change,
    settle,
  } = useDraft('customer-steps', terms.customerSteps ?? new FirmSteps());
  const changeSteps = (next: Partial<FirmSteps>): void => {
    change({ ...steps, ...next });
  };
  const word = (to: StepWords): void => {
    changeSteps({ words: [...steps.words.filter(({ id }) => id !== to.id), to] });
  };
  const changeOwn = (to: OwnStep): void => {
    changeSteps({ own: steps.own.map((each) => (each.id === to.id ? to : each)) });
  };
  return (
    <Stack>
      <p className="quiet">
        Write for somebody of eleven: one instruction, no abbreviations. Never ask a customer to open, unscrew, unplug,
        reset or touch anything, nor to climb.
      </p>
      {CUSTOMER_STEPS.map(({ id, ask, how }) => {
        const own = steps.words.find((each) => each.id === id) ?? { id };
        return (
          <More key={id} label={`${own.isLeftOut ? 'Left out: ' : ''}${own.ask?.trim() || ask}`}>
            <TextInput
              label="What is asked"
              value={own.ask ?? ask}
              maxLength={300}
              lines
              rows={2}
              onChange={(text) => {
                word({ ...own, ask: text });
              }}
            />
            <TextInput
              label="How to do it well"
              value={own.how ?? how}
              maxLength={500}
              lines
              rows={2}
              onChange={(text) => {
                word({ ...own, how: text });
              }}
            />
            {id !== 'danger' && (
              <Choice
                label="In the customer’s survey"
                value={own.isLeftOut ? 'no' : 'yes'}
                options={ASKED}
                tile="9rem"
                onChange={(answer) => {
                  word({ ...own, isLeftOut: answer === 'no' });
                }}
              />
            )}
          </More>
        );
      })}
      <h3>Your own steps</h3>
      {steps.own.map((own, at) => (
        <Panel key={own.id} aria-label={`Your step ${at + 1}`}>
          <TextInput
            label="What is asked"
            value={own.ask}
            maxLength={300}
            lines
            rows={2}
            onChange={(ask) => {
              changeOwn({ ...own, ask });
            }}
          />
          <TextInput
            label="How to do it well"
            value={own.how ?? ''}
            maxLength={500}
            lines
            rows={2}
            onChange={(how) => {
              changeOwn({ ...own, how });
            }}
          />
          <Choice
            label="Answered by"
            value={own.kind}
            options={KINDS}
            tile="9rem"
            onChange={(kind) => {
              changeOwn({ ...own, kind });
            }}
          />
          <div>
            <BareButton
              aria-label={`Remove your step ${at + 1}`}
              onPress={() => {
                changeSteps({ own: steps.own.filter(({ id }) => id !== own.id) });
              }}
            >
              Remove it
            </BareButton>
          </div>
        </Panel>
      ))}
      <div>
        <Button
          isDisabled={steps.own.length >= 20}
          onPress={() => {
            changeSteps({ own: [...steps.own, { id: `own-${freshId('step')}`, kind: 'yes-no', ask: '' }] });
          }}
        >
          <Plus size={18} aria-hidden /> Add a step
        </Button>
      </div>
      <Saving
        isChanged={isChanged}
        done="Saved. The next link is made of them."
        save={async () => {
          await onSave({ ...terms, customerSteps: steps });
          settle(steps);
        }}
      />
    </Stack>
  );
}
