import { useState } from 'react';
import { anotherLink, revokeCustomer, type CustomerLink, type FromCustomer } from '../api/customer';
import { BareButton, Button, MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row } from '../kit/Panel';
import { useSubmit } from '../api/use-submit';
import { useSurvey } from '../survey/SurveyContext';
import type { Act } from './act';
import { isOpen } from './customer-words';

const WHEN = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});
const at = (moment: string): string => WHEN.format(new Date(moment));

/** The link that the customer has: whether it was opened, what of it came, and a way to send it again or shut it. */
export function LinkPanel({
  from,
  link,
  onAct,
}: {
  readonly from: FromCustomer;
  readonly link: CustomerLink;
  readonly onAct: Act;
}) {
  const { job, survey } = useSurvey();
  const { isBusy, problem, submit } = useSubmit();
  const [isMailed, setMailed] = useState(false);
  const open = isOpen(link);
  const answers = from.answers.filter(({ linkId }) => linkId === link.id);
  const came = link.steps.filter(({ id }) =>
    answers.some(({ step, state }) => step === id && state !== 'again'),
  ).length;
  const askedAgain = link.steps.filter(({ id }) => {
    const of = answers.filter(({ step }) => step === id);
    return of.length > 0 && of.every(({ state }) => state === 'again');
  }).length;
  const email = survey.place.customerEmail;
  const lines = [
    `${link.madeBy} asked for ${link.steps.length} things on ${at(link.madeAt)}.`,
    link.openedAt === null ? 'The customer has not opened it yet.' : `Opened on ${at(link.openedAt)}; ${came} came.`,
    ...(link.doneAt === null ? [] : [`The customer said they were finished on ${at(link.doneAt)}.`]),
    ...(askedAgain === 0 ? [] : [`${askedAgain} asked again and not back yet.`]),
    open
      ? `It works until ${at(link.expiresAt)}.`
      : link.revokedAt === null
        ? 'Its days are over.'
        : 'It is withdrawn.',
  ];
  return (
    <Panel aria-label="The customer’s link">
      <h2>The customer’s link</h2>
      <p>{lines.join(' ')}</p>
      {problem !== undefined && <Notice kind="act" title={problem} />}
      {isMailed && (
        <div role="status">
          <Notice kind="note" title={`A mail is on its way to ${email ?? ''}.`} />
        </div>
      )}
      {open && (
        <Row>
          {askedAgain > 0 && from.mails && email && (
            <MainButton
              isDisabled={isBusy}
              onPress={() =>
                void submit(async () => {
                  await onAct(() => anotherLink(job.id, email));
                  setMailed(true);
                })
              }
            >
              Tell the customer what is asked again
            </MainButton>
          )}
          <Button isDisabled={isBusy} onPress={() => void submit(() => onAct(() => anotherLink(job.id)))}>
            Show a link to hand over
          </Button>
          <BareButton isDisabled={isBusy} onPress={() => void submit(() => onAct(() => revokeCustomer(job.id)))}>
            Withdraw it
          </BareButton>
        </Row>
      )}
    </Panel>
  );
}
