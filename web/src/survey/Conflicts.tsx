import { Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Row, Stack } from '../kit/Panel';
import { placeWords, valueWords } from './change-words';
import type { SurveyState, SurveyStore } from './survey-store';

/** The same field set here and elsewhere: both values, and the person's choice. */
export function Conflicts({ state, store }: { readonly state: SurveyState; readonly store: SurveyStore }) {
  if (state.conflicts.length === 0) return null;
  return (
    <Stack role="alert" style={{ '--gap': '0.5rem' }}>
      {state.conflicts.map((conflict) => (
        <Notice
          key={conflict.change.path.join('/')}
          kind="act"
          title={`Also changed elsewhere: ${placeWords(conflict.change.path)}`}
        >
          <Row style={{ marginTop: '0.4rem' }}>
            <Button
              onPress={() => {
                store.settle(conflict, true);
              }}
            >
              Keep mine: {valueWords(conflict.change.kind === 'set' ? conflict.change.to : undefined)}
            </Button>
            <Button
              onPress={() => {
                store.settle(conflict, false);
              }}
            >
              Keep theirs: {valueWords(conflict.theirs)}
            </Button>
          </Row>
        </Notice>
      ))}
    </Stack>
  );
}
