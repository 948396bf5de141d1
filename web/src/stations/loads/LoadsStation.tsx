import { CLASS_NAMES } from '@keen-gauge/core/demand/maximum-demand';
import { STARTING_SETS } from '@keen-gauge/core/demand/starting-sets';
import type { Load } from '@keen-gauge/core/survey/load';
import { LOAD_CLASSES, type LoadClass } from '@keen-gauge/core/survey/words';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { FigureButton } from '../../gauge/FigureButton';
import { Button } from '../../kit/Button';
import { Panel, Row, Stack } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundChoice, BoundText, freshId } from '../bound';
import { StationFrame } from '../StationFrame';
import { LoadRow } from './LoadRow';

const List = styled.ul`
  list-style: none;
  padding: 0;
  margin: 0;
  border-top: 1px solid var(--line);
`;

/** What the house takes: a usual set to start from, then corrected to what is there. */
export function LoadsStation() {
  const { survey, assessment } = useSurvey();
  const { byCircuits, byAppliances } = assessment.demand;
  const phases = assessment.supply.phases;
  return (
    <StationFrame station="loads" lead="What the house takes. Start from a usual set and correct it to what is there.">
      <Panel aria-label="Two ways of reckoning">
        <h2>Maximum demand, two ways</h2>
        <Row>
          {phases.map((phase) => {
            const [circuits, appliances] = [byCircuits[phase], byAppliances[phase]];
            const on = phases.length > 1 ? `, ${phase}` : '';
            return (
              <Row key={phase}>
                {circuits && (
                  <FigureButton
                    name={`By circuits${on}`}
                    figure={circuits}
                    colour="var(--now)"
                    under="socket circuits at their device rating"
                  />
                )}
                {appliances && (
                  <FigureButton
                    name={`By appliances${on}`}
                    figure={appliances}
                    colour="var(--now)"
                    under="sockets as the appliances in use"
                  />
                )}
              </Row>
            );
          })}
        </Row>
        <BoundChoice
          path={['declaration', 'basis']}
          label="Declared maximum demand"
          tile="14rem"
          options={[
            { value: 'circuits', label: 'By circuits', note: 'Safe, repeatable, accepted everywhere' },
            {
              value: 'appliances',
              label: 'By appliances',
              note: 'Nearer to life; only as good as the list. Needs a reason',
            },
          ]}
        />
        {survey.declaration.basis === 'appliances' && (
          <BoundText path={['declaration', 'reason']} label="Reason" lines maxLength={500} />
        )}
      </Panel>
      <StartingSets />
      <Panel aria-label="Loads">
        <h2>
          {survey.loads.length} load{survey.loads.length === 1 ? '' : 's'}
        </h2>
        {survey.loads.length > 0 && (
          <List>
            {survey.loads.map((load) => (
              <LoadRow key={load.id} load={load} />
            ))}
          </List>
        )}
        <AddLoad />
      </Panel>
    </StationFrame>
  );
}

function StartingSets() {
  const { survey, store } = useSurvey();
  return (
    <Panel aria-label="Usual sets">
      <h2>{survey.loads.length === 0 ? 'Start from a usual set' : 'Start again from a usual set'}</h2>
      {survey.loads.length > 0 && <p className="quiet">The list below is replaced; undo brings it back.</p>}
      <Row>
        {STARTING_SETS.map((set) => (
          <Button
            key={set.id}
            onPress={() => {
              store.edit({ ...survey, loads: set.loads.map((load) => ({ ...load, id: freshId(load.id) })) });
            }}
          >
            {set.name}
          </Button>
        ))}
      </Row>
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
