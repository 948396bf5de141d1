import { CLASS_NAMES } from '@keen-gauge/core/demand/maximum-demand';
import { startingLoads, STARTING_SETS, type StartingSet } from '@keen-gauge/core/demand/starting-sets';
import type { Load } from '@keen-gauge/core/survey/load';
import { LOAD_CLASSES, type LoadClass } from '@keen-gauge/core/survey/words/words';
import { allConfirmed } from '@keen-gauge/core/survey/assumed';
import { CheckCheck, Plus } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../kit/Button';
import { More } from '../../kit/More';
import { Notice } from '../../kit/Notice';
import { Panel, Row, SideBySide, Stack } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import { MeasurementsPanel } from '../../measured/MeasurementsPanel';
import { useSurvey } from '../../survey/SurveyContext';
import { freshId } from '../bound';
import { placesToHang } from '../places';
import { StationFrame } from '../StationFrame';
import { BasesPanel } from './BasesPanel';
import { DecisionPanel } from './DecisionPanel';
import { GenerationPanel } from './GenerationPanel';
import { LoadRow } from './LoadRow';
import { QuickLoads } from './QuickLoads';

const List = styled.ul`
  list-style: none;
  padding: 0;
  margin: 0;
  border-top: 1px solid var(--line);
`;

/** What the house takes: a usual set to start from, then corrected to what is there. */
export default function LoadsStation() {
  const { survey, store } = useSurvey();
  const assumed = survey.loads.filter((load) => load.assumed === true).length;
  return (
    <StationFrame station="loads" lead="What the house takes. Start from a usual set and correct it to what is there.">
      {survey.loads.length === 0 && <StartingSets />}
      <Panel aria-label="Loads">
        <h2>
          {survey.loads.length} load{survey.loads.length === 1 ? '' : 's'}
        </h2>
        {assumed > 0 && (
          <Row>
            <span>
              {assumed} of them assumed: nobody has confirmed {assumed === 1 ? 'it' : 'them'} yet.
            </span>
            <Button
              onPress={() => {
                store.edit(allConfirmed(survey));
              }}
            >
              <CheckCheck size={18} aria-hidden /> Confirm all as listed
            </Button>
          </Row>
        )}
        {survey.loads.length > 0 && <LoadList />}
        <AddLoad />
      </Panel>
      <SideBySide>
        <QuickLoads />
        <GenerationPanel />
      </SideBySide>
      <BasesPanel />
      <MeasurementsPanel />
      <DecisionPanel />
      {survey.loads.length > 0 && (
        <More label="Start again" note="from a usual set">
          <StartingSets />
        </More>
      )}
    </StationFrame>
  );
}

/** More loads than are read at once: then board by board, or the first of them. */
const MANY = 12;

function LoadList() {
  const { survey } = useSurvey();
  const places = placesToHang(survey);
  const [many] = useState(survey.loads.length > MANY);
  const list = (loads: readonly Load[]): React.ReactNode => (
    <List>
      {loads.map((load) => (
        <LoadRow key={load.id} load={load} />
      ))}
    </List>
  );
  if (!many) return list(survey.loads);
  if (places.length < 2) {
    const others = survey.loads.slice(MANY);
    return (
      <>
        {list(survey.loads.slice(0, MANY))}
        {others.length > 0 && <More label={`The other ${others.length}`}>{list(others)}</More>}
      </>
    );
  }
  const known = new Set(places.map(({ value }) => value));
  return [...places, { value: undefined, label: 'At no board yet' }].map(({ value, label }) => {
    const loads = survey.loads.filter(({ nodeId }) =>
      value === undefined ? nodeId === undefined || !known.has(nodeId) : nodeId === value,
    );
    const unsure = loads.filter(({ assumed }) => assumed === true).length;
    if (loads.length === 0) return null;
    return (
      <More
        key={label}
        label={label}
        note={`${loads.length} load${loads.length === 1 ? '' : 's'}${unsure > 0 ? `, ${unsure} assumed` : ''}`}
      >
        {list(loads)}
      </More>
    );
  });
}

function StartingSets() {
  const { survey, store } = useSurvey();
  const [asking, setAsking] = useState<StartingSet | null>(null);
  const take = (set: StartingSet): void => {
    store.edit({ ...survey, loads: startingLoads(set, freshId) });
    setAsking(null);
  };
  return (
    <Panel aria-label="Usual sets" data-field="loads">
      <h2>{survey.loads.length === 0 ? 'Start from a usual set' : 'Start again from a usual set'}</h2>
      <p className="quiet">Usual powers, assumed until you confirm or correct each load.</p>
      <Row>
        {STARTING_SETS.map((set) => (
          <Button
            key={set.id}
            onPress={() => {
              if (survey.loads.length === 0) take(set);
              else setAsking(set);
            }}
          >
            {set.name}
          </Button>
        ))}
      </Row>
      {asking && (
        <div role="alertdialog" aria-label="Replace the loads">
          <Notice
            kind="act"
            title={`“${asking.name}” replaces the ${survey.loads.length} load${survey.loads.length === 1 ? '' : 's'} listed below with ${asking.loads.length} usual ones.`}
          >
            Undo brings them back.
            <Row style={{ marginTop: '0.5rem' }}>
              <Button
                onPress={() => {
                  take(asking);
                }}
              >
                Replace {survey.loads.length} load{survey.loads.length === 1 ? '' : 's'}
              </Button>
              <Button
                onPress={() => {
                  store.edit({ ...survey, loads: [...survey.loads, ...startingLoads(asking, freshId)] });
                  setAsking(null);
                }}
              >
                Add to them
              </Button>
              <Button
                onPress={() => {
                  setAsking(null);
                }}
              >
                Keep the list
              </Button>
            </Row>
          </Notice>
        </div>
      )}
    </Panel>
  );
}

/** A load of the class most often added, ready to be filled in. */
function AddLoad() {
  const { survey, store } = useSurvey();
  const [kind, setKind] = useState<LoadClass>('socket-circuit');
  const add = (): void => {
    const load: Load = { id: freshId('load'), class: kind };
    store.edit({ ...survey, loads: [...survey.loads, load] });
  };
  return (
    <Stack
      as="div"
      style={{ gridTemplateColumns: 'minmax(0, 18rem) auto', justifyContent: 'start', alignItems: 'end' }}
    >
      <Select
        label="Add a load of class"
        value={kind}
        onChange={setKind}
        options={LOAD_CLASSES.map((value) => ({ value, label: CLASS_NAMES[value] }))}
      />
      <Button onPress={add}>
        <Plus size={18} aria-hidden /> Add
      </Button>
    </Stack>
  );
}
