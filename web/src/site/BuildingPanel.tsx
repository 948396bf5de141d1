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
        <Way
          name="Sum of the dwellings’ maximum demands"
          note="If all came at once: the most it can be."
          of={group.sum}
        />
        <Way name="Measured at the intake" of={group.measured} />
        <Way name="Landlord’s supply, in addition" of={group.landlord} />
      </Three>
      <p className="quiet">
        Some operators want one application for the site, others one for each supply: choose at{' '}
        <Link to={`/jobs/${job.id}/pack`}>Pack</Link>.
      </p>
      <More label="Operator’s figures" note="A for each dwelling, C once">
        <p className="quiet">{group.formula.figure?.steps()[0]?.substituted}. For planning: the operator decides.</p>
        <FieldGrid>
          <BoundNumber
            path={['site', 'groupEachKw']}
            label={`A, each dwelling (${rules.groupEachKw.value} kW if left empty)`}
          />
          <BoundNumber path={['site', 'groupOnceKw']} label={`C, once (${rules.groupOnceKw.value} kW if left empty)`} />
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
