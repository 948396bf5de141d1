import type { PlannedPool } from '@keen-gauge/core/pool/plan';
import { shown } from '@keen-gauge/core/rules/rounding';
import { useEffect, useState } from 'react';
import { useSurvey } from '../survey/SurveyContext';
import { PoolRun, type FuseUnder } from './pool-run';

/** The highest current and how warm the fuse is in a year with the cars that are carried. */
export function FuseLine({ planned, cars }: { readonly planned: PlannedPool; readonly cars: number }) {
  const { assessment } = useSurvey();
  const ratingA = assessment.supply.rating.value;
  const [found, setFound] = useState<FuseUnder | null>(null);
  useEffect(() => {
    if (ratingA === null || cars === 0) return undefined;
    const run = new PoolRun(planned, 1);
    let isWanted = true;
    run
      .fuse(planned.terms.policy, 1, cars, ratingA)
      .then((figures) => {
        if (isWanted) setFound(figures);
        run.stop();
      })
      .catch(() => {
        run.stop();
      });
    return () => {
      isWanted = false;
      run.stop();
    };
  }, [planned, cars, ratingA]);
  if (found === null || ratingA === null) return null;
  return (
    <p>
      With {cars} cars the highest current past the clamps in a year is <strong>{shown(found.highestA)} A</strong>; a
      fuse of {ratingA} A is at most <strong>{Math.round(found.warmest * 100)} %</strong> as warm as would make it
      operate. Indicative.
    </p>
  );
}
