import type { LineEdit } from '@keen-gauge/core/survey/works';
import { useSurvey } from '../../survey/SurveyContext';

/** The lines of the survey that somebody changed, and changing one more: each change is a step that undo takes back. */
export function useLineEdits(): {
  readonly edited: (id: string) => boolean;
  readonly change: (id: string, values: { [K in keyof LineEdit]?: LineEdit[K] | undefined }) => void;
  /** As the survey has it again. */
  readonly drop: (id: string) => void;
} {
  const { survey, store, me } = useSurvey();
  const lines = survey.works?.lines ?? [];
  const put = (next: LineEdit[]): void => {
    store.edit({ ...survey, works: { ...survey.works, lines: next } });
  };
  return {
    edited: (id) => lines.some((each) => each.id === id),
    change: (id, values) => {
      const now = lines.find((each) => each.id === id) ?? { id };
      const made = Object.fromEntries(
        Object.entries({ ...now, ...values, by: me.name }).filter(([, value]) => value !== undefined),
      ) as unknown as LineEdit;
      // Nothing left but whose it was: the survey's own line again.
      const says = Object.keys(made).some((key) => key !== 'id' && key !== 'by');
      put([...lines.filter((each) => each.id !== id), ...(says ? [made] : [])]);
    },
    drop: (id) => {
      put(lines.filter((each) => each.id !== id));
    },
  };
}
