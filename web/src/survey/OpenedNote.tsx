import { settlingPath } from '@keen-gauge/core/settling-path';
import { questionKey } from '@keen-gauge/core/questions/question';
import { useState } from 'react';
import { Link } from 'react-router';
import { Notice } from '../kit/Notice';
import { fieldUrl } from '../stations/arrival';
import { STATION_NAMES } from '../stations/station-names';
import { openedBy } from './opened';
import { useSurvey } from './SurveyContext';

const MOST_SHOWN = 3;

/** Says what an edit here opened at another station, so that nothing earlier is undone silently. */
export function OpenedNote({ station }: { readonly station: string }) {
  const { assessment, job } = useSurvey();
  const { questions } = assessment;
  const [sofar, setSofar] = useState({ station, questions, opened: [] as typeof questions });
  if (sofar.questions !== questions || sofar.station !== station) setSofar(openedBy(sofar, station, questions));
  const { opened } = sofar;
  const more = opened.length - MOST_SHOWN;
  return (
    <div role="status" className="no-print">
      {opened.length > 0 && (
        <Notice
          kind="ask"
          title={opened.length === 1 ? 'That opened a question.' : `That opened ${opened.length} questions.`}
        >
          {opened.slice(0, MOST_SHOWN).map((each) => (
            <div key={questionKey(each)}>
              {each.title}{' '}
              <Link to={fieldUrl(job.id, each.station, settlingPath(each))}>{STATION_NAMES[each.station]}</Link>
            </div>
          ))}
          {more > 0 && <Link to={`/jobs/${job.id}/to-look`}>{more} more to look at</Link>}
        </Notice>
      )}
    </div>
  );
}
