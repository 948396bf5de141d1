import { differencesOf, withAlikeDwellings } from '@keen-gauge/core/site/alike';
import type { SupplyOfSite } from '@keen-gauge/core/site/supplies';
import { worstPhase } from '@keen-gauge/core/demand/per-phase';
import { shown } from '@keen-gauge/core/rules/rounding';
import { exceeds } from '@keen-gauge/core/worked';
import type { SupplyOwner } from '@keen-gauge/core/survey/words/site-words';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Button } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { More, MoreOnPhone } from '../kit/More';
import { Panel, Row } from '../kit/Panel';
import { Searched } from '../kit/Searched';
import { Track } from '../kit/Track';
import { BoundText, freshId } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';

/** So many are read at a glance. */
const AT_A_GLANCE = 8;

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.5rem;
  @media (min-width: 60rem) {
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 0.5rem 1.4rem;
    align-items: start;
  }
`;

const Line = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 0.6rem;
  align-items: baseline;
`;

/** Every supply behind the intake with what it carries of its fuse. */
export function SuppliesPanel({ supplies }: { readonly supplies: readonly SupplyOfSite[] }) {
  const { job, survey, store } = useSurvey();
  // The first dwelling that is recorded: others are told apart from it.
  const like = supplies.find(({ whose, empty }) => whose === 'dwelling' && !empty);
  const bare = supplies.filter(({ whose, empty }) => whose === 'dwelling' && empty);
  return (
    <Panel aria-label="Supplies">
      <h2>Supplies</h2>
      {supplies.length < 2 ? (
        <p>
          One supply recorded. Draw several dwellings or a landlord’s supply in the{' '}
          <Link to={`/jobs/${job.id}/line-up`}>line-up</Link>: a fuse and a meter for each.
        </p>
      ) : (
        <p className="quiet">
          Maximum demand on the fullest phase, and the fuse. Record which supply is the landlord’s.
        </p>
      )}
      {like && bare.length > 0 && (
        <Row>
          <Button
            onPress={() => {
              store.edit(
                withAlikeDwellings(
                  survey,
                  like.nodeId,
                  bare.map(({ nodeId }) => nodeId),
                ),
              );
            }}
          >
            Copy the loads of {like.label} to{' '}
            {bare.length === 1 ? bare[0]?.label : `the other ${bare.length} dwellings`}
          </Button>
          <span className="quiet">Copied loads are assumed until you confirm them.</span>
        </Row>
      )}
      <MoreOnPhone label="Supply by supply" note={fullestWords(supplies)}>
        <Searched
          label="Search supplies"
          of={supplies}
          textOf={({ label, customerName = '' }) => `${label} ${customerName}`}
          atAGlance={AT_A_GLANCE}
        >
          {(seen) => (
            <List>
              {seen.map((supply) => (
                <Supply key={supply.nodeId} supply={supply} like={like} />
              ))}
            </List>
          )}
        </Searched>
      </MoreOnPhone>
    </Panel>
  );
}

/** The supply that has least left for its fuse, in words. */
function fullestWords(supplies: readonly SupplyOfSite[]): string {
  const rated = supplies.flatMap(({ label, ratingA, before, empty }) => {
    const now = worstPhase(before).value;
    return empty || ratingA === null || now === null ? [] : [{ label, now, ratingA }];
  });
  const [fullest] = rated.sort((a, b) => b.now / b.ratingA - a.now / a.ratingA);
  return fullest
    ? `${supplies.length}, fullest ${fullest.label}: ${shown(fullest.now)} of ${fullest.ratingA} A`
    : `${supplies.length}`;
}

function Supply({ supply, like }: { readonly supply: SupplyOfSite; readonly like: SupplyOfSite | undefined }) {
  const { label, ratingA, empty, before, line, customerName, whose } = supply;
  const now = worstPhase(before);
  const nowA = empty ? null : now.value;
  const over = nowA !== null && ratingA !== null && exceeds(nowA, ratingA);
  return (
    <li>
      <Line>
        <span>
          <strong>{label}</strong>
          {line !== undefined && <span className="quiet"> {line}</span>}
          {customerName !== undefined && <span className="quiet">, {customerName}</span>}
        </span>
        <span className="figures">
          {nowA === null ? '?' : `${now.bound === 'at-least' ? 'at least ' : ''}${shown(nowA)}`} of {ratingA ?? '?'} A
        </span>
      </Line>
      <Track aria-hidden>
        {nowA !== null && ratingA !== null && (
          <span
            style={{
              width: `${Math.min(100, (nowA / ratingA) * 100)}%`,
              ...(over ? { background: 'var(--hold)' } : {}),
            }}
          />
        )}
      </Track>
      {over && <strong style={{ color: 'var(--hold)' }}>Over its rating</strong>}
      {empty && <span className="quiet">No loads recorded: demand not known.</span>}
      <More label={whose === 'landlord' ? 'The landlord’s' : 'A dwelling’s'} note="owner and meter point">
        {like && like !== supply && whose === 'dwelling' && !empty && <Differences like={like} supply={supply} />}
        <Whose supply={supply} />
      </More>
    </li>
  );
}

/** How a dwelling’s loads differ from those of the one the others are like. */
function Differences({ like, supply }: { readonly like: SupplyOfSite; readonly supply: SupplyOfSite }) {
  const { survey } = useSurvey();
  const { more, less } = differencesOf(survey, like.nodeId, supply.nodeId);
  if (more.length + less.length === 0) return <p className="quiet">Same loads as {like.label}.</p>;
  return (
    <p>
      Compared with {like.label}:{more.length > 0 && ` also ${more.join(', ')}`}
      {more.length > 0 && less.length > 0 && ';'}
      {less.length > 0 && ` no ${less.join(', ')}`}.
    </p>
  );
}

/** Whose a supply is. Recording the first thing of it makes its entry. */
function Whose({ supply: { nodeId, whose, label } }: { readonly supply: SupplyOfSite }) {
  const { survey, store, job } = useSurvey();
  const { site } = survey;
  const entry = site?.supplies?.find((each) => each.nodeId === nodeId);
  const say = (owner: SupplyOwner): void => {
    const others = (site?.supplies ?? []).filter((each) => each !== entry);
    const said = { ...(entry ?? { id: freshId('supply'), nodeId }), whose: owner };
    store.edit({ ...survey, site: { ...site, supplies: [...others, said] } });
  };
  return (
    <>
      <Choice
        label={`Whose supply is ${label}?`}
        value={entry?.whose ?? (entry ? whose : undefined)}
        options={[
          { value: 'dwelling', label: 'A dwelling’s' },
          { value: 'landlord', label: 'The landlord’s' },
        ]}
        onChange={say}
        tile="9rem"
      />
      {entry && (
        <>
          <BoundText path={['site', 'supplies', entry.id, 'customerName']} label="Customer" />
          <BoundText path={['site', 'supplies', entry.id, 'meterPointNumber']} label="Meter point number" />
          <p>
            <Link to={`/jobs/${job.id}/pack?supply=${nodeId}`}>Pack for this supply</Link>
          </p>
        </>
      )}
    </>
  );
}
