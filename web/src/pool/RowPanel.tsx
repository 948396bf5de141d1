import type { Outlet } from '@keen-gauge/core/pool/pool-year';
import { outletsMissing, withOutletsAsEquipment } from '@keen-gauge/core/pool/row-equipment';
import { poolOnSupply } from '@keen-gauge/core/pool/on-supply';
import type { Pool, PoolOutlet } from '@keen-gauge/core/survey/pool';
import { useState } from 'react';
import styled from 'styled-components';
import { Button, MainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { More, MoreOnPhone } from '../kit/More';
import { NumberInput } from '../kit/NumberInput';
import { Panel, Row } from '../kit/Panel';
import { BoundCode, BoundNumber, BoundSelect, BoundText } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';

const MOST_BAYS = 200;

const Bays = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.35rem;
  grid-template-columns: repeat(auto-fill, minmax(4.6rem, 1fr));
  & > li {
    display: grid;
    justify-items: center;
    padding: 0.3rem 0.2rem;
    border: 1px solid var(--line);
    border-top: 5px solid var(--strong-line);
    border-radius: var(--corner);
    line-height: 1.25;
  }
  & > li[data-first='L2'] {
    border-top-style: dashed;
  }
  & > li[data-first='L3'] {
    border-top-style: dotted;
  }
`;

/** The row as it is laid out, bay by bay, and how to lay it out. */
export function RowPanel() {
  const { survey, assessment, rules } = useSurvey();
  const outlets = survey.pool?.outlets ?? [];
  const { outlets: onLines } = poolOnSupply(survey, assessment, rules);
  const isThree = assessment.supply.phases.length === 3;
  return (
    <Panel aria-label="The row of bays">
      <h2>The row of bays</h2>
      {outlets.length > 0 && (
        <>
          <p>
            {outlets.length} bays
            {isThree
              ? ', each begun on the phase that carries least, the present load counted. Connect them in this order.'
              : ' on one phase.'}
          </p>
          <MoreOnPhone label="Bay by bay" note="the order its phases are connected in, and its outlet">
            <Bays aria-label="Bays in the order of the row">
              {outlets.map((outlet, at) => (
                <Bay key={outlet.id} outlet={outlet} at={at} onLines={onLines[at]} />
              ))}
            </Bays>
          </MoreOnPhone>
        </>
      )}
      <LayOut key={outlets.length} />
      {outlets.length > 0 && <AmongEquipment onLines={onLines} />}
      {outlets.length > 0 && (
        <More label="Each bay" note="name, outlet, phase, distance">
          {outlets.map((outlet, at) => (
            <BayFields key={outlet.id} outlet={outlet} at={at} isThree={isThree} />
          ))}
        </More>
      )}
    </Panel>
  );
}

function Bay({
  outlet,
  at,
  onLines,
}: {
  readonly outlet: PoolOutlet;
  readonly at: number;
  readonly onLines: Outlet | undefined;
}) {
  const [first = ''] = onLines?.lines ?? [];
  return (
    <li data-first={first}>
      <strong>{outlet.label ?? at + 1}</strong>
      <span>{onLines?.lines.join('-')}</span>
      <span className="quiet">{outlet.prepared === true ? 'prepared' : `${onLines?.mostA ?? '?'} A`}</span>
    </li>
  );
}

/** Lays out so many alike bays, or makes the row longer or shorter at its end. */
function LayOut() {
  const { survey, assessment, store } = useSurvey();
  const outlets = survey.pool?.outlets ?? [];
  const [first] = outlets;
  const isThree = assessment.supply.phases.length === 3;
  const [count, setCount] = useState<number | undefined>(outlets.length || undefined);
  const [apartM, setApartM] = useState<number | undefined>(spacingOf(outlets) ?? 2.5);
  const [mostA, setMostA] = useState<number | undefined>(first?.mostA ?? 32);
  const [phases, setPhases] = useState<'1' | '3'>(isThree && first?.phases !== 1 ? '3' : '1');
  const lay = (): void => {
    if (count === undefined) return;
    const kept = outlets.slice(0, count);
    const startM = kept.at(-1)?.alongM ?? -(apartM ?? 0);
    const added = Array.from({ length: count - kept.length }, (_each, at): PoolOutlet => ({
      id: crypto.randomUUID(),
      phases: phases === '3' ? 3 : 1,
      ...(mostA === undefined ? {} : { mostA }),
      ...(apartM === undefined ? {} : { alongM: Number((startM + (at + 1) * apartM).toFixed(2)) }),
    }));
    const pool: Pool = { ...survey.pool, outlets: [...kept, ...added] };
    store.edit({ ...survey, pool });
  };
  const isChange = count !== undefined && count !== outlets.length;
  return (
    <>
      <Row style={{ alignItems: 'end' }}>
        <span style={{ width: '8rem' }}>
          <NumberInput label="Bays" unit="" least={1} most={MOST_BAYS} whole value={count} onChange={setCount} />
        </span>
        <span style={{ width: '9rem' }}>
          <NumberInput label="Apart" unit="m" least={0} most={50} value={apartM} onChange={setApartM} />
        </span>
        <span style={{ width: '9rem' }}>
          <NumberInput label="Each outlet" unit="A" least={6} most={125} value={mostA} onChange={setMostA} />
        </span>
      </Row>
      {isThree && (
        <Choice
          label="Outlets"
          value={phases}
          options={[
            { value: '3', label: 'Three-phase' },
            { value: '1', label: 'Single-phase' },
          ]}
          onChange={setPhases}
          tile="8rem"
        />
      )}
      <Row>
        <MainButton isDisabled={!isChange} onPress={lay}>
          {outlets.length === 0 ? 'Lay out the row' : `Make it ${count ?? '?'} bays`}
        </MainButton>
        {isChange && outlets.length > count && (
          <span className="quiet">
            The last {outlets.length - count} go, with what was typed of them. Undo brings them back.
          </span>
        )}
      </Row>
    </>
  );
}

/** Whether every outlet is among the survey’s new equipment, where circuits, tests, commissioning and the pack look for it. */
function AmongEquipment({ onLines }: { readonly onLines: readonly Outlet[] }) {
  const { survey, store } = useSurvey();
  const missing = outletsMissing(survey).length;
  if (missing === 0) return <p className="quiet">All outlets are in new equipment.</p>;
  return (
    <Row>
      <Button
        onPress={() => {
          store.edit(withOutletsAsEquipment(survey, onLines));
        }}
      >
        Add {missing} outlet{missing === 1 ? '' : 's'} to new equipment
      </Button>
      <span className="quiet">Circuits, commissioning, route and pack then include each outlet.</span>
    </Row>
  );
}

/** How far the first two bays are apart. */
function spacingOf([a, b]: readonly PoolOutlet[]): number | undefined {
  return a?.alongM === undefined || b?.alongM === undefined ? undefined : Number((b.alongM - a.alongM).toFixed(2));
}

function BayFields({
  outlet,
  at,
  isThree,
}: {
  readonly outlet: PoolOutlet;
  readonly at: number;
  readonly isThree: boolean;
}) {
  const place = ['pool', 'outlets', outlet.id] as const;
  return (
    <More label={`Bay ${outlet.label ?? at + 1}`}>
      <BoundText path={[...place, 'label']} label="Name or owner" />
      <BoundNumber path={[...place, 'mostA']} label="Outlet" />
      <BoundNumber path={[...place, 'alongM']} label="From where the trunk begins" />
      <BoundCode
        path={[...place, 'prepared']}
        label="Outlet"
        codes={[
          { value: false, label: 'Fitted now' },
          { value: true, label: 'Prepared: tap now, outlet later' },
        ]}
      />
      {isThree && (
        <BoundSelect
          path={[...place, 'firstLine']}
          label="First phase"
          options={(['L1', 'L2', 'L3'] as const).map((value) => ({ value, label: value }))}
        />
      )}
    </More>
  );
}
