import { Choice } from '../kit/Choice';
import { Stack } from '../kit/Panel';
import { Saving, TermsOf, type TermsFormProps } from './terms-form';
import { useDraft } from './use-draft';

const HOW = [
  { value: 'draft', label: 'Keep as a draft', note: 'It stands on the job; you send it by your own mail program.' },
  { value: 'send', label: 'Send', note: 'Once somebody has read it and pressed Send; reminders go by themselves.' },
] as const;

/** Whether letters, covering messages and reminders leave by mail. */
export function MailPanel() {
  return <TermsOf title="Mail">{(terms, save) => <MailForm terms={terms} onSave={save} />}</TermsOf>;
}

function MailForm({ terms, onSave }: TermsFormProps) {
  const { draft, isChanged, change, settle } = useDraft('mail', { mail: terms.mail ?? 'draft' });
  return (
    <Stack>
      <p className="quiet">
        Letters to the operator, covering messages and reminders: of an operator’s reply that is late, of a notice that
        is due, of a calibration that ends. Invitations, new passwords and the customer’s link are always mailed where
        somebody asks for it. Answers come to the e-mail address under Address.
      </p>
      <Choice
        label="Letters and reminders"
        value={draft.mail}
        options={HOW}
        tile="16rem"
        onChange={(mail) => {
          change({ mail });
        }}
      />
      <Saving
        isChanged={isChanged}
        done="Saved."
        save={async () => {
          await onSave({ ...terms, ...draft });
          settle(draft);
        }}
      />
    </Stack>
  );
}
