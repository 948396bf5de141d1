import { stepsOfFirm } from '@keen-gauge/core/customer/firm-steps';
import { wantedSteps } from '@keen-gauge/core/customer/wanted';
import { Send } from 'lucide-react';
import { useState } from 'react';
import { askCustomer, type FromCustomer } from '../api/customer';
import { Button, MainButton } from '../kit/Button';
import { More } from '../kit/More';
import { Notice } from '../kit/Notice';
import { NumberInput } from '../kit/NumberInput';
import { Panel, Row } from '../kit/Panel';
import { TickRow, Ticks } from '../kit/TickRow';
import { TextInput } from '../kit/TextInput';
import { useSubmit } from '../api/use-submit';
import { useSurvey } from '../survey/SurveyContext';
import type { Act } from './act';
import { isOpen } from './customer-words';

const USUAL_DAYS = 14;

/** What the customer is to be asked, chosen from the steps: those that help with what is open are ticked. */
export function AskPanel({ from, onAct }: { readonly from: FromCustomer; readonly onAct: Act }) {
  const isFirst = !from.link || !isOpen(from.link);
  const chooser = <Chooser from={from} onAct={onAct} />;
  return isFirst ? (
    <Panel aria-label="Ask the customer">
      <h2>Ask the customer</h2>
      {chooser}
    </Panel>
  ) : (
    <More label="Send another set of questions">{chooser}</More>
  );
}

function Chooser({ from, onAct }: { readonly from: FromCustomer; readonly onAct: Act }) {
  const { job, survey, assessment, me } = useSurvey();
  const steps = stepsOfFirm(me.rules.terms.customerSteps);
  const [chosen, setChosen] = useState(() => {
    const wanted: readonly string[] = wantedSteps(survey, assessment.questions);
    return steps
      .filter(({ id, helps }) => wanted.includes(id) || (helps.length === 0 && id.startsWith('own-')))
      .map(({ id }) => id);
  });
  const [days, setDays] = useState<number | undefined>(USUAL_DAYS);
  const [email, setEmail] = useState(survey.place.customerEmail ?? '');
  const { isBusy, problem, submit } = useSubmit();
  const send = (mailTo?: string): void =>
    void submit(() =>
      onAct(() =>
        askCustomer(job.id, { steps: chosen, days: days ?? USUAL_DAYS, ...(mailTo === undefined ? {} : { mailTo }) }),
      ),
    );
  const isReady = chosen.length > 0 && !isBusy;
  return (
    <>
      <p>
        {chosen.length} of {steps.length} steps, about {Math.max(1, Math.round(chosen.length * 0.9))} minutes. Ticked is
        what helps with this survey’s open questions.
      </p>
      <More label="Choose the steps">
        <Ticks>
          {steps.map(({ id, ask }) => (
            <TickRow
              key={id}
              isSelected={chosen.includes(id)}
              onChange={(isWanted) => {
                setChosen((now) =>
                  steps.map((each) => each.id).filter((each) => (each === id ? isWanted : now.includes(each))),
                );
              }}
            >
              {ask}
            </TickRow>
          ))}
        </Ticks>
      </More>
      <div style={{ maxWidth: '20rem' }}>
        <NumberInput
          label="The link works for"
          unit="days"
          least={1}
          most={60}
          usual={[7, 14, 30]}
          value={days}
          onChange={setDays}
        />
      </div>
      {from.mails && (
        <TextInput
          label="Customer’s e-mail address"
          type="email"
          value={email}
          onChange={setEmail}
          maxLength={200}
          help="Nothing of the job stands in the mail but your firm’s name."
        />
      )}
      {problem !== undefined && (
        <div role="alert">
          <Notice kind="act" title={problem} />
        </div>
      )}
      <Row>
        {from.mails && (
          <MainButton
            isDisabled={!isReady || email.trim() === ''}
            onPress={() => {
              send(email.trim());
            }}
          >
            <Send size={18} aria-hidden /> Send the link
          </MainButton>
        )}
        <Button
          isDisabled={!isReady}
          onPress={() => {
            send();
          }}
        >
          Make a link to hand over
        </Button>
      </Row>
      {from.link && isOpen(from.link) && (
        <p className="quiet">The link that is open now closes; what came by it stays.</p>
      )}
    </>
  );
}
