import type { PerPhase } from './per-phase-figures';
import { fusesOnTheWay, type FuseRating } from '../intake/fuse-rating';
import { chargerLimitA } from '../management/limiter';
import type { Steps } from '../memory';
import type { Rules } from '../rules/rules';
import type { Load } from '../survey/load';
import type { Survey } from '../survey/survey';
import type { ListBasis, LoadPhase, Phase, Premises } from '../survey/words/words';
import { nodeOf } from '../tree/sets-below';
import { isGoing } from '../tree/going';
import { hangsFrom, phaseAt, type SupplyTree } from '../tree/supply-tree';
import { connectedLoad, connectedProposal, supplyPhases, type Connected } from './connected';
import { declaredDemand, withWhole, type Declared, type Reckon } from './declared';
import { basisGap, basisShortfall, demandPerPhase, inBasis, leftOutOf, type PhaseDemand } from './maximum-demand';
import { measuredDemand, type MeasuredDemand } from './measured/verdict';
import { perPhase } from './per-phase';

/** Loads, new equipment and demand of a survey, before any limiter. */
export interface SupplyDemand {
  readonly phases: readonly Phase[];
  readonly premises: Premises;
  readonly fuses: readonly FuseRating[];
  /** Every load of the survey, and those that hang below the limiting device. */
  readonly loads: readonly Connected[];
  readonly connected: readonly Connected[];
  /** Those of them that count in the basis used, and every load of the survey that does. */
  readonly counted: readonly Connected[];
  readonly countedAnywhere: readonly Connected[];
  /** The same without what the work takes away. Nothing is taken off a measurement: nobody knows how much of it that was. */
  readonly stayingAnywhere: readonly Connected[];
  /** Loads that count in the other basis only, and that nothing listed in this one stands for. */
  readonly leftOut: readonly Connected[];
  readonly proposed: readonly Connected[];
  readonly measured: MeasuredDemand;
  readonly declared: Declared;
  /** Demand of a list, and of all that is there where that was measured or seen. */
  readonly byLists: Reckon;
  /** The loads of the supply that count in a basis. */
  readonly listed: (basis: ListBasis) => readonly Connected[];
  readonly reckoner: Reckon;
  /** Why no demand can be given at all, and why it is only a lower bound. */
  readonly gap: string | undefined;
  readonly shortfall: string | undefined;
  readonly before: PerPhase;
  readonly afterUnmanaged: PerPhase;
  /** Without what is on one line of three that nobody has named; undefined where there is no such thing, or all was measured. */
  readonly oneLineBefore: readonly PhaseDemand[] | undefined;
  readonly oneLineAfter: readonly PhaseDemand[] | undefined;
}

interface Given {
  readonly survey: Survey;
  readonly rules: Rules;
  readonly tree: SupplyTree;
}

/** The demand of a survey before any limiter, in steps: a load that changes leaves the others, and every list without it, as they were. */
export function supplyDemand({ survey, rules, tree }: Given, { step, same }: Steps): SupplyDemand {
  const phases = supplyPhases(survey.supply.phases);
  const premises = survey.place.premises ?? 'household';
  const byLists = step('demand of a list', { phases, premises, rules }, keptByList);
  const fuses = step('fuses', { survey, tree, rules }, (facts) => fusesOnTheWay(facts.survey, facts.tree, facts.rules));
  const lined = step('lines of boards', { tree }, hasLines) ? tree : null;
  const connectedOf = step('current of a load', { phases, rules }, keptByLoad);
  const loads = same(
    'loads',
    survey.loads.map((load) => connectedOf(load, lineOf(load, lined))),
  );
  const proposed = same(
    'equipment',
    survey.proposals.map((each) =>
      same(`equipment ${each.id}`, connectedProposal(onLine(each, lineOf(each, lined)), chargerLimitA(each), phases)),
    ),
  );
  // What hangs elsewhere in the building, behind fuses of its own, is no part of this supply.
  const beside = step('anything beside', { tree }, (facts) => isAnythingBeside(facts.tree));
  const below = (all: readonly Connected[]): readonly Connected[] => (beside ? belowDevice(all, tree) : all);
  const connected = same('connected', below(loads));
  const ofSupply = same('equipment below', below(proposed));
  const measured = step('measured', { survey, tree, phases, rules }, (facts) =>
    measuredDemand(facts.survey, facts.tree, facts.phases, facts.rules),
  );
  const listed = step('in each basis', { connected }, keptByBasis);
  const declared = step('declared', { survey, connected, measured, byLists, listed, rules }, (facts) =>
    declaredDemand(facts.survey, facts.connected, facts.measured, facts.byLists, facts.listed, facts.rules),
  );
  const { lists, whole } = declared;
  const counted = listed(lists);
  const reckoner = step('demand with the whole', { byLists, counted, whole }, (facts) =>
    withWhole(facts.byLists, facts.counted, facts.whole),
  );
  const countedAnywhere =
    connected === loads ? counted : step('counted anywhere', { loads, lists }, (all) => inBasis(all.loads, all.lists));
  const going = step('going', { loads: survey.loads, whole }, goingIds);
  const stays = (name: string, all: readonly Connected[]): readonly Connected[] =>
    going === NONE
      ? all
      : same(
          name,
          all.filter(({ id }) => !going.has(id)),
        );
  const stayingAnywhere = stays('staying anywhere', countedAnywhere);
  const known = step('what is missing', { phases, connected, lists, whole }, missingOf);
  const unsized = ofSupply.some(({ currentA }) => currentA === null)
    ? 'The rating of the new equipment is not known.'
    : undefined;
  const shortfall = known.shortfall ?? unsized;
  const figures = step(
    'demand in all',
    {
      counted,
      staying: stays('staying', counted),
      ofSupply,
      reckoner,
      whole,
      gap: known.gap,
      shortfall: known.shortfall,
      after: shortfall,
    },
    inAll,
  );
  return {
    phases,
    premises,
    byLists,
    listed,
    reckoner,
    fuses,
    loads,
    connected,
    counted,
    countedAnywhere,
    stayingAnywhere,
    leftOut: step('left out', { loads, lists }, (all) => leftOutOf(all.loads, all.lists)),
    proposed,
    measured,
    declared,
    gap: known.gap,
    shortfall,
    ...figures,
  };
}

