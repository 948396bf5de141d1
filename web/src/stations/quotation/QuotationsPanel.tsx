import { AS_RECORDED } from '@keen-gauge/core/quote/compose';
import { FileText, Send } from 'lucide-react';
import { useState } from 'react';
import {
  quotationAddress,
  quotationLink,
  quotationUrl,
  withdrawQuotation,
  type Quotation,
  type QuotationAnswer,
  type Quotations,
} from '../../api/quotations';
import { useSubmit } from '../../api/use-submit';
import { dayWords } from '../../calendar/day-words';
import { BareButton, Button, ButtonLink, MainButton } from '../../kit/Button';
import { LinkToHandOver } from '../../kit/LinkToHandOver';
import { More } from '../../kit/More';
import { Notice } from '../../kit/Notice';
import { Panel, Row, Stack } from '../../kit/Panel';
import { TextInput } from '../../kit/TextInput';
import { useSurvey } from '../../survey/SurveyContext';
import { withOption } from '../../what-if/option-words';
import { useWhatIf } from '../../what-if/use-what-if';
import { QUOTATION_WORDS } from './quotation-words';
import { Pounds } from '../../price/Pounds';

type Act = (work: () => Promise<Quotations>) => Promise<Quotations>;

/** Every quotation of the job, newest first, with what the customer answered. */
export function QuotationsPanel({ from, act }: { readonly from: Quotations; readonly act: Act }) {
  const { quotations, answers, mails } = from;
  const [newest, ...others] = quotations;
  if (!newest) return null;
  const of = (quotation: Quotation): readonly QuotationAnswer[] =>
    answers.filter(({ quotationId }) => quotationId === quotation.id);
  return (
    <>
      <Panel aria-label={`Quotation ${newest.quote.number}`}>
        <OneQuotation quotation={newest} answers={of(newest)} mails={mails} act={act} />
      </Panel>
      {others.length > 0 && (
        <More label="Earlier quotations and revisions" note={String(others.length)} open={others.some(isAccepted)}>
          {others.map((each) => (
            <Panel key={each.id} aria-label={`${each.quote.number}, revision ${each.revision}`}>
              <OneQuotation quotation={each} answers={of(each)} mails={mails} act={act} />
            </Panel>
          ))}
        </More>
      )}
    </>
  );
}

const isAccepted = ({ state }: Quotation): boolean => state === 'accepted';

function OneQuotation({
  quotation,
  answers,
  mails,
  act,
}: {
  readonly quotation: Quotation;
  readonly answers: readonly QuotationAnswer[];
  readonly mails: boolean;
  readonly act: Act;
}) {
  const { job } = useSurvey();
  const { quote, revision, state, validUntil, madeBy } = quotation;
  const accepted = answers.find(({ kind }) => kind === 'accepted');
  return (
    <Stack>
      <h2>
        {quote.number}
        {revision > 1 ? `, revision ${revision}` : ''}: {QUOTATION_WORDS[state]}
      </h2>
      <p className="quiet">
        Made by {madeBy} on {dayWords(quote.date)}, valid until {dayWords(validUntil)}.
      </p>
      <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
        {quote.choices.map(({ id, title, totalPence }) => (
          <li key={id}>
            {title}: <Pounds of={totalPence} />
            {accepted?.choice === id && <strong> chosen</strong>}
          </li>
        ))}
      </ul>
      {answers.map((answer) => (
        <AnswerLine key={answer.id} answer={answer} />
      ))}
      {accepted && <TakeOver choice={accepted.choice ?? AS_RECORDED} />}
      <Row>
        <ButtonLink href={quotationUrl(job.id, quotation.id)} target="_blank" rel="noreferrer">
          <FileText size={18} aria-hidden /> Open the PDF
        </ButtonLink>
      </Row>
      {(state === 'made' || state === 'sent') && <Hand quotation={quotation} mails={mails} act={act} />}
    </Stack>
  );
}

function AnswerLine({ answer: { kind, name, words, cameAt } }: { readonly answer: QuotationAnswer }) {
  const what = { accepted: 'Accepted by', declined: 'Declined by', question: 'Asked by' }[kind];
  return (
    <Notice kind={kind === 'question' ? 'ask' : 'note'} title={`${what} ${name}, ${dayWords(cameAt.slice(0, 10))}`}>
      {words !== null && <span style={{ whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>{words}</span>}
    </Notice>
  );
}

/** What was accepted, as the survey: an option becomes the survey once somebody takes it over. */
function TakeOver({ choice }: { readonly choice: string }) {
  const { survey, store, me } = useSurvey();
  const { answer: options } = useWhatIf('options');
  if (choice === AS_RECORDED) return null;
  const option = options?.find(({ id }) => id === choice);
  const chosen = [survey.choice?.option, survey.choice?.also].filter(Boolean).join('+');
  if (chosen === choice) return <p className="quiet">The survey is as the customer chose.</p>;
  if (!option) return <p className="quiet">The survey has changed since: the option chosen is none of it any more.</p>;
  return (
    <Row>
      <span>The customer chose “{option.title}”, and the survey is not so yet.</span>
      <Button
        isDisabled={me.role === 'office'}
        onPress={() => {
          store.edit(withOption(survey, option, me.name));
        }}
      >
        Take it over into the survey
      </Button>
    </Row>
  );
}

/** Sending it, handing it over, withdrawing it. */
function Hand({
  quotation,
  mails,
  act,
}: {
  readonly quotation: Quotation;
  readonly mails: boolean;
  readonly act: Act;
}) {
  const { job, survey } = useSurvey();
  const [email, setEmail] = useState(survey.place.customerEmail ?? '');
  const [token, setToken] = useState<string>();
  const [isSent, setSent] = useState(false);
  const { isBusy, problem, submit } = useSubmit();
  const hand = (mailTo?: string): void =>
    void submit(async () => {
      const { token: made } = await act(() => quotationLink(job.id, quotation.id, mailTo));
      setToken(made);
      setSent(mailTo !== undefined);
    });
  return (
    <>
      {mails && (
        <TextInput
          label="Customer’s e-mail address"
          type="email"
          value={email}
          onChange={setEmail}
          maxLength={200}
          help="The PDF goes with it. Neither sum nor place stands in the mail’s words."
        />
      )}
      {problem !== undefined && (
        <div role="alert">
          <Notice kind="act" title={problem} />
        </div>
      )}
      {isSent && <p role="status">It is on its way to {email.trim()}; the job’s record says when it has gone.</p>}
      {token !== undefined && <LinkToHandOver address={quotationAddress(token)} forWhom="the customer" lasts />}
      <Row>
        {mails && (
          <MainButton
            isDisabled={isBusy || email.trim() === ''}
            onPress={() => {
              hand(email.trim());
            }}
          >
            <Send size={18} aria-hidden /> Send it
          </MainButton>
        )}
        <Button
          isDisabled={isBusy}
          onPress={() => {
            hand();
          }}
        >
          Make a link to hand over
        </Button>
        <BareButton
          isDisabled={isBusy}
          onPress={() =>
            void submit(async () => {
              await act(() => withdrawQuotation(job.id, quotation.id));
            })
          }
        >
          Withdraw it
        </BareButton>
      </Row>
    </>
  );
}
