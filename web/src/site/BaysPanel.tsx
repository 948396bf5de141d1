import type { Combination, ComparedBay, SiteAdvice } from '@keen-gauge/core/site/combination';
import { pinnedTo } from '@keen-gauge/core/site/combination';
import type { BayWay } from '@keen-gauge/core/site/bay-ways';
import type { SupplyOfSite } from '@keen-gauge/core/site/supplies';
import { shown } from '@keen-gauge/core/rules/rounding';
import { BAY_SUPPLIES, type BaySupply } from '@keen-gauge/core/survey/words/site-words';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Button, MainButton } from '../kit/Button';
import { More } from '../kit/More';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { Searched } from '../kit/Searched';
import { Select } from '../kit/Select';
import { StateMark, stateOf, type State } from '../kit/StateMark';
import { useSurvey } from '../survey/SurveyContext';
import { useWhatIf } from '../what-if/use-what-if';
import { BayFields } from './BayFields';
import { poundsWords, SUPPLY_WORDS, weeksWords } from './site-words';

/** So many are read at a glance. */
const AT_A_GLANCE = 12;

const Bays = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  & > li {
    border-top: 1px solid var(--line);
  }
`;

/** A bay in a line: its name, and what each supply says. */
const Line = styled.span`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0 0.8rem;
  padding: 0.25rem 0;
  @media (min-width: 44rem) {
    grid-template-columns: 8rem minmax(0, 1fr);
    align-items: center;
  }
`;

const Marks = styled.span`
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.5rem;
  font-size: 0.82rem;
  @media (min-width: 44rem) {
    gap: 0 0.8rem;
    font-size: 0.92rem;
  }
  & > span[data-taken='true'] {
    border-bottom: 3px solid var(--ink);
  }
`;

const Ways = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.35rem;
  @media (min-width: 44rem) {
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 0.6rem;
  }
  & > li {
    padding: 0.3rem 0.5rem;
    border-left: 4px solid var(--line);
    line-height: 1.35;
  }
  & > li[data-taken='true'] {
    border-left-color: var(--ink);
    background: var(--raised);
  }
`;

/** Every bay compared over the supplies that could feed it, and what is recommended for all of them. */
export function BaysPanel({ supplies }: { readonly supplies: readonly SupplyOfSite[] }) {
  const { survey, job, store } = useSurvey();
  const { answer, isCurrent, hasFailed } = useWhatIf('siteAdvice');
  const outlets = survey.pool?.outlets ?? [];
  const ownerless = outlets.filter(({ ownNodeId }) => ownNodeId === undefined);
  const dwellings = supplies.filter(({ whose }) => whose === 'dwelling');
  if (outlets.length === 0)
    return (
      <Panel aria-label="Which supply feeds which bay">
        <h2>Which supply feeds which bay</h2>
        <p>
          No bays recorded. <Link to={`/jobs/${job.id}/pool`}>Lay out the row</Link>.
        </p>
      </Panel>
    );
  const shareOut = (): void => {
    const taken = new Set(outlets.map(({ ownNodeId }) => ownNodeId));
    const left = dwellings.filter(({ nodeId }) => !taken.has(nodeId));
    const given = outlets.map((each) => {
      const next = each.ownNodeId === undefined ? left.shift() : undefined;
      return next ? { ...each, ownNodeId: next.nodeId } : each;
    });
    store.edit({ ...survey, pool: { ...survey.pool, outlets: given } });
  };
  return (
    <Panel aria-label="Which supply feeds which bay" aria-busy={!isCurrent}>
      <h2>Which supply feeds which bay</h2>
      {hasFailed && <Notice kind="act" title="The bays could not be compared. Change anything to try again." />}
      {answer ? <Advice advice={answer} isCurrent={isCurrent} /> : !hasFailed && <p className="quiet">Comparing…</p>}
      {ownerless.length > 0 && dwellings.length > 0 && (
        <Row>
          <Button onPress={shareOut}>Give each dwelling one bay</Button>
          <span className="quiet">
            {ownerless.length} of {outlets.length} bays: owner’s supply not recorded.
          </span>
        </Row>
      )}
      {answer && (
        <Searched label="Search bays" of={answer.bays} textOf={({ label }) => label} atAGlance={AT_A_GLANCE}>
          {(seen) => (
            <Bays aria-label="Bays">
              {seen.map((bay) => (
                <Bay key={bay.id} bay={bay} supplies={supplies} best={answer.best} />
              ))}
            </Bays>
          )}
        </Searched>
      )}
    </Panel>
  );
}

