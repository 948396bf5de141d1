import { JOB_STATES, type JobState } from '@keen-gauge/core/calendar/job-list';
import type { OrderList, OrderRow } from '@keen-gauge/core/order/order-list';
import { Download } from 'lucide-react';
import { useDeferredValue, useState } from 'react';
import { useOutletContext } from 'react-router';
import styled from 'styled-components';
import { askOrder } from '../api/prices';
import { jobNumber, STATE_WORDS, type Job } from '../api/jobs';
import type { Me } from '../api/me';
import { useSubmit } from '../api/use-submit';
import { useTitle } from '../app/use-title';
import { Waiting } from '../app/Waiting';
import { useJobs } from '../jobs/use-jobs';
import { QUOTATION_WORDS } from '../stations/quotation/quotation-words';
import { Button, MainButton } from '../kit/Button';
import { saveCsv } from '../kit/csv';
import { More } from '../kit/More';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { TickRow, Ticks } from '../kit/TickRow';
import { TextInput } from '../kit/TextInput';
import { Pounds } from '../price/Pounds';

const Page = styled.main`
  max-width: 60rem;
  margin: 0 auto;
  padding: 1rem clamp(0.7rem, 2vw, 1.4rem) 3rem;
`;

const Buy = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.1rem 0.8rem;
  padding: 0.4rem 0;
  border-top: 1px solid var(--line);
