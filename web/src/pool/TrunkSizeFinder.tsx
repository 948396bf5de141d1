import { searchTrunk, type TrunkFault } from '@keen-gauge/core/pool/trunk-size';
import type { Tap, TrunkLimits } from '@keen-gauge/core/pool/trunk';
import { shown } from '@keen-gauge/core/rules/rounding';
import { useState } from 'react';
import { Button } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { More } from '../kit/More';
import { Row } from '../kit/Panel';
import { useSurvey } from '../survey/SurveyContext';

const FAULT_WORDS: Readonly<Record<TrunkFault, string>> = {
  capacity: 'current-carrying capacity',
  drop: 'volt drop',
  loop: 'loop impedance at the last tap',
};

/** The smallest armoured cable that does for the row as it is planned, prepared bays included. */
export function TrunkSizeFinder({ taps, limits }: { readonly taps: readonly Tap[]; readonly limits: TrunkLimits }) {
  const { survey, rules, store } = useSurvey();
  const [laid, setLaid] = useState<'buried' | 'clipped'>('buried');
  const { smallest, limitedBy, gap } = searchTrunk(taps, laid, limits, rules);
  const take = (): void => {
    if (!smallest || !survey.pool) return;
    const { mVPerAM, capacityA, loopOhmPerM } = smallest.conductor;
    const trunk = {
      ...survey.pool.trunk,
      sizeMm2: smallest.sizeMm2,
      laid,
      mVPerAM,
      capacityA: Math.floor(capacityA * 10) / 10,
      ...(loopOhmPerM === undefined ? {} : { loopMOhmPerM: Number((loopOhmPerM * 1000).toFixed(3)) }),
    };
    store.edit({ ...survey, pool: { ...survey.pool, trunk } });
  };
  return (
    <More
      label="Find a size"
      note={
        smallest
          ? `${smallest.sizeMm2} mm² armoured ${laid === 'buried' ? 'in the ground' : 'clipped'}`
          : 'none is enough'
      }
    >
      <Choice
        label="How it is laid"
        value={laid}
        options={[
          { value: 'buried', label: 'In the ground or a duct' },
          { value: 'clipped', label: 'Clipped direct' },
        ]}
        onChange={setLaid}
        tile="11rem"
      />
      {smallest ? (
        <>
          <p>
            <strong>{smallest.sizeMm2} mm²</strong> armoured, with a core for protection: it carries{' '}
            {shown(smallest.conductor.capacityA)} A and loses {shown(smallest.verdict.dropPercent.value, '%')} % at the
            last tap.
            {limitedBy.length > 0 &&
              ` The size below fails by ${limitedBy.map((each) => FAULT_WORDS[each]).join(' and ')}.`}
            {smallest.verdict.loopHolds === null &&
              ' Loop impedance not checked: needs the loop where the trunk begins and the most its device allows.'}
          </p>
          <Row>
            <Button onPress={take}>Use {smallest.sizeMm2} mm²</Button>
            <span className="quiet">At the table’s reference temperatures, with no other circuits alongside.</span>
          </Row>
        </>
      ) : (
        <p>{gap ?? 'No size in the table is enough. Use two trunks, or a lower set-point.'}</p>
      )}
    </More>
  );
}
