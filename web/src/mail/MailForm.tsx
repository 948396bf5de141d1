import { Send } from 'lucide-react';
import { useState } from 'react';
import { useMails, writeMail, type JobMail } from '../api/mails';
import { MainButton } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { useSubmit } from '../api/use-submit';

/** Mails a letter from here, or keeps it as a draft, as the firm has chosen; what was sent stands under Mails. */
export function MailForm({
  jobId,
  kind,
  text,
  to: usual = '',
  pack,
}: {
  readonly jobId: string;
  readonly kind: 'to-operator' | 'to-customer';
  readonly text: string;
  readonly to?: string;
  /** The pack whose document goes with it. */
  readonly pack?: { readonly id: string; readonly number: string };
}) {
  const { data, mutate } = useMails(jobId);
  const [typed, setTyped] = useState<string>();
  const [body, setBody] = useState(text);
  const [done, setDone] = useState<JobMail['state']>();
  const { isBusy, problem, submit } = useSubmit();
  // Whoever was written to before is usually written to again.
  const to = typed ?? data?.mails.find((mail) => mail.kind === kind)?.to ?? usual;
  const sends = data?.sends ?? false;
  return (
    <Stack>
      <TextInput
        label="To"
        type="email"
        value={to}
        onChange={setTyped}
        maxLength={200}
        help={`The subject is your firm’s name and a number; nothing of the customer stands in it.${pack ? ` ${pack.number} goes with it as a PDF.` : ''}`}
      />
      <TextInput label="What is written" value={body} onChange={setBody} maxLength={20_000} lines rows={12} />
      {problem !== undefined && (
        <div role="alert">
          <Notice kind="act" title={problem} />
        </div>
      )}
      <Row>
        <MainButton
          isDisabled={isBusy || to.trim() === '' || body.trim() === '' || !data}
          onPress={() =>
            void submit(async () => {
              const mail = { kind, to: to.trim(), body, ...(pack ? { packId: pack.id } : {}) };
              await mutate(await writeMail(jobId, mail), false);
              setDone(sends ? 'waiting' : 'draft');
            })
          }
        >
          <Send size={18} aria-hidden /> {sends ? 'Send it' : 'Keep as a draft'}
        </MainButton>
        {!sends && <span className="quiet">Your firm keeps letters as drafts, or this server sends no mail.</span>}
      </Row>
      {done && <p role="status">{done === 'draft' ? 'Kept: see Mails.' : 'On its way: see Mails.'}</p>}
    </Stack>
  );
}
