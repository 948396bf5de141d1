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
import { CrewLineRow } from './CrewLineRow';
import { DifferencesPanel } from './DifferencesPanel';
import { HoursPanel } from './HoursPanel';
import { Parts, Photos, Ruled } from './crew-layout';

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
          <SectionPanel key={section.id} section={section} />
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

function SectionPanel({ section: { id, title, lines } }: { readonly section: CrewSection }) {
  const { survey } = useSurvey();
  const ticked = new Set((survey.fit?.ticks ?? []).map((tick) => tick.id));
  const tasks = lines.filter(({ isTask }) => isTask);
  const done = tasks.filter((line) => ticked.has(line.id)).length;
  return (
    <Panel aria-label={title} {...(id === 'cautions' ? { style: { borderColor: 'var(--hold)' } } : {})}>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>{title}</h2>
        {tasks.length > 0 && (
          <span className="quiet no-print">
            {done} of {tasks.length}
          </span>
        )}
      </Row>
      <Ruled>
        {lines.map((line) => (
          <CrewLineRow key={line.id} line={line} />
        ))}
      </Ruled>
    </Panel>
  );
}
