/** Outbuilding feeders: what feeds them, what they carry, and what may be done for a charger at their far end. */
import { chargerLimitA } from '../management/limiter';
import type { Proposal } from '../survey/proposal';
import { staying } from '../tree/going';
import { nodeOf } from '../tree/sets-below';
import { hangsFrom, type TreeNode } from '../tree/supply-tree';
import { exceeds, figure, given, unknownFigure, written, type Figure, type Worked } from '../worked';
import { currentAt, currentOf, dropOf, dropTo, loopTo } from '../circuit/along';
import { linesAt, type CircuitFacts } from '../circuit/circuit-facts';
import { nodeName } from '../survey/words/words';
import { largestLoopForDevice } from '../cable/fault-loop';
import { isFeeder } from './feeder-nodes';
import { feederAnswers, type FeederAnswer } from './feeder-answers';
import { judgeClaim, type ClaimVerdict } from './feeder-claim';
import { found, notKnown, type Lookup } from '../cable/lookup';
import { cableCapacity, rungsOf, type Rung } from './room';
import { sentence, shownFigure } from '../cable/size';
import { shown } from '../rules/rounding';

/** One question of an outbuilding feeder, in the order it is asked. */
export interface FeederQuestion {
  readonly id: 'device' | 'cable' | 'what-else' | 'volt-drop' | 'charger-as-well';
  readonly question: string;
  readonly answer: string;
  readonly state: 'holds' | 'fails' | 'not-known';
}

export interface FeederAssessment {
  readonly nodeId: string;
  readonly label: string;
  readonly ratingA: number | null;
  readonly questions: readonly FeederQuestion[];
  readonly capacity: Figure;
  /** Volt drop of its own cable: as loaded now, after the work, and with its device at full load. */
  readonly dropNow: Figure;
  readonly dropAfter: Figure;
  readonly dropFull: Figure;
  readonly loop: Figure;
  readonly loopLimit: Figure;
  /** The charger it is to feed, and what may be done for it, the first answer first. */
  readonly proposalId: string | null;
  readonly answers: readonly FeederAnswer[];
  /** What somebody believes the cable would carry, recomputed; null where nobody said. */
  readonly claim: ClaimVerdict | null;
  /** What it carries beyond the basis declared, since no circuit is recorded for it; the fullest phase, in amperes. */
  readonly uncountedA: number;
}

/** Volt drop of each charger’s own circuit at its full limit, in percent, where that is known. */
export type OwnDrops = ReadonlyMap<string, number>;

/** Every feeder of the supply, street first, with the charger it is to feed, if any. */
export function assessFeeders(facts: CircuitFacts, ownDrops: OwnDrops): FeederAssessment[] {
  return facts.tree.nodes.filter(isFeeder).map((here) => assessFeeder(here, facts, ownDrops));
}

function assessFeeder(here: TreeNode, facts: CircuitFacts, ownDrops: OwnDrops): FeederAssessment {
  const { node } = here;
  const proposal = facts.survey.proposals.find(({ nodeId }) => hangsFrom(nodeOf(facts.tree, nodeId), here));
  const rungs = proposal ? rungsOf(proposal, facts) : [];
  const capacity = cableCapacity(here, facts);
  const before = facts.nodes.get(node.id)?.before;
  const more = facts.uncountedA.get(node.id);
  const now = before
    ? linesOf(Object.values(before).map(({ value }, at) => (value === null ? null : value + (more?.[at] ?? 0))))
    : notKnown('demand not known');
  const drop = (current: ReturnType<typeof currentAt>): Lookup<Worked> =>
    current.ok ? dropOf(here, facts, current.value) : current;
  const dropAfter = drop(currentAt(here, facts));
  const full =
    node.ratingA === undefined ? notKnown('rating of its device not known') : fullLoad(here, node.ratingA, facts);
  const loop = loopTo(here, facts);
  return {
    nodeId: node.id,
    label: nodeName(here.node),
    ratingA: node.ratingA ?? null,
    questions: questionsOf(here, rungs, proposal, capacity, facts),
    capacity: capacity.ok
      ? figure(given('What the cable carries', capacity.value, 'A'))
      : unknownFigure('What the cable carries', 'A', sentence(capacity.says)),
    dropNow: shownFigure('Volt drop now', '%', drop(now.ok ? found(currentOf(now.value, linesAt(here, facts))) : now)),
    dropAfter: shownFigure('Volt drop after the work', '%', dropAfter),
    dropFull: shownFigure('Volt drop at full load', '%', drop(full)),
    loop: shownFigure('Loop impedance at its end', 'Ω', loop),
    loopLimit: shownFigure('Largest loop impedance', 'Ω', feederLoopLimit(here, facts)),
    proposalId: proposal?.id ?? null,
    answers: proposal
      ? feederAnswers({ here, proposal, rungs, facts, ownDrop: ownDrops.get(proposal.id) ?? null })
      : [],
    uncountedA: Math.max(0, ...(more ?? [])),
    claim: node.claimedRatingA === undefined ? null : judgeClaim(here, node.claimedRatingA, facts),
  };
}

