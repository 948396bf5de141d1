import type { Scheme, Schemes } from '@keen-gauge/core/schemes/scheme';
import { APPLICANT_NAMES, APPLICANTS } from '@keen-gauge/core/survey/words/works-words';
import { Plus, Trash2 } from 'lucide-react';
import { ToggleButton } from 'react-aria-components';
import styled from 'styled-components';
import { putSchemes, useSchemes } from '../api/prices';
import { Waiting } from '../app/Waiting';
import { Saving } from '../firm/terms-form';
import { useDraft } from '../firm/use-draft';
import { AnswerRow } from '../kit/AnswerRow';
import { BareButton, Button } from '../kit/Button';
import DayInput from '../kit/DayInput';
import { FieldGrid } from '../kit/fields';
import { More } from '../kit/More';
import { NumberInput } from '../kit/NumberInput';
import { Panel, Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { freshId } from '../stations/bound';
import { MoneyInput } from './MoneyInput';

const Tile = styled(ToggleButton)`
  min-height: 44px;
  padding: 0.3rem 0.8rem;
  border: 1.5px solid var(--line);
  border-radius: var(--corner);
  background: var(--surface);
  color: var(--ink);
  font: inherit;
  &[data-selected] {
    background: var(--ink);
    border-color: var(--ink);
    color: var(--surface);
    font-weight: 700;
  }
`;

/** Schemes of money help, as data the firm keeps: which of them a job meets is worked out at Work on site. */
export function SchemesPanel() {
  const { data, mutate } = useSchemes();
  return (
    <Panel aria-label="Money help">
      <h2>Money help</h2>
      <p className="quiet">
        Schemes change: enter their terms from the source that runs them. Each job then says which it meets, what is
        missing, and the sum.
      </p>
      {data ? <SchemesForm schemes={data} onSaved={(next) => void mutate(next, false)} /> : <Waiting />}
    </Panel>
  );
}

function SchemesForm({ schemes, onSaved }: { readonly schemes: Schemes; readonly onSaved: (next: Schemes) => void }) {
  const { draft, isChanged, change, settle } = useDraft<Schemes>('schemes', schemes);
  const put = (next: Scheme[]): void => {
    change({ schemes: next });
  };
  return (
    <Stack>
      {draft.schemes.length === 0 && <p>No scheme yet.</p>}
      {draft.schemes.map((scheme) => (
        <More
          key={scheme.id}
          label={scheme.name === '' ? 'A scheme without a name' : scheme.name}
          open={scheme.name === ''}
        >
          <SchemeFields
            scheme={scheme}
            onChange={(next) => {
              put(draft.schemes.map((each) => (each.id === scheme.id ? next : each)));
            }}
            onRemove={() => {
              put(draft.schemes.filter(({ id }) => id !== scheme.id));
            }}
          />
        </More>
      ))}
      <div>
        <Button
          onPress={() => {
            put([...draft.schemes, { id: freshId('scheme'), name: '', evidence: [] }]);
          }}
        >
          <Plus size={18} aria-hidden /> Add a scheme
        </Button>
      </div>
      <Saving
        isChanged={isChanged}
        done="Saved. Every job is held against them now."
        save={async () => {
          const next = await putSchemes(draft);
          onSaved(next);
          settle(next);
        }}
      />
    </Stack>
  );
}

function SchemeFields({
  scheme,
  onChange,
  onRemove,
}: {
  readonly scheme: Scheme;
  readonly onChange: (scheme: Scheme) => void;
  readonly onRemove: () => void;
}) {
  const set = (values: { [K in keyof Scheme]?: Scheme[K] | undefined }): void => {
    onChange(
      Object.fromEntries(
        Object.entries({ ...scheme, ...values }).filter(([, value]) => value !== undefined),
      ) as unknown as Scheme,
    );
  };
  const who = scheme.who ?? [];
  return (
    <Stack>
      <FieldGrid>
        <TextInput
          label="Name"
          value={scheme.name}
          maxLength={100}
          onChange={(name) => {
            onChange({ ...scheme, name });
          }}
        />
        <TextInput
          label="Where its terms were read"
          value={scheme.source ?? ''}
          maxLength={300}
          onChange={(source) => {
            set({ source: source === '' ? undefined : source });
          }}
        />
        <DayInput
          label="Open from"
          value={scheme.from ?? ''}
          onChange={(from) => {
            set({ from: from === '' ? undefined : from });
          }}
        />
        <DayInput
          label="Open to"
          value={scheme.to ?? ''}
          onChange={(to) => {
            set({ to: to === '' ? undefined : to });
          }}
        />
        <NumberInput
          label="Share of the cost"
          unit="%"
          least={0}
          most={100}
          value={scheme.sharePercent}
          onChange={(sharePercent) => {
            set({ sharePercent });
          }}
        />
        <MoneyInput
          label="At most, each outlet"
          value={scheme.outletCapPence}
          onChange={(outletCapPence) => {
            set({ outletCapPence });
          }}
        />
        <MoneyInput
          label="Each prepared bay"
          value={scheme.preparedPence}
          onChange={(preparedPence) => {
            set({ preparedPence });
          }}
        />
        <MoneyInput
          label="At most, a building"
          value={scheme.buildingCapPence}
          onChange={(buildingCapPence) => {
            set({ buildingCapPence });
          }}
        />
        <NumberInput
          label="Bays at least"
          unit=""
          least={1}
          most={1000}
          whole
          value={scheme.leastBays}
          onChange={(leastBays) => {
            set({ leastBays });
          }}
        />
      </FieldGrid>
      <div>
        <strong>Who may claim</strong>
        <Row>
          {APPLICANTS.map((each) => (
            <Tile
              key={each}
              isSelected={who.includes(each)}
              onChange={(isOn) => {
                const next = APPLICANTS.filter((one) => (one === each ? isOn : who.includes(one)));
                set({ who: next.length === 0 ? undefined : next });
              }}
            >
              {who.includes(each) ? '✓ ' : ''}
              {APPLICANT_NAMES[each]}
            </Tile>
          ))}
        </Row>
        {who.length === 0 && <span className="quiet">Nobody chosen: anybody may.</span>}
      </div>
      <AnswerRow
        label="Is parking off the street asked for?"
        value={scheme.offStreet === undefined ? undefined : scheme.offStreet ? 'yes' : 'no'}
        options={[
          { value: 'yes', label: 'Yes' },
          { value: 'no', label: 'No' },
        ]}
        onChange={(next) => {
          set({ offStreet: next === 'yes' });
        }}
      />
      <Stack style={{ '--gap': '0.4rem' }}>
        <strong>Evidence it wants</strong>
        {scheme.evidence.map(({ id, text }) => (
          <Row key={id} style={{ flexWrap: 'nowrap', alignItems: 'end' }}>
            <div style={{ flex: 1 }}>
              <TextInput
                label="Evidence"
                value={text}
                maxLength={200}
                onChange={(next) => {
                  set({ evidence: scheme.evidence.map((each) => (each.id === id ? { id, text: next } : each)) });
                }}
              />
            </div>
            <BareButton
              aria-label={`Remove ${text}`}
              onPress={() => {
                set({ evidence: scheme.evidence.filter((each) => each.id !== id) });
              }}
            >
              <Trash2 size={18} aria-hidden />
            </BareButton>
          </Row>
        ))}
        <Row>
          <Button
            onPress={() => {
              set({ evidence: [...scheme.evidence, { id: freshId('evidence'), text: 'What is wanted' }] });
            }}
          >
            <Plus size={17} aria-hidden /> Add evidence
          </Button>
          <BareButton onPress={onRemove}>Remove the scheme</BareButton>
        </Row>
      </Stack>
    </Stack>
  );
}
