/** What may be done for a charger at the far end of a feeder, each reckoned, the first answer first. */
import { setPointWithin, worstSetPointA } from '../management/clamp-limit';
import { settingsOf } from '../management/settings';
import type { Proposal } from '../survey/proposal';
import { protects, type TreeNode } from '../tree/supply-tree';
import { exceeds, written } from '../worked';
import { currentOf, dropOf } from '../circuit/along';
import { linesAt, type CircuitFacts } from '../circuit/circuit-facts';
import { judgeClaim } from './feeder-claim';
import { notKnown, type Lookup } from '../cable/lookup';
import { newFeeder } from './new-feeder';
import { limitWords } from '../cable/size-search';
import { dropOnTheWay, stoppedBy, withCharger, type Rung } from './room';
import { shown, wholeBelow } from '../rules/rounding';

export type FeederAnswerKind = 'full-rate' | 'hold' | 'two-clamps' | 'larger-device' | 'new-cable' | 'wait';

/** One answer: whether it holds everywhere on the way, null where that is not known, and what it comes to. */
export interface FeederAnswer {
  readonly kind: FeederAnswerKind;
  readonly title: string;
  readonly holds: boolean | null;
  readonly says: string;
  /** The charger's setting this answer asks for, in amperes. */
  readonly setA?: number;
  /** Set-points of the clamps on the feeder and at the intake, in amperes. */
  readonly setPointsA?: readonly [feederA: number, intakeA: number];
  /** The new cable it asks for. */
  readonly made?: { readonly sizeMm2: number; readonly deviceA: number; readonly lengthM: number };
  /** The most the charger may drop to when a clamp is lost; 0 where less than the least charging current is left. */
  readonly failSafeA?: number;
}

export interface FeederCase {
  readonly here: TreeNode;
  readonly proposal: Proposal;
  readonly rungs: readonly Rung[];
  readonly facts: CircuitFacts;
  /** Volt drop of the charger's own circuit at its full rating, in percent; null where that is not known. */
  readonly ownDrop: number | null;
}

/** The least hold rate that is put before clamps: under it a night may not fill a battery. */
const WORTH_HOLDING_A = 10;

/** The answers of section 9, those that hold before those that do not, the least work first. */
export function feederAnswers(of: FeederCase): FeederAnswer[] {
  if (of.proposal.ratedA === undefined || !of.rungs.every(({ otherA }) => otherA.ok)) return [wait];
  const full = holdsAt(of, of.proposal.ratedA);
  if (full.holds)
    return [
      {
        kind: 'full-rate',
        title: `Full rate, ${of.proposal.ratedA} A`,
        holds: true,
        says: 'The feeder as it is carries the charger with everything else that runs there.',
      },
    ];
  const answers = [hold(of), largerDevice(of), twoClamps(of), newCable(of), wait].filter((each) => each !== null);
  const order = (answer: FeederAnswer): number =>
    (answer.holds === true ? 0 : answer.holds === null ? 10 : 20) + RANK[answer.kind] + penalty(answer);
  return answers.sort((a, b) => order(a) - order(b));
}

const RANK: Readonly<Record<FeederAnswerKind, number>> = {
  'full-rate': 0,
  hold: 1,
  'larger-device': 2,
  'two-clamps': 3,
  'new-cable': 5,
  wait: 30,
};

function penalty({ kind, setA }: FeederAnswer): number {
  return kind === 'hold' && setA !== undefined && setA < WORTH_HOLDING_A ? 3 : 0;
}

const wait: FeederAnswer = {
  kind: 'wait',
  title: 'Wait',
  holds: null,
  says: 'Leave it until the feeder is renewed for another reason; nothing is connected meanwhile.',
};

interface AtRate {
  readonly holds: boolean | null;
  readonly says: string;
}

/** Whether everything on the way holds with the charger drawing so much, and what stops it if not. */
export function holdsAt(of: FeederCase, chargerA: number): AtRate {
  const { rungs, proposal, facts } = of;
  const stop = stoppedBy(rungs, proposal, chargerA, facts);
  if (stop?.state === 'over') return { holds: false, says: stop.says };
  const largest = facts.rules.circuit.largestDropPercent.value;
  const way = dropOnTheWay(rungs, proposal, chargerA, facts);
  if (!way.ok) return { holds: null, says: way.says };
  const total = way.value + ownDropAt(of, chargerA);
  if (exceeds(total, largest, '%'))
    return { holds: false, says: `${written(total)} % volt drop, ${largest} % at most` };
  if (stop) return { holds: null, says: stop.says };
  return {
    holds: true,
    says: `${written(total)} % volt drop at its end${of.ownDrop === null ? ', its own circuit not counted' : ''}`,
  };
}

function ownDropAt({ ownDrop, proposal }: FeederCase, chargerA: number): number {
  return ownDrop === null || proposal.ratedA === undefined ? 0 : (ownDrop * chargerA) / proposal.ratedA;
}

