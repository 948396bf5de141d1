import { HAIR } from '../rules/rounding';
import type { Decided } from '../assessment';
import { connectedLoad, connectedProposal, supplyPhases, type Connected } from '../demand/connected';
import { demandOnPhase, inBasis } from '../demand/maximum-demand';
import { chargerLimitA } from '../management/limiter';
import type { Rules } from '../rules/rules';
import { isLoad } from '../survey/words/kinds';
import type { Load } from '../survey/load';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { type Phase, nodeName } from '../survey/words/words';
import { staying } from '../tree/going';
import { nodeOf, placedOn, setsBelow } from '../tree/sets-below';
import { hangsFrom, phaseAt, supplyTree, towardsStreet, type SupplyTree, type TreeNode } from '../tree/supply-tree';
import type { Appliance, Cap } from './appliance';
import { habitOf, type HabitId } from './habits';
import { pluggedInto } from './usual-sockets';

/** A current followed through the year: what passes one part of the supply on one line. */
export interface TrialSum {
  readonly nodeId: string;
  readonly phase: Phase;
}

/** A part of the supply that is judged: its rating, and its sums, one a line. */
export interface TrialPart {
  readonly nodeId: string;
  readonly label: string;
  readonly ratingA: number;
  readonly sums: readonly number[];
}

/** What is followed, where it is judged, and what is played on it. */
export interface HousePlan {
  readonly sums: readonly TrialSum[];
  /** This supply's own fuse first, then every other part on the chargers' way that carries something else or is rated lower. */
  readonly parts: readonly TrialPart[];
  readonly appliances: readonly Appliance[];
}

/** Finds the sums of a plan: parts that carry the same have one between them. */
export class Sums {
  readonly tree: SupplyTree;
  readonly all: TrialSum[] = [];
  private readonly sets: Map<string, readonly Connected[]>;
  private readonly numbers = new Map<readonly Connected[], Map<Phase, number>>();

  constructor(survey: Survey, things: readonly Connected[]) {
    this.tree = supplyTree(survey);
    this.sets = setsBelow(this.tree, placedOn(this.tree, things));
  }

  /** The number of the sum at a part on a line, made where it is not there yet. */
  at(here: TreeNode, phase: Phase): number {
    const set = this.sets.get(here.node.id) ?? [];
    const lines = this.numbers.get(set) ?? new Map<Phase, number>();
    this.numbers.set(set, lines);
    const known = lines.get(phase);
    if (known !== undefined) return known;
    this.all.push({ nodeId: here.node.id, phase });
    lines.set(phase, this.all.length - 1);
    return this.all.length - 1;
  }

  /** The sums that something hanging at a node is part of, of those there are. */
  through(nodeId: string | undefined, phases: readonly Phase[]): number[] {
    const found = towardsStreet(nodeOf(this.tree, nodeId)).flatMap(({ node }) => {
      const lines = this.numbers.get(this.sets.get(node.id) ?? []);
      return phases.flatMap((phase) => lines?.get(phase) ?? []);
    });
    return [...new Set(found)];
  }
}

/** Loads that stay below this supply's own fuse; what hangs elsewhere in the building is no part of it. */
export function ownLoads({ loads, supply }: Survey, tree: SupplyTree, rules: Rules): Connected[] {
  const phases = supplyPhases(supply.phases);
  return staying(loads)
    .filter(({ nodeId }) => isOwn(nodeId, tree))
    .map((load) => connectedLoad(onItsLine(load, tree), phases, rules));
}

/** New equipment below this supply's own fuse that takes power, at what its own setting lets it draw. */
export function ownEquipment({ proposals, supply }: Survey, tree: SupplyTree): Connected[] {
  const phases = supplyPhases(supply.phases);
  return proposals
    .filter((each) => isLoad(each) && isOwn(each.nodeId, tree))
    .map((each) => connectedProposal(onItsLine(each, tree), chargerLimitA(each), phases));
}

export function isOwn(nodeId: string | undefined, tree: SupplyTree): boolean {
  return tree.device === null || hangsFrom(nodeOf(tree, nodeId), tree.device);
}

function onItsLine<T extends Pick<Load | Proposal, 'nodeId' | 'phase'>>(thing: T, tree: SupplyTree): T {
  const phase = thing.phase ?? phaseAt(nodeOf(tree, thing.nodeId));
  return phase === undefined ? thing : { ...thing, phase };
}