function Advice({ advice, isCurrent }: { readonly advice: SiteAdvice; readonly isCurrent: boolean }) {
  const { survey, store } = useSurvey();
  const { best, because, others, reaches } = advice;
  const isPinned = (survey.pool?.outlets ?? []).every(({ pinned }) => pinned !== undefined);
  return (
    <Stack style={isCurrent ? { '--gap': '0.5rem' } : { '--gap': '0.5rem', opacity: 0.55 }}>
      {best ? (
        <>
          <p style={{ fontSize: '1.15rem', margin: 0 }}>
            <strong>{countsWords(best)}</strong>
          </p>
          <p>
            {because} {takesWords(best)}
            {best.setPointA !== null && ` Set-point ${best.setPointA} A.`}
          </p>
          {best.toAgree.length > 0 && <p>Ask first: {best.toAgree.join('; ')}.</p>}
          <Row>
            {!isPinned && (
              <MainButton
                onPress={() => {
                  const outlets = pinnedTo(survey.pool?.outlets ?? [], best);
                  store.edit({ ...survey, pool: { ...survey.pool, outlets } });
                }}
              >
                Use this plan
              </MainButton>
            )}
          </Row>
        </>
      ) : (
        <Notice kind="ask" title="Nothing can be recommended yet.">
          {because}
        </Notice>
      )}
      <p className="quiet">
        Landlord’s supply: {reaches.landlord.why} New supply: {reaches.new.why}
      </p>
      {others.length > 0 && (
        <More label="Other plans" note="one supply for all, and plans that fail">
          <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
            {others.map((each) => (
              <li key={each.choices.map(({ supply }) => supply).join()}>
                <strong>{countsWords(each)}</strong> <StateMark {...verdictOf(each.holds, each.toAgree.length > 0)} />{' '}
                {each.holds !== true && each.why} {takesWords(each)}
              </li>
            ))}
          </ul>
        </More>
      )}
    </Stack>
  );
}

/** How many bays each supply feeds. */
export function countsWords({ counts }: Pick<Combination, 'counts'>): string {
  const words: Readonly<Record<BaySupply, (count: number) => string>> = {
    own: (count) => `${count} on ${count === 1 ? 'its own supply' : 'their own supplies'}`,
    landlord: (count) => `${count} on the landlord’s supply`,
    new: (count) => `${count} on a new supply`,
  };
  return BAY_SUPPLIES.filter((each) => counts[each] > 0)
    .map((each) => words[each](counts[each]))
    .join(', ');
}

/** What a combination costs together and one at a time, and how long it waits. */
function takesWords({ pounds, singlyPounds, weeks, band }: Combination): string {
  const money =
    pounds === null
      ? `Cost: ${band === 'none' ? 'nothing beyond the work' : band}; price not entered.`
      : singlyPounds !== null && singlyPounds !== pounds
        ? `${poundsWords(pounds)} done together, ${poundsWords(singlyPounds)} one at a time.`
        : `${poundsWords(pounds)}.`;
  return `${money} Wait: ${weeksWords(weeks)}.`;
}

