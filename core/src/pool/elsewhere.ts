import type { Decided } from '../assessment';
import type { Rules } from '../rules/rules';
import type { Survey } from '../survey/survey';
import { isCharger } from '../survey/words/kinds';
import type { Phase } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import { hangsFrom, supplyTree } from '../tree/supply-tree';
import type { Appliance } from '../trial/appliance';
import { applianceOf, Caps, foundEquipment, foundLoads, ownEquipment, ownLoads, Sums } from '../trial/house-plan';
import { householdYear, MINUTES_A_DAY, MINUTES_A_YEAR } from '../trial/household';
import { clampedAt } from './on-supply';

/** Everything else of a supply: played from its loads, or as somebody says it is in the evening and otherwise. */
export type Elsewhere =
  | {
      readonly from: 'loads';
      readonly appliances: readonly Appliance[];
      readonly sums: number;
      readonly lines: readonly (number | null)[];
      readonly nominalV: number;
    }
  | { readonly from: 'said'; readonly eveningA: number; readonly elseA: number };

/** Everything that passes a row’s clamps and is not the row. */
export interface WithElse {
  readonly elsewhere: Elsewhere;
  /** What other new equipment takes past the clamps on each line, all the time, in amperes: its limit, since nobody has said when it runs. */
  readonly besideA: readonly [number, number, number];
}

const LINES: readonly Phase[] = ['L1', 'L2', 'L3'];
const EVENING = [17 * 60, 22 * 60] as const;

/** What everything else draws, as typed or from the loads; or what it still needs, in a sentence. */
export function elsewhereOf(survey: Survey, assessment: Decided, rules: Rules): Elsewhere | { readonly needs: string } {
  const { otherEveningA, otherElseA } = survey.pool ?? {};
  if (otherEveningA !== undefined && otherElseA !== undefined)
    return { from: 'said', eveningA: otherEveningA, elseA: otherElseA };
  const tree = supplyTree(survey);
  const loads = ownLoads(survey, tree, rules);
  const asChargers = new Set(survey.proposals.filter(isCharger).map(({ id }) => id));
  const equipment = ownEquipment(survey, tree).filter(({ id }) => !asChargers.has(id));
  if (loads.length === 0)
    return { needs: 'The loads of the supply, or what everything else draws in the evening and otherwise.' };
  const unsized = [...loads, ...equipment].filter(({ currentA }) => currentA === null);
  if (unsized.length > 0) return { needs: `The size of ${unsized.map(({ label }) => label).join(', ')}.` };
  const sums = new Sums(survey, [...loads, ...equipment]);
  const clamps = clampedAt(survey, tree);
  if (!clamps) return { needs: 'The supply.' };
  const seen = assessment.supply.phases.map((phase) => sums.at(clamps, phase));
  const caps = new Caps(survey, assessment, tree, [...loads, ...equipment], rules);
  const appliances = [...foundLoads(survey, loads, rules), ...foundEquipment(survey, equipment)].map((each) =>
    applianceOf(each, sums, caps),
  );
  return {
    from: 'loads',
    appliances,
    sums: sums.all.length,
    lines: LINES.map((line) => {
      const at = assessment.supply.phases.indexOf(line);
      return at < 0 ? null : (seen[at] ?? null);
    }),
    nominalV: rules.nominalVoltageV.value,
  };
}

/** New equipment the clamps see that is no outlet of the row, and is not played with the loads: at its limit on its lines. */
export function besideOf(survey: Survey, elsewhere: Elsewhere): Pick<WithElse, 'besideA'> | { readonly needs: string } {
  const tree = supplyTree(survey);
  const clamps = clampedAt(survey, tree);
  const outlets = new Set(survey.pool?.outlets.map(({ id }) => id));
  const chargers = new Set(survey.proposals.filter(isCharger).map(({ id }) => id));
  const beside = ownEquipment(survey, tree).filter(
    ({ id, nodeId }) =>
      !outlets.has(id) &&
      (elsewhere.from === 'said' || chargers.has(id)) &&
      (clamps === null || hangsFrom(nodeOf(tree, nodeId), clamps)),
  );
  const unsized = beside.filter(({ currentA }) => currentA === null);
  if (unsized.length > 0) return { needs: `The size of ${unsized.map(({ label }) => label).join(', ')}.` };
  const on = (line: Phase): number =>
    beside.reduce((sum, { phases, currentA }) => sum + (phases.includes(line) ? (currentA ?? 0) : 0), 0);
  return { besideA: [on('L1'), on('L2'), on('L3')] };
}

/** A year of everything else on each line, other new equipment included, in amperes a minute. */
export function elsewhereYear({ elsewhere, besideA }: WithElse, seed: number): Float32Array[] {
  const lines = withoutBeside(elsewhere, seed);
  // One line stays one line, so that what is left on it is worked out once.
  if (besideA.every((amperes) => amperes === 0)) return lines;
  return lines.map((line, at) => line.map((amperes) => amperes + (besideA[at] ?? 0)));
}

function withoutBeside(elsewhere: Elsewhere, seed: number): Float32Array[] {
  if (elsewhere.from === 'said') {
    const { eveningA, elseA } = elsewhere;
    const line = new Float32Array(MINUTES_A_YEAR).fill(elseA);
    for (let day = 0; day < MINUTES_A_YEAR; day += MINUTES_A_DAY)
      line.fill(eveningA, day + EVENING[0], day + EVENING[1]);
    return [line, line, line];
  }
  const { appliances, sums, lines, nominalV } = elsewhere;
  const year = householdYear({ appliances, sums, nominalV }, seed);
  return lines.map((sum) => (sum === null ? undefined : year.sums[sum]) ?? new Float32Array(MINUTES_A_YEAR));
}