/** The largest usual setting at which everything holds. */
function hold(of: FeederCase): FeederAnswer {
  const { ratedA = 0 } = of.proposal;
  const steps = settingsOf(of.proposal, of.facts.rules);
  const tried = steps.map((step) => ({ step, at: holdsAt(of, step) }));
  const best = tried.find(({ at }) => at.holds === true);
  if (best) {
    const above = tried[tried.indexOf(best) - 1]?.at ?? holdsAt(of, ratedA);
    return {
      kind: 'hold',
      title: `Hold the charger to ${best.step} A`,
      holds: true,
      setA: best.step,
      says: `Leaves room for everything else there: ${best.at.says}. The next setting up does not: ${above.says}.`,
    };
  }
  const open = tried.find(({ at }) => at.holds === null);
  const least = tried.at(-1);
  return {
    kind: 'hold',
    title: 'Hold the charger to a fixed rate',
    holds: open ? null : false,
    says: open
      ? `Not known yet: ${open.at.says}.`
      : `Even ${least?.step ?? 0} A does not hold: ${least?.at.says ?? 'no setting is low enough'}.`,
  };
}

/** Two guards at once: a clamp on the feeder keeps it, a clamp at the intake keeps the fuse. */
function twoClamps(of: FeederCase): FeederAnswer {
  const { rungs, here, facts, proposal } = of;
  const title = 'Clamps on the feeder and at the intake';
  const at = rungs.findIndex((rung) => rung.here === here);
  const [far, near] = [rungs.slice(0, at + 1), rungs.slice(at + 1)];
  const [feeder, intake] = [leastBound(far), leastBound(near)];
  if (feeder === null || intake === null)
    return { kind: 'two-clamps', title, holds: null, says: 'A rating or the cable on the way is not known yet.' };
  // As far below as a clamp may err: what a set-point becomes at its worst is within the bound.
  const [feederA, intakeA] = [feeder, intake].map((boundA) =>
    Math.max(0, wholeBelow(setPointWithin(boundA, facts.rules))),
  ) as [number, number];
  const [otherFar, otherNear] = [mostOther(far), mostOther(near)];
  if (exceeds(otherFar, feeder) || exceeds(otherNear, intake))
    return {
      kind: 'two-clamps',
      title,
      holds: false,
      says: 'The other loads alone pass what the feeder or the intake may carry: no clamp can help.',
    };
  const largest = facts.rules.circuit.largestDropPercent.value;
  const worstA = worstSetPointA(feederA, facts.rules);
  const drop = clampedDrop(of, worstA);
  if (!drop.ok) return { kind: 'two-clamps', title, holds: null, says: `Not known yet: ${drop.says}.` };
  if (exceeds(drop.value, largest, '%'))
    return {
      kind: 'two-clamps',
      title,
      holds: false,
      says: `At a set-point of ${feederA} A, up to ${shown(worstA)} A with the clamp at its worst, the volt drop is ${written(drop.value)} %, ${largest} % at most: a clamp keeps the device, not the volts.`,
    };
  const leftA = wholeBelow(Math.min(feederA - otherFar, intakeA - otherNear));
  const least = facts.rules.leastChargingA.value;
  const worst =
    leftA < least ? 'nothing: it pauses while everything runs' : `${Math.min(leftA, proposal.ratedA ?? leftA)} A`;
  const lostA = wholeBelow(Math.min(feeder - otherFar, intake - otherNear));
  const failSafeA = lostA < least ? 0 : lostA;
  const lost =
    failSafeA === 0
      ? ` The fail-safe has to be 0 A: ${lostA <= 0 ? 'nothing is' : `only ${lostA} A are`} left with a clamp lost and everything on.`
      : ` The fail-safe may be ${failSafeA} A at most.`;
  return {
    kind: 'two-clamps',
    title,
    holds: true,
    setPointsA: [feederA, intakeA],
    failSafeA,
    says: `Set-points ${feederA} A on the feeder and ${intakeA} A at the intake, clamps at their worst counted. With everything on, the charger has ${worst}; otherwise more.${lost}`,
  };
}

function leastBound(rungs: readonly Rung[]): number | null {
  let least: number | null = null;
  for (const { ratingA, cableA, here } of rungs) {
    if (cableA && !cableA.ok) return null;
    if (ratingA === undefined && protects(here)) return null;
    for (const bound of [ratingA, cableA?.value])
      if (bound !== undefined && (least === null || bound < least)) least = bound;
  }
  return least;
}

function mostOther(rungs: readonly Rung[]): number {
  return Math.max(0, ...rungs.flatMap(({ otherA }) => (otherA.ok ? otherA.value : [])));
}