function linesOf(values: readonly (number | null)[]): Lookup<readonly number[]> {
  const known = values.filter((value) => value !== null);
  return known.length === values.length ? found(known) : notKnown('the demand it carries is not known');
}

function fullLoad(here: TreeNode, ratingA: number, facts: CircuitFacts): ReturnType<typeof currentAt> {
  const lines = linesAt(here, facts);
  return found(currentOf(lines === 3 ? [ratingA, ratingA, ratingA] : [ratingA], lines));
}

function feederLoopLimit({ node }: TreeNode, { rules, survey }: CircuitFacts): Lookup<Worked> {
  if (survey.earthing.arrangement === 'tt') return notKnown('on TT an RCD disconnects, not the device');
  if (node.ratingA === undefined) return notKnown('rating of its device not known');
  if (node.deviceType === 'cartridge-fuse' || node.deviceType === 'rewirable-fuse')
    return notKnown('fuses are not in the table: take it from the maker’s curve');
  if (node.curve === undefined) return notKnown('curve of its device not known');
  return found(largestLoopForDevice(rules.circuit, rules.nominalVoltageV.value, node.curve, node.ratingA));
}

function questionsOf(
  here: TreeNode,
  rungs: readonly Rung[],
  proposal: Proposal | undefined,
  capacity: Lookup<number>,
  facts: CircuitFacts,
): FeederQuestion[] {
  const { node } = here;
  const { ratingA, cable } = node;
  const drop = dropTo(here, facts);
  const largest = facts.rules.circuit.largestDropPercent.value;
  const others = staying(facts.survey.loads).filter(({ nodeId }) => hangsFrom(nodeOf(facts.tree, nodeId), here));
  const unsized = others.some(({ powerW, currentA, apparentVA }) => (powerW ?? currentA ?? apparentVA) === undefined);
  return [
    {
      id: 'device',
      question: 'What device feeds it?',
      answer: ratingA === undefined ? 'Not known' : `${node.curve ?? ''}${ratingA} A`,
      state: ratingA === undefined ? 'not-known' : 'holds',
    },
    {
      id: 'cable',
      question: 'What cable, how long, laid how?',
      answer: capacity.ok
        ? `${cable?.sizeMm2 ?? ''} mm², ${cable?.lengthM === undefined ? 'length not known' : `${cable.lengthM} m`}: carries ${shown(capacity.value)} A`
        : sentence(capacity.says),
      state:
        !capacity.ok || cable?.lengthM === undefined
          ? 'not-known'
          : ratingA !== undefined && capacity.value < ratingA
            ? 'fails'
            : 'holds',
    },
    {
      id: 'what-else',
      question: 'What else runs there?',
      answer:
        others.length === 0 ? 'Nothing is recorded' : others.map(({ label, class: kind }) => label ?? kind).join(', '),
      state: others.length === 0 || unsized ? 'not-known' : 'holds',
    },
    {
      id: 'volt-drop',
      question: 'What volt drop at full load, after the work?',
      answer: drop.ok
        ? `${written(drop.value.value)} % at its end, ${largest} % at most for everything`
        : sentence(drop.says),
      state: !drop.ok ? 'not-known' : drop.value.value > largest ? 'fails' : 'holds',
    },
    ...(proposal ? [asWell(here, rungs, proposal, facts)] : []),
  ];
}

function asWell(here: TreeNode, rungs: readonly Rung[], proposal: Proposal, facts: CircuitFacts): FeederQuestion {
  const question = 'Can the weakest of those carry the charger as well?';
  const about = { id: 'charger-as-well', question } as const;
  if (facts.limiterHolds && facts.nodes.get(here.node.id)?.guard?.holds === true)
    return { ...about, answer: 'Kept within its rating by the clamp', state: 'holds' };
  const rung = rungs.find((each) => each.here === here);
  const limitA = chargerLimitA(proposal);
  if (!rung?.otherA.ok || limitA === null) return { ...about, answer: 'Not known yet', state: 'not-known' };
  const bounds = [rung.ratingA, rung.cableA?.ok ? rung.cableA.value : undefined].filter((each) => each !== undefined);
  if (bounds.length < 2) return { ...about, answer: 'Not known yet', state: 'not-known' };
  const leftA = Math.min(...bounds) - Math.max(...rung.otherA.value);
  return {
    ...about,
    answer: `${shown(Math.max(0, leftA))} A left for a charger of ${limitA} A`,
    state: exceeds(limitA, leftA) ? 'fails' : 'holds',
  };
}
