import { useState } from 'react';
import { customerAddress, useCustomer, type FromCustomer } from '../api/customer';
import { Waiting } from '../app/Waiting';
import { Notice } from '../kit/Notice';
import { Stack } from '../kit/Panel';
import { LinkToHandOver } from '../kit/LinkToHandOver';
import { useSurvey } from '../survey/SurveyContext';
import { AskPanel } from './AskPanel';
import { CustomerDataPanel } from './CustomerDataPanel';
import { isOpen } from './customer-words';
import { DecidedPanel } from './DecidedPanel';
import { LinkPanel } from './LinkPanel';
import { ReplyPanel } from './ReplyPanel';

/** What the customer is asked and what came of it: each answer is looked at before it is part of the survey. */
export default function CustomerView() {
  const { job } = useSurvey();
  const { data, error, mutate } = useCustomer(job.id);
  const [token, setToken] = useState<string>();
  const act = async (work: () => Promise<FromCustomer>): Promise<void> => {
    const { token: made, ...next } = await work();
    if (made !== undefined) setToken(made);
    await mutate(next, false);
  };
  const toReview = data?.answers.filter(({ state }) => state === 'came') ?? [];
  return (
    <Stack>
      <div>
        <h1 id="station-name" tabIndex={-1}>
          From the customer
        </h1>
        <p className="quiet">
          The customer gets a link and sends photos and answers from their phone. Nothing of it counts before you have
          looked at it.
        </p>
      </div>
      {error && !data && (
        <Notice kind="act" title="What the customer sent could not be loaded.">
          It needs a connection. It is tried again by itself.
        </Notice>
      )}
      {!data && !error && <Waiting />}
      {token !== undefined && (
        <div role="status">
          <LinkToHandOver key={token} address={customerAddress(token)} forWhom="the customer" lasts />
        </div>
      )}
      {toReview.map((reply) => (
        <ReplyPanel
          key={reply.id}
          reply={reply}
          canAskAgain={data?.link != null && data.link.id === reply.linkId && isOpen(data.link)}
          onAct={act}
        />
      ))}
      {data?.link && <LinkPanel from={data} link={data.link} onAct={act} />}
      {data && <AskPanel from={data} onAct={act} />}
      {data && <DecidedPanel from={data} />}
      {data && <CustomerDataPanel />}
    </Stack>
  );
}
