import { decide } from '../assess';
import { setPointWithin } from '../management/clamp-limit';
import { wholeBelow } from '../rules/rounding';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import type { CostBand } from '../survey/words/option-words';
import { supplyTree } from '../tree/supply-tree';
import { poolGuarantees } from './guarantees';
import { plannedPool, type PlannedPool } from './plan';
import { poolOnSupply } from './on-supply';
import type { Outlet } from './pool-year';
import { LINE_ORDERS } from './rotation';

/** What can be done for a row to carry more cars, cheapest first. */
export type StepKind = 'set-point' | 'fuse' | 'phases' | 'new-supply';

/** A row as it would be after one step, to be played like any other. */
export interface NextStep {
  readonly kind: StepKind;
  readonly label: string;
  readonly costBand: CostBand;
  readonly weeks: readonly [number, number];
  readonly planned: PlannedPool;
}

/** Steps that give the row other lines: at the same set-point they may carry more all the same. */
const OTHER_LINES: readonly StepKind[] = ['phases', 'new-supply'];

/** Taken for a new supply where nobody has said what fuse it would have. */
const USUAL_NEW_FUSE_A = 100;

/**
 * The steps that would give a row more: the largest set-point its present supply holds, the next fuse, three phases, and a supply of its own; each held by the same guards. Nothing where
 * the present row cannot be played.
 */
export function nextSteps(survey: Survey, rules: Rules): NextStep[] {
  const now = plannedPool(survey, decide(survey, rules), rules);
  if ('needs' in now) return [];
  return [
    largerSetPoint(survey, rules),
    largerFuse(survey, rules),
    threePhases(survey, rules),
    newSupply(survey, now, rules),
  ].flatMap((step) =>
    step !== null && (step.planned.setPointA > now.setPointA || OTHER_LINES.includes(step.kind)) ? [step] : [],
  );
}

/** A survey’s row at the largest set-point that holds; null where nothing more is known to. */
function heldAtMost(survey: Survey, rules: Rules): PlannedPool | null {
  if (!survey.pool) return null;
  const assessment = decide(survey, rules);
  const { outlets, parts } = poolOnSupply(survey, assessment, rules);
  const failSafeA = survey.pool.failSafeA ?? 0;
  const { mostSetPointA } = poolGuarantees(parts, outlets, { setPointA: 0, failSafeA }, rules);
  if (mostSetPointA === null || mostSetPointA === 0) return null;
  const { guards } = poolGuarantees(parts, outlets, { setPointA: mostSetPointA, failSafeA }, rules);
  if (guards.some(({ holds }) => !holds)) return null;
  const planned = plannedPool({ ...survey, pool: { ...survey.pool, setPointA: mostSetPointA } }, assessment, rules);
  return 'needs' in planned ? null : planned;
}

function largerSetPoint(survey: Survey, rules: Rules): NextStep | null {
  const planned = heldAtMost(survey, rules);
  return (
    planned && {
      kind: 'set-point',
      label: `Set-point of ${planned.setPointA} A`,
      costBand: 'none',
      weeks: [0, 0],
      planned,
    }
  );
}

function largerFuse(survey: Survey, rules: Rules): NextStep | null {
  const { device } = supplyTree(survey);
  const present = device?.node.ratingA;
  const next = rules.usualFusesA.value.find((size) => size > (present ?? Infinity));
  if (!device || next === undefined) return null;
  const nodes = survey.supply.nodes.map((node) =>
    node === device.node ? { ...node, ratingA: next, evidence: 'attended' as const, holderMaximumA: next } : node,
  );
  const planned = heldAtMost({ ...survey, supply: { ...survey.supply, nodes } }, rules);
  const { costBand, waitWeeks } = rules.optionTerms.value['fuse-upgrade'];
  return planned && { kind: 'fuse', label: `Fuse of ${next} A`, costBand, weeks: waitWeeks, planned };
}

/** What is there stays on the first line; the outlets are turned along all three. */
function threePhases(survey: Survey, rules: Rules): NextStep | null {
  if (survey.supply.phases === 3) return null;
  const planned = heldAtMost(
    {
      ...survey,
      supply: { ...survey.supply, phases: 3 },
      loads: survey.loads.map((load) => ({ ...load, phase: 'L1' as const })),
    },
    rules,
  );
  const { costBand, waitWeeks } = rules.optionTerms.value['three-phase'];
  return planned && { kind: 'phases', label: 'Three phases', costBand, weeks: waitWeeks, planned };
}

function newSupply({ site }: Survey, now: PlannedPool, rules: Rules): NextStep {
  const fuseA = site?.newFuseA ?? USUAL_NEW_FUSE_A;
  const { costBand, waitWeeks } = rules.optionTerms.value['three-phase'];
  const outlets = now.outlets.map((outlet, at): Outlet => {
    const turned = LINE_ORDERS[at % 3] ?? [];
    return { ...outlet, lines: outlet.lines.length === 3 ? turned : turned.slice(0, 1) };
  });
  return {
    kind: 'new-supply',
    label: `Separate supply, ${fuseA} A three-phase`,
    costBand,
    weeks: site?.newWeeks === undefined ? waitWeeks : [site.newWeeks, site.newWeeks],
    planned: {
      ...now,
      outlets,
      setPointA: wholeBelow(setPointWithin(fuseA, rules)),
      elsewhere: { from: 'said', eveningA: 0, elseA: 0 },
      besideA: [0, 0, 0],
      fuse: { label: 'New supply', ratingA: fuseA },
    },
  };
}