`;

/** What to buy over chosen jobs, by supplier. What was accepted and is not fitted yet is bought for first; any other job is found by its words. */
export default function OrderPage() {
  useTitle('Order');
  const me = useOutletContext<Me>();
  const [sought, setSought] = useState('');
  const wanted = useDeferredValue(sought.trim());
  const { data: ordered } = useJobs('to-buy=yes', me.id);
  const { data: others } = useJobs(wanted === '' ? '' : `search=${encodeURIComponent(wanted)}`, me.id);
  const [chosen, setChosen] = useState<ReadonlyMap<string, Job | null>>(new Map());
  const [found, setFound] = useState<OrderList>();
  const { isBusy, problem, submit } = useSubmit();
  const first = (ordered?.jobs ?? []).filter(isOrdered);
  // Those chosen stay in sight, whatever is sought next.
  const kept = [...chosen.values()].filter((job) => job !== null);
  const matching = (wanted === '' ? [] : (others?.jobs ?? [])).filter(({ state }) => state !== 'closed');
  const jobs = [...new Map([...first, ...kept, ...matching].map((job) => [job.id, job])).values()];
  const isPicked = (job: Job): boolean => (chosen.has(job.id) ? chosen.get(job.id) !== null : isOrdered(job));
  const picked = jobs.filter(isPicked).map(({ id }) => id);
  return (
    <Page id="main">
      <Stack>
        <h1>Order</h1>
        <Panel aria-label="For which jobs">
          <h2>For which jobs</h2>
          {!ordered && <Waiting />}
          {ordered && first.length === 0 && (
            <p className="quiet">
              No job has been accepted that is not fitted yet. Search for one to order for it all the same.
            </p>
          )}
          {ordered && ordered.total > ordered.jobs.length && (
            <p className="quiet">
              The {ordered.jobs.length} of {ordered.total} accepted jobs that changed last; search for another.
            </p>
          )}
          <Ticks>
            {jobs.map((job) => (
              <TickRow
                key={job.id}
                isSelected={isPicked(job)}
                onChange={(isOn) => {
                  setChosen(new Map([...chosen, [job.id, isOn ? job : null]]));
                }}
              >
                <strong>{job.place}</strong>{' '}
                <span className="quiet">
                  <span style={{ whiteSpace: 'nowrap' }}>{jobNumber(job.number)}</span>,{' '}
                  {STATE_WORDS[job.state].toLowerCase()}
                  {job.quotation != null && `, quotation ${QUOTATION_WORDS[job.quotation]}`}
                </span>
              </TickRow>
            ))}
          </Ticks>
          <TextInput label="Search for other jobs" type="search" value={sought} onChange={setSought} />
          {wanted !== '' && others && matching.length === 0 && <p className="quiet">No match.</p>}
          {problem !== undefined && <Notice kind="act" title={problem} />}
          <div>
            <MainButton
              isDisabled={picked.length === 0 || isBusy}
              onPress={() =>
                void submit(async () => {
                  setFound(await askOrder(picked));
                })
              }
            >
              {isBusy ? 'Adding up …' : `What to buy for ${picked.length} job${picked.length === 1 ? '' : 's'}`}
            </MainButton>
          </div>
        </Panel>
        {found && <Found list={found} />}
      </Stack>
    </Page>
  );
}

const ORDERED: ReadonlySet<JobState> = new Set(JOB_STATES.filter((state) => state !== 'fitted' && state !== 'closed'));
const isOrdered = ({ quotation, state }: Job): boolean => quotation === 'accepted' && ORDERED.has(state);

function Found({ list: { suppliers, open } }: { readonly list: OrderList }) {
  return (
    <>
      {open.length > 0 && (
        <Notice
          kind="ask"
          title={`${open.length} line${open.length === 1 ? '' : 's'} without an item: order these yourself`}
        >
          <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
            {open.map(({ job, text }, at) => (
              <li key={at}>
                {job}: {text}
              </li>
            ))}
          </ul>
        </Notice>
      )}
      {suppliers.length === 0 && <p role="status">Nothing to buy: it is all in the van, or loaded.</p>}
      {suppliers.length > 0 && (
        <Row>
          <Button onPress={() => void saveCsv('order.csv', rowsOf(suppliers))}>
            <Download size={18} aria-hidden /> Save as CSV
          </Button>
        </Row>
      )}
      {suppliers.map(({ supplier, rows, pence }) => (
        <Panel key={supplier} aria-label={supplier === '' ? 'No supplier in the list' : supplier}>
          <Row style={{ justifyContent: 'space-between' }}>
            <h2>{supplier === '' ? 'No supplier in the list' : supplier}</h2>
            {pence > 0 && <Pounds of={pence} />}
          </Row>
          <ul style={{ listStyle: 'none', margin: 0, padding: 0 }}>
            {rows.map((row) => (
              <Buy key={row.item}>
                <strong>{row.name}</strong>
                <span className="figures">{amount(row.buy, row.unit)}</span>
                <span className="quiet">
                  {row.supplierCode !== '' && `${row.supplierCode}; `}
                  {amount(row.need, row.unit)} needed
                  {row.inVan > 0 && `, ${amount(row.inVan, row.unit)} in the van`}
                  {row.soldIn !== null && `, sold in ${amount(row.soldIn, row.unit)}`}
                </span>
                <span>{row.pence !== null && <Pounds of={row.pence} />}</span>
              </Buy>
            ))}
          </ul>
          <More label="For which jobs">
            <p>{[...new Set(rows.flatMap(({ jobs }) => jobs))].join(' · ')}</p>
          </More>
        </Panel>
      ))}
    </>
  );
}

const amount = (value: number, unit: string): string => `${Math.round(value * 10) / 10} ${unit === 'm' ? 'm' : '×'}`;

function rowsOf(suppliers: OrderList['suppliers']): string[][] {
  return [
    ['Supplier', 'Code', 'Item', 'Buy', 'Unit', 'Needed', 'In the van', 'Price (£)', 'Jobs'],
    ...suppliers.flatMap(({ supplier, rows }) =>
      rows.map((row: OrderRow) => [
        supplier,
        row.supplierCode,
        row.name,
        String(row.buy),
        row.unit,
        String(row.need),
        String(row.inVan),
        row.pence === null ? '' : (row.pence / 100).toFixed(2),
        row.jobs.join('; '),
      ]),
    ),
  ];
}