function Bay({
  bay,
  supplies,
  best,
}: {
  readonly bay: ComparedBay;
  readonly supplies: readonly SupplyOfSite[];
  readonly best: Combination | null;
}) {
  const { survey, store } = useSurvey();
  const taken = bay.pinned ?? best?.choices.find(({ bayId }) => bayId === bay.id)?.supply;
  const pin = (to: BaySupply | 'recommended'): void => {
    const outlets = (survey.pool?.outlets ?? []).map((each) => {
      if (each.id !== bay.id) return each;
      const { pinned: _pinned, ...rest } = each;
      return to === 'recommended' ? rest : { ...rest, pinned: to };
    });
    store.edit({ ...survey, pool: { ...survey.pool, outlets } });
  };
  return (
    <li>
      <More
        label={
          <Line>
            <strong>{bay.label}</strong>
            <Marks>
              {BAY_SUPPLIES.map((supply) => {
                const { state, words } = wayVerdict(bay.ways[supply]);
                return (
                  <span key={supply} data-taken={taken === supply}>
                    <StateMark state={state} words={`${SHORT[supply]}: ${words}`} />
                    {taken === supply && <span className="unseen"> (chosen)</span>}
                  </span>
                );
              })}
            </Marks>
          </Line>
        }
      >
        <Select
          label={`${bay.label} is fed from`}
          value={bay.pinned ?? 'recommended'}
          options={[
            { value: 'recommended', label: 'As recommended' },
            ...BAY_SUPPLIES.map((value) => ({ value, label: `Always ${SUPPLY_WORDS[value].toLowerCase()}` })),
          ]}
          onChange={pin}
        />
        <Ways aria-label={`Ways to feed ${bay.label}`}>
          {BAY_SUPPLIES.map((supply) => (
            <li key={supply} data-taken={taken === supply}>
              <WayWords way={bay.ways[supply]} isTaken={taken === supply} />
            </li>
          ))}
        </Ways>
        <BayFields bayId={bay.id} label={bay.label} supplies={supplies} />
      </More>
    </li>
  );
}

const SHORT: Readonly<Record<BaySupply, string>> = { own: 'Own', landlord: 'Landlord’s', new: 'New' };

/** OK only where nobody is left to ask. */
function verdictOf(holds: boolean | null, isToAsk: boolean): { readonly state: State; readonly words: string } {
  if (holds === true && isToAsk) return { state: 'not-known', words: 'Check' };
  return { state: stateOf(holds), words: holds === null ? 'Not known yet' : holds ? 'OK' : 'Fails' };
}

function wayVerdict({ holds, agrees }: BayWay): ReturnType<typeof verdictOf> {
  return verdictOf(holds, agrees.who !== null && agrees.answer !== 'yes');
}

function WayWords({ way, isTaken }: { readonly way: BayWay; readonly isTaken: boolean }) {
  const { supply, holds, why, mostA, cable, agrees, weeks, pounds } = way;
  return (
    <>
      <strong>{SUPPLY_WORDS[supply]}</strong> <StateMark {...wayVerdict(way)} />
      {isTaken && <span className="quiet"> chosen</span>}
      <div className="quiet">
        {why}
        {holds === true && mostA !== null && supply === 'own' && `, ${chargesWords(way)}.`}
        {cable && (
          <>
            {' '}
            {shown(cable.lengthM, 'm')} m of {cable.sizeMm2 ?? '?'} mm² armoured
            {cable.dropPercent !== null && `, ${shown(cable.dropPercent, '%')} % volt drop`}.
          </>
        )}{' '}
        {PAYS[supply]}
        {agrees.who !== null &&
          ` ${agrees.who}: ${agrees.answer === 'yes' ? 'agrees' : agrees.answer === 'no' ? 'does not agree' : 'ask'}.`}{' '}
        {pounds !== null && `${poundsWords(pounds)}${supply === 'own' ? '' : ' each, plus the shared cost'}.`} Wait:{' '}
        {weeksWords(weeks)}.
      </div>
    </>
  );
}

/** What an own supply charges at. */
function chargesWords({ mostA, leastA }: BayWay): string {
  if (leastA === null || leastA === mostA) return `${mostA ?? '?'} A`;
  return `${mostA ?? '?'} A at most, ${leastA < 6 ? 'paused' : `${leastA} A`} while everything else runs`;
}

/** Whose meter the energy passes. */
const PAYS: Readonly<Record<BaySupply, string>> = {
  own: 'Energy through the dwelling’s meter.',
  landlord: 'Energy billed by the building manager.',
  new: 'Energy billed by the building manager.',
};
