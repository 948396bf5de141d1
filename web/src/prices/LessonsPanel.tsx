import { corrected, type TaskLesson } from '@keen-gauge/core/learning/rates';
import type { MaterialLesson } from '@keen-gauge/core/learning/materials';
import type { KindLesson } from '@keen-gauge/core/learning/wins';
import type { PriceBook } from '@keen-gauge/core/price/price-book';
import { TASK_WORDS } from '@keen-gauge/core/price/tasks';
import { fixed } from '@keen-gauge/core/rules/rounding';
import styled from 'styled-components';
import { ServerProblem } from '../api/client';
import { putPrices, useLessons, usePrices } from '../api/prices';
import { useSubmit } from '../api/use-submit';
import { Waiting } from '../app/Waiting';
import { Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';
import { Pounds } from '../price/Pounds';

const Facts = styled.dl`
  margin: 0;
  display: grid;
  grid-template-columns: fit-content(45%) minmax(0, 1fr);
  gap: 0.1rem 0.8rem;
  & dt {
    color: var(--quiet);
  }
  & dd {
    margin: 0;
  }
`;

/** What the firm’s own jobs teach: hours against the estimate by task, and which quotations were accepted. */
export function LessonsPanel() {
  const { data, error } = useLessons();
  if (error instanceof ServerProblem && error.status === 403)
    return <Notice kind="note" title="Your firm keeps prices from your role." />;
  if (!data) return error ? <Notice kind="act" title="It could not be loaded." /> : <Waiting />;
  return (
    <>
      <Panel aria-label="Hours against the estimate">
        <h2>Hours against the estimate</h2>
        <p className="quiet">
          Of {data.finished} accepted job{data.finished === 1 ? '' : 's'} with hours entered on the crew sheet. A rate
          changes only when somebody takes it over.
        </p>
        {data.tasks.length === 0 && <p>No hours have been entered yet: they are entered at the end of a crew sheet.</p>}
        {data.tasks.map((lesson) => (
          <TaskLine key={lesson.task} lesson={lesson} />
        ))}
      </Panel>
      {data.materials.length > 0 && (
        <Panel aria-label="Materials against the plan">
          <h2>Materials against the plan</h2>
          <p className="quiet">Waste is among your terms at Prices; lengths are the survey’s.</p>
          {data.materials.map((lesson) => (
            <MaterialLine key={lesson.item} lesson={lesson} />
          ))}
        </Panel>
      )}
      <Panel aria-label="Quotations">
        <h2>Quotations</h2>
        {data.kinds.length === 0 && <p>No quotation has been made yet.</p>}
        {data.kinds.map((lesson) => (
          <KindLine key={lesson.kind} lesson={lesson} />
        ))}
      </Panel>
    </>
  );
}

function TaskLine({ lesson: { task, jobs, median, quartiles, wanted } }: { readonly lesson: TaskLesson }) {
  const { data, mutate } = usePrices();
  const { mutate: learnAnew } = useLessons();
  const { isBusy, problem, submit } = useSubmit();
  const rate = data?.book.rates.find((each) => each.task === task);
  const next = median === null || rate?.hours === undefined ? null : corrected(rate.hours, median);
  const take = (book: PriceBook, version: number, hours: number, share: number): void =>
    void submit(async () => {
      const rates = book.rates.map((each) =>
        each.task === task
          ? {
              ...each,
              hours,
              // What is the task's own by surface or ground was estimated by too, and moves with it.
              ...(each.by
                ? {
                    by: each.by.map((one) =>
                      one.hours === undefined ? one : { ...one, hours: corrected(one.hours, share) },
                    ),
                  }
                : {}),
            }
          : each,
      );
      await mutate(await putPrices({ ...book, rates }, version), false);
      await learnAnew();
    });
  return (
    <Stack
      as="section"
      aria-label={TASK_WORDS[task].name}
      style={{ '--gap': '0.3rem', borderTop: '1px solid var(--line)', paddingTop: '0.5rem' }}
    >
      <strong>{TASK_WORDS[task].name}</strong>
      {median === null || quartiles === null ? (
        <p className="quiet">
          {jobs} job{jobs === 1 ? '' : 's'} so far; {wanted} more before a rate is suggested.
        </p>
      ) : (
        <p>
          Typically <strong>{fixed(median, 2)}</strong> × the present rate, over {jobs} jobs; half of them between{' '}
          {fixed(quartiles[0], 2)} and {fixed(quartiles[1], 2)}.
        </p>
      )}
      {next !== null && median !== null && data && rate?.hours !== undefined && next !== rate.hours && (
        <Row>
          <span>
            {rate.hours} h each {TASK_WORDS[task].per} now; {next} h would have been right.
          </span>
          <Button
            isDisabled={isBusy}
            onPress={() => {
              take(data.book, data.version, next, median);
            }}
          >
            Take {next} h over
          </Button>
        </Row>
      )}
      {problem !== undefined && <Notice kind="act" title={problem} />}
    </Stack>
  );
}

function MaterialLine({ lesson: { item, jobs, median, quartiles, wanted } }: { readonly lesson: MaterialLesson }) {
  const { data } = usePrices();
  const name = data?.book.items.find(({ id }) => id === item)?.name ?? item;
  return (
    <div style={{ borderTop: '1px solid var(--line)', paddingTop: '0.5rem' }}>
      <strong>{name}</strong>
      {median === null || quartiles === null ? (
        <p className="quiet">
          {jobs} job{jobs === 1 ? '' : 's'} so far; {wanted} more before anything can be said.
        </p>
      ) : (
        <p>
          Typically <strong>{fixed(median, 2)}</strong> × what was planned, over {jobs} jobs; half of them between{' '}
          {fixed(quartiles[0], 2)} and {fixed(quartiles[1], 2)}.
        </p>
      )}
    </div>
  );
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

function KindLine({ lesson }: { readonly lesson: KindLesson }) {
  const { kind, decided, accepted, open, winShare, winInterval, soldPence, marginPercent, workedMarginPercent } =
    lesson;
  return (
    <Stack
      as="section"
      aria-label={kind}
      style={{ '--gap': '0.2rem', borderTop: '1px solid var(--line)', paddingTop: '0.5rem' }}
    >
      <strong>{kind}</strong>
      <Facts>
        <dt>Accepted</dt>
        <dd>
          {accepted} of {decided} decided
          {winShare !== null &&
            winInterval !== null &&
            `: ${percent(winShare)}, four times in five between ${percent(winInterval[0])} and ${percent(winInterval[1])}`}
          {open > 0 && `; ${open} open`}
        </dd>
        <dt>Sold</dt>
        <dd>
          <Pounds of={soldPence} />
        </dd>
        <dt>Margin</dt>
        <dd>
          {marginPercent === null ? 'nothing sold yet' : `${fixed(marginPercent, 1)} % as estimated`}
          {workedMarginPercent !== null && `, ${fixed(workedMarginPercent, 1)} % as worked`}
        </dd>
      </Facts>
    </Stack>
  );
}
