import type { CrewField, CrewLine } from '@keen-gauge/core/crew/sheet';
import { apply, type Path, type Value } from '@keen-gauge/core/record/changes';
import type { Fit, FitDifference } from '@keen-gauge/core/survey/fit';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { useSurvey } from '../../survey/SurveyContext';

/** Entering how the fitting went: each tick and each difference with who and when, as one step that undo takes back. */
export function useFitRecord(): {
  readonly tick: (id: string, isDone: boolean) => void;
  readonly differ: (line: CrewLine, field: CrewField, fitted: number, why: string) => void;
  readonly set: (values: Partial<Fit>) => void;
} {
  const { survey, store, me } = useSurvey();
  const fit = survey.fit ?? {};
  const put = (of: Survey, values: Partial<Fit>): void => {
    store.edit({ ...of, fit: { ...of.fit, ...values } });
  };
  const at = (): string => new Date().toISOString();
  return {
    tick: (id, isDone) => {
      const rest = (fit.ticks ?? []).filter((each) => each.id !== id);
      put(survey, { ticks: isDone ? [...rest, { id, by: me.name, at: at() }] : rest });
    },
    differ: (line, field, fitted, why) => {
      const before = (fit.differences ?? []).find(({ id }) => id === line.id);
      const difference: FitDifference = {
        id: line.id,
        what: line.text.slice(0, 200),
        // The plan is what stood there first, however often it is entered again.
        planned: before?.planned ?? (field.value === undefined ? 'not recorded' : `${field.value} ${field.unit}`),
        fitted: `${fitted} ${field.unit}`,
        ...(why === '' ? {} : { why }),
        by: me.name,
        at: at(),
      };
      put(withValue(survey, field.path, fitted), {
        differences: [...(fit.differences ?? []).filter(({ id }) => id !== line.id), difference],
      });
    },
    set: (values) => {
      put(survey, values);
    },
  };
}

/** The survey with one figure as it was fitted; a part on the way that is not there yet is made. */
function withValue(survey: Survey, path: Path, to: number): Survey {
  const { document, conflicts } = apply(survey as unknown as Value, [{ kind: 'set', path, to }]);
  return conflicts.length > 0 ? survey : (document as unknown as Survey);
}
