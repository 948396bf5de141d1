import { ROUTE_WAYS, type RouteWay } from '@keen-gauge/core/route/ways';
import { useSearchParams } from 'react-router';
import { JOB_ORDERS, JOB_STATES, type JobOrder, type JobState } from '@keen-gauge/core/calendar/job-list';

export const ORDER_NAMES: Readonly<Record<JobOrder, string>> = {
  changed: 'Changed last',
  next: 'Next date',
  stage: 'Stage',
  route: 'Route',
  person: 'Person',
  place: 'Place',
  number: 'Newest first',
};

/** What of the jobs is to be seen: kept in the address, so that it can be sent to somebody and comes back with Back. */
export interface JobQuery {
  readonly search: string;
  readonly stage: JobState | undefined;
  readonly route: RouteWay | undefined;
  /** A person’s id, or `nobody`. */
  readonly person: string | undefined;
  readonly late: boolean;
  readonly archived: boolean;
  readonly order: JobOrder;
  readonly byStage: boolean;
  readonly page: number;
}

export function readQuery(address: URLSearchParams): JobQuery {
  const oneOf = <T extends string>(values: readonly T[], name: string): T | undefined =>
    values.find((value) => value === address.get(name));
  const page = Number(address.get('page') ?? 0);
  return {
    search: address.get('search') ?? '',
    stage: oneOf(JOB_STATES, 'stage'),
    route: oneOf(ROUTE_WAYS, 'route'),
    person: address.get('person') ?? undefined,
    late: address.get('late') === 'yes',
    archived: address.get('archived') === 'yes',
    order: oneOf(JOB_ORDERS, 'order') ?? 'changed',
    byStage: address.get('group') === 'stage',
    page: Number.isInteger(page) && page > 0 ? page : 0,
  };
}

/** The shortest address that asks for this; for all jobs, none. */
export function writeQuery(query: JobQuery): URLSearchParams {
  const address = new URLSearchParams();
  const put = (name: string, value: string | undefined): void => {
    if (value !== undefined && value !== '') address.set(name, value);
  };
  put('search', query.search);
  put('stage', query.stage);
  put('route', query.route);
  put('person', query.person);
  put('late', query.late ? 'yes' : undefined);
  put('archived', query.archived ? 'yes' : undefined);
  put('order', query.order === 'changed' ? undefined : query.order);
  put('group', query.byStage ? 'stage' : undefined);
  put('page', query.page > 0 ? String(query.page) : undefined);
  return address;
}

/** How many filters are set, not counting the search, which is in sight. */
export function filtersSet({ stage, route, person, late, archived }: JobQuery): number {
  return [stage, route, person].filter((each) => each !== undefined).length + Number(late) + Number(archived);
}

/** What is asked for, and asking for something else; any change but of the page begins at the first page. */
export function useJobQuery(): [JobQuery, (change: Partial<JobQuery>) => void] {
  const [address, setAddress] = useSearchParams();
  const query = readQuery(address);
  return [
    query,
    (change) => {
      // Typing a search fills no history: Back leaves the list, not a letter.
      setAddress(writeQuery({ ...query, page: 0, ...change }), { replace: 'search' in change });
    },
  ];
}
