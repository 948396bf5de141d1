import type { FirmRules } from '@keen-gauge/core/firm/firm-rules';
import { areaName } from '@keen-gauge/core/rules/areas';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { putHouseRules } from '../../api/firm';
import { problemWords } from '../../api/problem-words';
import { AnswerRow } from '../../kit/AnswerRow';
import { BareButton, Button, MainButton } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { Notice } from '../../kit/Notice';
import { Panel, Row } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import { TextInput } from '../../kit/TextInput';
import { useDraft } from '../use-draft';
import { rulesOptions } from './rule-sets';

interface Props {
  readonly rules: FirmRules;
  readonly may: boolean;
  readonly onChanged: (rules: FirmRules) => void;
}

/** Which rules hold where, and the firm's stricter rule of asking before every fitting. */
export function HousePanel({ rules, may, onChanged }: Props) {
  const { draft: house, isChanged, change: setHouse, settle } = useDraft('house rules', rules.house);
  const [area, setArea] = useState('');
  const [said, setSaid] = useState<{ readonly kind: 'note' | 'act'; readonly title: string } | null>(null);
  const options = rulesOptions(rules);
  const known = /^\d{2}$/.test(area) && !house.areas.some((each) => each.area === area);
  const save = async (): Promise<void> => {
    try {
      onChanged((await putHouseRules(house)).rules);
      settle(house);
      setSaid({ kind: 'note', title: 'Saved. Every open survey is judged by these now.' });
    } catch (failed) {
      setSaid({ kind: 'act', title: problemWords(failed) });
    }
  };
  return (
    <Panel aria-label="Which rules hold">
      <h2>Which rules hold</h2>
      <FieldGrid>
        <Select
          label="Everywhere, unless an area says otherwise"
          value={house.defaultRulesId}
          options={options}
          onChange={(defaultRulesId) => {
            setHouse({ ...house, defaultRulesId });
          }}
        />
      </FieldGrid>
      <AnswerRow
        label="House rule: always ask the operator first?"
        help="Costs days, and no connection is ever in doubt."
        value={house.alwaysAsk ? 'yes' : 'no'}
        options={[
          { value: 'yes', label: 'Yes' },
          { value: 'no', label: 'No' },
        ]}
        onChange={(answer) => {
          setHouse({ ...house, alwaysAsk: answer === 'yes' });
        }}
      />
      {house.areas.map(({ area: code, rulesId }) => (
        <Row key={code} role="group" aria-label={`Area ${code}`} style={{ alignItems: 'end' }}>
          <span style={{ flex: '1 1 20rem', minWidth: 0 }}>
            <Select
              label={`Area ${code}: ${areaName(code)}`}
              value={rulesId}
              options={options}
              onChange={(next) => {
                setHouse({
                  ...house,
                  areas: house.areas.map((each) => (each.area === code ? { area: code, rulesId: next } : each)),
                });
              }}
            />
          </span>
          <BareButton
            aria-label={`Remove area ${code}`}
            onPress={() => {
              setHouse({ ...house, areas: house.areas.filter((each) => each.area !== code) });
            }}
          >
            Remove
          </BareButton>
        </Row>
      ))}
      {may && (
        <>
          <Row style={{ alignItems: 'end' }}>
            <span style={{ flex: '0 1 20rem' }}>
              <TextInput
                label="Rules of their own for the area"
                help={
                  /^\d{2}$/.test(area)
                    ? areaName(area)
                    : 'The first two of the thirteen digits of a meter point number.'
                }
                value={area}
                onChange={setArea}
                inputMode="numeric"
                maxLength={2}
              />
            </span>
            <Button
              isDisabled={!known}
              onPress={() => {
                setHouse({ ...house, areas: [...house.areas, { area, rulesId: house.defaultRulesId }] });
                setArea('');
              }}
            >
              <Plus size={18} aria-hidden /> Add the area
            </Button>
          </Row>
          <Row>
            <MainButton onPress={() => void save()}>Save which rules hold</MainButton>
            {isChanged && <span className="quiet">Not saved yet; kept in this tab.</span>}
          </Row>
        </>
      )}
      {said && <Notice kind={said.kind} title={said.title} />}
    </Panel>
  );
}
