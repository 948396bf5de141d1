import { judgeTrunk, type Tap, type TrunkLimits } from '@keen-gauge/core/pool/trunk';
import { poolOnSupply } from '@keen-gauge/core/pool/on-supply';
import { shown } from '@keen-gauge/core/rules/rounding';
import styled from 'styled-components';
import { FieldGrid } from '../kit/fields';
import { More, MoreOnPhone } from '../kit/More';
import { Notice } from '../kit/Notice';
import { Panel } from '../kit/Panel';
import { BoundNumber } from '../stations/bound';
import { TrunkSizeFinder } from './TrunkSizeFinder';
import { useSurvey } from '../survey/SurveyContext';

const Run = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(6.8rem, 1fr));
  gap: 0.6rem 0;
`;

const TapAt = styled.li`
  display: grid;
  justify-items: start;
  padding: 0.3rem 0.3rem 0 0;
  /* The trunk itself, as thick as what it carries. */
  border-top: var(--thick) solid var(--now);
  line-height: 1.25;
`;

/** The cable or bus along the row: what it carries into each tap in the worst case, and the volts lost there. */
export function TrunkPanel() {
  const { survey, assessment, rules } = useSurvey();
  const { pool } = survey;
  const { outlets } = poolOnSupply(survey, assessment, rules);
  const missing = pool?.outlets.some(({ alongM }) => alongM === undefined) ?? true;
  const { mVPerAM, capacityA, loopMOhmPerM, loopAtStartOhm, mostLoopOhm } = pool?.trunk ?? {};
  const isThree = assessment.supply.phases.length === 3;
  const taps = (pool?.outlets ?? []).map((each, at): Tap => ({
    id: each.id,
    atM: each.alongM ?? 0,
    mostA: outlets[at]?.mostA ?? 0,
  }));
  const limits: TrunkLimits = {
    setPointA: pool?.setPointA ?? 0,
    nominalV: rules.nominalVoltageV.value,
    phases: isThree ? 3 : 1,
    mostDropPercent: rules.circuit.largestDropPercent.value,
    zeOhm: loopAtStartOhm,
    mostLoopOhm,
  };
  const verdict =
    missing || pool?.setPointA === undefined || mVPerAM === undefined || capacityA === undefined
      ? null
      : judgeTrunk(
          taps,
          { mVPerAM, capacityA, loopOhmPerM: loopMOhmPerM === undefined ? undefined : loopMOhmPerM / 1000 },
          limits,
        );
  const names = new Map((pool?.outlets ?? []).map((each, at) => [each.id, each.label ?? String(at + 1)]));
  return (
    <Panel aria-label="The trunk along the row">
      <h2>The trunk along the row</h2>
      <p className="quiet">
        One cable or bus with a tap at each bay, judged with the set-point drawn at its far end: nothing the pool does
        drops more.
      </p>
      <FieldGrid>
        <BoundNumber path={['pool', 'trunk', 'mVPerAM']} label="Volt drop of the cable or bus" />
        <BoundNumber path={['pool', 'trunk', 'capacityA']} label="Current-carrying capacity, as laid" />
      </FieldGrid>
      {!missing && pool?.setPointA !== undefined && <TrunkSizeFinder taps={taps} limits={limits} />}
      <More label="Loop impedance" note="of the trunk, where it begins, and what its device allows">
        <FieldGrid>
          <BoundNumber path={['pool', 'trunk', 'loopMOhmPerM']} label="Loop impedance per metre, hot" />
          <BoundNumber path={['pool', 'trunk', 'loopAtStartOhm']} label="Loop impedance where it begins" />
          <BoundNumber path={['pool', 'trunk', 'mostLoopOhm']} label="Most its device allows" />
        </FieldGrid>
      </More>
      {missing && <Notice kind="ask" title="How far along each bay is has not been recorded." />}
      {verdict && (
        <>
          {!verdict.carriesEnough && (
            <Notice kind="act" title={`It carries ${capacityA ?? 0} A and is to carry ${pool?.setPointA ?? 0} A.`}>
              A larger size, or a lower set-point.
            </Notice>
          )}
          <p>
            At the last tap {shown(verdict.dropPercent.value, '%')} % is lost, {verdict.dropHolds ? 'within' : 'over'}{' '}
            {rules.circuit.largestDropPercent.value} %.{' '}
            {verdict.loop === null
              ? 'The loop there is not known.'
              : `The loop there is ${shown(verdict.loop.value, 'Ω')} Ω${verdict.loopHolds === null ? '' : verdict.loopHolds ? ', low enough for its device' : ', too high for its device'}.`}
          </p>
          <MoreOnPhone label="Tap by tap" note="what each draws and loses in the worst case">
            <Run aria-label="Taps in the worst case">
              {verdict.taps.map(({ id, atM, drawsA, trunkA, dropV }) => (
                <TapAt
                  key={id}
                  style={{ '--thick': `${2 + Math.round((trunkA / Math.max(1, pool?.setPointA ?? 1)) * 8)}px` }}
                >
                  <strong>{names.get(id)}</strong>
                  <span>{drawsA === 0 ? 'off' : `${shown(drawsA)} A`}</span>
                  <span className="quiet">
                    {shown(atM, 'm')} m, {shown(dropV, 'V')} V
                  </span>
                </TapAt>
              ))}
            </Run>
          </MoreOnPhone>
        </>
      )}
    </Panel>
  );
}
