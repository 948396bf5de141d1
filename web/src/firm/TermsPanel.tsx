import type { FirmOptionTerms } from '@keen-gauge/core/firm/option-terms';
import { rulesFor } from '@keen-gauge/core/firm/firm-rules';
import { FirmTerms as NoTerms } from '@keen-gauge/core/firm/option-terms';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import {
  COST_BANDS,
  OPTION_KINDS,
  OPTION_NAMES,
  type CostBand,
  type OptionKind,
} from '@keen-gauge/core/survey/words/option-words';
import { useMe } from '../api/me';
import { FieldGrid } from '../kit/fields';
import { NumberInput } from '../kit/NumberInput';
import { Stack } from '../kit/Panel';
import { Select } from '../kit/Select';
import { TextInput } from '../kit/TextInput';
import { KEPT_DAYS } from '../offline/person';
import { Saving, TermsOf, type TermsFormProps } from './terms-form';
import { useDraft } from './use-draft';

/** What packs and letters are written under. */
export function AddressPanel() {
  return (
    <TermsOf title="What packs and letters are written under">
      {(terms, save) => <AddressForm terms={terms} onSave={save} />}
    </TermsOf>
  );
}

/** How long the firm’s devices keep what they carry along. */
export function DevicesPanel() {
  return (
    <TermsOf title="What devices carry along">{(terms, save) => <DevicesForm terms={terms} onSave={save} />}</TermsOf>
  );
}

function DevicesForm({ terms, onSave }: TermsFormProps) {
  const { draft, isChanged, change, settle } = useDraft('devices', { keptDays: terms.keptDays ?? KEPT_DAYS });
  return (
    <Stack>
      <p className="quiet">
        Surveys are on the device of whoever works on them, so that they open where there is no signal. What is there is
        taken away when its owner signs out, when the session ends, and when the server has not been heard for so long.
        What was typed and never sent stays for its owner. It is not encrypted by Keen Gauge: lock the device.
      </p>
      <div style={{ maxWidth: '20rem' }}>
        <NumberInput
          label="Kept without word from the server"
          unit="days"
          least={1}
          most={60}
          usual={[7, 14, 30]}
          value={draft.keptDays}
          onChange={(keptDays) => {
            change({ keptDays: keptDays ?? KEPT_DAYS });
          }}
        />
      </div>
      <Saving
        isChanged={isChanged}
        done="Saved. Devices keep to it from their next contact on."
        save={async () => {
          await onSave({ ...terms, ...draft });
          settle(draft);
        }}
      />
    </Stack>
  );
}

/** What the options cost the firm and how long they take. */
export function CostsPanel() {
  return <TermsOf title="What the options cost">{(terms, save) => <CostsForm terms={terms} onSave={save} />}</TermsOf>;
}

const CONTACT = [
  { field: 'address', label: 'Address', maxLength: 200 },
  { field: 'telephone', label: 'Telephone', maxLength: 40 },
  { field: 'email', label: 'E-mail', maxLength: 200 },
] as const;

function AddressForm({ terms, onSave }: TermsFormProps) {
  const { draft, isChanged, change, settle } = useDraft('address', terms.contact ?? {});
  return (
    <Stack>
      <FieldGrid>
        {CONTACT.map(({ field, label, maxLength }) => (
          <TextInput
            key={field}
            label={label}
            value={draft[field] ?? ''}
            maxLength={maxLength}
            onChange={(text) => {
              change({ ...draft, [field]: text });
            }}
          />
        ))}
      </FieldGrid>
      <Saving
        isChanged={isChanged}
        done="Saved. Packs and letters are written under it from now on."
        save={async () => {
          await onSave({ ...terms, contact: draft });
          settle(draft);
        }}
      />
    </Stack>
  );
}

function CostsForm({ terms, onSave }: TermsFormProps) {
  const { me } = useMe();
  // What stands where the firm sets nothing: its rules without its own terms.
  const rules = me ? rulesFor(undefined, { ...me.rules, terms: new NoTerms() }) : gbDefault;
  const { draft, isChanged, change, settle } = useDraft('costs', { options: terms.options, bands: terms.bands });
  const changeOption = (option: OptionKind, values: Partial<FirmOptionTerms>): void => {
    const usual = rules.optionTerms.value[option];
    const now: FirmOptionTerms = draft.options.find((each) => each.option === option) ?? {
      option,
      costBand: usual.costBand,
      fromWeeks: usual.waitWeeks[0],
      toWeeks: usual.waitWeeks[1],
    };
    change({ ...draft, options: [...draft.options.filter((each) => each.option !== option), { ...now, ...values }] });
  };
  return (
    <Stack>
      <h3>Cost bands</h3>
      <p className="quiet">A band is what the firm calls it: an amount, or a word.</p>
      <FieldGrid>
        {COST_BANDS.map((band) => (
          <TextInput
            key={band}
            label={`Band “${rules.costBandWords[band]}” is called`}
            value={draft.bands.find((each) => each.band === band)?.words ?? ''}
            maxLength={40}
            onChange={(words) => {
              change({ ...draft, bands: [...draft.bands.filter((each) => each.band !== band), { band, words }] });
            }}
          />
        ))}
      </FieldGrid>
      {OPTION_KINDS.map((option) => {
        const own = draft.options.find((each) => each.option === option);
        const usual = rules.optionTerms.value[option];
        return (
          <Stack as="section" key={option} aria-label={OPTION_NAMES[option]} style={{ '--gap': '0.3rem' }}>
            <h3>{OPTION_NAMES[option]}</h3>
            <FieldGrid>
              <Select
                label="Cost"
                value={own?.costBand ?? usual.costBand}
                options={COST_BANDS.map((band): { value: CostBand; label: string } => ({
                  value: band,
                  label: rules.costBandWords[band],
                }))}
                onChange={(costBand) => {
                  changeOption(option, { costBand });
                }}
              />
              <NumberInput
                label="Wait, from"
                unit="wk"
                least={0}
                most={520}
                whole
                value={own?.fromWeeks ?? usual.waitWeeks[0]}
                onChange={(fromWeeks) => {
                  changeOption(option, { fromWeeks: fromWeeks ?? 0 });
                }}
              />
              <NumberInput
                label="Wait, to"
                unit="wk"
                least={0}
                most={520}
                whole
                value={own?.toWeeks ?? usual.waitWeeks[1]}
                onChange={(toWeeks) => {
                  changeOption(option, { toWeeks: toWeeks ?? 0 });
                }}
              />
            </FieldGrid>
          </Stack>
        );
      })}
      <Saving
        isChanged={isChanged}
        done="Saved. Every survey of the firm compares with these now."
        save={async () => {
          await onSave({ ...terms, ...draft });
          settle(draft);
        }}
      />
    </Stack>
  );
}
