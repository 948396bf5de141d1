import {
  letter,
  LETTER_NAMES,
  LETTERS,
  usualLetter,
  type LetterFacts,
  type LetterKind,
} from '@keen-gauge/core/pack/letters';
import { ukDay } from '@keen-gauge/core/calendar/days';
import { daysOf, standing } from '@keen-gauge/core/calendar/job-events';
import { useState } from 'react';
import { useEvents } from '../../api/events';
import { jobNumber } from '../../api/jobs';
import { LetterView } from '../../kit/LetterView';
import { More } from '../../kit/More';
import { Panel } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import { MailForm } from '../../mail/MailForm';
import { useSurvey } from '../../survey/SurveyContext';

/** Letters to the operator, written from the survey as it is now; the one that suits it is shown first. */
export function LettersPanel() {
  const { survey, assessment, rules, me, job } = useSurvey();
  const { data } = useEvents(job.id);
  const [chosen, setChosen] = useState<LetterKind>();
  const events = data?.events ?? [];
  const facts: LetterFacts = {
    survey,
    assessment,
    rules,
    from: { ...me, ...(me.rules.terms.contact ? { contact: me.rules.terms.contact } : {}) },
    today: ukDay(new Date()),
    jobNumber: jobNumber(job.number),
    commissionedOn: daysOf(events).commissionedOn,
    reference: standing(events)
      .flatMap(({ details }) => details.reference ?? [])
      .at(-1),
  };
  const kind = chosen ?? usualLetter(facts);
  const written = letter(kind, facts);
  return (
    <Panel aria-label="Letters to the operator">
      <More label={<h2 style={{ display: 'inline' }}>Letters to the operator</h2>}>
        <p className="quiet">Written from the survey as it is now.</p>
        <div style={{ maxWidth: '24rem' }}>
          <Select
            label="Which letter"
            value={kind}
            options={LETTERS.map((value) => ({ value, label: LETTER_NAMES[value] }))}
            onChange={setChosen}
          />
        </div>
        <LetterView letter={written} fileName={`${jobNumber(job.number)}-${kind}`} />
        <More label="Mail it from here">
          <MailForm key={kind} jobId={job.id} kind="to-operator" text={`${written.subject}\n\n${written.body}`} />
        </More>
      </More>
    </Panel>
  );
}