/** Parts of the supply at or below its fuse on the way to the equipment, those that carry the same told by the lowest rated of them. */
export function partsOnTheWay(sums: Sums, assessment: Decided, nodeIds: readonly (string | undefined)[]): TrialPart[] {
  const { tree } = sums;
  const { device } = tree;
  const ratingA = assessment.supply.rating.value;
  const lines = assessment.supply.phases;
  const top = device ?? tree.root;
  if (!top || ratingA === null) return [];
  const own: TrialPart = {
    nodeId: top.node.id,
    label: nodeName(top.node),
    ratingA,
    sums: lines.map((phase) => sums.at(top, phase)),
  };
  const way = new Set(nodeIds.flatMap((id) => towardsStreet(nodeOf(tree, id))));
  const others = new Map<string, TrialPart>();
  for (const { id, label, ratingA: rated } of assessment.nodes) {
    const here = tree.byId.get(id);
    if (!here || here === top || rated === null || !way.has(here) || !hangsFrom(here, top)) continue;
    const at = lines.map((phase) => sums.at(here, phase));
    const key = at.join();
    const known = key === own.sums.join() ? own : others.get(key);
    if (known === undefined || rated < known.ratingA) others.set(key, { nodeId: id, label, ratingA: rated, sums: at });
  }
  return [own, ...others.values()];
}

/** Something to be played before it is known which sums it is part of and what its class may draw. */
interface Found {
  readonly of: Connected;
  readonly id: string;
  readonly habit: HabitId;
  readonly currentA: number;
  readonly backupA: number;
  readonly count: number;
  readonly assumed: boolean;
}

/**
 * What is played of the loads: each as listed; on socket circuits the appliances listed, or, where only circuits are known, what is usually
 * plugged in, marked assumed. Loads without a size are not among them.
 */
export function foundLoads(survey: Survey, loads: readonly Connected[], rules: Rules): Found[] {
  const listed = loads.some((load) => load.class === 'socket-appliance' && load.currentA !== null);
  let circuits = 0;
  return loads.flatMap((load): Found[] => {
    const { currentA, class: kind } = load;
    if (currentA === null || currentA <= 0) return [];
    if (kind === 'socket-circuit') {
      if (listed) return [];
      return Array.from({ length: Math.min(load.count, 10) }, () =>
        pluggedInto(circuits++).map((each, at) => ({
          of: load,
          id: `${load.id} ${circuits} ${at + 1}`,
          habit: each.habit,
          currentA: Math.min(each.currentA, currentA),
          backupA: 0,
          count: 1,
          assumed: true,
        })),
      ).flat();
    }
    const source = survey.loads.find(({ id }) => id === load.id);
    const shares = load.phases.length === 3 && !load.anyLine ? 3 : 1;
    const backup = kind === 'heat-pump' && source?.backupWithCompressor !== 'no' ? (source?.backupHeaterW ?? 0) : 0;
    return [
      {
        of: load,
        id: load.id,
        habit: source?.continuous === true ? 'continuous' : habitOf(kind, currentA),
        // Points of light are switched by the room, and counted together.
        currentA: kind === 'lighting' ? currentA * load.count : currentA,
        backupA: Math.min(currentA, backup / rules.nominalVoltageV.value / shares),
        count: kind === 'lighting' ? 1 : load.count,
        assumed: source?.assumed === true,
      },
    ];
  });
}

/** New equipment that is no charger, played as a load is. */
export function foundEquipment(survey: Survey, equipment: readonly Connected[]): Found[] {
  return equipment.flatMap((each): Found[] => {
    const { currentA, class: kind } = each;
    if (currentA === null || currentA <= 0 || kind === 'socket-circuit') return [];
    const battery = survey.proposals.some(({ id, kind: of }) => id === each.id && of === 'battery');
    const habit = battery ? 'battery' : habitOf(kind, currentA);
    return [{ of: each, id: each.id, habit, currentA, backupA: 0, count: 1, assumed: false }];
  });
}

/** What each class may draw at once, at every part and line: the demand its allowance counts for those listed up to it. */
export class Caps {
  private readonly cells = new Map<string, number>();
  private readonly watched = new Map<string, boolean>();
  private readonly sets = new Map<string, Map<string, readonly Connected[]>>();
  private readonly basis: 'circuits' | 'appliances';

  constructor(
    private readonly survey: Survey,
    private readonly assessment: Decided,
    private readonly tree: SupplyTree,
    private readonly counted: readonly Connected[],
    private readonly rules: Rules,
  ) {
    const { basis } = assessment.demand;
    this.basis = basis === 'measurement' ? rules.defaultBasis : basis;
  }

