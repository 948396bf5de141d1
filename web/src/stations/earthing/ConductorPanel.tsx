import { useState } from 'react';
import styled from 'styled-components';
import { FigureButton, TightFigures } from '../../gauge/FigureButton';
import { FieldGrid } from '../../kit/fields';
import { More } from '../../kit/More';
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
  const { assessment, survey } = useSurvey();
  const { faultCurrentA, disconnectionS } = survey.earthing.conductor ?? {};
  const [isTold] = useState(faultCurrentA !== undefined || disconnectionS !== undefined);
  const { byTable, byEquation, least, holds } = assessment.earthing.conductor;
  const path = ['earthing', 'conductor'] as const;
  return (
    <Panel aria-label="Earthing conductor">
      <h2>Earthing conductor</h2>
      <FieldGrid>
        <Field path={[...path, 'sizeMm2']} />
      </FieldGrid>
      <FigureRow style={{ '--least': '5.6rem' }}>
        <FigureButton name="By the table" figure={byTable} />
        <FigureButton name="By the equation" figure={byEquation} />
        <FigureButton name="Least it may be" figure={least} />
      </FigureRow>
      <p role="status">
        <StateMark state={stateOf(holds)} />
      </p>
      <More label="For the adiabatic equation" note="current and time" open={isTold}>
        <FieldGrid>
          <Field path={[...path, 'faultCurrentA']} />
          <Field path={[...path, 'disconnectionS']} />
        </FieldGrid>
      </More>
    </Panel>
  );
}
