import { toRules, type OperatorRules } from '@keen-gauge/core/firm/operator-rules';
import { RULE_SETS, ruleSet } from '@keen-gauge/core/rules/catalogue';
import { NUMBER_TERMS, type NumberTermKey } from '@keen-gauge/core/rules/terms';
import { AnswerRow } from '../../kit/AnswerRow';
import { BareButton, MainButton } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { NumberInput } from '../../kit/NumberInput';
import { Row, Stack } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import DayInput from '../../kit/DayInput';
import { TextInput } from '../../kit/TextInput';

const YES_NO = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
] as const;

/** A firm's own rules being written: what it is laid over, what differs, and where each figure comes from. */
export function RulesForm({
  draft,
  onChange,
  onSave,
  onLeave,
}: {
  readonly draft: OperatorRules;
  readonly onChange: (draft: OperatorRules) => void;
  readonly onSave: (written: OperatorRules) => void;
  readonly onLeave: () => void;
}) {
  const made = toRules(draft);
  const base = ruleSet(draft.basedOn);
  const set = (change: Partial<OperatorRules>): void => {
    onChange({ ...draft, ...change });
  };
  const changeOf = (term: NumberTermKey) => draft.changes.find((each) => each.term === term);
  const setTerm = (term: NumberTermKey, value: number | undefined, source?: string): void => {
    const others = draft.changes.filter((each) => each.term !== term);
    const usual = base?.[term].value;
    const own = source ?? changeOf(term)?.source ?? draft.source;
    // A figure put back to what the rules beneath say is no change.
    set({
      changes:
        value === undefined || (value === usual && source === undefined)
          ? others
          : [...others, { term, value, source: own }],
    });
  };
  const complete = draft.title.trim() !== '' && draft.source.trim() !== '';
  return (
    <Stack
      as="section"
      aria-label="Rules being written"
      style={{ borderTop: '3px solid var(--line)', paddingTop: '0.8rem' }}
    >
      <h3>{draft.version === undefined ? 'Your own rules' : `Version ${draft.version + 1} of ${draft.title}`}</h3>
      <FieldGrid>
        <TextInput
          label="Name"
          value={draft.title}
          onChange={(title) => {
            set({ title });
          }}
          maxLength={100}
        />
        <Select
          label="Laid over"
          value={draft.basedOn}
          options={RULE_SETS.map(({ id, title }) => ({ value: id, label: title }))}
          onChange={(basedOn) => {
            set({ basedOn });
          }}
        />
        <TextInput
          label="Where its terms come from"
          help="The operator’s document or letter, so that anybody can look it up."
          value={draft.source}
          onChange={(source) => {
            set({ source });
          }}
          maxLength={300}
        />
        <DayInput
          label="The day the terms bear"
          value={draft.date ?? ''}
          onChange={(date) => {
            const { date: _gone, ...rest } = draft;
            onChange(date === '' ? rest : { ...rest, date });
          }}
        />
        <TextInput
          label="Emergency line"
          value={draft.emergencyNumber ?? ''}
          help={`Left empty, ${base?.emergencyNumber.value ?? ''}.`}
          onChange={(emergencyNumber) => {
            set({ emergencyNumber });
          }}
          maxLength={20}
        />
      </FieldGrid>
      <AnswerRow
        label="Is load limiting accepted in place of a larger fuse?"
        value={made.acceptsLimiting ? 'yes' : 'no'}
        options={YES_NO}
        onChange={(answer) => {
          set({ acceptsLimiting: answer === 'yes' });
        }}
      />
      <AnswerRow
        label="Which demand is held against the threshold when a limiter is used?"
        value={made.triggerDemand}
        options={[
          { value: 'unmanaged', label: 'Unmanaged' },
          { value: 'managed', label: 'Managed' },
        ]}
        onChange={(triggerDemand) => {
          set({ triggerDemand });
        }}
      />
      <AnswerRow
        label="A building of several supplies: how does the operator want it?"
        value={made.siteApplications}
        options={[
          { value: 'one', label: 'One application' },
          { value: 'each-supply', label: 'One for each supply' },
          { value: 'ask', label: 'Not known' },
        ]}
        onChange={(siteApplications) => {
          set({ siteApplications });
        }}
      />
      <FieldGrid>
        {NUMBER_TERMS.map(({ key, title, unit, least, most, whole }) => {
          const own = changeOf(key);
          return (
            <Stack key={key} role="group" aria-label={title} style={{ '--gap': '0.4rem' }}>
              <NumberInput
                label={title}
                unit={unit}
                least={least}
                most={most}
                {...(whole ? { whole } : {})}
                value={own?.value ?? base?.[key].value}
                help={own ? `Instead of ${base?.[key].value ?? ''} ${unit}.` : 'Same as the rules yours start from.'}
                onChange={(value) => {
                  setTerm(key, value);
                }}
              />
              {own && (
                <TextInput
                  label="Where this figure comes from"
                  value={own.source}
                  maxLength={200}
                  onChange={(source) => {
                    setTerm(key, own.value, source);
                  }}
                />
              )}
            </Stack>
          );
        })}
      </FieldGrid>
      <Row>
        <MainButton
          isDisabled={!complete || draft.changes.some(({ source }) => source.trim() === '')}
          onPress={() => {
            onSave({ ...draft, title: draft.title.trim(), source: draft.source.trim() });
          }}
        >
          Save as {draft.version === undefined ? 'version 1' : `version ${draft.version + 1}`}
        </MainButton>
        <BareButton onPress={onLeave}>Leave it</BareButton>
        {!complete && <span className="quiet">A name, and where the terms come from, are needed.</span>}
      </Row>
    </Stack>
  );
}
