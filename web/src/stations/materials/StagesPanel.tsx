import type { StageSum } from '@keen-gauge/core/stages/sums';
import { ROUTE_WORDS } from '@keen-gauge/core/route/ways';
import type { Stage } from '@keen-gauge/core/survey/stage';
import { OPTION_NAMES, type OptionKind } from '@keen-gauge/core/survey/words/option-words';
import { Plus, Trash2 } from 'lucide-react';
import { BareButton, Button } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { More } from '../../kit/More';
import { Panel, Row, Stack } from '../../kit/Panel';
import { Select } from '../../kit/Select';
import { stateOf, StateMark } from '../../kit/StateMark';
import type { Priced } from '../../price/use-estimate';
import { useSurvey } from '../../survey/SurveyContext';
import { Meanwhile } from '../../what-if/Meanwhile';
import { useWhatIf, useWhatIfWith } from '../../what-if/use-what-if';
import { BoundDay, BoundNumber, BoundText, freshId } from '../bound';
import { Pounds } from '../../price/Pounds';

/** One plan of several steps in time: each with its settings, its way to the operator, its day and its sum. */
export function StagesPanel({ priced }: { readonly priced: Priced }) {
  const { survey, store } = useSurvey();
  const { stages = [] } = survey;
  const put = (next: Stage[]): void => {
    if (next.length > 0) {
      store.edit({ ...survey, stages: next });
      return;
    }
    const { stages: _none, ...rest } = survey;
    store.edit(rest);
  };
  if (stages.length === 0)
    return (
      <More label="Do it in steps" note="some now, some later">
        <p className="quiet">
          Such as held to a rate on the present feeder now, and a cable of its own in spring. Each step is assessed,
          notified and priced by itself.
        </p>
        <div>
          <Button
            onPress={() => {
              put([{ id: freshId('step'), option: 'fixed-limit' }, { id: freshId('step') }]);
            }}
          >
            <Plus size={18} aria-hidden /> Plan two steps
          </Button>
        </div>
      </More>
    );
  return (
    <Panel aria-label="Steps in time">
      <StageList stages={stages} priced={priced} put={put} />
    </Panel>
  );
}

function StageList({
  stages,
  priced,
  put,
}: {
  readonly stages: readonly Stage[];
  readonly priced: Priced;
  readonly put: (next: Stage[]) => void;
}) {
  const { answer, ...told } = useWhatIfWith('stageSums', priced.atDay);
  const { answer: options } = useWhatIf('options');
  const offered = (options ?? []).map(({ id, title }) => ({ value: id, label: title }));
  return (
    <Meanwhile title="Steps in time" isThere {...told}>
      {stages.map((stage, at) => (
        <StageFields
          key={stage.id}
          stage={stage}
          at={at}
          sum={answer?.find(({ id }) => id === stage.id)}
          hidden={priced.hidden}
          offered={offered}
          onRemove={() => {
            put(stages.filter(({ id }) => id !== stage.id));
          }}
        />
      ))}
      {stages.length < 6 && (
        <div>
          <Button
            onPress={() => {
              put([...stages, { id: freshId('step') }]);
            }}
          >
            <Plus size={18} aria-hidden /> Add a step
          </Button>
        </div>
      )}
    </Meanwhile>
  );
}

const AS_IT_IS = 'as-recorded';

function StageFields({
  stage,
  at,
  sum,
  hidden,
  offered,
  onRemove,
}: {
  readonly stage: Stage;
  readonly at: number;
  readonly sum: StageSum | undefined;
  readonly hidden: boolean;
  /** The options there are, to be done in a step. */
  readonly offered: readonly { readonly value: string; readonly label: string }[];
  readonly onRemove: () => void;
}) {
  const { survey, store } = useSurvey();
  const path = ['stages', stage.id] as const;
  const chosen = stage.option === undefined ? AS_IT_IS : [stage.option, stage.also].filter(Boolean).join('+');
  const known = chosen === AS_IT_IS || offered.some(({ value }) => value === chosen);
  const choose = (id: string): void => {
    const { option: _option, also: _also, ...rest } = stage;
    const [option, also] = id.split('+') as OptionKind[];
    const next: Stage =
      id === AS_IT_IS || option === undefined ? rest : { ...rest, option, ...(also === undefined ? {} : { also }) };
    store.edit({ ...survey, stages: (survey.stages ?? []).map((each) => (each.id === stage.id ? next : each)) });
  };
  const name = stage.name ?? sum?.name ?? `Step ${at + 1}`;
  return (
    <Stack as="section" aria-label={`Step ${at + 1}`}>
      <Row style={{ justifyContent: 'space-between' }}>
        <h3>
          {at + 1}. {name}
        </h3>
        <BareButton aria-label={`Remove step ${at + 1}`} onPress={onRemove}>
          <Trash2 size={18} aria-hidden />
        </BareButton>
      </Row>
      <FieldGrid>
        <Select
          label="What is done"
          value={chosen}
          options={[
            { value: AS_IT_IS, label: 'As the survey is recorded' },
            ...offered,
            ...(known || stage.option === undefined ? [] : [{ value: chosen, label: OPTION_NAMES[stage.option] }]),
          ]}
          onChange={choose}
        />
        <BoundDay path={[...path, 'plannedOn']} label="Planned for" />
        <BoundNumber few path={[...path, 'fixedA']} label="Limit in this step" usual={[10, 16, 20]} />
        <BoundText few path={[...path, 'name']} label="Name of the step" />
      </FieldGrid>
      {sum && (
        <Stack style={{ '--gap': '0.3rem' }}>
          {sum.gap === null ? (
            <StateMark state={stateOf(sum.fits)} words={fitWords(sum)} />
          ) : (
            <p style={{ color: 'var(--ask)' }}>{sum.gap}</p>
          )}
          <p>{sum.settings.join('; ')}</p>
          <p className="quiet">Route: {ROUTE_WORDS[sum.route]}</p>
          {!hidden && (
            <p>
              <Pounds of={sum.totalPence} />
              {sum.isComplete ? ' to pay in this step' : ', and lines without a price'}
            </p>
          )}
          <More label="Materials in this step" note={String(sum.brings.length)}>
            <p>{sum.brings.join(' · ')}</p>
          </More>
        </Stack>
      )}
    </Stack>
  );
}

const fitWords = ({ fits }: StageSum): string => (fits === null ? 'Not known yet' : fits ? 'Fits' : 'Does not fit');
