import type { PlannedPool } from '@keen-gauge/core/pool/plan';
import { shown } from '@keen-gauge/core/rules/rounding';
import { useEffect, useState } from 'react';
import { PoolRun, type FuseUnder } from './pool-run';

/** The highest current in a year with the cars that are carried, and how warm that makes the fuse it passes. */
export function FuseLine({ planned, cars }: { readonly planned: PlannedPool; readonly cars: number }) {
  const { fuse } = planned;
  const ratingA = fuse?.ratingA;
  const [found, setFound] = useState<FuseUnder | null>(null);
  useEffect(() => {
    if (ratingA === undefined || cars === 0) return undefined;
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
  if (found === null || fuse === null) return null;
  return (
    <p>
      Highest current in a year with {cars} cars: <strong>{shown(found.highestA)} A</strong>. {fuse.label},{' '}
      {fuse.ratingA} A: at most <strong>{Math.round(found.warmest * 100)} %</strong> of the heating that would operate
      it (indicative).
    </p>
  );
}
