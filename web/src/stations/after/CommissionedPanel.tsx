import { daysOf } from '@keen-gauge/core/calendar/job-events';
import { addDays } from '@keen-gauge/core/calendar/days';
import { useState } from 'react';
import { addEvent, useEvents } from '../../api/events';
import { problemWords } from '../../api/problem-words';
import { dayWords } from '../../calendar/day-words';
import { Button } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { Notice } from '../../kit/Notice';
import { Panel, Row } from '../../kit/Panel';
import DayInput from '../../kit/DayInput';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundDay, BoundText } from '../bound';

/** The day it was commissioned, from which the notice runs; the certificate and the next inspection. */
export function CommissionedPanel() {
  const { job, rules } = useSurvey();
  const { data, mutate } = useEvents(job.id);
  const [day, setDay] = useState(new Date().toISOString().slice(0, 10));
  const [problem, setProblem] = useState<string | null>(null);
  const { commissionedOn, noticeSentOn } = daysOf(data?.events ?? []);
  const enter = async (): Promise<void> => {
    setProblem(null);
    try {
      await mutate(await addEvent(job.id, { kind: 'commissioned', day, details: {} }), false);
    } catch (failed) {
      setProblem(problemWords(failed));
    }
  };
  return (
    <Panel aria-label="Commissioned">
      <h2>Commissioned</h2>
      {commissionedOn === undefined ? (
        <Row style={{ alignItems: 'end' }}>
          <span style={{ minWidth: 'min(14rem, 100%)' }}>
            <DayInput label="Commissioned on" value={day} onChange={setDay} />
          </span>
          <Button isDisabled={day === ''} onPress={() => void enter()}>
            Enter the day
          </Button>
        </Row>
      ) : (
        <p>
          Commissioned on <strong>{dayWords(commissionedOn)}</strong>.{' '}
          {noticeSentOn === undefined
            ? `The notice is due by ${dayWords(addDays(commissionedOn, rules.noticeWithinDays.value))}.`
            : `The notice was sent on ${dayWords(noticeSentOn)}.`}
        </p>
      )}
      {problem !== null && <Notice kind="act" title={problem} />}
      <FieldGrid>
        <BoundText path={['after', 'certificateNumber']} label="Certificate number" />
        <BoundDay path={['after', 'nextInspectionOn']} label="Next inspection on" />
      </FieldGrid>
    </Panel>
  );
}
