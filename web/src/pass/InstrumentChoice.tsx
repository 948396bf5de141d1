import { Link } from 'react-router';
import { instrumentName, useInstruments } from '../api/instruments';
import { LAST_INSTRUMENT } from '../readings/fresh-reading';
import { useSurvey } from '../survey/SurveyContext';
import { BigAnswers } from './BigAnswers';

/** With what a reading was taken: one of the firm’s instruments, which is then taken for the next reading too. */
export function InstrumentChoice({ readingId }: { readonly readingId: string | undefined }) {
  const { survey, store } = useSurvey();
  const { data } = useInstruments();
  const instruments = (data?.instruments ?? []).filter(({ retired }) => !retired);
  if (data && instruments.length === 0)
    return (
      <p>
        The firm has no instruments yet. <Link to="/instruments">Add one</Link>
      </p>
    );
  return (
    <BigAnswers
      answers={instruments.map((instrument) => ({
        id: instrument.id,
        says: instrumentName(instrument),
        take: () => {
          localStorage.setItem(LAST_INSTRUMENT, instrument.id);
          const { calibrationDue } = instrument;
          store.edit({
            ...survey,
            readings: survey.readings.map((each) =>
              each.id === readingId
                ? { ...each, instrument: instrumentName(instrument), ...(calibrationDue ? { calibrationDue } : {}) }
                : each,
            ),
          });
        },
      }))}
    />
  );
}
