import { CLASS_NAMES } from '@keen-gauge/core/demand/maximum-demand';
import type { Load } from '@keen-gauge/core/survey/load';
import { LOAD_CLASSES } from '@keen-gauge/core/survey/words/words';
import { Check, ChevronDown, ChevronRight, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { BareButton } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { Stack } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { AskedFields } from '../AsLine';
import { BoundAnswer, BoundChoice, BoundCode, BoundNumber, BoundSelect, BoundText } from '../bound';
import { FateFields } from './FateFields';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { placesToHang } from '../places';
import { sizeKey, sizeWords, type SizeKey } from './load-words';
import { Field } from '../../fields/Field';

const Item = styled.li`
  border-bottom: 1px solid var(--line);
  container-type: inline-size;
`;

const Line = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  & > :last-child {
    grid-column: 3;
  }
  @container (max-width: 15rem) {
    & > :first-child {
      grid-column: 1 / -1;
    }
  }
`;

const Opener = styled(Button)`
  display: grid;
  grid-template-columns: 1.3rem minmax(0, 1.2fr) minmax(0, 1fr) 9rem;
  gap: 0.6rem;
  align-items: center;
  min-height: 48px;
  border: 0;
  background: transparent;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
  &[data-hovered] {
    background: var(--raised);
  }
  & > :last-child {
    text-align: right;
  }
  @media (max-width: 46rem) {
    grid-template-columns: 1.3rem minmax(min-content, 1fr) auto;
    & > :nth-child(3) {
      display: none;
    }
  }
  @container (max-width: 15rem) {
    grid-template-columns: 1.3rem minmax(0, 1fr);
    & > :last-child {
      grid-column: 2;
      text-align: left;
    }
  }
`;

/** One load: a line to read, which opens to be changed in place. */
export function LoadRow({ load }: { readonly load: Load }) {
  const blank =
    load.label === undefined &&
    load.powerW === undefined &&
    load.currentA === undefined &&
    load.apparentVA === undefined;
  const [open, setOpen] = useState(blank);
  const set = useSet();
  const name = load.label ?? CLASS_NAMES[load.class];
  const Chevron = open ? ChevronDown : ChevronRight;
  return (
    <Item>
      <Line>
        <Opener
          aria-expanded={open}
          onPress={() => {
            setOpen(!open);
          }}
        >
          <Chevron size={18} aria-hidden />
          <span>
            <strong>{name}</strong>
            {load.assumed === true && (
              <em className="quiet" style={{ whiteSpace: 'nowrap' }}>
                {' '}
                assumed
              </em>
            )}
            {load.fate !== undefined && <em style={{ whiteSpace: 'nowrap', color: 'var(--accent)' }}> {load.fate}</em>}
          </span>
          <span className="quiet">{CLASS_NAMES[load.class]}</span>
          <span className="figures">{sizeWords(load)}</span>
        </Opener>
        {load.assumed === true && (
          <BareButton
            aria-label={`Confirm ${name}`}
            onPress={() => {
              set(['loads', load.id, 'assumed'], undefined);
            }}
          >
            <Check size={18} aria-hidden />
          </BareButton>
        )}
        <BareButton
          aria-label={`Remove ${name}`}
          onPress={() => {
            set(['loads', load.id], undefined);
          }}
        >
          <Trash2 size={18} aria-hidden />
        </BareButton>
      </Line>
      {/* Opened to be changed: nothing of it stands as a line. */}
      {open && (
        <AskedFields value={null}>
          <LoadEditor load={load} />
        </AskedFields>
      )}
    </Item>
  );
}

function LoadEditor({ load }: { readonly load: Load }) {
  const { survey, store } = useSurvey();
  const set = useSet();
  const path = ['loads', load.id] as const;
  const [size, setSize] = useState<SizeKey>(sizeKey(load));
  const places = placesToHang(survey);

  /** Another way of giving the size empties the one before: a load has one size. */
  const changeSize = (next: SizeKey): void => {
    const { powerW: _w, currentA: _a, apparentVA: _va, ...rest } = load;
    store.edit({ ...survey, loads: survey.loads.map((each) => (each.id === load.id ? rest : each)) });
    setSize(next);
  };

  return (
    <Stack style={{ padding: '0.4rem 0.4rem 1rem 2rem' }}>
      <FieldGrid>
        <Field path={[...path, 'label']} />
        <Select
          label="Class"
          value={load.class}
          options={LOAD_CLASSES.map((value) => ({ value, label: CLASS_NAMES[value] }))}
          onChange={(next) => {
            set([...path, 'class'], next);
          }}
        />
        <BoundNumber
          key={size}
          path={[...path, size]}
          label={load.class === 'socket-circuit' ? 'Device rating' : load.class === 'lighting' ? 'Each point' : 'Each'}
          {...(load.class === 'socket-circuit' && size === 'currentA' ? { usual: [16, 20, 32] } : {})}
        />
        <Select
          label="Given in"
          value={size}
          onChange={changeSize}
          options={[
            { value: 'powerW', label: 'Watts' },
            { value: 'currentA', label: 'Amperes, each phase' },
            { value: 'apparentVA', label: 'Volt-amperes' },
          ]}
        />
        <BoundNumber path={[...path, 'quantity']} label={load.class === 'lighting' ? 'Points' : 'How many'} />
        {size === 'powerW' && (
          <BoundNumber path={[...path, 'powerFactor']} label="Power factor" help="1 when left out." />
        )}
        {places.length > 1 && (
          <Select
            label="Hangs from"
            value={load.nodeId}
            options={places}
            onChange={(next) => {
              set([...path, 'nodeId'], next);
            }}
          />
        )}
        <BoundSelect
          path={[...path, 'season']}
          label="Season"
          options={[
            { value: 'heating', label: 'When it heats' },
            { value: 'cooling', label: 'When it cools' },
          ]}
        />
        {survey.supply.nodes.some(({ sharedReason }) => sharedReason !== undefined) && (
          <BoundNumber
            path={[...path, 'leakageMa']}
            label="Standing leakage, each"
            help="Only where an RCD is shared with new equipment."
          />
        )}
        <BoundText
          path={[...path, 'interlock']}
          label="Interlock"
          help="Loads with the same word here cannot run together."
        />
      </FieldGrid>
      <BoundCode
        path={[...path, 'continuous']}
        label="Runs for hours on end?"
        tile="6rem"
        codes={[
          { value: true, label: 'Yes' },
          { value: false, label: 'No' },
        ]}
      />
      <FateFields load={load} />
      <PhotoStrip subject="load" subjectId={load.id} of={`rating plate, ${load.label ?? load.class}`} />
      {survey.supply.phases === 3 && (
        <BoundChoice
          path={[...path, 'phase']}
          label="Phase"
          tile="5rem"
          options={[
            { value: 'L1', label: 'L1' },
            { value: 'L2', label: 'L2' },
            { value: 'L3', label: 'L3' },
            { value: 'all', label: 'All three' },
          ]}
        />
      )}
      {load.class === 'lighting' && (
        <BoundCode
          path={[...path, 'fixedLed']}
          label="Fixed LED lamps?"
          tile="6rem"
          help="Otherwise each point counts at least 100 W."
          codes={[
            { value: true, label: 'Yes' },
            { value: false, label: 'No' },
          ]}
        />
      )}
      {load.class === 'cooking' && (
        <div style={{ maxWidth: '22rem' }}>
          <BoundNumber
            path={[...path, 'controlUnitsWithSocket']}
            label="Control units with a socket"
            usual={[0, 1]}
            help="One is counted while not known."
          />
        </div>
      )}
      {load.class === 'heat-pump' && (
        <>
          <div style={{ maxWidth: '22rem' }}>
            <BoundNumber path={[...path, 'backupHeaterW']} label="Back-up heater" />
          </div>
          <BoundAnswer
            path={[...path, 'backupWithCompressor']}
            label="Can the back-up heater run with the compressor?"
          />
        </>
      )}
      {survey.place.premises === 'guest-house' && load.class === 'socket-appliance' && (
        <BoundCode
          path={[...path, 'mainRoom']}
          label="In a main room?"
          tile="6rem"
          codes={[
            { value: true, label: 'Yes' },
            { value: false, label: 'No' },
          ]}
        />
      )}
    </Stack>
  );
}
