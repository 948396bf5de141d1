import { cableForm } from '../cable/cable-forms';
import { stretchCapacity } from '../cable/capacity';
import { runImpedance } from '../cable/fault-loop';
import { protectiveConductor } from '../cable/protective-conductor';
import type { Rules } from '../rules/rules';
import type { Laid } from '../survey/words/words';
import { judgeTrunk, type Tap, type TrunkConductor, type TrunkLimits, type TrunkVerdict } from './trunk';

/** What a size of trunk fails by. */
export type TrunkFault = 'capacity' | 'drop' | 'loop';

export interface TrunkSize {
  readonly sizeMm2: number;
  readonly conductor: TrunkConductor;
  readonly verdict: TrunkVerdict;
  readonly failsBy: readonly TrunkFault[];
}

/** Every size of a cable for a row, and the smallest that does; a loop that is not known rules nothing out, and is said. */
export interface TrunkSizes {
  readonly sizes: readonly TrunkSize[];
  readonly smallest: TrunkSize | null;
  /** What rules out the size below the smallest. */
  readonly limitedBy: readonly TrunkFault[];
  /** Why there is no size to try. */
  readonly gap: string | null;
}

/**
 * The smallest size of an armoured cable with a core for protection that carries a row’s set-point, loses no more than is allowed with it drawn at the far end, and keeps the loop at the last tap
 * low enough. Temperatures are the table’s own; the trunk runs alone. Source: guide section 16; BS 7671 appendix 4.
 */
export function searchTrunk(taps: readonly Tap[], laid: Laid, limits: TrunkLimits, rules: Rules): TrunkSizes {
  const { circuit } = rules;
  const form = cableForm(circuit, 'armoured', limits.phases);
  if (!form.ok) return { sizes: [], smallest: null, limitedBy: [], gap: form.says };
  const sizes = form.value.rows.flatMap((row): TrunkSize[] => {
    const capacity = stretchCapacity(circuit, form.value, row, { laid });
    if (!capacity.ok) return [];
    const cpc = protectiveConductor(circuit, form.value, row, { cpc: 'core' });
    const r1 = circuit.resistanceMOhmPerM.value[row.sizeMm2];
    const loopOhmPerM =
      cpc.ok && r1 !== undefined
        ? runImpedance(circuit, form.value.insulation, 'R1 + R2', r1, cpc.value.mOhmPerM, 1).value
        : undefined;
    const conductor = { mVPerAM: row.mVPerAM, capacityA: capacity.value.value, loopOhmPerM };
    const verdict = judgeTrunk(taps, conductor, limits);
    const failsBy: TrunkFault[] = [
      ...(verdict.carriesEnough ? [] : ['capacity' as const]),
      ...(verdict.dropHolds ? [] : ['drop' as const]),
      ...(verdict.loopHolds === false ? ['loop' as const] : []),
    ];
    return [{ sizeMm2: row.sizeMm2, conductor, verdict, failsBy }];
  });
  const at = sizes.findIndex(({ failsBy }) => failsBy.length === 0);
  const below = at < 0 ? sizes.at(-1) : sizes[at - 1];
  return {
    sizes,
    smallest: sizes[at] ?? null,
    limitedBy: below?.failsBy ?? [],
    gap: sizes.length === 0 ? `${form.value.name} laid so is not in the table` : null,
  };
}
