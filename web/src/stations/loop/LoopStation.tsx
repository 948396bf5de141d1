import { Panel } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundChoice, BoundText } from '../bound';
import { StationFrame } from '../StationFrame';

/** Whether one service cable feeds a neighbour as well. */
export function LoopStation() {
  const { survey } = useSurvey();
  return (
    <StationFrame
      station="loop"
      lead="One service cable, or one that carries on to next door? Looped or unknown means ask first, whatever the arithmetic says."
    >
      <Panel aria-label="Loop status">
        <BoundChoice
          path={['intake', 'loop', 'status']}
          label="Loop status"
          tile="14rem"
          options={[
            { value: 'not-looped', label: 'Not looped', note: 'One cable seen and traced, or the operator’s record' },
            { value: 'feeds-next-door', label: 'Feeds next door', note: 'A second cable leaves from this cut-out' },
            {
              value: 'fed-from-next-door',
              label: 'Fed from next door',
              note: 'The cable comes through the neighbour’s cut-out',
            },
            { value: 'unknown', label: 'Not known', note: 'Could not be seen or traced' },
          ]}
        />
        {survey.intake.loop.status === 'not-looped' && (
          <BoundChoice
            path={['intake', 'loop', 'evidence']}
            label="How is that known?"
            tile="14rem"
            options={[
              {
                value: 'cable-traced',
                label: 'Cable traced',
                note: 'One cable, seen from the street side to the cut-out',
              },
              { value: 'operator-record', label: 'Operator’s record' },
              { value: 'signs-only', label: 'Outward signs only', note: 'Not enough: it stays unknown' },
            ]}
          />
        )}
        <BoundText
          path={['intake', 'loop', 'note']}
          label="What was seen"
          lines
          maxLength={500}
          help="Signs: two service cables at the cut-out; a pair or terrace of one age; a cable through the party wall."
        />
      </Panel>
    </StationFrame>
  );
}
