import { ARRANGEMENT_NAMES } from '@keen-gauge/core/earthing/arrangement-names';
import { EARTHING_SIGN_MEANINGS, MISTAKEN_FOR } from '@keen-gauge/core/earthing/signs';
import { EARTHING_SIGNS, type EarthingSign } from '@keen-gauge/core/survey/words/earthing-words';
import type { Answer } from '@keen-gauge/core/survey/words/words';
import { Button } from '../../kit/Button';
import { AnswerRow } from '../../kit/AnswerRow';
import { More } from '../../kit/More';
import { Notice } from '../../kit/Notice';
import { Panel, Stack } from '../../kit/Panel';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { AsLine } from '../AsLine';
import { useSetMember } from '../bound';
import { Field } from '../../fields/Field';

/** What is seen of where the earth comes from, what that points to, and what is recorded. */
export function ArrangementPanel() {
  const { survey, assessment } = useSurvey();
  const set = useSet();
  const { arrangement, zeOhm, electrodeOhm } = survey.earthing;
  const { pointsTo, sure, contradicts } = assessment.earthing.recognition;
  const known = arrangement === undefined || arrangement === 'unknown' ? undefined : arrangement;
  return (
    <Panel aria-label="Earthing arrangement">
      <h2>Earthing arrangement</h2>
      <Field path={['earthing', 'arrangement']} />
      <More label="Follow the earthing conductor" note={known ? 'if you are not sure of it' : undefined} open={!known}>
        {known && <p className="quiet">{MISTAKEN_FOR[known]}</p>}
        <Stack style={{ '--gap': '0.6rem' }}>
          {EARTHING_SIGNS.map((sign) => (
            <Sign key={sign} sign={sign} />
          ))}
        </Stack>
      </More>
      {contradicts && (
        <Notice kind="ask" title="The signs contradict each other: follow the conductor itself to where it ends." />
      )}
      {pointsTo !== null && !contradicts && pointsTo !== known && (
        <Notice
          kind="note"
          title={`${sure ? 'That is' : 'That suggests'} ${ARRANGEMENT_NAMES[pointsTo]}${sure ? '.' : ', and does not prove it.'}`}
        >
          <div style={{ marginTop: '0.35rem' }}>
            <Button
              onPress={() => {
                set(['earthing', 'arrangement'], pointsTo);
              }}
            >
              Record {ARRANGEMENT_NAMES[pointsTo]}
            </Button>
          </div>
        </Notice>
      )}
      <Field path={['earthing', 'recognisedBy']} />
      {/* A figure handed in with the survey rather than taken here; it counts with the readings. */}
      {arrangement !== 'tt' && zeOhm !== undefined && <Field path={['earthing', 'zeOhm']} />}
      {arrangement === 'tt' && electrodeOhm !== undefined && <Field path={['earthing', 'electrodeOhm']} />}
      <PhotoStrip subject="earthing" of="Earthing" />
    </Panel>
  );
}

const SEEN: readonly { readonly value: Answer; readonly label: string }[] = [
  { value: 'yes', label: 'Yes' },
  { value: 'no', label: 'No' },
  { value: 'unknown', label: 'Not seen' },
];

function Sign({ sign }: { readonly sign: EarthingSign }) {
  const { survey } = useSurvey();
  const set = useSetMember(['earthing', 'signs'], sign);
  const answer = survey.earthing.signs?.find(({ id }) => id === sign)?.answer;
  const { name } = EARTHING_SIGN_MEANINGS[sign];
  return (
    <AsLine field={`earthing.signs.${sign}`} label={name} says={SEEN.find(({ value }) => value === answer)?.label}>
      <AnswerRow
        label={name}
        value={answer}
        options={SEEN}
        onChange={(next) => {
          set('answer', next);
        }}
      />
    </AsLine>
  );
}
