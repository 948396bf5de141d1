import { useState } from 'react';
import { eraseCustomer, everythingUrl, useErasure } from '../api/customer-data';
import { jobNumber } from '../api/jobs';
import { dayWords } from '../calendar/day-words';
import { BareButton, Button, ButtonLink, MainButton } from '../kit/Button';
import { More } from '../kit/More';
import { Notice } from '../kit/Notice';
import { Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { useSubmit } from '../api/use-submit';
import { useSurvey } from '../survey/SurveyContext';

/** What is kept of the customer: all of it as a file for whoever asks for it, and erased. Erasing is asked twice, by typing the job’s number. */
export function CustomerDataPanel() {
  const { job, me } = useSurvey();
  const { data, mutate } = useErasure(job.id);
  const [isErasing, setErasing] = useState(false);
  const [typed, setTyped] = useState('');
  const { isBusy, problem, submit } = useSubmit();
  const number = jobNumber(job.number);
  const erasure = data?.erasure;
  if (erasure)
    return (
      <div role="status">
        <Notice
          kind="note"
          title={
            erasure.doneAt === null
              ? 'Everything of this customer is being erased.'
              : 'Everything of this customer has been erased.'
          }
        >
          {erasure.packsUntil !== null && `Signed packs are kept until ${dayWords(erasure.packsUntil)}.`}
        </Notice>
      </div>
    );
  if (me.role === 'surveyor') return null;
  return (
    <More label="The customer’s data">
      <p className="quiet">
        A customer may ask for everything that is kept of them, and to have it erased. Signed packs stay as long as your
        firm keeps them: Firm settings, Personal data.
      </p>
      <Row>
        <ButtonLink href={everythingUrl(job.id)} download>
          Everything as a ZIP
        </ButtonLink>
        {me.role === 'supervisor' && !isErasing && (
          <Button
            onPress={() => {
              setErasing(true);
            }}
          >
            Erase everything …
          </Button>
        )}
      </Row>
      {isErasing && (
        <Stack role="alert">
          <p>
            The survey, its history, photographs, logs, dates’ notes, letters, mails and what the customer sent are gone
            for good. It cannot be undone. The record keeps who did what and when.
          </p>
          <TextInput label={`Type ${number} to erase`} value={typed} onChange={setTyped} maxLength={20} />
          <Row>
            <MainButton
              isDisabled={isBusy || typed.trim().toUpperCase() !== number}
              onPress={() =>
                void submit(async () => {
                  await mutate(await eraseCustomer(job.id), false);
                })
              }
            >
              Erase it for good
            </MainButton>
            <BareButton
              onPress={() => {
                setErasing(false);
                setTyped('');
              }}
            >
              Cancel
            </BareButton>
          </Row>
        </Stack>
      )}
      {problem !== undefined && <Notice kind="act" title={problem} />}
    </More>
  );
}
