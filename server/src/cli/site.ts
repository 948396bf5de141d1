import { assess } from '@keen-gauge/core/assess';
import type { Assessment } from '@keen-gauge/core/assessment';
import type { Rules } from '@keen-gauge/core/rules/rules';
import { adviseSite } from '@keen-gauge/core/site/combination';
import { groupThreeWays, type GroupFigure } from '@keen-gauge/core/site/group-demand';
import { surveyOfSupply } from '@keen-gauge/core/site/supply-survey';
import { suppliesOfSite } from '@keen-gauge/core/site/supplies';
import type { Survey } from '@keen-gauge/core/survey/survey';

/**
 * What the command line prints of a building: every supply with what it carries and what is said of it by itself, what the building takes three ways, and, with seeds to play, every bay compared and
 * what is recommended. Null where there is one supply.
 */
export function printedSite(survey: Survey, assessment: Assessment, rules: Rules, seeds: number): object | null {
  const supplies = suppliesOfSite(survey, assessment);
  if (supplies.length < 2) return null;
  const group = groupThreeWays(survey, assessment, supplies, rules);
  const advice = seeds === 0 || !survey.pool ? null : adviseSite(survey, rules, seeds);
  return {
    supplies: supplies.map((supply) => {
      const { route, verdicts, supply: own } = assess(surveyOfSupply(survey, supply.nodeId, assessment), rules);
      return {
        ...supply,
        alone: {
          deviceId: own.deviceId,
          ratingA: own.rating.value,
          route: route.way,
          verdicts: verdicts.map(({ id, answer }) => ({ id, answer })),
        },
      };
    }),
    groupDemand: {
      dwellings: group.dwellings,
      formula: figure(group.formula),
      sum: figure(group.sum),
      measured: figure(group.measured),
      landlord: figure(group.landlord),
    },
    ...(advice
      ? {
          bays: advice.bays,
          reaches: advice.reaches,
          recommended: advice.best,
          because: advice.because,
          others: advice.others,
        }
      : {}),
  };
}

function figure({ figure: worked, atLeast, why }: GroupFigure): object {
  return {
    kw: worked?.value ?? null,
    bound: atLeast ? 'at-least' : 'exact',
    ...(why === undefined ? {} : { why }),
    working: worked?.steps() ?? [],
  };
}
