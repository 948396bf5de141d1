import { applianceLoad, findAppliances } from '@keen-gauge/core/demand/appliances';
import { CLASS_NAMES } from '@keen-gauge/core/demand/maximum-demand';
import { allowanceRule } from '@keen-gauge/core/demand/allowance';
import { readPasted, type PastedLine } from '@keen-gauge/core/demand/paste';
import type { Load } from '@keen-gauge/core/survey/load';
import { LOAD_CLASSES, type LoadClass } from '@keen-gauge/core/survey/words/words';
import { ClipboardPaste } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../kit/Button';
import { Notice } from '../../kit/Notice';
import { Panel, Row, Stack } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import { TextInput } from '../../kit/TextInput';
import { useSurvey } from '../../survey/SurveyContext';
import { freshId } from '../bound';
import { sizeWords } from './load-words';
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
        help="Usual powers, assumed until you have read the plate."
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
                {appliance.name}, {appliance.powerW} W: {CLASS_NAMES[appliance.class].toLowerCase()}
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

/** Lines as they are typed, each shown as what it is taken for before it goes in; what is not sure is asked. */
function Paste({ onTake }: { readonly onTake: (loads: readonly Load[]) => void }) {
  const { survey, rules } = useSurvey();
  const [text, setText] = useState('');
  const [answers, setAnswers] = useState<Readonly<Record<string, LineAnswer>>>({});
  const table = rules.allowances.value[survey.place.premises ?? 'household'];
  const lines = readPasted(text).map((each) => answered(each, answers[each.line] ?? {}));
  const loads = lines.flatMap((each) => ('load' in each && each.doubts.length === 0 ? [each.load] : []));
  const unsure = lines.filter((each) => 'load' in each && each.doubts.length > 0).length;
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
          <PastedRow
            key={at}
            line={each}
            allowance={allowanceRule(table[each.load.class])}
            onAnswer={(answer) => {
              setAnswers((now) => ({ ...now, [each.line]: { ...now[each.line], ...answer } }));
            }}
          />
        ) : (
          <Notice key={at} kind="act" title={`“${each.line}”: ${each.says}`} />
        ),
      )}
      <Row>
        <Button
          isDisabled={loads.length === 0 || unsure > 0}
          onPress={() => {
            onTake(loads.map((load) => ({ ...load, id: freshId('load') })));
          }}
        >
          Add {loads.length} load{loads.length === 1 ? '' : 's'}
        </Button>
        {unsure > 0 && (
          <span className="quiet">
            {unsure} line{unsure === 1 ? ' needs its' : 's need their'} question answered first.
          </span>
        )}
      </Row>
    </Stack>
  );
}

type ReadLine = Extract<PastedLine, { readonly load: unknown }>;

/** What somebody said about a line that was not sure. */
interface LineAnswer {
  readonly class?: LoadClass;
  readonly size?: Pick<Load, 'powerW' | 'currentA' | 'apparentVA'>;
}

/** A line with what was said about it; what is answered is no doubt any more. */
function answered(line: PastedLine, answer: LineAnswer): PastedLine {
  if (!('load' in line)) return line;
  const doubts = line.doubts.filter((doubt) => answer[doubt] === undefined);
  const kind = answer.class === undefined ? {} : { class: answer.class };
  return { ...line, doubts, load: { ...line.load, ...kind, ...answer.size } };
}

/** One line as a load: its size, its class with what told it, and how much of it counts. */
function PastedRow({
  line: { line, load, by, doubts },
  allowance,
  onAnswer,
}: {
  readonly line: ReadLine;
  readonly allowance: string;
  readonly onAnswer: (answer: LineAnswer) => void;
}) {
  const size = sizeWords({ ...load, id: line });
  return (
    <div role="group" aria-label={line}>
      <div>
        <strong>{load.label ?? 'Unnamed'}</strong>, <span className="figures">{size}</span>
        {load.assumed === true && <em className="quiet"> (usual power, assumed)</em>}
      </div>
      <div className="quiet">
        {CLASS_NAMES[load.class]}
        {by !== null && ` (by “${by}”)`}: {allowance}.
      </div>
      {doubts.includes('class') && (
        <div style={{ maxWidth: '18rem' }}>
          <Select
            label={`What is “${line}”?`}
            value={undefined}
            options={LOAD_CLASSES.map((value) => ({ value, label: CLASS_NAMES[value] }))}
            onChange={(next) => {
              onAnswer({ class: next });
            }}
          />
        </div>
      )}
      {doubts.includes('size') && (
        <Row role="group" aria-label={`Which size is “${line}”?`}>
          {eitherSize(load).map((each) => (
            <Button
              key={sizeWords({ ...load, ...each, id: line })}
              onPress={() => {
                onAnswer({ size: each });
              }}
            >
              {sizeWords({ ...load, ...each, quantity: 1, id: line })}
            </Button>
          ))}
        </Row>
      )}
    </div>
  );
}

/** The two sizes a mark before three digits may mean. */
function eitherSize({
  powerW,
  currentA,
  apparentVA,
}: Omit<Load, 'id'>): Pick<Load, 'powerW' | 'currentA' | 'apparentVA'>[] {
  if (powerW !== undefined) return [{ powerW }, { powerW: powerW / 1000 }];
  if (apparentVA !== undefined) return [{ apparentVA }, { apparentVA: apparentVA / 1000 }];
  return currentA === undefined ? [] : [{ currentA }, { currentA: currentA / 1000 }];
}
