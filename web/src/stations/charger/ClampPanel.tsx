import { fitSpeaker } from '@keen-gauge/core/management/clamp-fit';
import { settingsOf } from '@keen-gauge/core/management/settings';
import { settingBounds, stepAtMost, type SettingBounds } from '@keen-gauge/core/management/set-points';
import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { Plus, Trash2 } from 'lucide-react';
import { Grounds } from '../../grounds/Grounds';
import { BareButton, Button } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { Row, Stack } from '../../kit/Panel';
import { stateOf, StateMark } from '../../kit/StateMark';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { BoundNumber, freshId } from '../bound';
import { ClampPlace } from './ClampPlace';
import { Field } from '../../fields/Field';

/** Clamp management: where the clamps sit, what they are held to, what happens when one is lost. */
export function ClampPanel({ proposal }: { readonly proposal: Proposal }) {
  const { survey, assessment } = useSurvey();
  const set = useSet();
  const path = ['proposals', proposal.id, 'limiter'] as const;
  const { limiter } = assessment.demand;
  const speaker = fitSpeaker(proposal, survey);
  const verdict = assessment.verdicts.find(({ id }) => id === 'limiter');
  const more = proposal.limiter.moreClamps ?? [];
  return (
    <Stack>
      <ClampSettings proposal={proposal} />
      {more.map((clamp, at) => (
        <Stack key={clamp.id} as="section" aria-label={`Clamp ${at + 2}`}>
          <Row style={{ justifyContent: 'space-between' }}>
            <h3>Clamp {at + 2}</h3>
            <BareButton
              aria-label={`Remove clamp ${at + 2}`}
              onPress={() => {
                set([...path, 'moreClamps', clamp.id], undefined);
              }}
            >
              <Trash2 size={18} aria-hidden />
            </BareButton>
          </Row>
          <ClampPlace
            label={`Where clamp ${at + 2} sits`}
            value={clamp.nodeId}
            onChange={(next) => {
              set([...path, 'moreClamps', clamp.id, 'nodeId'], next);
            }}
          />
          <BoundNumber path={[...path, 'moreClamps', clamp.id, 'setPointA']} label={`Set-point of clamp ${at + 2}`} />
        </Stack>
      ))}
      <div>
        <Button
          onPress={() => {
            const id = freshId('clamp');
            set([...path, 'moreClamps', id], { id });
          }}
        >
          <Plus size={18} aria-hidden /> Add a clamp on a feeder
        </Button>
      </div>
      <p role="status">
        <StateMark state={stateOf(limiter.holds)} /> {limiter.why}
      </p>
      {verdict && <Grounds grounds={verdict.grounds} />}
      <h3>How the clamp is put on</h3>
      {speaker === proposal ? (
        <FitFields proposal={proposal} />
      ) : (
        <p>Same clamp as {equipmentName(speaker)}: record it there.</p>
      )}
    </Stack>
  );
}

function FitFields({ proposal }: { readonly proposal: Proposal }) {
  const { survey } = useSurvey();
  const path = ['proposals', proposal.id, 'limiter'] as const;
  return (
    <>
      <Field path={[...path, 'fit', 'conductor']} />
      {survey.supply.phases === 3 && <Field path={[...path, 'fit', 'phase']} />}
      <Field path={[...path, 'fit', 'arrowAlong']} />
      <Field path={[...path, 'fit', 'insideSealed']} />
      {survey.generation === undefined && <Field path={[...path, 'fit', 'seesExport']} />}
      {(proposal.limiter.fit?.seesExport === 'yes' || (survey.generation?.length ?? 0) > 0) && (
        <Field path={[...path, 'fit', 'signedReading']} />
      )}
    </>
  );
}

/** Where the clamp sits and what it is held to, with what the nodes allow. */
export function ClampSettings({ proposal }: { readonly proposal: Proposal }) {
  const { survey, assessment, rules } = useSurvey();
  const set = useSet();
  const path = ['proposals', proposal.id, 'limiter'] as const;
  const chargers = survey.proposals.filter((each) => each.limiter.kind === 'clamp').length;
  const bounds = settingBounds(assessment, chargers, rules);
  return (
    <>
      <ClampPlace
        label="Where the clamp sits"
        value={proposal.limiter.clampNodeId}
        onChange={(next) => {
          set([...path, 'clampNodeId'], next);
        }}
      />
      <FieldGrid>
        <Field path={[...path, 'setPointA']} />
        <Field path={[...path, 'failSafeA']} usual={proposal.failSafesA ?? [0, 6, 10, 16]} />
      </FieldGrid>
      {bounds && <Suggestions bounds={bounds} proposal={proposal} />}
    </>
  );
}

/** What the nodes allow, in both schools, one tap each; and what a clamp that errs would let through. */
function Suggestions({ bounds, proposal }: { readonly bounds: SettingBounds; readonly proposal: Proposal }) {
  const { rules } = useSurvey();
  const set = useSet();
  const path = ['proposals', proposal.id, 'limiter'] as const;
  const { setPointA, setBy, withMarginA, withMarginPercentA, withErrorA, failSafeA, failSafeBy } = bounds;
  const { amperes, percent } = rules.setPointMargin.value;
  const step =
    failSafeA === null ? null : stepAtMost(failSafeA, proposal.failSafesA ?? [...settingsOf(proposal, rules), 0]);
  const take = (field: 'setPointA' | 'failSafeA', value: number, words: string) => (
    <Button
      onPress={() => {
        set([...path, field], value);
      }}
    >
      {words}
    </Button>
  );
  return (
    <Stack style={{ '--gap': '0.5rem' }}>
      {setPointA === null || withMarginA === null || withMarginPercentA === null ? (
        <p className="quiet">No node needs a set-point: everything at once stays within every rating.</p>
      ) : (
        <>
          <p>
            The largest set-point within every rating is <strong className="figures">{setPointA} A</strong>, set by{' '}
            {setBy}. A clamp that reads {rules.clampErrorPercent.value} % low, in steps of {rules.clampStepA.value} A,
            would let it become {withErrorA?.toFixed(1)} A.
          </p>
          <Row>
            {take('setPointA', withMarginA, `${amperes} A below: ${withMarginA} A`)}
            {take('setPointA', withMarginPercentA, `${percent} % below: ${withMarginPercentA} A`)}
            {take('setPointA', setPointA, `At the bound: ${setPointA} A`)}
          </Row>
        </>
      )}
      {failSafeA !== null && step !== null && (
        <>
          <p>
            The largest fail-safe within every rating is <strong className="figures">{failSafeA} A</strong>, set by{' '}
            {failSafeBy}.
          </p>
          <Row>{take('failSafeA', step, step === 0 ? 'Stop when it is lost' : `Fail-safe ${step} A`)}</Row>
        </>
      )}
    </Stack>
  );
}
