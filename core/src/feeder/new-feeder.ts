import type { Proposal } from '../survey/proposal';
import type { TreeNode } from '../tree/supply-tree';
import { found as known } from '../cable/lookup';
import { given } from '../worked';
import { currentOf, dropTo, loopTo } from '../circuit/along';
import { cableForm } from '../cable/cable-forms';
import type { Stretch } from '../cable/capacity';
import { linesAt, type CircuitFacts } from '../circuit/circuit-facts';
import { largestLoopForDevice, largestLoopForRcd } from '../cable/fault-loop';
import { rcdsAbove } from '../protection/rcds-above';
import { dropOnTheWay, withCharger, type Rung } from './room';
import type { Run } from '../cable/size';
import { searchSizes, type SizeSearch } from '../cable/size-search';

export interface NewFeeder {
  readonly search: SizeSearch;
  readonly deviceA: number;
  readonly lengthM: number;
}

/**
 * The same way in new cable, armoured in the ground with a core as protective conductor, sized for everything there with
 * the charger at its full rating. Null where the length, the demand or a device for it is not to be had.
 */
export function newFeeder(of: {
  readonly here: TreeNode;
  readonly proposal: Proposal;
  readonly rungs: readonly Rung[];
  readonly facts: CircuitFacts;
  readonly ownDrop: number | null;
}): NewFeeder | null {
  const { here, proposal, facts } = of;
  const rules = facts.rules.circuit;
  const lines = linesAt(here, facts);
  const form = cableForm(rules, 'armoured', lines, here.node.cable?.terminalsFor90);
  const rung = of.rungs.find((each) => each.here === here);
  const amperes = rung && withCharger(rung, proposal, proposal.ratedA ?? 0, facts);
  const lengthM = here.node.cable?.lengthM;
  if (!form.ok || !amperes?.ok || lengthM === undefined) return null;
  const current = currentOf(amperes.value, lines);
  const deviceA = rules.deviceRatingsA.value.find((each) => each >= current.lineA);
  if (deviceA === undefined) return null;
  const stretch: Stretch = { lengthM, laid: 'buried', circuitsTogether: 1, ambientC: 20, insulationMm: 0 };
  const before = dropTo(here.parent, facts);
  // Cables beyond it, at the charger's full rating, drop their part of the same share.
  const beyond = dropOnTheWay(
    of.rungs.slice(0, rung ? of.rungs.indexOf(rung) : 0),
    proposal,
    proposal.ratedA ?? 0,
    facts,
  );
  const nominalV = facts.rules.nominalVoltageV.value;
  const rcdMa = rcdsAbove(here).flatMap(({ residualMa }) => residualMa ?? []);
  const onElectrode = facts.survey.earthing.arrangement === 'tt';
  const run: Run = {
    rules,
    nominalV,
    form: form.value,
    stretches: [stretch],
    current,
    deviceA: known(given('New device', deviceA, 'A')),
    // What the charger's own circuit drops beyond the feeder counts against the same share.
    dropBefore: !before.ok
      ? before
      : !beyond.ok
        ? beyond
        : known(given('Volt drop of the rest', before.value.value + beyond.value + (of.ownDrop ?? 0), '%')),
    loopBefore: loopTo(here.parent, facts),
    loopLimit: known(
      onElectrode
        ? largestLoopForRcd(rules, rcdMa.length > 0 ? Math.max(...rcdMa) : rules.rcd.value.residualMa)
        : largestLoopForDevice(rules, nominalV, here.node.curve ?? 'B', deviceA),
    ),
    clearsS: onElectrode ? rules.rcdClearsS.value : rules.instantS.value,
    cpc: { cpc: 'core' },
  };
  return { search: searchSizes(run, undefined), deviceA, lengthM };
}
