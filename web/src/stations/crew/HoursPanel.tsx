import { quantityWords } from '@keen-gauge/core/materials/line';
import { TASK_WORDS, TASKS, type Task } from '@keen-gauge/core/price/tasks';
import { fixed } from '@keen-gauge/core/rules/rounding';
import { FieldGrid } from '../../kit/fields';
import { More } from '../../kit/More';
import { NumberInput } from '../../kit/NumberInput';
import { Panel, SideBySide } from '../../kit/Panel';
import { useEstimate } from '../../price/use-estimate';
import { useSurvey } from '../../survey/SurveyContext';
import { useFitRecord } from './use-fit-record';

/** Hours and materials as they were, for the tasks and lines that were estimated: what the firm’s rates are corrected by. */
export function HoursPanel() {
  const { survey } = useSurvey();
  const { priced } = useEstimate();
  const { set } = useFitRecord();
  const { hours = [], used = [] } = survey.fit ?? {};
  const estimated = priced?.estimate.hoursByTask ?? {};
  const tasks = TASKS.filter((task) => (estimated[task] ?? 0) > 0 || hours.some(({ id }) => id === task));
  const materials = (priced?.estimate.lines ?? []).filter(
    ({ line, standing }) => line.kind === 'material' && line.quantity !== null && !standing.isStruck,
  );
  const enter = (task: Task, value: number | undefined): void => {
    const rest = hours.filter(({ id }) => id !== task);
    set({ hours: value === undefined ? rest : [...rest, { id: task, hours: value }] });
  };
  return (
    <Panel aria-label="Hours and materials used" className="no-print">
      <h2>Hours and materials used</h2>
      {tasks.length === 0 && <p className="quiet">No hours are estimated yet.</p>}
      <SideBySide>
        <More
          label="Hours"
          note={hours.length > 0 ? `${hours.length} of ${tasks.length} entered` : 'at the end of the job'}
        >
          <p className="quiet">
            Of everybody on it added up. Your firm’s rates are corrected by what jobs really take.
          </p>
          <FieldGrid>
            {tasks.map((task) => (
              <NumberInput
                key={task}
                label={TASK_WORDS[task].name}
                unit="h"
                least={0}
                most={1000}
                value={hours.find(({ id }) => id === task)?.hours}
                help={estimated[task] === undefined ? 'not estimated' : `estimated ${fixed(estimated[task], 2)} h`}
                onChange={(value) => {
                  enter(task, value);
                }}
              />
            ))}
          </FieldGrid>
        </More>
        <More label="Materials used" note={used.length > 0 ? `${used.length} entered` : ''}>
          <FieldGrid>
            {materials.map(({ line }) => (
              <NumberInput
                key={line.id}
                label={line.text}
                unit={line.kind === 'material' && line.unit === 'm' ? 'm' : ''}
                least={0}
                most={100000}
                value={used.find(({ id }) => id === line.id)?.quantity}
                help={`planned ${quantityWords(line)}; ${line.from.says}`}
                onChange={(quantity) => {
                  const rest = used.filter(({ id }) => id !== line.id);
                  set({ used: quantity === undefined ? rest : [...rest, { id: line.id, quantity }] });
                }}
              />
            ))}
          </FieldGrid>
        </More>
      </SideBySide>
    </Panel>
  );
}
