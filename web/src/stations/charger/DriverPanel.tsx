import { PRIORITIES, PRIORITY_NAMES } from '@keen-gauge/core/survey/words/option-words';
import { useState } from 'react';
import { FieldGrid } from '../../kit/fields';
import { More } from '../../kit/More';
import { Panel, SideBySide, Stack } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundChoice, BoundNumber } from '../bound';

/** What the options are compared for: how far, how long, at which hours, and what matters most. */
export function DriverPanel() {
  const { driver } = useSurvey().survey;
  const [isTold] = useState(
    driver?.cheapFromH !== undefined || driver?.cheapToH !== undefined || driver?.onboardA !== undefined,
  );
  return (
    <Panel aria-label="What the driver needs">
      <h2>What the driver needs</h2>
      <SideBySide>
        <Stack>
          <FieldGrid>
            <BoundNumber path={['driver', 'milesPerDay']} label="Miles a day" usual={[20, 40]} />
            <BoundNumber path={['driver', 'hoursThere']} label="Hours it stands there" usual={[8, 12]} />
          </FieldGrid>
          <More label="Cheap hours, and what the car takes" open={isTold}>
            <FieldGrid>
              <BoundNumber
                few
                path={['driver', 'cheapFromH']}
                label="Charging only from"
                usual={[0.5, 23]}
                help="Cheap hours, if it is to keep to them; half past midnight is 0.5."
              />
              <BoundNumber few path={['driver', 'cheapToH']} label="Charging only until" usual={[5.5, 7]} />
              <BoundNumber
                few
                path={['driver', 'onboardA']}
                label="Its own charger takes, each phase"
                usual={[16, 32]}
              />
            </FieldGrid>
          </More>
        </Stack>
        <BoundChoice
          path={['driver', 'priority']}
          label="What matters most to the customer?"
          tile="8.5rem"
          options={PRIORITIES.map((value) => ({ value, label: PRIORITY_NAMES[value] }))}
        />
      </SideBySide>
    </Panel>
  );
}
