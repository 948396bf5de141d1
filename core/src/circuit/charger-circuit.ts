import type { CableForm, Insulation } from '../rules/circuit-rules';
import type { Circuit } from '../survey/circuit';
import { isGeneration, equipmentName } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import type { Cable } from '../survey/supply';
import { chargerLimitA } from '../management/limiter';
import { nodeOf } from '../tree/sets-below';
import type { TreeNode } from '../tree/supply-tree';
import { given, type Figure, type Worked } from '../worked';
import { dropTo, loopTo } from './along';
import { cableForm } from '../cable/cable-forms';
import { assumptionsOf, lengthOf, type Stretch } from '../cable/capacity';
import { linesAt, type CircuitFacts } from './circuit-facts';
import { largestLoopForDevice, largestLoopForRcd } from '../cable/fault-loop';
import { found, notInTable, notKnown, type Lookup } from '../cable/lookup';
import { ownDevice } from './own-device';
import { rcdsAbove } from '../protection/rcds-above';
import { shownFigure, type Run, type SizeVerdict } from '../cable/size';
import { searchSizes, type SizeSearch } from '../cable/size-search';
import { singlePhase } from '../cable/volt-drop';

/** The circuit that carries one piece of new equipment, in every size of its cable. */
export interface CircuitAssessment {
  readonly proposalId: string;
  readonly label: string;
  /** The board or device it starts from. */
  readonly fromId: string | null;
  /** What the equipment may draw for hours. */
  readonly designA: number | null;
  readonly device: {
    readonly ratingA: number | null;
    readonly curve: 'B' | 'C' | 'D' | null;
    /** The smallest usual rating that carries the equipment, while nobody has chosen one. */
    readonly taken: boolean;
  };
  readonly cable: string | null;
  /** How hot its terminals let the cable run, which chose the figures; null while no cable is chosen. */
  readonly insulation: Insulation | null;
  readonly lengthM: number | null;
  readonly recordedMm2: number | null;
  readonly dropBefore: Figure;
  /** Of the supply and everything before this circuit, warm; and the most there may be at its end. */
  readonly loopBefore: Figure;
  readonly loopLimit: Figure;
  readonly search: SizeSearch | null;
  /** How the recorded size does; null where none is recorded or it is not in the table. */
  readonly recorded: SizeVerdict | null;
  /** The smallest nothing known rules out and the two above it; the three largest where everything fails. */
  readonly beside: readonly SizeVerdict[];
  /** Why no size can be looked for, and what was taken for want of a record. */
  readonly gap: string | null;
  readonly gapKind: 'not-known' | 'not-in-table' | null;
  readonly taken: readonly string[];
}

/** What a circuit starts from, and what is known of its own device and cable there. */
export interface CircuitStart {
  readonly circuit: Circuit;
  readonly stretches: readonly Stretch[];
  /** The equipment hangs on this node; its circuit starts at `from`, which feeds it where it is a device of its own. */
  readonly from: TreeNode | null;
}

/** A charger that hangs on a device has that device, and that device's cable, for its circuit until told otherwise. */
export function circuitStart(proposal: Proposal, facts: Pick<CircuitFacts, 'tree'>): CircuitStart {
  const at = nodeOf(facts.tree, proposal.nodeId);
  const own = ownDevice(proposal, facts.tree)?.node;
  const cable: Cable | undefined = own?.cable;
  const segments = proposal.circuit?.segments ?? [];
  return {
    circuit: {
      ...(own?.ratingA === undefined ? {} : { deviceRatingA: own.ratingA }),
      ...(own?.curve === undefined ? {} : { curve: own.curve }),
      ...(cable === undefined
        ? {}
        : {
            ...(cable.type === undefined ? {} : { cableType: cable.type }),
            ...(cable.sizeMm2 === undefined ? {} : { sizeMm2: cable.sizeMm2 }),
            ...(cable.cpc === undefined ? {} : { cpc: cable.cpc }),
            ...(cable.cpcMm2 === undefined ? {} : { cpcMm2: cable.cpcMm2 }),
            ...(cable.cpcMOhmPerM === undefined ? {} : { cpcMOhmPerM: cable.cpcMOhmPerM }),
            ...(cable.terminalsFor90 === undefined ? {} : { terminalsFor90: cable.terminalsFor90 }),
          }),
      ...proposal.circuit,
    },
    stretches: segments.length > 0 || cable === undefined ? segments : [cable],
    from: own && at ? at.parent : at,
  };
}

