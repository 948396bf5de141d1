import { STATIONS, type Station } from '@keen-gauge/core/finding';
import { missingItems } from '@keen-gauge/core/pack/missing';
import { restsOn, type Claim } from '@keen-gauge/core/rests-on';
import { answeredWords } from '@keen-gauge/core/route/answered-words';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { packNumber, usePacks, useSincePack } from '../api/packs';
import { Verdicts } from '../grounds/Grounds';
import { Button } from '../kit/Button';
import { FieldGrid } from '../kit/fields';
import { More } from '../kit/More';
import { Panel, Row, Stack } from '../kit/Panel';
import { RouteMark } from '../kit/RouteMark';
import { Select } from '../kit/Select';
import { StateMark } from '../kit/StateMark';
import { TextInput } from '../kit/TextInput';
import { PhotoViewer } from '../photos/PhotoViewer';
import { Thumb } from '../photos/Thumb';
import { freshId } from '../stations/bound';
import { ChangeLines } from '../stations/pack/ChangeLines';
import { STATION_NAMES } from '../stations/station-names';
import { useSurvey } from '../survey/SurveyContext';
import { useStored } from '../survey/use-field';
import { OneComment } from './Comments';

const Columns = styled.div`
  display: grid;
  gap: 0.9rem;
  grid-template-columns: minmax(0, 1fr);
  align-items: start;
  & > div {
    display: contents;
  }
  @media (min-width: 76rem) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    & > div {
      display: grid;
      gap: 0.9rem;
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

const Claims = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  container-type: inline-size;
  & > li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 6.5rem;
    gap: 0.2rem 0.8rem;
    padding: 0.5rem 0;
    border-top: 1px solid var(--line);
  }
  @container (max-width: 15rem) {
    & > li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

const Approve = styled(Link)`
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0.4rem 0.95rem;
  border: 1.5px solid var(--strong-line);
  border-radius: var(--corner);
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
`;

/** As many reasons as are shown before the rest is put away. */
const REASONS = 4;

/** One screen for whoever stands by the survey without having been there: the answer, what it rests on, what shows it, what is different, and handing it back. */
export default function ReviewView() {
  const { assessment, job } = useSurvey();
  const { route } = assessment;
  const missing = missingItems(assessment);
  return (
    <Stack>
      <div>
        <h1 id="station-name" tabIndex={-1}>
          Review
        </h1>
        <p className="quiet">The answer, what it rests on and who stands by it. Sign it off, or hand it back.</p>
      </div>
      <Columns>
        <div>
          <Panel aria-label="Route">
            <div style={{ fontSize: '1.35rem' }}>
              <RouteMark way={route.way} words={answeredWords(route, job.answer)} size={30} />
            </div>
            <Reasons titles={route.triggers.map(({ title }) => title)} />
            <p className="quiet">{route.wouldMove}</p>
            <Row>
              <Approve to={`/jobs/${job.id}/pack`}>
                {missing.length === 0 ? 'Approve: sign it off' : `Sign it off with ${missing.length} missing`}
              </Approve>
            </Row>
          </Panel>
          <Panel aria-label="Verdicts">
            <h2>Verdicts</h2>
            <Verdicts verdicts={assessment.verdicts} />
          </Panel>
          <SinceLast />
        </div>
        <div>
          <ClaimsPanel />
          <Taken />
          <HandBack />
        </div>
      </Columns>
    </Stack>
  );
}

function Reasons({ titles }: { readonly titles: readonly string[] }) {
  if (titles.length === 0) return <p>Nothing asks for permission first.</p>;
  const list = (some: readonly string[]): React.ReactNode => (
    <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
      {some.map((title, at) => (
        <li key={at}>{title}</li>
      ))}
    </ul>
  );
  return (
    <>
      {list(titles.slice(0, REASONS))}
      {titles.length > REASONS && (
        <More label={`${titles.length - REASONS} more reasons`}>{list(titles.slice(REASONS))}</More>
      )}
    </>
  );
}

/** What is claimed, how it is known, and the photographs that show it. */
function ClaimsPanel() {
  const { survey, assessment, job } = useSurvey();
  const [open, setOpen] = useState<string | null>(null);
  const photosOf = ({ shownBy }: Claim) =>
    survey.photos
      .map((photo, at) => ({ photo, number: at + 1 }))
      .filter(
        ({ photo }) =>
          photo.subject === shownBy.subject &&
          (shownBy.subjectId === undefined || photo.subjectId === shownBy.subjectId),
      );
  const claims = restsOn(survey, assessment);
  return (
    <Panel aria-label="Who confirmed what">
      <h2>Who confirmed what</h2>
      <Claims>
        {claims.map((claim) => {
          const photos = photosOf(claim);
          return (
            <li key={claim.id}>
              <span>
                <strong>{claim.claim}</strong>{' '}
                <StateMark
                  state={claim.confirmed ? 'holds' : 'not-known'}
                  words={claim.confirmed ? 'Confirmed' : 'Assumed'}
                />
                <span className="quiet" style={{ display: 'block' }}>
                  {claim.known.replace(/\.$/, '')}.{' '}
                  <Link to={`/jobs/${job.id}/${claim.station}`}>{STATION_NAMES[claim.station]}</Link>
                </span>
              </span>
              <span>
                {photos[0] ? (
                  <Thumb
                    photo={photos[0].photo}
                    number={photos[0].number}
                    onOpen={() => {
                      setOpen(photos[0]?.photo.id ?? null);
                    }}
                  />
                ) : (
                  <span className="quiet">No photograph</span>
                )}
                {photos.length > 1 && <span className="quiet">and {photos.length - 1} more</span>}
              </span>
            </li>
          );
        })}
      </Claims>
      <PhotoViewer
        photoId={open}
        among={claims.flatMap((claim) => photosOf(claim).map(({ photo }) => photo.id))}
        onGo={setOpen}
        onClose={() => {
          setOpen(null);
        }}
      />
    </Panel>
  );
}

/** What nobody has said, and what is reckoned with instead: what counts at its worst first, what is as usual put away. */
function Taken() {
  const { assessment, job } = useSurvey();
  const taken = assessment.questions.filter((question) => question.taken !== undefined);
  const atWorst = taken.filter(({ taken: how }) => how === 'at-worst');
  const usual = taken.filter(({ taken: how, station }) => how === 'as-usual' && station !== 'route');
  if (atWorst.length + usual.length === 0) return null;
  const list = (questions: typeof taken): React.ReactNode => (
    <ul style={{ margin: 0, paddingLeft: '1.2rem' }}>
      {questions.map(({ id, subjectId, title, station }) => (
        <li key={`${id} ${subjectId ?? ''}`}>
          {title} <Link to={`/jobs/${job.id}/${station}`}>{STATION_NAMES[station]}</Link>
        </li>
      ))}
    </ul>
  );
  return (
    <Panel aria-label="Assumed">
      <h2>Assumed until answered</h2>
      {atWorst.length === 0 ? (
        <p className="quiet">No worst case is taken.</p>
      ) : (
        <>
          <p className="quiet">Worst case taken until answered:</p>
          {list(atWorst)}
        </>
      )}
      {usual.length > 0 && <More label={`${usual.length} usual values taken`}>{list(usual)}</More>}
    </Panel>
  );
}

/** What the survey says now and the last pack did not. */
function SinceLast() {
  const { job } = useSurvey();
  const revisionId = useStored(({ head }) => head.revisionId);
  const { data: packs } = usePacks(job.id);
  const { data } = useSincePack(job.id, revisionId);
  return (
    <Panel aria-label="Since the last pack">
      <h2>Since the last pack</h2>
      {data?.since && data.since.lines.length > 0 ? (
        <>
          <p className="quiet">
            Different from {packNumber(data.since.number)} in {data.since.lines.length}{' '}
            {data.since.lines.length === 1 ? 'line' : 'lines'}.
          </p>
          <ChangeLines lines={data.since.lines} />
        </>
      ) : (
        <p className="quiet">
          {packs === undefined
            ? 'Loading the packs.'
            : packs.packs.length === 0
              ? 'No pack has been signed yet.'
              : data?.since === null
                ? 'No pack of the whole survey has been signed yet.'
                : 'The survey says the same as the last pack.'}
        </p>
      )}
    </Panel>
  );
}

/** Comments at the places they concern: the surveyor meets each there, as an open question. */
function HandBack() {
  const { survey, store, me } = useSurvey();
  const [station, setStation] = useState<Station>('cut-out');
  const [says, setSays] = useState('');
  const comments = survey.comments ?? [];
  const add = (): void => {
    store.edit({
      ...survey,
      comments: [
        ...comments,
        { id: freshId('comment'), station, says: says.trim(), by: me.name, at: new Date().toISOString() },
      ],
    });
    setSays('');
  };
  const open = comments.filter(({ settledAt }) => settledAt === undefined);
  const settled = comments.filter(({ settledAt }) => settledAt !== undefined);
  return (
    <Panel aria-label="Hand back">
      <h2>Hand back{open.length > 0 ? `: ${open.length} open` : ''}</h2>
      {open.map(({ id }) => (
        <OneComment key={id} id={id} />
      ))}
      {settled.length > 0 && (
        <More label={`${settled.length} settled`}>
          {settled.map(({ id }) => (
            <OneComment key={id} id={id} />
          ))}
        </More>
      )}
      {me.role === 'office' ? (
        <p className="quiet">A survey is handed back by a surveyor or a supervisor.</p>
      ) : (
        <>
          <FieldGrid>
            <Select
              label="Where it concerns"
              value={station}
              options={STATIONS.map((value) => ({ value, label: STATION_NAMES[value] }))}
              onChange={setStation}
            />
          </FieldGrid>
          <TextInput
            label="What is to be corrected or explained"
            lines
            rows={2}
            value={says}
            maxLength={1000}
            onChange={setSays}
          />
          <div>
            <Button isDisabled={says.trim() === ''} onPress={add}>
              Hand it back with this
            </Button>
          </div>
        </>
      )}
    </Panel>
  );
}
