import type { Assessment } from '@keen-gauge/core/assessment';
import { settlingPath } from '@keen-gauge/core/settling-path';
import { answerWords, type Ground, type Verdict } from '@keen-gauge/core/grounds/verdict';
import { CheckCheck, ChevronDown, CircleHelp, TriangleAlert } from 'lucide-react';
import { Button, Disclosure, DisclosurePanel, Heading } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { stateOf, StateMark } from '../kit/StateMark';
import { fieldUrl } from '../stations/arrival';
import { STATION_NAMES } from '../stations/station-names';
import { useSurvey } from '../survey/SurveyContext';

const List = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--line);
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 24rem), 1fr));
  gap: 0 1.6rem;
`;

const Item = styled.li`
  border-bottom: 1px solid var(--line);
  container-type: inline-size;
  & h3 {
    margin: 0;
    font-size: inherit;
  }
`;

const Opener = styled(Button)`
  display: grid;
  grid-template-columns: minmax(min-content, 1fr) auto 1.3rem;
  gap: 0 0.7rem;
  align-items: center;
  width: 100%;
  min-height: 44px;
  padding: 0.3rem 0;
  border: 0;
  background: transparent;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
  &[data-hovered] {
    background: var(--raised);
  }
  &[aria-expanded='true'] > svg {
    transform: rotate(180deg);
  }
  /* Letters so large that the answer does not fit beside what it answers. */
  @container (max-width: 15rem) {
    grid-template-columns: minmax(0, 1fr) 1.3rem;
    & > :nth-child(2) {
      grid-row: 2;
    }
  }
`;

const Why = styled.span`
  display: block;
  font-weight: 400;
  font-size: 0.92rem;
  color: var(--quiet);
`;

const Rests = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.3rem;
  & > li {
    display: grid;
    grid-template-columns: 1.4rem minmax(0, 1fr);
    gap: 0.4rem;
    font-size: 0.95rem;
  }
  & svg {
    margin-top: 0.15rem;
  }
`;

const GROUND_SHAPES = { met: CheckCheck, failed: TriangleAlert, open: CircleHelp } as const;
const GROUND_COLOURS = { met: 'var(--fit)', failed: 'var(--hold)', open: 'var(--ask)' } as const;
const GROUND_WORDS = { met: 'OK', failed: 'Fails', open: 'Not known yet' } as const;

/** Verdicts, each with its answer and why; opening one shows everything it rests on. */
export function Verdicts({ verdicts }: { readonly verdicts: readonly Verdict[] }) {
  return (
    <List>
      {verdicts.map((verdict) => (
        <Item key={verdict.id}>
          <Disclosure>
            <Heading level={3}>
              <Opener slot="trigger">
                <span>
                  {verdict.name}
                  <Why>
                    {verdict.why}
                    {verdict.assumed && ' Rests on something assumed.'}
                  </Why>
                </span>
                <StateMark state={stateOf(verdict.answer)} words={answerWords(verdict.answer)} />
                <ChevronDown size={18} aria-hidden />
              </Opener>
            </Heading>
            <DisclosurePanel style={{ padding: '0 0 0.6rem 0.6rem' }}>
              <Grounds grounds={verdict.grounds} />
            </DisclosurePanel>
          </Disclosure>
        </Item>
      ))}
    </List>
  );
}

/** What something rests on, each ground met, failed or open, with the way to where an open or failed one is settled. */
export function Grounds({ grounds }: { readonly grounds: readonly Ground[] }) {
  const { job, assessment } = useSurvey();
  return (
    <Rests>
      {grounds.map((ground, at) => {
        const Shape = GROUND_SHAPES[ground.state];
        const settled = settledAt(ground, assessment);
        return (
          <li key={at}>
            <Shape size={17} style={{ color: GROUND_COLOURS[ground.state] }} aria-label={GROUND_WORDS[ground.state]} />
            <span>
              {ground.says}
              {ground.assumed !== undefined && <em> (assumed: {ground.assumed})</em>}
              {settled && (
                <>
                  {' '}
                  <Link to={fieldUrl(job.id, settled.station, settled.field)}>{STATION_NAMES[settled.station]}</Link>
                </>
              )}
            </span>
          </li>
        );
      })}
    </Rests>
  );
}

/** Where what stands behind a ground is answered or put right. */
function settledAt({ findingId, subjectId }: Ground, { findings }: Pick<Assessment, 'findings'>) {
  const found = findings.find((each) => each.id === findingId && each.subjectId === subjectId);
  return found && { station: found.station, field: settlingPath(found) };
}
