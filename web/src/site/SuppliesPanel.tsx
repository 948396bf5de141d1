import { differencesOf, withAlikeDwellings } from '@keen-gauge/core/site/alike';
import type { SupplyOfSite } from '@keen-gauge/core/site/supplies';
import { worstPhase } from '@keen-gauge/core/demand/per-phase';
import { shown } from '@keen-gauge/core/rules/rounding';
import { exceeds } from '@keen-gauge/core/worked';
import type { SupplyOwner } from '@keen-gauge/core/survey/words/site-words';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Button } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { More, MoreOnPhone } from '../kit/More';
import { Panel, Row } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { BoundText, freshId } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';

/** So many are read at a glance; more are looked for. */
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

const Track = styled.div`
  position: relative;
  height: 12px;
  border: 1.5px solid var(--strong-line);
  border-radius: 6px;
  overflow: hidden;
  & > span {
    position: absolute;
    inset-block: 0;
    left: 0;
    background: var(--now);
  }
`;

/** Every supply behind the intake with what it carries of its fuse. */
export function SuppliesPanel({ supplies }: { readonly supplies: readonly SupplyOfSite[] }) {
  const { job, survey, store } = useSurvey();
  const [sought, setSought] = useState('');
  const [all, setAll] = useState(false);
  const found = supplies.filter(({ label, customerName = '' }) =>
    `${label} ${customerName}`.toLowerCase().includes(sought.trim().toLowerCase()),
  );
  // The first dwelling that is recorded: others are told apart from it.
  const like = supplies.find(({ whose, empty }) => whose === 'dwelling' && !empty);
  const bare = supplies.filter(({ whose, empty }) => whose === 'dwelling' && empty);
  const seen = all || sought !== '' ? found : found.slice(0, AT_A_GLANCE);
  return (
    <Panel aria-label="Supplies">
      <h2>Supplies</h2>
      {supplies.length < 2 ? (
        <p>
          One supply is recorded. Several dwellings or a landlord’s supply are drawn in the{' '}
          <Link to={`/jobs/${job.id}/line-up`}>line-up</Link>: a fuse and a meter for each.
        </p>
      ) : (
        <p className="quiet">Demand on the fullest phase, of the fuse. Say which one is the landlord’s.</p>
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
            {bare.length === 1 ? `${bare[0]?.label ?? ''} is` : `The other ${bare.length} are`} like {like.label}
          </Button>
          <span className="quiet">Its loads are copied, each assumed until it is confirmed there.</span>
        </Row>
      )}
      <MoreOnPhone label="Supply by supply" note={fullestWords(supplies)}>
        {supplies.length > AT_A_GLANCE && (
          <TextInput label="Look for a supply" type="search" value={sought} onChange={setSought} />
        )}
        <List>
          {seen.map((supply) => (
            <Supply key={supply.nodeId} supply={supply} like={like} />
          ))}
        </List>
        {found.length === 0 && <p className="quiet">None is called that.</p>}
        {found.length > seen.length && (
          <Button
            onPress={() => {
              setAll(true);
            }}
          >
            Show all {found.length}
          </Button>
        )}
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
    ? `${supplies.length}, the fullest ${fullest.label}: ${shown(fullest.now)} of ${fullest.ratingA} A`
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
      {empty && <span className="quiet">No loads are recorded here: what it carries is not known.</span>}
      <More label={whose === 'landlord' ? 'The landlord’s' : 'A dwelling’s'} note="whose it is, meter point">
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
  if (more.length + less.length === 0) return <p className="quiet">Its loads are those of {like.label}.</p>;
  return (
    <p>
      Beside {like.label}:{more.length > 0 && ` it has ${more.join(', ')}`}
      {more.length > 0 && less.length > 0 && ';'}
      {less.length > 0 && ` it has not ${less.join(', ')}`}.
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
        label={`Whose is ${label}?`}
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
            <Link to={`/jobs/${job.id}/pack?supply=${nodeId}`}>The pack of this supply</Link>
          </p>
        </>
      )}
    </>
  );
}
