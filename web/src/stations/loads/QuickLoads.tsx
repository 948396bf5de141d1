import { applianceLoad, findAppliances } from '@keen-gauge/core/demand/appliances';
import { CLASS_NAMES } from '@keen-gauge/core/demand/maximum-demand';
import { readPasted } from '@keen-gauge/core/demand/paste';
import type { Load } from '@keen-gauge/core/survey/load';
import { ClipboardPaste } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../kit/Button';
import { Notice } from '../../kit/Notice';
import { Panel, Row, Stack } from '../../kit/Panel';
import { TextInput } from '../../kit/TextInput';
import { useSurvey } from '../../survey/SurveyContext';
import { freshId } from '../bound';
import { ScheduleButtons } from './ScheduleButtons';

const Found = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
`;

/** Loads put in quickly: searched for, pasted as lines, or read from a board schedule. */
export function QuickLoads() {
  const { survey, store } = useSurvey();
  const [search, setSearch] = useState('');
  const [pasting, setPasting] = useState(false);
  const add = (loads: readonly Load[]): void => {
    store.edit({ ...survey, loads: [...survey.loads, ...loads] });
  };
  return (
    <Panel aria-label="Put loads in quickly">
      <h2>Put loads in quickly</h2>
      <TextInput
        label="Find an appliance"
        type="search"
        value={search}
        onChange={setSearch}
        help="Usual powers, generic: read the plate of the one that is there."
      />
      {search.trim() !== '' && (
        <Found aria-label="Appliances found">
          {findAppliances(search).map((appliance) => (
            <li key={appliance.name}>
              <Button
                onPress={() => {
                  add([applianceLoad(appliance, freshId('load'))]);
                }}
              >
                {appliance.name}, {appliance.powerW} W
              </Button>
            </li>
          ))}
          {findAppliances(search, 1).length === 0 && (
            <li className="quiet">Nothing of that name. Add it below by its class.</li>
          )}
        </Found>
      )}
      <Row>
        <Button
          onPress={() => {
            setPasting(!pasting);
          }}
        >
          <ClipboardPaste size={18} aria-hidden /> Paste lines
        </Button>
        <ScheduleButtons />
      </Row>
      {pasting && (
        <Paste
          onTake={(loads) => {
            add(loads);
            setPasting(false);
          }}
        />
      )}
    </Panel>
  );
}

/** Lines as they are typed, each shown as what it is taken for before it goes in. */
function Paste({ onTake }: { readonly onTake: (loads: readonly Load[]) => void }) {
  const [text, setText] = useState('');
  const lines = readPasted(text);
  const loads = lines.flatMap((each) => ('load' in each ? [each.load] : []));
  return (
    <Stack style={{ '--gap': '0.5rem' }}>
      <TextInput
        label="One load a line"
        lines
        rows={6}
        value={text}
        onChange={setText}
        help="For example: 3 × 2.4 kW panel heater"
      />
      {lines.map((each, at) =>
        'load' in each ? (
          <div key={at} className="quiet">
            {each.load.quantity ?? 1} × {each.load.label ?? 'unnamed'}: {CLASS_NAMES[each.load.class]},{' '}
            {each.load.powerW === undefined
              ? each.load.currentA === undefined
                ? `${each.load.apparentVA ?? 0} VA`
                : `${each.load.currentA} A`
              : `${each.load.powerW} W`}
          </div>
        ) : (
          <Notice key={at} kind="act" title={`“${each.line}”: ${each.says}`} />
        ),
      )}
      <div>
        <Button
          isDisabled={loads.length === 0}
          onPress={() => {
            onTake(loads.map((load) => ({ ...load, id: freshId('load') })));
          }}
        >
          Add {loads.length} load{loads.length === 1 ? '' : 's'}
        </Button>
      </div>
    </Stack>
  );
}
