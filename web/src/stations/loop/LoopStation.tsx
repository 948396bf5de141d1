import { LOOP_SIGN_NAMES } from '@keen-gauge/core/intake/loop-status';
import { LOOP_SIGNS, type Look } from '@keen-gauge/core/survey/words/words';
import { FieldGrid } from '../../kit/fields';
import { LookChoice } from '../../kit/LookChoice';
import { Panel } from '../../kit/Panel';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { AsLine } from '../AsLine';
import { StationFrame } from '../StationFrame';
import { SharedServicePanel } from './SharedServicePanel';
import { Field } from '../../fields/Field';

const SIGN_WORDS: Partial<Readonly<Record<Look, string>>> = {
  'not-fine': 'Seen',
  fine: 'Looked, not so',
  'could-not-see': 'Could not see',
};

/** Whether one service cable feeds a neighbour as well, by its signs; and what all on it draw together. */
export default function LoopStation() {
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
            <AsLine
              key={sign}
              field={`intake.loop.signs.${sign}`}
              label={LOOP_SIGN_NAMES[sign]}
              says={seen?.answer && SIGN_WORDS[seen.answer]}
            >
              <LookChoice
                label={LOOP_SIGN_NAMES[sign]}
                words={SIGN_WORDS}
                value={seen?.answer}
                onChange={(answer) => {
                  const path = ['intake', 'loop', 'signs', sign] as const;
                  if (seen) set([...path, 'answer'], answer);
                  else set(path, { id: sign, answer });
                }}
              />
            </AsLine>
          );
        })}
        <PhotoStrip subject="loop" of="Signs of a loop" />
      </Panel>
      <Panel aria-label="Loop status">
        <h2>Loop status</h2>
        <Field path={['intake', 'loop', 'status']} />
        {loop.status === 'not-looped' && <Field path={['intake', 'loop', 'evidence']} />}
        <Field path={['intake', 'loop', 'note']} />
        {shared && (
          <FieldGrid>
            <Field path={['intake', 'loop', 'neighbours']} />
            <Field path={['intake', 'loop', 'neighbourDemandA']} />
            <Field path={['intake', 'loop', 'sharedRatingA']} />
          </FieldGrid>
        )}
      </Panel>
      {shared && <SharedServicePanel shared={shared} />}
    </StationFrame>
  );
}
