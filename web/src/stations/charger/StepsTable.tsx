import { guardTable } from '@keen-gauge/core/options/guard-table';
import { chargingTime } from '@keen-gauge/core/options/charging-time';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { stateOf, StateMark } from '../../kit/StateMark';
import { useSurvey } from '../../survey/SurveyContext';

/** What each step of equipment with a dial means: power, how long the day’s charging takes, whether every node holds. */
export function StepsTable({ proposal }: { readonly proposal: Proposal }) {
  const { survey, assessment, rules } = useSurvey();
  // A three-phase charger on one line of a single-phase supply has a third of its power.
  const lines = proposal.phases === 3 && survey.supply.phases === 3 ? 3 : 1;
  const { modes } = guardTable(survey, assessment, proposal, rules);
  const rows = modes.flatMap(({ currentA, holds, id }) =>
    currentA === null || id === 'lost' ? [] : [{ currentA, holds }],
  );
  return (
    <table style={{ borderCollapse: 'collapse', justifySelf: 'start' }}>
      <caption className="quiet" style={{ textAlign: 'left' }}>
        What each step means
      </caption>
      <tbody>
        {rows.map(({ currentA, holds }) => {
          const { powerKw, hours } = chargingTime(survey.driver, { mostA: currentA, leastA: currentA, lines }, rules);
          return (
            <tr key={currentA}>
              <th scope="row" className="figures" style={{ textAlign: 'right', padding: '0.2rem 0.8rem 0.2rem 0' }}>
                {currentA} A
              </th>
              <td style={{ padding: '0.2rem 0.8rem' }}>
                {powerKw.toFixed(1)} kW{hours === null ? '' : `, the day’s in ${hours.toFixed(1)} h`}
              </td>
              <td>
                <StateMark state={stateOf(holds)} />
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
