import { sendMail, useMails, type JobMail } from '../api/mails';
import { Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row } from '../kit/Panel';
import { useSubmit } from '../api/use-submit';

const STATE_WORDS: Readonly<Record<JobMail['state'], string>> = {
  draft: 'Draft',
  waiting: 'On its way',
  sent: 'Sent',
  'given-up': 'Not sent',
};
const KIND_WORDS: Readonly<Record<JobMail['kind'], string>> = {
  invitation: 'Invitation',
  recovery: 'New password',
  'to-operator': 'To the operator',
  'to-customer': 'To the customer',
  reminder: 'Reminder',
};
const WHEN = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** Every mail about the job, newest first, with its words; not there before the first. */
export function MailsPanel({ jobId }: { readonly jobId: string }) {
  const { data, mutate } = useMails(jobId);
  const { isBusy, problem, submit } = useSubmit();
  if (!data || data.mails.length === 0) return null;
  return (
    <Panel aria-label="Mails">
      <h2>Mails</h2>
      {data.mails.map((mail) => (
        <details key={mail.id} style={{ borderTop: '1px solid var(--line)' }}>
          <summary style={{ minHeight: 44, padding: '0.4rem 0', cursor: 'pointer', overflowWrap: 'anywhere' }}>
            <strong>{STATE_WORDS[mail.state]}</strong> · {KIND_WORDS[mail.kind]}, {mail.to} ·{' '}
            {WHEN.format(new Date(mail.sentAt ?? mail.madeAt))}
          </summary>
          <p>
            <strong>{mail.subject}</strong>
          </p>
          <pre style={{ whiteSpace: 'pre-wrap', overflowWrap: 'anywhere', font: 'inherit', margin: 0 }}>
            {mail.body}
          </pre>
          {mail.trouble !== null && <Notice kind="act" title={mail.trouble} />}
          {mail.state === 'draft' && data.sends && (
            <Row>
              <Button
                isDisabled={isBusy}
                onPress={() =>
                  void submit(async () => {
                    await mutate(await sendMail(jobId, mail.id), false);
                  })
                }
              >
                Send it
              </Button>
            </Row>
          )}
        </details>
      ))}
      {problem !== undefined && <Notice kind="act" title={problem} />}
    </Panel>
  );
}
