import { groupThreeWays, type GroupFigure } from '@keen-gauge/core/site/group-demand';
import type { SupplyOfSite } from '@keen-gauge/core/site/supplies';
import { shown } from '@keen-gauge/core/rules/rounding';
import { Link } from 'react-router';
import styled from 'styled-components';
import { FieldGrid } from '../kit/fields';
import { More } from '../kit/More';
import { Panel } from '../kit/Panel';
import { BoundNumber } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';

const Three = styled.dl`
  display: grid;
  gap: 0.6rem 1.4rem;
  margin: 0;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 13rem), 1fr));
  & dd {
    margin: 0;
  }
  & .figures {
    font-size: 1.35rem;
    font-weight: 700;
  }
`;

/** What the dwellings of a building take together, three ways side by side. */
export function BuildingPanel({ supplies }: { readonly supplies: readonly SupplyOfSite[] }) {
  const { survey, assessment, rules, job } = useSurvey();
  const group = groupThreeWays(survey, assessment, supplies, rules);
  return (
    <Panel aria-label="The whole building">
      <h2>The whole building</h2>
      <Three>
        <Way name={`Operator’s formula, ${group.dwellings} dwellings`} of={group.formula} />
        <Way name="Each dwelling’s demand, added up" note="As if all came at once: an upper bound." of={group.sum} />
        <Way name="Measured at the intake" of={group.measured} />
        <Way name="The landlord’s, beside the first two" of={group.landlord} />
      </Three>
      <p className="quiet">
        One application for the site or one for each supply, as the operator wants it:{' '}
        <Link to={`/jobs/${job.id}/pack`}>the pack</Link> is made of either.
      </p>
      <More label="The operator’s own figures" note="for each dwelling, and once">
        <p className="quiet">
          {group.formula.figure?.steps()[0]?.substituted}. For planning only; the operator’s figure decides.
        </p>
        <FieldGrid>
          <BoundNumber
            path={['site', 'groupEachKw']}
            label={`Each dwelling (left out, ${rules.groupEachKw.value} kW)`}
          />
          <BoundNumber path={['site', 'groupOnceKw']} label={`Once (left out, ${rules.groupOnceKw.value} kW)`} />
        </FieldGrid>
      </More>
    </Panel>
  );
}

function Way({ name, note, of }: { readonly name: string; readonly note?: string; readonly of: GroupFigure }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>
        {of.figure === null ? (
          <span className="figures quiet">Not known</span>
        ) : (
          <span className="figures">
            {of.atLeast ? 'at least ' : ''}
            {shown(of.figure.value, 'kW')} kW
          </span>
        )}
        {(of.why ?? note) !== undefined && <p className="quiet">{of.why ?? note}</p>}
      </dd>
    </div>
  );
}
