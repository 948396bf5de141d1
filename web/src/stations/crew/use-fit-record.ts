import type { CrewField, CrewLine } from '@keen-gauge/core/crew/sheet';
import type { Fit, FitDifference } from '@keen-gauge/core/survey/fit';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { withField } from '../../survey/edits';
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
      put(withField(survey, field.path, fitted), {
        differences: [...(fit.differences ?? []).filter(({ id }) => id !== line.id), difference],
      });
    },
    set: (values) => {
      put(survey, values);
    },
  };
}
