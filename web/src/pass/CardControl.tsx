import { questionKey, type Question } from '@keen-gauge/core/questions/question';
import { settlingPath } from '@keen-gauge/core/settling-path';
import type { Place } from '@keen-gauge/core/survey/schema/field-path';
import { fieldAt, specAt } from '@keen-gauge/core/survey/schema/survey-schema';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { Link } from 'react-router';
import { Field } from '../fields/Field';
import { ratingLabel, USUAL_RATINGS_A } from '../fields/node-ratings';
import { wordsOf } from '../fields/words-of';
import { CheckAnswer } from '../stations/CheckAnswer';
import { fieldUrl } from '../stations/arrival';
import { ClampSettings } from '../stations/charger/ClampPanel';
import { OpenPenFields } from '../stations/earthing/OpenPenPanel';
import { STATION_NAMES } from '../stations/station-names';
import { OneComment } from '../review/Comments';
import { useSurvey } from '../survey/SurveyContext';
import { onCard } from './on-card';
import { EquipmentChoice } from './EquipmentChoice';
import { FuseFields } from './FuseFields';
import { IncomingServices } from './IncomingServices';
import { InstrumentChoice } from './InstrumentChoice';
import { LimitChoice } from './LimitChoice';
import { LimitData } from './LimitData';
import { LoadsAsListed } from './LoadsAsListed';
import { OneByOne } from './OneByOne';
import { placesOf } from './card-places';
import { NoGeneration, Rings } from './ListAnswers';
import { QuickReading, READING_OF } from './QuickReading';
import { RouteQuick } from './RouteQuick';
import { SetChoice } from './SetChoice';

/** What answers a question on its card: one big control, or the few fields that belong together. */
export function CardControl({ question }: { readonly question: Question }) {
  const { survey, assessment } = useSurvey();
  const proposal = survey.proposals.find(({ id }) => id === question.subjectId);
  const pen = assessment.earthing.openPen.find(({ proposalId }) => proposalId === question.subjectId);
  const reading = READING_OF[question.id];
  const place = placeOf(question, survey);
  if (question.id === 'comment-open' && question.subjectId !== undefined) return <OneComment id={question.subjectId} />;
  if (question.id === 'nothing-proposed') return <EquipmentChoice />;
  if (question.id === 'no-loads') return <SetChoice />;
  if (question.id === 'no-sockets') return <Rings />;
  if (question.id === 'generation-not-said') return <NoGeneration />;
  if (question.id === 'loads-assumed') return <LoadsAsListed />;
  if (question.id === 'fuse-rating-not-established') return <FuseFields nodeId={question.subjectId} />;
  if (question.id === 'bonding-not-looked' || question.id === 'bonding-not-known') return <IncomingServices />;
  if (question.id === 'reading-without-instrument') return <InstrumentChoice readingId={question.subjectId} />;
  if (reading) return <QuickReading kind={reading} nodeId={assessment.supply.deviceId ?? undefined} />;
  if (proposal) {
    if (question.id === 'limiter-taken') return <LimitChoice proposal={proposal} />;
    if (question.id === 'clamp-not-settled') return <ClampSettings proposal={proposal} />;
    if (question.id === 'cable-not-judged') return <RouteQuick proposal={proposal} />;
    if (question.id === 'limit-data-not-recorded') return <LimitData proposal={proposal} />;
    if (pen && question.id.startsWith('open-pen')) return <OpenPenFields way={pen} brief />;
  }
  const places = placesOf(question, survey);
  if (places.length > 0) return <OneByOne places={places} />;
  const node = survey.supply.nodes.find(({ id }) => id === question.subjectId);
  if (question.check !== undefined && question.subjectId !== undefined && question.field === 'supply.nodes.checks')
    return <CheckAnswer nodeId={question.subjectId} check={question.check} question={question.title} hideLabel />;
  if (node && question.field === 'supply.nodes.ratingA')
    return (
      <Field
        path={['supply', 'nodes', node.id, 'ratingA']}
        label={ratingLabel(node.kind)}
        usual={USUAL_RATINGS_A[node.kind]}
        pad
      />
    );
  if (place !== null) return <Field path={place} {...onCard(place)} />;
  return <AtStation question={question} />;
}

/** The field that settles a question, where it has words and a control that asks for all of it. */
function placeOf(question: Question, survey: Survey): Place | null {
  const path = settlingPath(question)?.split('.');
  if (!path) return null;
  const field = fieldAt(path);
  const spec = specAt(path);
  if (field === undefined || !spec || !wordsOf(field)) return null;
  const [list, id] = path;
  // A member of a list that has gone meanwhile.
  if (list === 'proposals' && !survey.proposals.some((each) => each.id === id)) return null;
  return path as unknown as Place;
}

/** What takes more than a card: its place at the station. */
function AtStation({ question }: { readonly question: Question }) {
  const { job } = useSurvey();
  return (
    <p key={questionKey(question)}>
      This takes more than a card:{' '}
      <Link to={fieldUrl(job.id, question.station, settlingPath(question))}>
        open it at {STATION_NAMES[question.station]}
      </Link>
      .
    </p>
  );
}
