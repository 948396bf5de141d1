import { assess } from '@keen-gauge/core/assess';
import type { Assessment } from '@keen-gauge/core/assessment';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { openStored } from '@keen-gauge/core/survey/opening/open-stored';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { settledSurvey, type Change } from '@keen-gauge/core/testing/settled-survey';
import { act, configure, fireEvent, render, screen, within } from '@testing-library/react';
import { expose } from 'comlink';
import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { useMemo, useState, useSyncExternalStore } from 'react';
import { MemoryRouter, Outlet, Route, Routes } from 'react-router';
import { StyleSheetManager } from 'styled-components';
import { SWRConfig } from 'swr';
import type { Job } from '../api/jobs';
import type { Me } from '../api/me';
import { Gauge } from '../gauge/Gauge';
import { UploadQueue } from '../photos/upload-queue';
import type { View } from '../stations/station-names';
import { SurveyProvider } from '../survey/SurveyContext';
import { SurveyStore } from '../survey/survey-store';
import { useShown } from '../survey/use-shown';
import { ViewPart } from '../survey/view-parts';
import { WHAT_IF, type WhatIf } from '../what-if/reckon';

const JOB: Job = {
  id: 'job-1',
  number: 7,
  state: 'surveying',
  place: '1 Test Lane',
  wanted: 'Vehicle charger',
  route: 'ask-then-fit',
  nextQuestion: null,
  changedAt: '2026-03-02T09:00:00Z',
  createdBy: 'Isla Tester',
  answer: null,
  customer: null,
  assignedTo: null,
  nextOn: null,
  nextWhat: null,
  late: false,
  archived: false,
};

const ME: Me = {
  id: 'me-1',
  name: 'Isla Tester',
  email: 'isla@test.example',
  role: 'surveyor',
  maySignOff: true,
  registration: '',
  firm: 'Test Electric',
  rules: {
    house: { defaultRulesId: gbDefault.id, alwaysAsk: false, areas: [] },
    own: [],
    terms: {},
    checklists: { lists: [] },
  } as unknown as Me['rules'],
};

// The whole page with every message of a missing element is more than anybody reads.
configure({ getElementError: (message) => new Error(message ?? 'not found') });

const channels: MessagePort[] = [];
afterAll(() => {
  for (const port of channels) port.close();
});

/** Where there are no workers: what they reckon, in this thread, over a channel as theirs. */
class WorkerHere {
  constructor() {
    const { port1, port2 } = new MessageChannel();
    expose(
      {
        reckon: (what: WhatIf, survey: Survey, rules: typeof gbDefault, more: unknown) =>
          WHAT_IF[what](survey, rules, more as never),
      },
      port2 as unknown as Parameters<typeof expose>[1],
    );
    channels.push(port1);
    return Object.assign(port1, { terminate: () => undefined });
  }
}
globalThis.Worker = WorkerHere as unknown as typeof Worker;

export interface AtSurvey {
  readonly store: SurveyStore;
  /** The survey as it stands, and what it is judged to be. */
  readonly survey: () => Survey;
  readonly assessment: () => Assessment;
  readonly goTo: (station: View) => Promise<void>;
  readonly undo: () => void;
}

export interface Given {
  readonly survey?: Survey;
  /** Changes to a settled home before it is opened. */
  readonly changes?: readonly Change[];
  readonly job?: Partial<Job>;
  readonly me?: Partial<Me>;
  /** What the server answers, by path without `/api`; anything else is not found. */
  readonly answers?: Readonly<Record<string, unknown>>;
  /** A server that does more than that. */
  readonly fetch?: typeof fetch;
}

/** For tests: a survey open at a station, drawn whole with its gauge, over a store that nobody answers. */
export async function atSurvey(station: View, given: Given = {}): Promise<AtSurvey> {
  const opened = given.survey ?? settledSurvey(...(given.changes ?? []));
  let ids = 0;
  const store = new SurveyStore(
    { survey: openStored(JSON.parse(JSON.stringify(opened))), revisionId: 'r1', seq: 1 },
    {
      send: () => Promise.resolve({ kind: 'no-answer' }),
      keep: () => undefined,
      later: () => undefined,
      newId: () => `new-${(ids += 1)}`,
    },
  );
  globalThis.fetch =
    given.fetch ??
    answering({
      '/instruments': { instruments: [] },
      '/firm/equipment': { profiles: [] },
      ...given.answers,
    });
  const standing = new EventTarget();
  let at = station;
  const follow = (told: () => void): (() => void) => {
    standing.addEventListener('moved', told);
    return () => {
      standing.removeEventListener('moved', told);
    };
  };
  const Here = (): React.JSX.Element => {
    useSyncExternalStore(follow, () => at);
    return <SurveyHere store={store} station={at} job={{ ...JOB, ...given.job }} me={{ ...ME, ...given.me }} />;
  };
  render(
    // Nothing is laid out here: styles that are put into no document are not worked out for every element that is looked for.
    <StyleSheetManager target={document.createElement('div')}>
      <SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0, shouldRetryOnError: false }}>
        <MemoryRouter initialEntries={[`/jobs/${JOB.id}/${station}`]}>
          <Routes>
            <Route element={<Outlet context={{ ...ME, ...given.me }} />}>
              <Route path="*" element={<Here />} />
            </Route>
          </Routes>
        </MemoryRouter>
      </SWRConfig>
    </StyleSheetManager>,
  );
  await screen.findByRole('heading', { level: 1 });
  await settled();
  return {
    store,
    undo: () => {
      act(() => {
        store.undo();
      });
    },
    survey: () => store.get().survey,
    assessment: () => assess(store.get().survey, gbDefault),
    goTo: async (next) => {
      await act(async () => {
        at = next;
        standing.dispatchEvent(new Event('moved'));
        await Promise.resolve();
      });
      await screen.findByRole('heading', { level: 1 });
      await settled();
    },
  };
}

