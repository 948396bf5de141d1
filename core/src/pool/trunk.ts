import { exceeds, reckon, written, type Worked } from '../worked';

/** One tap along a trunk: how far from where it begins, and the most its outlet draws, in metres and amperes on each line. */
export interface Tap {
  readonly id: string;
  readonly atM: number;
  readonly mostA: number;
}

/** What a tap carries in the worst case, and how far the voltage is down there. */
export interface TapFigures {
  readonly id: string;
  readonly atM: number;
  readonly drawsA: number;
  /** What the trunk carries into this tap, this one included. */
  readonly trunkA: number;
  readonly dropV: number;
}

/** A conductor of a trunk, cable or bus, per metre. */
export interface TrunkConductor {
  /** Of the whole run, between lines for three-phase ones; as tabulated or as the maker of the bus says. */
  readonly mVPerAM: number;
  /** What it carries as it is laid, in amperes. */
  readonly capacityA: number;
  /** Line and protective conductor together, hot, in ohms a metre; undefined where it is not known. */
  readonly loopOhmPerM?: number | undefined;
}

/**
 * The worst that a pool can make of its trunk: its set-point drawn from the far end inwards, each outlet up to what it draws. With nothing else between the taps no other way of sharing the same
 * amperes drops more at the last tap.
 */
export function worstShares(taps: readonly Tap[], setPointA: number): ReadonlyMap<string, number> {
  let left = setPointA;
  const shares = new Map<string, number>();
  for (const { id, mostA } of [...taps].sort((a, b) => b.atM - a.atM)) {
    const draws = Math.max(0, Math.min(mostA, left));
    shares.set(id, draws);
    left -= draws;
  }
  return shares;
}

/**
 * Tap by tap from the beginning: what each draws, what the trunk carries into it, and the volts lost on the way, the sum over the taps of current × mV/A/m × the way it shares with this tap.
 * Source: guide section 16; BS 7671 appendix 4, 6.
 *
 * @example two taps of 32 A at 10 m and 30 m on 1.75 mV/A/m: 32 × 10 + 32 × 10 = 640 A·m to the first, 1.12 V; 640 + 32 × 20 = 1280 A·m to the last, 2.24 V.
 */
export function alongTrunk(taps: readonly Tap[], shares: ReadonlyMap<string, number>, mVPerAM: number): TapFigures[] {
  const inOrder = [...taps].sort((a, b) => a.atM - b.atM);
  let [fromM, dropV] = [0, 0];
  let carriedA = inOrder.reduce((sum, { id }) => sum + (shares.get(id) ?? 0), 0);
  return inOrder.map(({ id, atM }) => {
    const drawsA = shares.get(id) ?? 0;
    dropV += (carriedA * mVPerAM * (atM - fromM)) / 1000;
    fromM = atM;
    const trunkA = carriedA;
    carriedA -= drawsA;
    return { id, atM, drawsA, trunkA, dropV };
  });
}

/** What of a trunk holds and what does not; null where it is not known. */
export interface TrunkVerdict {
  readonly taps: readonly TapFigures[];
  readonly carriesEnough: boolean;
  readonly dropPercent: Worked;
  readonly dropHolds: boolean;
  /** Loop impedance at the last tap. */
  readonly loop: Worked | null;
  readonly loopHolds: boolean | null;
}

/** What a trunk is held to. `ze` in Ω: of the supply where the trunk begins; `mostLoopOhm`: what its device allows. */
export interface TrunkLimits {
  readonly setPointA: number;
  /** To neutral. */
  readonly nominalV: number;
  readonly phases: 1 | 3;
  readonly mostDropPercent: number;
  readonly zeOhm?: number | undefined;
  readonly mostLoopOhm?: number | undefined;
}

/**
 * The volts to neutral an ampere of one line loses a metre at worst, in millivolts. Three-phase: single-phase cars may leave one line alone, and its current comes back in the neutral: twice the
 * tabulated figure between lines ÷ √3. Source: as for the volt drop of circuits.
 */
export function worstPerAM(mVPerAM: number, phases: 1 | 3): number {
  return phases === 1 ? mVPerAM : (2 * mVPerAM) / Math.sqrt(3);
}

/** Judges a conductor for a row of taps by what it carries, by the volts lost at the last tap and by the loop there. */
export function judgeTrunk(taps: readonly Tap[], conductor: TrunkConductor, limits: TrunkLimits): TrunkVerdict {
  const perAM = worstPerAM(conductor.mVPerAM, limits.phases);
  const figures = alongTrunk(taps, worstShares(taps, limits.setPointA), perAM);
  const last = figures.at(-1);
  const dropV = last?.dropV ?? 0;
  const percent = (dropV / limits.nominalV) * 100;
  const dropPercent = reckon('Volt drop at the last tap', percent, '%', () => ({
    expression: 'sum over the taps of current × mV/A/m × distance ÷ 1000 ÷ voltage',
    substituted: `${figures
      .filter(({ drawsA }) => drawsA > 0)
      .map(({ drawsA, atM }) => `${written(drawsA)} × ${written(atM)}`)
      .join(
        ' + ',
      )} A·m × ${written(perAM)} ÷ 1000 = ${written(dropV)} V; ÷ ${written(limits.nominalV)} = ${written(percent)} %`,
  }));
  const { zeOhm, mostLoopOhm } = limits;
  const { loopOhmPerM } = conductor;
  const loop =
    zeOhm === undefined || loopOhmPerM === undefined || last === undefined
      ? null
      : reckon('Loop impedance at the last tap', zeOhm + loopOhmPerM * last.atM, 'Ω', () => ({
          expression: 'loop where the trunk begins + loop of the trunk, hot, a metre × distance',
          substituted: `${written(zeOhm)} + ${written(loopOhmPerM)} × ${written(last.atM)} = ${written(zeOhm + loopOhmPerM * last.atM)} Ω`,
        }));
  return {
    taps: figures,
    carriesEnough: !exceeds(Math.min(limits.setPointA, figures[0]?.trunkA ?? 0), conductor.capacityA),
    dropPercent,
    dropHolds: !exceeds(percent, limits.mostDropPercent, '%'),
    loop,
    loopHolds: loop === null || mostLoopOhm === undefined ? null : !exceeds(loop.value, mostLoopOhm, 'Ω'),
  };
}
