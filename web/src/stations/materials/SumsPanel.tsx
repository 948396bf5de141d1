import { fixed } from '@keen-gauge/core/rules/rounding';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Notice } from '../../kit/Notice';
import { Panel } from '../../kit/Panel';
import { Sum } from '../../price/MoneySheet';
import type { Priced } from '../../price/use-estimate';
import { useSurvey } from '../../survey/SurveyContext';

const Place = styled.div`
  container-type: inline-size;
`;

const Sums = styled.dl`
  margin: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 1rem;
  align-items: center;
  max-width: 30rem;
  & dd {
    margin: 0;
    text-align: right;
  }
  & .total {
    border-top: 2px solid var(--ink);
    font-weight: 700;
    padding-top: 0.2rem;
  }
  @container (max-width: 15rem) {
    grid-template-columns: minmax(0, 1fr);
    & dd.total {
      border-top: 0;
    }
  }
`;

/** What it all comes to, and what is not in it yet. */
export function SumsPanel({ priced: { estimate, hidden, book } }: { readonly priced: Priced }) {
  const { job, survey } = useSurvey();
  const steps = survey.stages?.length ?? 0;
  const { unpriced, taxes } = estimate;
  if (hidden)
    return (
      <Panel aria-label="Sums">
        <p className="quiet">
          Your firm keeps prices from your role: the lines stand here without them. About {fixed(estimate.hours, 1)} h
          of work.
        </p>
      </Panel>
    );
  return (
    <Panel aria-label="Sums">
      {book.terms.starter === true && (
        <Notice kind="ask" title="These are the starter list’s prices, and not your firm’s.">
          <Link to="/firm/prices">Set your own in Firm settings, Prices</Link>
        </Notice>
      )}
      {steps > 0 && (
        <Notice
          kind="note"
          title={`Done in ${steps} step${steps === 1 ? '' : 's'}: the quotation offers their sums, further down.`}
        >
          The sums below are for everything done at once.
        </Notice>
      )}
      {unpriced.length > 0 && (
        <Notice
          kind="ask"
          title={`${unpriced.length} line${unpriced.length === 1 ? ' has' : 's have'} no price: the sum is of the rest.`}
        >
          {[...new Set(unpriced.flatMap(({ why }) => why ?? []))].slice(0, 4).join(' ')}
        </Notice>
      )}
      <Place>
        <Sums>
          <dt>Materials</dt>
          <dd>
            <Sum of={estimate.materials} />
          </dd>
          <dt>Work, {fixed(estimate.hours, 1)} h</dt>
          <dd>
            <Sum of={estimate.work} />
          </dd>
          <dt>Without tax</dt>
          <dd>
            <Sum of={estimate.net} />
          </dd>
          {taxes.map(({ taxClass, name, percent, tax }) => (
            <TaxRow key={taxClass} name={name} percent={percent} tax={tax} />
          ))}
          <dt className="total">To pay</dt>
          <dd className="total">
            <Sum of={estimate.total} big />
          </dd>
        </Sums>
      </Place>
      <p>
        <Link to={`/jobs/${job.id}/quotation`}>Make a quotation</Link>
      </p>
    </Panel>
  );
}

function TaxRow({ name, percent, tax }: Pick<Priced['estimate']['taxes'][number], 'name' | 'percent' | 'tax'>) {
  return (
    <>
      <dt>
        {name}
        {percent === null ? '' : `, ${percent} %`}
      </dt>
      <dd>{tax === null ? <span style={{ color: 'var(--ask)' }}>no rate today</span> : <Sum of={tax} />}</dd>
    </>
  );
}
