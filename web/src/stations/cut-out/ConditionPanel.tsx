import { FAULT_NAMES } from '@keen-gauge/core/intake/condition';
import type { FaultLook } from '@keen-gauge/core/survey/intake';
import { FAULTS, type Fault, type Look } from '@keen-gauge/core/survey/words/words';
import { CheckCheck, Plus } from 'lucide-react';
import { useState } from 'react';
import { Button } from '../../kit/Button';
import { LookChoice } from '../../kit/LookChoice';
import { Panel, Row, Stack } from '../../kit/Panel';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { AsLine } from '../AsLine';
import { freshId } from '../bound';
import { FaultEditor } from './FaultEditor';
import { Field } from '../../fields/Field';

/** Faults to look for, in the order the eye goes: the head, its seal, what it is fixed to, the cable. */
const GUIDED = FAULTS.filter((fault) => fault !== 'other');

const GUIDED_WORDS: Partial<Readonly<Record<Look, string>>> = {
  fine: 'Not there',
  'not-fine': 'There',
  'could-not-see': 'Could not see',
};

/** What the intake looks like: at a glance, or fault by fault; each fault with its grade and photograph. */
export function ConditionPanel() {
  const { survey, store } = useSurvey();
  const set = useSet();
  const [guided, setGuided] = useState((survey.intake.looks ?? []).length > 0);
  const { faults, looks = [] } = survey.intake;
  const answerOf = (fault: Fault): Look | undefined => looks.find(({ id }) => id === fault)?.answer;

  /** One answer; a fault that is there gets an entry of its own to be graded in the same step. */
  const answer = (fault: Fault, look: Look): void => {
    const seen: FaultLook[] = [...looks.filter(({ id }) => id !== fault), { id: fault, answer: look }];
    const recorded = faults.some((each) => each.fault === fault);
    const added = look === 'not-fine' && !recorded ? [{ id: freshId('fault'), fault }] : [];
    store.edit({ ...survey, intake: { ...survey.intake, looks: seen, faults: [...faults, ...added] } });
  };
  const open = GUIDED.filter((fault) => answerOf(fault) === undefined);

  return (
    <Panel aria-label="Condition">
      <h2>Condition</h2>
      <Field path={['intake', 'look']} />
      {guided ? (
        <Stack as="section" aria-label="Fault by fault" style={{ '--gap': '0.7rem' }}>
          <h3>Fault by fault</h3>
          {GUIDED.map((fault) => {
            const found = answerOf(fault);
            return (
              <AsLine
                key={fault}
                field={`intake.looks.${fault}`}
                label={FAULT_NAMES[fault]}
                says={found && GUIDED_WORDS[found]}
              >
                <LookChoice
                  label={FAULT_NAMES[fault]}
                  words={GUIDED_WORDS}
                  value={found}
                  onChange={(look) => {
                    answer(fault, look);
                  }}
                />
              </AsLine>
            );
          })}
          {open.length > 0 && (
            <div>
              <Button
                onPress={() => {
                  const rest = open.map((id): FaultLook => ({ id, answer: 'fine' }));
                  store.edit({ ...survey, intake: { ...survey.intake, looks: [...looks, ...rest] } });
                }}
              >
                <CheckCheck size={18} aria-hidden /> Looked for the other {open.length}, none there
              </Button>
            </div>
          )}
        </Stack>
      ) : (
        <Row>
          <Button
            onPress={() => {
              setGuided(true);
            }}
          >
            Look fault by fault
          </Button>
        </Row>
      )}
      {faults.map((fault) => (
        <FaultEditor key={fault.id} fault={fault} />
      ))}
      <div>
        <Button
          onPress={() => {
            const id = freshId('fault');
            set(['intake', 'faults', id], { id, fault: 'heat-damage' });
          }}
        >
          <Plus size={18} aria-hidden /> Add a fault
        </Button>
      </div>
    </Panel>
  );
}
