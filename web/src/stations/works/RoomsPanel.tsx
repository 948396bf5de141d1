import { DISRUPTION_NAMES, DISRUPTIONS, type Disruption } from '@keen-gauge/core/survey/words/works-words';
import { Plus, Trash2 } from 'lucide-react';
import { ToggleButton } from 'react-aria-components';
import styled from 'styled-components';
import { Field } from '../../fields/Field';
import { BareButton, Button } from '../../kit/Button';
import { Panel, Row, Stack } from '../../kit/Panel';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { freshId } from '../bound';

const Tile = styled(ToggleButton)`
  min-height: 44px;
  padding: 0.35rem 0.8rem;
  border: 1.5px solid var(--line);
  border-radius: var(--corner);
  background: var(--surface);
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
  &[data-selected] {
    border-color: var(--ink);
    background: var(--ink);
    color: var(--surface);
    font-weight: 700;
  }
`;

/** Rooms and places where the customer has to live with the work. */
export function RoomsPanel() {
  const { survey, store } = useSurvey();
  const set = useSet();
  const { rooms = [] } = survey.works ?? {};
  const disrupt = (id: string, disrupts: Disruption[]): void => {
    store.edit({
      ...survey,
      works: { ...survey.works, rooms: rooms.map((each) => (each.id === id ? { ...each, disrupts } : each)) },
    });
  };
  return (
    <Panel aria-label="Rooms and places disturbed">
      <h2>Rooms and places disturbed</h2>
      {rooms.length === 0 && <p className="quiet">None recorded.</p>}
      {rooms.map(({ id, disrupts = [], room }, at) => (
        <Stack as="section" key={id} aria-label={room ?? `Place ${at + 1}`}>
          <Row style={{ justifyContent: 'space-between', flexWrap: 'nowrap' }}>
            <div style={{ flex: 1 }}>
              <Field path={['works', 'rooms', id, 'room']} />
            </div>
            <BareButton
              aria-label={`Remove ${room ?? `place ${at + 1}`}`}
              onPress={() => {
                set(['works', 'rooms', id], undefined);
              }}
            >
              <Trash2 size={18} aria-hidden />
            </BareButton>
          </Row>
          <Row>
            {DISRUPTIONS.map((each) => (
              <Tile
                key={each}
                isSelected={disrupts.includes(each)}
                onChange={(isOn) => {
                  disrupt(
                    id,
                    DISRUPTIONS.filter((one) => (one === each ? isOn : disrupts.includes(one))),
                  );
                }}
              >
                {disrupts.includes(each) ? '✓ ' : ''}
                {DISRUPTION_NAMES[each]}
              </Tile>
            ))}
          </Row>
        </Stack>
      ))}
      <div>
        <Button
          onPress={() => {
            store.edit({ ...survey, works: { ...survey.works, rooms: [...rooms, { id: freshId('room') }] } });
          }}
        >
          <Plus size={18} aria-hidden /> Add a room or place
        </Button>
      </div>
    </Panel>
  );
}
