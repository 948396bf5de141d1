import styled from 'styled-components';
import { FigureButton, TightFigures } from '../../gauge/FigureButton';
import { FieldGrid } from '../../kit/fields';
import { Panel } from '../../kit/Panel';
import { stateOf, StateMark } from '../../kit/StateMark';
import { useSurvey } from '../../survey/SurveyContext';
import { Field } from '../../fields/Field';

export const FigureRow = styled(TightFigures)`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(var(--least, 8.2rem), 1fr));
  gap: 0.5rem;
`;

/** The earthing conductor, by the table and by the adiabatic equation. */
export function ConductorPanel() {
  const { assessment } = useSurvey();
  const { byTable, byEquation, least, holds } = assessment.earthing.conductor;
  const path = ['earthing', 'conductor'] as const;
  return (
    <Panel aria-label="Earthing conductor">
      <h2>Earthing conductor</h2>
      <FieldGrid>
        <Field path={[...path, 'sizeMm2']} />
        <Field path={[...path, 'faultCurrentA']} />
        <Field path={[...path, 'disconnectionS']} />
      </FieldGrid>
      <FigureRow>
        <FigureButton name="By the table" figure={byTable} />
        <FigureButton name="By the adiabatic equation" figure={byEquation} />
        <FigureButton name="Least it may be" figure={least} />
      </FigureRow>
      <p role="status">
        <StateMark state={stateOf(holds)} />
      </p>
    </Panel>
  );
}