const atOnce = (work: () => void): void => {
  work();
};

function SurveyHere({
  store,
  station,
  job,
  me,
}: {
  readonly store: SurveyStore;
  readonly station: View;
  readonly job: Job;
  readonly me: Me;
}) {
  const survey = useShown(store, atOnce);
  const assessment = useMemo(() => assess(survey, gbDefault), [survey]);
  const [uploads] = useState(() => new UploadQueue(me.id, job.id, NO_UPLOADS));
  return (
    <SurveyProvider value={{ job, me, store, survey, assessment, rules: gbDefault, uploads }}>
      <Gauge assessment={assessment} routeWords={assessment.route.words} />
      <ViewPart view={station} />
    </SurveyProvider>
  );
}

const NO_UPLOADS: ConstructorParameters<typeof UploadQueue>[2] = {
  send: () => Promise.reject(new Error('nothing is sent')),
  file: () => Promise.reject(new Error('nothing is filed')),
  drop: () => undefined,
  keep: () => Promise.resolve(),
  forget: () => Promise.resolve(),
  reached: () => true,
  newId: () => 'upload',
  filed: () => undefined,
};

/** A server that has these answers and no others. */
function answering(answers: Readonly<Record<string, unknown>>): typeof fetch {
  return (input) => {
    const path = (input as string).replace(/^.*\/api/, '');
    const found = answers[path];
    const body = JSON.stringify(found ?? { title: 'Not found', status: 404, detail: '' });
    const status = found === undefined ? 404 : 200;
    return Promise.resolve({
      ok: status === 200,
      status,
      headers: new Map([['content-type', 'application/json']]) as unknown as Headers,
      json: () => Promise.resolve(JSON.parse(body) as unknown),
      text: () => Promise.resolve(body),
    } as Response);
  };
}

/** Whatever was asked of the server, or waits for a part of the page, has come. */
export async function settled(): Promise<void> {
  await act(async () => {
    await new Promise((resolve) => setTimeout(resolve, 10));
  });
}

/** Opens what is recorded under that name, where it stands as a line. */
function opened(label: string | RegExp, inside: HTMLElement = document.body): void {
  const named = (line: HTMLElement): boolean => {
    const name = line.dataset['line'] ?? '';
    return typeof label === 'string' ? name === label : label.test(name);
  };
  for (const line of inside.querySelectorAll<HTMLElement>('[data-line]')) if (named(line)) fireEvent.click(line);
}

/** Types into the field of that name. */
export function type(label: string | RegExp, text: string, inside: HTMLElement = document.body): void {
  opened(label, inside);
  fireEvent.change(within(inside).getByLabelText(label), { target: { value: text } });
}

/** Chooses an answer of the question with that heading, by the word it begins with. */
export function choose(question: string, answer: string): void {
  opened(question);
  const group = screen.getByRole('radiogroup', { name: question });
  const [found] = within(group)
    .getAllByRole('radio')
    .filter((radio) => (radio.closest('label')?.textContent ?? '').trim().startsWith(answer));
  if (!found) throw new Error(`no answer ${answer} to ${question}`);
  fireEvent.click(found);
}

/** Presses the button of that name. */
export function press(name: string | RegExp, inside: HTMLElement = document.body): void {
  fireEvent.click(within(inside).getByRole('button', { name }));
}

/** What is still open at the station shown, as one text. */
export function openHere(): string {
  return screen.queryByRole('region', { name: 'Still open here' })?.textContent ?? '';
}

/** Chooses from a list that opens. */
export function pick(label: string, option: string | RegExp, inside: HTMLElement = document.body): void {
  opened(label, inside);
  const [button] = within(inside)
    .getAllByRole('button')
    .filter((each) => (each.getAttribute('aria-labelledby') ?? '') !== '' && nameOf(each).includes(label));
  if (!button) throw new Error(`no list called ${label}`);
  fireEvent.click(button);
  fireEvent.click(screen.getByRole('option', { name: option }));
}

/** A list’s name: what is chosen, and what it is called. */
function nameOf(button: HTMLElement): string {
  return (button.getAttribute('aria-labelledby') ?? '')
    .split(' ')
    .map((id) => document.getElementById(id)?.textContent ?? '')
    .join(' ')
    .trim();
}

/** The region of that name. */
export const region = (name: string | RegExp): HTMLElement => screen.getByRole('region', { name });
