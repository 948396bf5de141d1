import type { LookStop } from '@keen-gauge/core/look-list';
import { puttingOff } from '@keen-gauge/core/questions/put-off';
import { questionKey } from '@keen-gauge/core/questions/question';
import { Button } from '../kit/Button';
import { Panel } from '../kit/Panel';
import { useSurvey } from '../survey/SurveyContext';

/** What was skipped, by whom it waits for; each can be taken up again. */
export function WaitingList({ stops }: { readonly stops: readonly LookStop[] }) {
  const { survey, store } = useSurvey();
  return stops.map(({ id, name, questions }) => (
    <Panel key={id} aria-label={name}>
      <h2>{name}</h2>
      <ul style={{ margin: 0, paddingLeft: '1.2rem', display: 'grid', gap: '0.4rem' }}>
        {questions.map((question) => (
          <li key={questionKey(question)}>
            {question.title}{' '}
            <Button
              aria-label={`Ask again here: ${question.title}`}
              onPress={() => {
                store.edit({ ...survey, putOff: puttingOff(survey, question, null) });
              }}
            >
              Ask again here
            </Button>
          </li>
        ))}
      </ul>
    </Panel>
  ));
}