/** The circuit of one piece of new equipment: device, every size of cable, and what the route asks of it. */
export function assessCircuit(proposal: Proposal, facts: CircuitFacts): CircuitAssessment {
  const rules = facts.rules.circuit;
  const { circuit, stretches, from } = circuitStart(proposal, facts);
  const designA = designCurrentA(proposal);
  const ratingA = circuit.deviceRatingA ?? rules.deviceRatingsA.value.find((each) => each >= (designA ?? Infinity));
  const lines = proposal.phases === 3 && linesAt(from, facts) === 3 ? 3 : 1;
  const form = cableForm(rules, circuit.cableType, lines, circuit.terminalsFor90);
  const dropBefore = dropTo(from, facts);
  const before = loopBefore(proposal, from, facts);
  const disconnects = disconnection(proposal, circuit, ratingA, from, facts);
  const gap = designA === null ? notKnown('the rating of the equipment is not known') : form;
  const run = form.ok && designA !== null ? runOf(form.value, designA) : null;
  const search = run && searchSizes(run, circuit.sizeMm2);
  const start = search ? search.sizes.findIndex(({ state }) => state !== 'fails') : -1;
  const length = lengthOf(stretches);

  function runOf(cable: CableForm, amperes: number): Run {
    return {
      rules,
      nominalV: facts.rules.nominalVoltageV.value,
      form: cable,
      stretches,
      current: lines === 3 ? { lineA: amperes, neutralA: 0 } : singlePhase(amperes),
      deviceA: deviceRating(ratingA, circuit.deviceRatingA === undefined),
      dropBefore,
      loopBefore: before,
      loopLimit: disconnects.limit,
      clearsS: disconnects.clearsS,
      cpc: circuit,
    };
  }

  return {
    proposalId: proposal.id,
    label: equipmentName(proposal),
    fromId: from?.node.id ?? null,
    designA,
    device: { ratingA: ratingA ?? null, curve: circuit.curve ?? null, taken: circuit.deviceRatingA === undefined },
    cable: form.ok ? form.value.name : null,
    insulation: form.ok ? form.value.insulation : null,
    lengthM: length.ok ? length.value : null,
    recordedMm2: circuit.sizeMm2 ?? null,
    dropBefore: shownFigure('Volt drop before this circuit', '%', dropBefore),
    loopBefore: shownFigure('Loop impedance before this circuit', 'Ω', before),
    loopLimit: shownFigure('Largest loop impedance', 'Ω', disconnects.limit),
    search,
    recorded: search?.sizes.find(({ sizeMm2 }) => sizeMm2 === circuit.sizeMm2) ?? null,
    beside: search ? (start >= 0 ? search.sizes.slice(start, start + 3) : search.sizes.slice(-3)) : [],
    gap: gap.ok ? null : gap.says,
    gapKind: gap.ok ? null : gap.gap,
    taken: stretches.length > 0 ? assumptionsOf(stretches) : [],
  };
}

/** What its circuit has to carry for hours, each phase: what it may take or give, whichever is more. */
function designCurrentA(proposal: Proposal): number | null {
  const takes = chargerLimitA(proposal);
  if (!isGeneration(proposal)) return takes;
  const gives = proposal.ratedA;
  return takes === null || gives === undefined ? null : Math.max(takes, gives);
}

function deviceRating(ratingA: number | undefined, taken: boolean): Lookup<Worked> {
  if (ratingA === undefined) return notInTable('no usual device carries it');
  return found(given(taken ? 'Device taken' : 'Device', ratingA, 'A'));
}

/** A charger on an earth electrode of its own has that for its earth path, not the installation's. */
function loopBefore(proposal: Proposal, from: TreeNode | null, facts: CircuitFacts): Lookup<Worked> {
  if (!onIsland(proposal, facts)) return loopTo(from, facts);
  const electrodeOhm = proposal.pen?.electrodeOhm;
  return electrodeOhm === undefined
    ? notKnown('the electrode of the TT island was not measured')
    : found(given('Electrode of the TT island', electrodeOhm, 'Ω'));
}

function onIsland(proposal: Proposal, { survey }: CircuitFacts): boolean {
  return survey.earthing.arrangement === 'tn-c-s' && proposal.openPen === 'tt-island';
}

/**
 * The largest loop impedance, and how long a fault may last: by the device where the earth is the supply's, by the
 * most sensitive RCD before the cable where it is an electrode. An RCD inside the equipment is behind the cable.
 */
function disconnection(
  proposal: Proposal,
  circuit: Circuit,
  ratingA: number | undefined,
  from: TreeNode | null,
  facts: CircuitFacts,
): { limit: Lookup<Worked>; clearsS: number } {
  const rules = facts.rules.circuit;
  const { arrangement } = facts.survey.earthing;
  if (arrangement === 'tt' || onIsland(proposal, facts)) {
    const own = proposal.rcd?.place === 'at-board' ? [proposal.rcd.residualMa] : [];
    const before = [...own, ...rcdsAbove(from).map(({ residualMa }) => residualMa)];
    if (before.length === 0)
      return { limit: notKnown('no RCD is recorded before the cable'), clearsS: rules.rcdClearsS.value };
    const known = before.filter((each) => each !== undefined);
    // The most sensitive of those known trips first, whatever the others are.
    const limit =
      known.length === 0
        ? notKnown('the residual current of the RCD before it is not known')
        : found(largestLoopForRcd(rules, Math.min(...known)));
    return { limit, clearsS: rules.rcdClearsS.value };
  }
  const clearsS = rules.instantS.value;
  if (arrangement === undefined || arrangement === 'unknown')
    return { limit: notKnown('the earthing arrangement is not known'), clearsS };
  if (ratingA === undefined) return { limit: notInTable('no usual device carries it'), clearsS };
  if (circuit.curve === undefined) return { limit: notKnown('curve of the device not known'), clearsS };
  return {
    limit: found(largestLoopForDevice(rules, facts.rules.nominalVoltageV.value, circuit.curve, ratingA)),
    clearsS,
  };
}
