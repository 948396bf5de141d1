import { daysOf } from '@keen-gauge/core/calendar/job-events';
import { crewSheet } from '@keen-gauge/core/crew/compose';
import type { CrewSection } from '@keen-gauge/core/crew/sheet';
import { USUAL_EQUIPMENT } from '@keen-gauge/core/firm/equipment';
import { STARTER_TERMS } from '@keen-gauge/core/price/starter';
import { Printer } from 'lucide-react';
import { Link } from 'react-router';
import { useEquipment } from '../../api/firm';
import { useEvents } from '../../api/events';
import { thumbUrl } from '../../api/photos';
import { usePrices } from '../../api/prices';
import { dayWords } from '../../calendar/day-words';
import { Button } from '../../kit/Button';
import { Notice } from '../../kit/Notice';
import { Panel, Row } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { StationFrame } from '../StationFrame';
import { CrewPart } from './CrewPart';
import { DifferencesPanel } from './DifferencesPanel';
import { HoursPanel } from './HoursPanel';
import { Parts, Photos } from './crew-layout';

/** Whom to ring, the dangers that nobody has ticked yet, and the first part with something left to do. */
function openFirst(sections: readonly CrewSection[], ticked: ReadonlySet<string>): ReadonlySet<CrewSection['id']> {
  const unfinished = sections.filter(({ lines }) => lines.some(({ id, isTask }) => isTask && !ticked.has(id)));
  const next = unfinished.find(({ id }) => id !== 'cautions');
  return new Set([
    'visit',
    ...unfinished.filter((each) => each.id === 'cautions' || each === next).map(({ id }) => id),
  ]);
}

/** Everything the fitter would otherwise ring for, on one page; ticked as it is done, with what was fitted differently. */
export default function CrewStation() {
  const { survey, assessment, rules, job } = useSurvey();
  const { data: equipment } = useEquipment();
  const { data: prices } = usePrices();
  const { data: events } = useEvents(job.id);
  const { wastePercent = STARTER_TERMS.wastePercent, endM = STARTER_TERMS.endM } = prices?.book.terms ?? {};
  if (survey.proposals.length === 0)
    return (
      <StationFrame station="crew" lead="One page for whoever fits it.">
        <Notice kind="ask" title="No new equipment is recorded, so there is nothing to fit.">
          <Link to={`/jobs/${job.id}/charger`}>New equipment</Link>
        </Notice>
      </StationFrame>
    );
  const bookedOn = events ? daysOf(events.events).fittingBookedOn : undefined;
  const { sections, photos } = crewSheet({
    survey,
    assessment,
    rules,
    profiles: [...(equipment?.profiles ?? []), ...USUAL_EQUIPMENT],
    terms: { wastePercent, endM },
    fittedOn: bookedOn === undefined ? undefined : dayWords(bookedOn),
  });
  const first = openFirst(sections, new Set((survey.fit?.ticks ?? []).map(({ id }) => id)));
  return (
    <StationFrame
      station="crew"
      lead="Tick what is done; press the pencil for what is fitted differently, and the survey says so."
      openHere={false}
    >
      <Row className="no-print">
        <Button
          onPress={() => {
            window.print();
          }}
        >
          <Printer size={18} aria-hidden /> Print it
        </Button>
        <span className="quiet" style={{ flex: '1 1 9rem' }}>
          Works without signal: it is sent when there is some.
        </span>
      </Row>
      <Parts>
        {sections.map((section) => (
          <CrewPart key={section.id} section={section} isFirst={first.has(section.id)} />
        ))}
        {photos.length > 0 && (
          <Panel aria-label="Pictures">
            <h2>Pictures</h2>
            <Photos>
              {photos.map(({ id, caption }) => (
                <li key={id}>
                  <img src={thumbUrl(job.id, id)} alt={caption} loading="lazy" />
                  <span>{caption}</span>
                </li>
              ))}
            </Photos>
          </Panel>
        )}
      </Parts>
      <DifferencesPanel />
      <HoursPanel />
    </StationFrame>
  );
}
