import { owedOf, type Owed } from '@keen-gauge/core/after/owed';
import { useMemo } from 'react';
import { useEvents } from '../api/events';
import { usePacks } from '../api/packs';
import { useSurvey } from './SurveyContext';

/** What the job at hand still owes; undefined until it is known what happened to it. */
export function useOwed(): readonly Owed[] | undefined {
  const { job, me, survey, assessment, rules } = useSurvey();
  const { data: events } = useEvents(job.id);
  const { data: packs } = usePacks(job.id);
  return useMemo(
    () =>
      events && packs
        ? owedOf({
            survey,
            assessment,
            rules,
            events: events.events,
            checklists: me.rules.checklists,
            packs: packs.packs.length,
          })
        : undefined,
    [survey, assessment, rules, events, packs, me.rules.checklists],
  );
}