/** Volt drop to the charger with the feeder held to a set-point, in percent. */
function clampedDrop(of: FeederCase, setPointA: number): Lookup<number> {
  const { rungs, here, facts, proposal } = of;
  const { ratedA = 0 } = proposal;
  const way = dropOnTheWay(
    rungs.filter((rung) => rung.here !== here),
    proposal,
    Math.min(ratedA, setPointA),
    facts,
  );
  if (!way.ok) return way;
  const rung = rungs.find((each) => each.here === here);
  const free = rung ? withCharger(rung, proposal, ratedA, facts) : null;
  if (!rung || !free) return notKnown('the feeder is not on the way');
  if (!rung.otherA.ok) return rung.otherA;
  if (!free.ok) return free;
  const others = rung.otherA.value;
  // What else runs there flows whatever the clamp does.
  const held = free.value.map((amperes, line) => Math.max(others[line] ?? 0, Math.min(amperes, setPointA)));
  const own = dropOf(here, facts, currentOf(held, linesAt(here, facts)));
  if (!own.ok) return own;
  return { ok: true, value: way.value + own.value.value + ownDropAt(of, Math.min(ratedA, setPointA)) };
}

/** A larger device on the cable that is there: only where everything was reckoned again and holds. */
function largerDevice(of: FeederCase): FeederAnswer | null {
  const { here, rungs, proposal, facts } = of;
  const rung = rungs.find((each) => each.here === here);
  const wanted = rung && withCharger(rung, proposal, proposal.ratedA ?? 0, facts);
  if (!wanted?.ok || here.node.ratingA === undefined) return null;
  const wantedA = Math.max(...wanted.value);
  const deviceA = facts.rules.circuit.deviceRatingsA.value.find((each) => each >= wantedA);
  if (deviceA === undefined || deviceA <= here.node.ratingA) return null;
  if (judgeClaim(here, deviceA, facts).holds !== true) return null;
  const others = rungs.map((each) => (each === rung ? { ...each, ratingA: deviceA } : each));
  if (holdsAt({ ...of, rungs: others }, proposal.ratedA ?? 0).holds !== true) return null;
  return {
    kind: 'larger-device',
    title: `A device of ${deviceA} A on the cable that is there`,
    holds: true,
    says: 'Worked out again as it is laid: capacity, volt drop and loop impedance all allow it. Look along the whole of it first.',
  };
}

/** New cable along the same way, with a spare duct and the data cable in the same trench. */
function newCable(of: FeederCase): FeederAnswer {
  const made = newFeeder(of);
  const title = 'A new cable';
  if (!made)
    return { kind: 'new-cable', title, holds: null, says: 'Its length and the loads there are needed to size it.' };
  const { search, deviceA, lengthM } = made;
  const size = search.smallestMm2;
  if (size === null)
    return {
      kind: 'new-cable',
      title,
      holds: search.smallestOpenMm2 === null ? false : null,
      says:
        search.smallestOpenMm2 === null
          ? 'No size in the table is large enough.'
          : `Not known yet: ${search.sizes.find(({ sizeMm2 }) => sizeMm2 === search.smallestOpenMm2)?.notKnown[0] ?? ''}.`,
    };
  const at = of.rungs.findIndex((rung) => rung.here === of.here);
  const [far, near] = [of.rungs.slice(0, at), of.rungs.slice(at + 1)];
  // The far board and whatever is beyond it stay as they are, and carry the charger too.
  const beyond = stoppedBy(far, of.proposal, of.proposal.ratedA ?? 0, of.facts);
  if (beyond)
    return {
      kind: 'new-cable',
      title: `${title}: ${size} mm² armoured on ${deviceA} A`,
      holds: beyond.state === 'over' ? false : null,
      says:
        beyond.state === 'over'
          ? `The cable would carry it and what is beyond it would not: ${beyond.says}. That has to be changed as well.`
          : `Not known yet: ${beyond.says}.`,
    };
  const stop = stoppedBy(near, of.proposal, of.proposal.ratedA ?? 0, of.facts);
  const bound = leastBound(near);
  // A clamp at the intake keeps it as long as the other loads alone do not pass what it may carry.
  const clamped = stop?.state === 'over' && bound !== null && !exceeds(mostOther(near), bound);
  const intake = stop ? ` The intake needs a limiter or a larger rating as well: ${stop.says}.` : '';
  const limits = search.limitedBy.length > 0 ? limitWords(search.limitedBy) : 'nothing smaller in the table';
  return {
    kind: 'new-cable',
    title: `A new cable: ${size} mm² armoured on ${deviceA} A${clamped ? ', and a clamp at the intake' : ''}`,
    holds: stop === null || clamped ? true : stop.state === 'over' ? false : null,
    made: { sizeMm2: size, deviceA, lengthM },
    says: `For full rate with everything else there, ${lengthM} m in the ground, limited by ${limits}. Lay a data cable and a spare duct in the same trench.${intake}`,
  };
}
