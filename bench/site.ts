import { assess } from '@keen-gauge/core/assess';
import { STARTING_SETS } from '@keen-gauge/core/demand/starting-sets';
import { Memory } from '@keen-gauge/core/memory';
import { poolGuarantees } from '@keen-gauge/core/pool/guarantees';
import { poolOnSupply } from '@keen-gauge/core/pool/on-supply';
import { gbDefault as rules } from '@keen-gauge/core/rules/gb-default';
import { adviseSite } from '@keen-gauge/core/site/combination';
import { suppliesOfSite } from '@keen-gauge/core/site/supplies';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { plainSurvey } from '@keen-gauge/core/survey/opening/read';
import type { Survey } from '@keen-gauge/core/survey/survey';
import { quantile, report } from './report';

const LINES = ['L1', 'L2', 'L3'] as const;
const ROUNDS = 200;

/** Dwellings behind a head of 630 A, each behind 80 A on one line with a usual set of loads, a landlord beside them, and a row of outlets. */
function building(dwellings: number, outlets: number): Survey {
  const survey = blankSurvey();
  survey.place.premises = 'household';
  survey.generation = [];
  survey.supply = {
    phases: 3,
    nodes: [
      { id: 'head', kind: 'cut-out', ratingA: 630, evidence: 'record' },
      { id: 'split', kind: 'split-block', fedFrom: 'head', ratingA: 800 },
      { id: 'landlord', kind: 'switch-fuse', fedFrom: 'split', ratingA: 200, evidence: 'label' },
      { id: 'landlord-meter', kind: 'meter', fedFrom: 'landlord', ratingA: 200 },
      { id: 'landlord-board', kind: 'board', fedFrom: 'landlord-meter', ratingA: 200 },
    ],
  };
  const set = STARTING_SETS.find(({ id }) => id === 'gas-heated')?.loads ?? [];
  for (let at = 1; at <= dwellings; at += 1) {
    const phase = LINES[at % 3] ?? 'L1';
    survey.supply.nodes.push(
      { id: `fuse-${at}`, kind: 'switch-fuse', fedFrom: 'split', ratingA: 80, evidence: 'label', phase },
      { id: `meter-${at}`, kind: 'meter', fedFrom: `fuse-${at}`, ratingA: 100 },
      { id: `board-${at}`, kind: 'board', fedFrom: `meter-${at}`, ratingA: 100 },
    );
    survey.loads.push(...set.map((load) => ({ ...load, id: `${load.id}-${at}`, nodeId: `board-${at}` })));
  }
  survey.loads.push({ id: 'stairs', class: 'lighting', powerW: 900, phase: 'L1', nodeId: 'landlord-board' });
  survey.site = {
    supplies: [{ id: 'landlord', nodeId: 'landlord', whose: 'landlord' }],
    own: { eachPounds: 1100, metrePounds: 40 },
    landlord: { oncePounds: 9000, eachPounds: 900 },
    newFuseA: 400,
    anew: { oncePounds: 40_000, eachPounds: 900 },
  };
  survey.pool = {
    nodeId: 'landlord-board',
    failSafeA: 0,
    otherEveningA: 90,
    otherElseA: 40,
    outlets: Array.from({ length: outlets }, (_each, at) => ({
      id: `bay-${at}`,
      mostA: 32,
      phases: 3,
      alongM: at * 2.6,
      ...(at < dwellings ? { ownNodeId: `fuse-${at + 1}`, ownRouteM: 20 + (at % 6) * 8 } : {}),
    })),
  };
  return plainSurvey(survey);
}

/** A site as it is worked on: a load edited, the guards of its row, and every bay compared. */
export function benchSite(): void {
  const survey = building(24, 100);
  const memory = new Memory();
  assess(survey, rules, memory);
  let at = 0;
  const edited = (): Survey => {
    at += 1;
    const loads = survey.loads.map((load, index) => (index === at % 100 ? { ...load, powerW: 500 + at } : load));
    return { ...survey, loads };
  };
  const edits = timed(() => {
    const next = edited();
    suppliesOfSite(next, assess(next, rules, memory));
  });
  report('a load edited in 24 dwellings, assessed, median', quantile(edits, 0.5), 'ms', 50);
  const assessment = assess(survey, rules);
  const guards = timed(() => {
    const { outlets, parts } = poolOnSupply(survey, assessment, rules);
    poolGuarantees(parts, outlets, { setPointA: 150, failSafeA: 0 }, rules);
  });
  report('guards of 100 outlets on their way to the street, median', quantile(guards, 0.5), 'ms', 20);
  for (const [dwellings, outlets] of [
    [6, 8],
    [24, 100],
  ] as const) {
    const start = performance.now();
    const { best } = adviseSite(building(dwellings, outlets), rules);
    const took = (performance.now() - start) / 1000;
    const counts = best ? JSON.stringify(best.counts) : 'nothing';
    console.log(
      `${outlets} bays of ${dwellings} dwellings compared and a combination found (${counts}): ${took.toFixed(1)} s`,
    );
  }
}

function timed(work: () => void): number[] {
  return Array.from({ length: ROUNDS }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
}
