import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import type { Load } from '@keen-gauge/core/survey/load';
import type { LoadFate } from '@keen-gauge/core/survey/words/works-words';
import { AnswerRow } from '../../kit/AnswerRow';
import { Select } from '../../kit/Select';
import { useSet, useSurvey } from '../../survey/SurveyContext';
import { Field } from '../../fields/Field';

type Fate = LoadFate | 'stays';

/** What the work does with a load: demand before counts it, demand after does not where it goes. */
export function FateFields({ load }: { readonly load: Load }) {
  const { survey, store } = useSurvey();
  const set = useSet();
  const decide = (fate: Fate): void => {
    const { fate: _fate, replacedBy: _by, notified: _notified, ...rest } = load;
    const next: Load = fate === 'stays' ? rest : { ...load, fate };
    store.edit({ ...survey, loads: survey.loads.map((each) => (each.id === load.id ? next : each)) });
  };
  return (
    <>
      <AnswerRow<Fate>
        label="What does the work do with it?"
        value={load.fate ?? 'stays'}
        options={[
          { value: 'stays', label: 'It stays' },
          { value: 'removed', label: 'Removes it' },
          { value: 'replaced', label: 'Replaces it' },
        ]}
        onChange={decide}
      />
      {load.fate === 'replaced' && (
        <>
          {survey.proposals.length > 1 && (
            <Select
              label="Replaced by"
              value={load.replacedBy}
              options={survey.proposals.map((each) => ({ value: each.id, label: equipmentName(each) }))}
              onChange={(next) => {
                set(['loads', load.id, 'replacedBy'], next);
              }}
            />
          )}
          <Field path={['loads', load.id, 'notified']} />
        </>
      )}
    </>
  );
}
