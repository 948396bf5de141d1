import type { Assessment } from '@keen-gauge/core/assessment';
import { carriedSpread, yearReached } from '@keen-gauge/core/pool/growth';
import { poolGuarantees } from '@keen-gauge/core/pool/guarantees';
import { plannedPool } from '@keen-gauge/core/pool/plan';
import { poolOnSupply } from '@keen-gauge/core/pool/on-supply';
import { playSeed } from '@keen-gauge/core/pool/play';
import { POLICIES } from '@keen-gauge/core/pool/policies';
import type { Rules } from '@keen-gauge/core/rules/rules';
import type { Survey } from '@keen-gauge/core/survey/survey';

/** What the command line prints of a survey’s pool: its outlets on their lines, what is guaranteed, and, with seeds to play, how many cars each policy carries and until when. */
export function playedPool(survey: Survey, assessment: Assessment, rules: Rules, seeds: number): object {
  const { outlets, parts } = poolOnSupply(survey, assessment, rules);
  const { setPointA = 0, failSafeA = 0 } = survey.pool ?? {};
  const guarantees = poolGuarantees(parts, outlets, { setPointA, failSafeA }, rules);
  const planned = plannedPool(survey, assessment, rules);
  if ('needs' in planned) return { outlets, guarantees, needs: planned.needs };
  const { years } = planned;
  const carried =
    seeds === 0
      ? []
      : POLICIES.map((policy) => {
          const found = Array.from({ length: seeds }, (_each, at) => playSeed(planned, policy, at + 1).carried);
          const spread = carriedSpread(found);
          return { policy, ...spread, tooFewFrom: yearReached(years, spread.median) };
        });
  return { outlets, guarantees, years, carried };
}
