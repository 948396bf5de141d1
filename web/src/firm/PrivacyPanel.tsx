import { FieldGrid } from '../kit/fields';
import { NumberInput } from '../kit/NumberInput';
import { Stack } from '../kit/Panel';
import { Saving, TermsOf, type TermsFormProps } from './terms-form';
import { useDraft } from './use-draft';

/** For how long the firm keeps what it knows of its customers, by kind. */
export function PrivacyPanel() {
  return (
    <TermsOf title="How long customers’ data are kept">
      {(terms, save) => <PrivacyForm terms={terms} onSave={save} />}
    </TermsOf>
  );
}

/** Undefined, nothing is erased by itself. */
type Periods = Readonly<Record<'keptMonths' | 'unsignedMonths' | 'packYears', number | undefined>>;

function PrivacyForm({ terms, onSave }: TermsFormProps) {
  const { keptMonths, unsignedMonths, packYears, ...rest } = terms;
  const { draft, isChanged, change, settle } = useDraft<Periods>('privacy', { keptMonths, unsignedMonths, packYears });
  return (
    <Stack>
      <p className="quiet">
        Left empty, nothing is erased by itself. A single customer’s data are handed out and erased at the job: From the
        customer. Ask your adviser what the law wants kept, and for how long.
      </p>
      <FieldGrid>
        <NumberInput
          label="What customers send by the link"
          unit="months"
          least={1}
          most={240}
          whole
          usual={[12, 24]}
          value={draft.keptMonths}
          onChange={(months) => {
            change({ ...draft, keptMonths: months });
          }}
        />
        <NumberInput
          label="Jobs never signed, after the last change"
          unit="months"
          least={1}
          most={240}
          whole
          usual={[12, 24]}
          value={draft.unsignedMonths}
          onChange={(months) => {
            change({ ...draft, unsignedMonths: months });
          }}
        />
        <NumberInput
          label="Signed packs and their jobs"
          unit="years"
          least={1}
          most={40}
          whole
          usual={[6, 10]}
          value={draft.packYears}
          onChange={(years) => {
            change({ ...draft, packYears: years });
          }}
        />
      </FieldGrid>
      <p className="quiet">
        What customers sent and nobody took in goes after its months; customers are told so before the first photograph.
        Jobs that are due are erased within the hour, for good.
      </p>
      <Saving
        isChanged={isChanged}
        done="Saved."
        save={async () => {
          await onSave({
            ...rest,
            ...(draft.keptMonths === undefined ? {} : { keptMonths: draft.keptMonths }),
            ...(draft.unsignedMonths === undefined ? {} : { unsignedMonths: draft.unsignedMonths }),
            ...(draft.packYears === undefined ? {} : { packYears: draft.packYears }),
          });
          settle(draft);
        }}
      />
    </Stack>
  );
}
