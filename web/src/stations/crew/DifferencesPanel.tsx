import { Panel } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';

/** Where what was fitted differs from the plan. */
export function DifferencesPanel() {
  const { survey } = useSurvey();
  const { differences = [] } = survey.fit ?? {};
  if (differences.length === 0) return null;
  return (
    <Panel aria-label="Fitted differently">
      <h2>Fitted differently</h2>
      <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
        {differences.map(({ id, what, planned, fitted, why, by }) => (
          <li key={id}>
            {what}: <strong>{fitted}</strong> in place of {planned}
            {why === undefined ? '' : `, since ${why}`}
            {by === undefined ? '' : ` (${by})`}
          </li>
        ))}
      </ul>
    </Panel>
  );
}
