import { ROUTE_WAYS, type RouteWay } from '@keen-gauge/core/route/ways';
import { ToggleButton } from 'react-aria-components';
import styled from 'styled-components';
import { JOB_ORDERS, JOB_STATES, type JobState } from '@keen-gauge/core/calendar/job-list';
import { STATE_WORDS, type JobsFound } from '../api/jobs';
import { usePeople } from '../api/people';
import { useMedia } from '../app/use-media';
import { Button } from '../kit/Button';
import { ROUTE_NAMES } from '../kit/RouteMark';
import { More } from '../kit/More';
import { Select } from '../kit/Select';
import { filtersSet, ORDER_NAMES, type JobQuery } from './job-query';

const Filters = styled.div`
  display: grid;
  gap: 0.6rem 0.8rem;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 11rem), 1fr));
  align-items: end;
`;

const Toggles = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  grid-column: 1 / -1;
`;

const Toggle = styled(ToggleButton)`
  min-height: 44px;
  padding: 0.3rem 0.9rem;
  border: 1.5px solid var(--strong-line);
  border-radius: 2rem;
  background: var(--surface);
  color: var(--ink);
  font: 500 0.96rem/1.2 var(--text);
  cursor: pointer;
  &[data-selected] {
    background: var(--ink);
    color: var(--surface);
    font-weight: 700;
  }
`;

/** Which of the jobs are to be seen, and in what order. */
export default function JobFilters({
  query,
  stages,
  ask,
}: {
  readonly query: JobQuery;
  readonly stages: JobsFound['stages'];
  readonly ask: (change: Partial<JobQuery>) => void;
}) {
  const { data } = usePeople();
  const wide = useMedia('(min-width: 44rem)');
  const set = filtersSet(query);
  const controls = (
    <Filters role="group" aria-label="Filter and sort">
      <Select
        label="Stage"
        value={query.stage ?? 'all'}
        options={[
          { value: 'all' as const, label: 'All stages' },
          ...JOB_STATES.map((value) => ({ value, label: `${STATE_WORDS[value]} (${stages[value] ?? 0})` })),
        ]}
        onChange={(stage: JobState | 'all') => {
          ask({ stage: stage === 'all' ? undefined : stage });
        }}
      />
      <Select
        label="Route"
        value={query.route ?? 'all'}
        options={[
          { value: 'all' as const, label: 'All routes' },
          ...ROUTE_WAYS.map((value) => ({ value, label: ROUTE_NAMES[value] })),
        ]}
        onChange={(route: RouteWay | 'all') => {
          ask({ route: route === 'all' ? undefined : route });
        }}
      />
      <Select
        label="Person"
        value={query.person ?? 'all'}
        options={[
          { value: 'all', label: 'Everybody' },
          { value: 'nobody', label: 'Not assigned' },
          ...(data?.people ?? []).map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(person) => {
          ask({ person: person === 'all' ? undefined : person });
        }}
      />
      <Select
        label="Sort by"
        value={query.order}
        options={JOB_ORDERS.map((value) => ({ value, label: ORDER_NAMES[value] }))}
        onChange={(order) => {
          ask({ order });
        }}
      />
      <Toggles>
        <Toggle
          isSelected={query.late}
          onChange={(late) => {
            ask({ late });
          }}
        >
          Late only
        </Toggle>
        <Toggle
          isSelected={query.byStage}
          onChange={(byStage) => {
            ask({ byStage });
          }}
        >
          Group by stage
        </Toggle>
        <Toggle
          isSelected={query.archived}
          onChange={(archived) => {
            ask({ archived });
          }}
        >
          Archived
        </Toggle>
        {set > 0 && (
          <Button
            onPress={() => {
              ask({ stage: undefined, route: undefined, person: undefined, late: false, archived: false });
            }}
          >
            Clear {set === 1 ? 'the filter' : `${set} filters`}
          </Button>
        )}
      </Toggles>
    </Filters>
  );
  if (wide) return controls;
  return (
    <More label="Filter and sort" note={set === 0 ? undefined : `${set} set`}>
      {controls}
    </More>
  );
}
