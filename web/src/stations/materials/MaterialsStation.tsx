import type { PricedLine } from '@keen-gauge/core/estimate/estimate';
import { Link } from 'react-router';
import { Waiting } from '../../app/Waiting';
import { Notice } from '../../kit/Notice';
import { Panel } from '../../kit/Panel';
import { Searched } from '../../kit/Searched';
import { useEstimate, type Priced } from '../../price/use-estimate';
import { useSurvey } from '../../survey/SurveyContext';
import { StationFrame } from '../StationFrame';
import { AddLine } from './AddLine';
import { LineRow } from './LineRow';
import { Lines } from './line-layout';
import { StagesPanel } from './StagesPanel';
import { SumsPanel } from './SumsPanel';

/** Everything the survey asks for, to buy and to do, with what it comes to; each line says where it comes from. */
export default function MaterialsStation() {
  const { job } = useSurvey();
  const { priced, error } = useEstimate();
  return (
    <StationFrame
      station="materials"
      lead="Materials and hours as the survey has them. Press a line to change or strike it; press a sum to see how it was worked out."
    >
      {priced === undefined ? (
        error ? (
          <Notice kind="act" title="The firm’s price list could not be opened.">
            Nothing is lost. It comes with the next contact.
          </Notice>
        ) : (
          <Waiting what="Opening the price list …" />
        )
      ) : priced.estimate.lines.length === 0 ? (
        <Notice kind="ask" title="No new equipment is recorded, so nothing is bought or done.">
          <Link to={`/jobs/${job.id}/charger`}>New equipment</Link>
        </Notice>
      ) : (
        <>
          <SumsPanel priced={priced} />
          <LinesPanel title="Materials" kind="material" priced={priced} />
          <LinesPanel title="Work" kind="work" priced={priced} />
          <StagesPanel priced={priced} />
        </>
      )}
    </StationFrame>
  );
}

const AT_A_GLANCE = 9;

function LinesPanel({
  title,
  kind,
  priced,
}: {
  readonly title: string;
  readonly kind: 'material' | 'work';
  readonly priced: Priced;
}) {
  const lines = priced.estimate.lines.filter(({ line }) => line.kind === kind);
  // What nobody can price yet is seen first.
  const ordered = [...lines].sort((a, b) => order(a) - order(b));
  return (
    <Panel aria-label={title}>
      <h2>{title}</h2>
      <Searched
        label={`Search ${title.toLowerCase()}`}
        of={ordered}
        textOf={({ line }) => `${line.text} ${line.from.says}`}
        atAGlance={AT_A_GLANCE}
      >
        {(seen) => (
          <Lines>
            {seen.map((each) => (
              <LineRow key={each.line.id} priced={each} prices={priced.prices} hidden={priced.hidden} />
            ))}
          </Lines>
        )}
      </Searched>
      {kind === 'material' && <AddLine book={priced.book} />}
    </Panel>
  );
}

const order = ({ standing, price }: PricedLine): number => (standing.isStruck ? 2 : price === null ? 0 : 1);