  /** The most one of it may draw, and the sets in which it has to leave the others their part. */
  of(found: Found): { readonly mostA: number; readonly caps: readonly Cap[] } {
    const kind = this.familyOf(found.of);
    const below = this.setsOf(kind);
    const caps: Cap[] = [];
    let mostA = found.currentA;
    for (const { node } of towardsStreet(nodeOf(this.tree, found.of.nodeId))) {
      const all = below.get(node.id) ?? [];
      // A demand needs no list of what is behind it: only the loads listed up to this one bear on it.
      const place = all.findIndex(({ id }) => id === found.of.id);
      const upTo = place < 0 ? all : all.slice(0, place + 1);
      const together = upTo.filter((each) => each.id === found.of.id || alwaysRuns(each));
      if (together.length === 0) continue;
      for (const phase of found.of.phases) {
        const demandA = this.demandA(together, phase);
        mostA = Math.min(mostA, demandA);
        const key = `${kind} ${phase} ${all.map(({ id }) => id).join()}`;
        if (this.isWatched(key, kind, all, phase)) caps.push({ cell: this.cellOf(key), capA: demandA });
      }
    }
    const whole = this.whole(found.of);
    return { mostA: Math.min(mostA, ...whole.map(({ capA }) => capA)), caps: tightest([...caps, ...whole]) };
  }

  /** Where the demand was measured, or more was seen than is listed, that is what all of it together comes to. */
  private whole({ phases }: Connected): Cap[] {
    const { basis, before } = this.assessment.demand;
    if (basis !== 'measurement') return [];
    return phases.flatMap((phase): Cap[] => {
      const capA = before[phase]?.value ?? null;
      return capA === null ? [] : [{ cell: this.cellOf(`whole ${phase}`), capA }];
    });
  }

  private familyOf({ class: kind }: Connected): string {
    return kind === 'socket-circuit' || kind === 'socket-appliance' ? 'sockets' : kind;
  }

  private setsOf(kind: string): Map<string, readonly Connected[]> {
    const known = this.sets.get(kind);
    if (known) return known;
    const ofKind = this.counted.filter((each) => this.familyOf(each) === kind);
    const inIt = inBasis(ofKind, this.basis);
    const made = setsBelow(this.tree, placedOn(this.tree, inIt.length > 0 ? inIt : ofKind));
    this.sets.set(kind, made);
    return made;
  }

  /**
   * Whether loads of a kind on a line could pass what their allowance counts. Where they could, what each of them draws is recorded, also of
   * those that could not by themselves: the others have to leave it to them.
   */
  private isWatched(key: string, kind: string, all: readonly Connected[], phase: Phase): boolean {
    const known = this.watched.get(key);
    if (known !== undefined) return known;
    const could =
      kind === 'sockets' ||
      all.some((each, at) => {
        const upTo = all.slice(0, at + 1);
        return !alwaysRuns(each) || this.demandA(upTo, phase) < connectedA(upTo, phase) - HAIR;
      });
    this.watched.set(key, could);
    return could;
  }

  private demandA(loads: readonly Connected[], phase: Phase): number {
    return demandOnPhase(loads, phase, this.survey.place.premises ?? 'household', this.rules).worked.value;
  }

  private cellOf(key: string): number {
    const known = this.cells.get(key) ?? this.cells.size;
    this.cells.set(key, known);
    return known;
  }
}

function alwaysRuns({ interlock, season }: Connected): boolean {
  return (interlock === undefined || interlock === '') && season === undefined;
}

function connectedA(loads: readonly Connected[], phase: Phase): number {
  return loads.reduce(
    (sum, { phases, currentA, count }) => sum + (phases.includes(phase) ? (currentA ?? 0) * count : 0),
    0,
  );
}

/** Of caps on one set the lowest. */
function tightest(caps: readonly Cap[]): Cap[] {
  const found = new Map<number, Cap>();
  for (const cap of caps) {
    const known = found.get(cap.cell);
    if (!known || cap.capA < known.capA) found.set(cap.cell, cap);
  }
  return [...found.values()];
}

/** What was found, as it is played: with its sums and what its class leaves it. */
export function applianceOf(found: Found, sums: Sums, caps: Caps): Appliance {
  const { of, id, habit, currentA, backupA, count, assumed } = found;
  return {
    id,
    class: of.class,
    habit,
    currentA,
    ...(backupA > 0 ? { backupA } : {}),
    count,
    lines: of.anyLine ? 1 : of.phases.length,
    sums: sums.through(of.nodeId, of.phases),
    ...caps.of(found),
    ...(of.season === undefined ? {} : { season: of.season }),
    ...(of.interlock === undefined || of.interlock === '' ? {} : { interlock: of.interlock }),
    ...(assumed ? { assumed } : {}),
  };
}
