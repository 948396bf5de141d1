import { Link } from 'react-router';
import { Stack } from '../kit/Panel';
import { freshId } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';
import { BigAnswers } from './BigAnswers';

/** How many ring circuits there are, each on a 32 A device; other socket circuits are entered at the station. */
export function Rings() {
  const { survey, store, job } = useSurvey();
  return (
    <Stack style={{ '--gap': '0.5rem' }}>
      <BigAnswers
        least="8rem"
        answers={[1, 2, 3].map((quantity) => ({
          id: String(quantity),
          says: `${quantity} ring${quantity === 1 ? '' : 's'} on 32 A`,
          take: () => {
            const rings = { id: freshId('load'), class: 'socket-circuit', currentA: 32, quantity } as const;
            store.edit({ ...survey, loads: [...survey.loads, rings] });
          },
        }))}
      />
      <Link to={`/jobs/${job.id}/loads`}>Other circuits</Link>
    </Stack>
  );
}

/** That nothing on the premises sends power back; what does is entered at the station with its rating. */
export function NoGeneration() {
  const { survey, store, job } = useSurvey();
  return (
    <Stack style={{ '--gap': '0.5rem' }}>
      <BigAnswers
        answers={[
          {
            id: 'none',
            says: 'There is none',
            take: () => {
              store.edit({ ...survey, generation: [] });
            },
          },
        ]}
      />
      <Link to={`/jobs/${job.id}/loads`}>Record what there is</Link>
    </Stack>
  );
}
