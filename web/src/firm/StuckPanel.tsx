import { useState } from 'react';
import type { Me } from '../api/me';
import { problemWords } from '../api/problem-words';
import { tryTaskAgain, useStuckTasks, type StuckTask } from '../api/tasks';
import { Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';

const NAMES: Readonly<Record<StuckTask['kind'], string>> = {
  erase: 'A customer’s data are not being erased',
  'hand-in': 'A pack is not getting to the operator',
  'make-pack': 'The document of a pack is not being made',
  'print-picture': 'A photograph is not being made ready for print',
  remind: 'Reminders are not being written',
  resummarise: 'The list of jobs has not been worked out again after a change of rules',
  retain: 'What was kept long enough is not being erased',
  'send-mail': 'A mail is not being sent',
  'write-diary': 'The diary is not being written for calendars',
};

const when = (at: string): string =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(at));

/** Work in the background that has failed often: why, when it is tried next, and a way to try it now. Not there while nothing is stuck. */
export function StuckPanel({ me }: { readonly me: Me }) {
  const { data, mutate } = useStuckTasks(me.role === 'supervisor');
  const [problem, setProblem] = useState<string>();
  if (!data || data.tasks.length === 0) return null;
  const again = async (id: string): Promise<void> => {
    setProblem(undefined);
    try {
      await mutate(await tryTaskAgain(id), false);
    } catch (error) {
      setProblem(problemWords(error));
    }
  };
  return (
    <Panel aria-label="Stuck work">
      <h2>Stuck work</h2>
      {data.tasks.map(({ id, kind, attempts, trouble, stuckAt, nextAt }) => (
        <Row key={id} style={{ justifyContent: 'space-between' }}>
          <Stack style={{ '--gap': '0.1rem' }}>
            <strong>{NAMES[kind]}</strong>
            <span>{trouble}</span>
            <span className="quiet">
              {attempts} tries, stuck since {when(stuckAt)}; tried next {when(nextAt)}
            </span>
          </Stack>
          <Button onPress={() => void again(id)}>Try again now</Button>
        </Row>
      ))}
      {problem !== undefined && (
        <div role="alert">
          <Notice kind="act" title={problem} />
        </div>
      )}
    </Panel>
  );
}
