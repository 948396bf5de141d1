import { LOOP_SIGN_NAMES } from '@keen-gauge/core/intake/loop-status';
import { LOOP_SIGNS, type Look } from '@keen-gauge/core/survey/words/words';
import { FieldGrid } from '../../kit/fields';
import { LookChoice } from '../../kit/LookChoice';
import { Panel } from '../../kit/Panel';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { BoundChoice, BoundNumber, BoundText } from '../bound';
import { StationFrame } from '../StationFrame';
import { SharedServicePanel } from './SharedServicePanel';

const SIGN_WORDS: Partial<Readonly<Record<Look, string>>> = {
  'not-fine': 'Seen',
  fine: 'Looked, not so',
  'could-not-see': 'Could not see',
};

/** Whether one service cable feeds a neighbour as well, by its signs; and what all on it draw together. */
export function LoopStation() {
  const { survey, assessment } = useSurvey();
  const set = useSet();
  const { loop } = survey.intake;
  const shared = assessment.supply.sharedService;
  return (
    <StationFrame
      station="loop"
      lead="One service cable, or one that carries on to next door? Looped or unknown means ask first, whatever the arithmetic says."
    >
      <Panel aria-label="Signs">
        <h2>Signs</h2>
        {LOOP_SIGNS.map((sign) => {
          const seen = loop.signs?.find(({ id }) => id === sign);
          return (
            <LookChoice
              key={sign}
              label={LOOP_SIGN_NAMES[sign]}
              words={SIGN_WORDS}
              value={seen?.answer}
              onChange={(answer) => {
                const path = ['intake', 'loop', 'signs', sign] as const;
                if (seen) set([...path, 'answer'], answer);
                else set(path, { id: sign, answer });
              }}
            />
          );
        })}
        <PhotoStrip subject="loop" of="Signs of a loop" />
      </Panel>
      <Panel aria-label="Loop status">
        <h2>Loop status</h2>
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
        {loop.status === 'not-looped' && (
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
        <BoundText path={['intake', 'loop', 'note']} label="What was seen" lines />
        {shared && (
          <FieldGrid>
            <BoundNumber path={['intake', 'loop', 'neighbours']} label="Other properties on it" usual={[1, 2]} />
            <BoundNumber
              path={['intake', 'loop', 'neighbourDemandA']}
              label="Their demand together, each phase"
              help="Left out, the rules’ figure is assumed for each."
            />
            <BoundNumber
              path={['intake', 'loop', 'sharedRatingA']}
              label="What the shared service may carry"
              usual={[60, 80, 100]}
              help="The operator’s to say."
            />
          </FieldGrid>
        )}
      </Panel>
      {shared && <SharedServicePanel shared={shared} />}
    </StationFrame>
  );
}
