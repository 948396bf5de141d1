import type { FeederAssessment } from '@keen-gauge/core/feeder/feeder';
import { answerWords } from '@keen-gauge/core/grounds/verdict';
import type { FeederAnswer } from '@keen-gauge/core/feeder/feeder-answers';
import styled from 'styled-components';
import { FigureButton } from '../../gauge/FigureButton';
import { Button } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { More, MoreOnPhone } from '../../kit/More';
import { Panel, Row } from '../../kit/Panel';
import { stateOf, StateMark } from '../../kit/StateMark';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundNumber, BoundSelect } from '../bound';
import { FigureRow } from '../earthing/ConductorPanel';
import { NodeCableFields } from '../line-up/NodeCableFields';

const Questions = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.45rem;
  & li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.1rem 0.8rem;
    border-bottom: 1px solid var(--line);
    padding-bottom: 0.4rem;
  }
`;

const Answers = styled.ol`
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 0.5rem;
  counter-reset: answer;
  @media (min-width: 70rem) {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  & li {
    counter-increment: answer;
    display: grid;
    grid-template-columns: 2rem minmax(0, 1fr);
    gap: 0.2rem 0.4rem;
    border: 1px solid var(--line);
    border-radius: var(--corner);
    padding: 0.6rem 0.7rem;
  }
  & li::before {
    content: counter(answer);
    font: 700 1.2rem var(--figures);
  }
`;

/** A feeder to an outbuilding: its questions in order, and what may be done for a charger at its far end. */
export function FeederPanel({ feeder }: { readonly feeder: FeederAssessment }) {
  const path = ['supply', 'nodes', feeder.nodeId] as const;
  const { survey } = useSurvey();
  const node = survey.supply.nodes.find(({ id }) => id === feeder.nodeId);
  if (!node) return null;
  return (
    <Panel aria-label="What the feeder carries">
      <h2>{feeder.label}</h2>
      <Questions>
        {feeder.questions.map(({ id, question, answer, state }) => (
          <li key={id}>
            <span>
              {question} <strong>{answer}</strong>
            </span>
            <StateMark state={state} />
          </li>
        ))}
      </Questions>
      <FigureRow>
        <FigureButton name="Carries, as laid" figure={feeder.capacity} />
        <FigureButton name="Volt drop now" figure={feeder.dropNow} />
        <FigureButton name="After the work" figure={feeder.dropAfter} />
        <FigureButton name="Device at full load" figure={feeder.dropFull} />
        <FigureButton
          name={`Loop at its end${feeder.loopLimit.value === null ? '' : `, ${feeder.loopLimit.value.toFixed(2)} Ω at most`}`}
          figure={feeder.loop}
        />
      </FigureRow>
      {feeder.answers.length > 0 && (
        <>
          <MoreOnPhone label={<h3 style={{ display: 'inline' }}>What can be done, the least work first</h3>}>
            <Answers>
              {feeder.answers.map((answer) => (
                <Answer key={answer.kind} answer={answer} proposalId={feeder.proposalId} />
              ))}
            </Answers>
          </MoreOnPhone>
        </>
      )}
      <More label="Its device and cable">
        <FieldGrid>
          <BoundNumber path={[...path, 'ratingA']} label="Device that feeds it" usual={[16, 20, 32, 40]} />
          <BoundSelect
            path={[...path, 'curve']}
            label="Curve of the feeder’s device"
            options={(['B', 'C', 'D'] as const).map((value) => ({ value, label: value }))}
          />
        </FieldGrid>
        <NodeCableFields node={node} />
      </More>
      <More label="“The cable looks thick enough for …”" note={feeder.claim && claimWords(feeder.claim)}>
        <div style={{ maxWidth: '26rem' }}>
          <BoundNumber
            path={[...path, 'claimedRatingA']}
            label="Thick enough for"
            usual={[32, 40]}
            help="It is worked out again, not believed: a thick cable may have been laid for volt drop or grouping."
          />
        </div>
        {feeder.claim && (
          <p role="status">
            <StateMark state={stateOf(feeder.claim.holds)} words={claimWords(feeder.claim)} />{' '}
            {feeder.claim.reasons.join('; ')}.
          </p>
        )}
      </More>
    </Panel>
  );
}

const claimWords = ({ claimedA, holds }: NonNullable<FeederAssessment['claim']>): string =>
  `${claimedA} A: ${answerWords(holds)}`;

function Answer({ answer, proposalId }: { readonly answer: FeederAnswer; readonly proposalId: string | null }) {
  const { survey, store } = useSurvey();
  const proposal = survey.proposals.find(({ id }) => id === proposalId);
  const { setA } = answer;
  const isSet = proposal?.limiter.kind === 'fixed' && proposal.limiter.fixedA === setA;
  return (
    <li>
      <div>
        <Row style={{ justifyContent: 'space-between' }}>
          <strong>{answer.title}</strong>
          {answer.kind !== 'wait' && <StateMark state={stateOf(answer.holds)} />}
        </Row>
        <p className="quiet">{answer.says}</p>
        {proposal && setA !== undefined && answer.holds === true && (
          <div style={{ marginTop: '0.4rem' }}>
            <Button
              isDisabled={isSet}
              onPress={() => {
                store.edit({
                  ...survey,
                  proposals: survey.proposals.map((each) =>
                    each.id === proposal.id
                      ? { ...each, limiter: { ...each.limiter, kind: 'fixed', fixedA: setA } }
                      : each,
                  ),
                });
              }}
            >
              {isSet ? `Held to ${setA} A` : `Hold it to ${setA} A`}
            </Button>
          </div>
        )}
      </div>
    </li>
  );
}