/** Why no demand can be given, and why it is only a lower bound, of what is there already. */
function missingOf({
  phases,
  connected,
  lists,
  whole,
}: {
  readonly phases: readonly Phase[];
  readonly connected: readonly Connected[];
} & Pick<Declared, 'lists' | 'whole'>): { readonly gap: string | undefined; readonly shortfall: string | undefined } {
  const isMeasured = phases.every((phase) => whole[phase] !== undefined);
  const lifted = Object.values(whole).some(({ least }) => least);
  return {
    gap: isMeasured ? undefined : basisGap(connected, lists),
    shortfall: lifted
      ? 'More was measured than is declared.'
      : isMeasured
        ? undefined
        : basisShortfall(connected, lists),
  };
}

const NONE: ReadonlySet<string> = new Set();

/** The loads that go, as far as they can be taken off: of a measurement of the whole none can. */
function goingIds({
  loads,
  whole,
}: Pick<Declared, 'whole'> & { readonly loads: readonly Load[] }): ReadonlySet<string> {
  const going = loads.filter(isGoing);
  return going.length === 0 || Object.keys(whole).length > 0 ? NONE : new Set(going.map(({ id }) => id));
}

/** The demand of the whole supply on each phase, now and after the work. */
function inAll({
  counted,
  staying,
  ofSupply,
  reckoner,
  whole,
  gap,
  shortfall,
  after,
}: {
  readonly counted: readonly Connected[];
  readonly staying: readonly Connected[];
  readonly ofSupply: readonly Connected[];
  readonly reckoner: Reckon;
  readonly whole: Declared['whole'];
  readonly gap: string | undefined;
  readonly shortfall: string | undefined;
  readonly after: string | undefined;
}): Pick<SupplyDemand, 'before' | 'afterUnmanaged' | 'oneLineBefore' | 'oneLineAfter'> {
  const all = [...staying, ...ofSupply];
  return {
    before: perPhase(reckoner(counted), 'MD now', gap, shortfall),
    afterUnmanaged: perPhase(reckoner(all), 'MD after', gap, after),
    oneLineBefore: onNamedLines(counted, reckoner, whole),
    oneLineAfter: onNamedLines(all, reckoner, whole),
  };
}

function onNamedLines(
  loads: readonly Connected[],
  reckoner: Reckon,
  whole: Declared['whole'],
): readonly PhaseDemand[] | undefined {
  const named = loads.filter(({ anyLine }) => !anyLine);
  return named.length === loads.length || Object.keys(whole).length > 0 ? undefined : reckoner(named);
}

function hasLines({ tree }: Pick<Given, 'tree'>): boolean {
  return tree.nodes.some(({ node }) => node.phase !== undefined);
}

/** The line of the board a load or new equipment hangs from, where nobody has said which line it is on itself. */
function lineOf(thing: { nodeId?: string; phase?: LoadPhase }, tree: SupplyTree | null): Phase | undefined {
  return thing.phase === undefined && tree ? phaseAt(nodeOf(tree, thing.nodeId)) : undefined;
}

function onLine<T extends object>(thing: T, phase: Phase | undefined): T {
  return phase === undefined ? thing : { ...thing, phase };
}

function isAnythingBeside({ device, root, nodes }: SupplyTree): boolean {
  if (!device || !root) return false;
  return nodes.some((here) => !hangsFrom(here, device) && !hangsFrom(device, here));
}

function belowDevice(things: readonly Connected[], tree: SupplyTree): readonly Connected[] {
  const { device } = tree;
  return device ? things.filter(({ nodeId }) => hangsFrom(nodeOf(tree, nodeId), device)) : things;
}

/** Demand per list of loads, kept by the list itself, since nodes in a chain share one. */
function keptByList({
  phases,
  premises,
  rules,
}: {
  readonly phases: readonly Phase[];
  readonly premises: Premises;
  readonly rules: Rules;
}): Reckon {
  const kept = new WeakMap<readonly Connected[], readonly PhaseDemand[]>();
  return (loads) => {
    const found = kept.get(loads) ?? demandPerPhase(loads, phases, premises, rules);
    kept.set(loads, found);
    return found;
  };
}

/** The connected current of a load on a line, kept by the load itself. */
function keptByLoad({
  phases,
  rules,
}: {
  readonly phases: readonly Phase[];
  readonly rules: Rules;
}): (load: Load, line: Phase | undefined) => Connected {
  const kept = new WeakMap<Load, { readonly line: Phase | undefined; readonly connected: Connected }>();
  return (load, line) => {
    const found = kept.get(load);
    if (found?.line === line && found) return found.connected;
    const connected = connectedLoad(onLine(load, line), phases, rules);
    kept.set(load, { line, connected });
    return connected;
  };
}

/** The loads of each basis, one list each, since a demand is kept by its list. */
function keptByBasis({
  connected,
}: {
  readonly connected: readonly Connected[];
}): (basis: ListBasis) => readonly Connected[] {
  const kept = new Map<ListBasis, readonly Connected[]>();
  return (basis) => {
    const found = kept.get(basis) ?? inBasis(connected, basis);
    kept.set(basis, found);
    return found;
  };
}
