import { decide } from '../assess';
import { fits } from '../options/fits';
import type { Rules } from '../rules/rules';
import type { PoolOutlet } from '../survey/pool';
import type { SiteTerms } from '../survey/site';
import type { Survey } from '../survey/survey';
import { COST_BANDS, type CostBand } from '../survey/words/option-words';
import { BAY_SUPPLIES, type BaySupply } from '../survey/words/site-words';
import { withEquipment } from './bay-survey';
import { ownWay, sharedWay, type BayWay } from './bay-ways';
import { Cars, landlordRow, sharedReaches, type SharedReach } from './shared-reach';

/** A bay with every way it can be fed. */
export interface ComparedBay {
  readonly id: string;
  readonly label: string;
  readonly pinned: BaySupply | undefined;
  readonly ways: Readonly<Record<BaySupply, BayWay>>;
}

/** Which supply feeds which bay, judged for the whole site at once. */
export interface Combination {
  readonly choices: readonly { readonly bayId: string; readonly supply: BaySupply }[];
  readonly counts: Readonly<Record<BaySupply, number>>;
  /** Null while something that decides it is not known. */
  readonly holds: boolean | null;
  readonly why: string;
  /** All of it done together, and bay by bay, one at a time; null where a price is not typed. */
  readonly pounds: number | null;
  readonly singlyPounds: number | null;
  readonly band: CostBand;
  readonly weeks: readonly [number, number];
  /** What the landlord’s row is held to, where it has any bays. */
  readonly setPointA: number | null;
  /** Whoever has to be asked first. */
  readonly toAgree: readonly string[];
}

/** What is said of a site: every bay compared, how far the shared supplies reach, and what is recommended. */
export interface SiteAdvice {
  readonly bays: readonly ComparedBay[];
  readonly reaches: Readonly<Record<'landlord' | 'new', SharedReach>>;
  /** Null where no combination is known to hold. */
  readonly best: Combination | null;
  readonly because: string;
  /** All bays fed alike, and whatever would have been cheaper and does not hold. */
  readonly others: readonly Combination[];
}

/**
 * Compares every bay of a site over the supplies that could feed it, and recommends the cheapest combination at which every part of the site stays within its rating and the
 * shared supplies carry their cars; without prices the soonest. What somebody has pinned stays. Source: guide section 16.
 */
export function adviseSite(survey: Survey, rules: Rules, seeds = 5): SiteAdvice {
  const cars = new Cars(seeds);
  const reaches = sharedReaches(survey, rules, cars);
  const known = new Map<string, BayWay>();
  const bays = (survey.pool?.outlets ?? []).map((bay, at): ComparedBay => {
    // Alike bays are judged once.
    const key = JSON.stringify({ ...bay, id: '', label: '', alongM: 0, pinned: '' });
    const own = known.get(key) ?? ownWay(survey, bay, rules);
    known.set(key, own);
    return {
      id: bay.id,
      label: bay.label ?? `Bay ${at + 1}`,
      pinned: bay.pinned,
      ways: {
        own: own.equipment
          ? { ...own, equipment: { ...own.equipment, id: bay.id, label: bay.label ?? `Bay ${at + 1}` } }
          : own,
        landlord: sharedWay('landlord', reaches.landlord, bay),
        new: sharedWay('new', reaches.new, bay),
      },
    };
  });
  if (bays.length === 0) return { bays, reaches, best: null, because: 'No bays recorded.', others: [] };
  const site = { survey, rules, bays, reaches, cars };
  const candidates = inOrder(possible(site).map((choice) => described(site, choice)));
  const passed: Combination[] = [];
  let best: Combination | null = null;
  for (const each of candidates) {
    const judged = judge(site, each);
    if (judged.holds === true) {
      best = judged;
      break;
    }
    passed.push(judged);
  }
  const alike = BAY_SUPPLIES.map((supply) =>
    judge(
      site,
      described(
        site,
        bays.map(() => supply),
      ),
    ),
  );
  const others = [...alike, ...passed].filter(
    (each, at, all) => key(each) !== (best && key(best)) && all.findIndex((other) => key(other) === key(each)) === at,
  );
  return { bays, reaches, best, because: reason(best, passed), others: others.slice(0, MOST_OTHERS) };
}

const MOST_OTHERS = 6;

interface SiteAtHand {
  readonly survey: Survey;
  readonly rules: Rules;
  readonly bays: readonly ComparedBay[];
  readonly reaches: SiteAdvice['reaches'];
  readonly cars: Cars;
}

type Choice = readonly BaySupply[];

/** Every combination worth judging: so many of the bays that are dearest alone on one shared supply, the others on their own; and what the landlord’s cannot carry on a new one. */
function possible({ bays, reaches }: SiteAtHand): Choice[] {
  const found = new Map<string, Choice>();
  const add = (choice: Choice): void => {
    found.set(choice.join(), choice);
  };
  const byCost = bays.map((_bay, at) => at).sort((a, b) => ownRank(bays[b]) - ownRank(bays[a]));
  for (const shared of ['landlord', 'new'] as const) {
    const room = Math.min(reaches[shared].holds === true ? (reaches[shared].carries?.least ?? 0) : 0, bays.length);
    for (let count = 0; count <= room; count += 1) {
      const members = new Set(byCost.filter((at) => free(bays[at], shared)).slice(0, count));
      add(bays.map((bay, at) => bay.pinned ?? (members.has(at) ? shared : 'own')));
      if (shared === 'landlord' && reaches.new.holds === true)
        add(bays.map((bay, at) => bay.pinned ?? (members.has(at) ? 'landlord' : 'new')));
    }
  }
  add(bays.map(({ pinned }) => pinned ?? 'own'));
  return [...found.values()];
}

function free(bay: ComparedBay | undefined, shared: BaySupply): boolean {
  return bay?.pinned === undefined || bay.pinned === shared;
}

/** What an own supply would cost, those it cannot feed before all. */
function ownRank(bay: ComparedBay | undefined): number {
  const own = bay?.ways.own;
  if (own?.holds !== true) return Infinity;
  return own.pounds ?? own.cable?.lengthM ?? 0;
}

/** A combination with what it takes, before it is judged. */
function described({ bays, reaches, rules }: SiteAtHand, choice: Choice): Combination {
  const ways = bays.flatMap((bay, at) => bay.ways[choice[at] ?? 'own']);
  const counts = { own: 0, landlord: 0, new: 0 };
  for (const { supply } of ways) counts[supply] += 1;
  const own = ways.filter(({ supply }) => supply === 'own');
  const shared = (['landlord', 'new'] as const).filter((each) => counts[each] > 0);
  const ownPounds = total(own.map(({ pounds }) => pounds));
  const prices = shared.map((each) => sharedPounds(reaches[each].terms, counts[each]));
  const terms = rules.optionTerms.value;
  const bands = [
    ...own.map(({ held }) => terms[held].costBand),
    ...shared.map((each) => terms[each === 'new' ? 'three-phase' : 'other-supply'].costBand),
  ];
  return {
    choices: bays.map((bay, at) => ({ bayId: bay.id, supply: choice[at] ?? 'own' })),
    counts,
    holds: null,
    why: '',
    pounds: total([ownPounds, ...prices.map((each) => each?.together ?? null)]),
    singlyPounds: total([ownPounds, ...prices.map((each) => each?.singly ?? null)]),
    band: COST_BANDS[Math.max(0, ...bands.map((each) => COST_BANDS.indexOf(each)))] ?? 'high',
    weeks: [Math.max(0, ...ways.map(({ weeks }) => weeks[0])), Math.max(0, ...ways.map(({ weeks }) => weeks[1]))],
    setPointA: null,
    toAgree: [
      ...new Set(ways.flatMap(({ agrees }) => (agrees.who !== null && agrees.answer !== 'yes' ? [agrees.who] : []))),
    ],
  };
}

function total(parts: readonly (number | null)[]): number | null {
  return parts.reduce<number | null>((sum, each) => (sum === null || each === null ? null : sum + each), 0);
}

/** What so many bays on a shared supply cost together and one at a time, money help taken off: once, each, and help up to its most. */
export function sharedPounds(
  prices: SiteTerms | undefined,
  count: number,
): { readonly together: number; readonly singly: number } | null {
  const { oncePounds, eachPounds, helpEachPounds = 0, helpMostPounds = Infinity, helpFromBays = 1 } = prices ?? {};
  if (oncePounds === undefined || eachPounds === undefined) return null;
  const help = count >= helpFromBays ? Math.min(count * helpEachPounds, helpMostPounds) : 0;
  const helpSingly = helpFromBays <= 1 ? Math.min(count * helpEachPounds, helpMostPounds) : 0;
  return { together: oncePounds + count * eachPounds - help, singly: count * (oncePounds + eachPounds) - helpSingly };
}

/** Cheapest first; what has no price after what has, soonest first, then with fewest to ask. */
function inOrder(all: readonly Combination[]): Combination[] {
  const rank = ({ pounds }: Combination): number => pounds ?? Infinity;
  return [...all].sort(
    (a, b) =>
      (rank(a) === rank(b) ? 0 : rank(a) - rank(b)) ||
      a.weeks[1] - b.weeks[1] ||
      COST_BANDS.indexOf(a.band) - COST_BANDS.indexOf(b.band) ||
      a.toAgree.length - b.toAgree.length,
  );
}

/** Whether the whole site holds with every bay fed as chosen: first each bay by itself, then every rating together, and last the cars, which have to be played. */
function judge({ survey, rules, bays, reaches, cars }: SiteAtHand, made: Combination): Combination {
  const ways = bays.map((bay, at) => ({ bay, way: bay.ways[made.choices[at]?.supply ?? 'own'] }));
  const wrong = ways.find(({ way }) => way.holds === false) ?? ways.find(({ way }) => way.holds === null);
  if (wrong) return { ...made, holds: wrong.way.holds, why: `${wrong.bay.label}: ${wrong.way.why}` };
  const own = ways.flatMap(({ way: { supply, equipment } }) =>
    // Behind a clamp of its own it counts in full here, since another clamp may not see it.
    supply === 'own' && equipment
      ? [equipment.limiter.kind === 'clamp' ? { ...equipment, limiter: { kind: 'none' as const } } : equipment]
      : [],
  );
  const members = new Set(made.choices.flatMap(({ bayId, supply }) => (supply === 'landlord' ? [bayId] : [])));
  // Beside chargers on other supplies of the building the landlord’s row is held to less, and carries fewer.
  const row = members.size === 0 ? null : landlordRow(ofRow(survey, members), own, rules);
  if (row && row.holds !== true) return { ...made, holds: row.holds, why: row.why };
  const together = [...(row?.equipment ?? []), ...own];
  const fit =
    together.length === 0
      ? { answer: true, why: 'Nothing is added to the present supplies.' }
      : fits(decide(withEquipment(survey, together), rules));
  const judged = { ...made, holds: fit.answer, why: fit.why, setPointA: row?.setPointA ?? null };
  if (judged.holds !== true) return judged;
  const room = {
    landlord: row?.planned ? cars.carriedBy(row.planned).least : 0,
    new: reaches.new.carries?.least ?? 0,
  };
  const full = (['landlord', 'new'] as const).find((each) => made.counts[each] > room[each]);
  if (full === undefined) return judged;
  const besides = full === 'landlord' && own.length > 0 ? ' beside the others' : '';
  const why = `${made.counts[full]} bays on the ${SHARED_WORDS[full]}, which is enough for ${room[full]}${besides}.`;
  return { ...judged, holds: false, why };
}

/** The survey with these outlets alone in its row, and none of the others among the new equipment. */
function ofRow(survey: Survey, members: ReadonlySet<string>): Survey {
  const { pool } = survey;
  if (!pool) return survey;
  const left = new Set(pool.outlets.flatMap(({ id }) => (members.has(id) ? [] : [id])));
  return {
    ...survey,
    proposals: survey.proposals.filter(({ id }) => !left.has(id)),
    pool: { ...pool, outlets: pool.outlets.filter(({ id }) => members.has(id)) },
  };
}

const SHARED_WORDS = { landlord: 'landlord’s supply', new: 'new supply' } as const;

function key({ choices }: Combination): string {
  return choices.map(({ supply }) => supply).join();
}

function reason(best: Combination | null, passed: readonly Combination[]): string {
  if (!best) return passed[0] ? `No plan is known to work yet. ${passed[0].why}` : 'No plan is known to work yet.';
  const [dearer] = passed;
  return [
    best.pounds === null
      ? 'The soonest plan with every part within its rating; no prices entered.'
      : 'The cheapest plan with every part within its rating.',
    ...(dearer
      ? [
          `${best.pounds === null ? 'A sooner one' : 'A cheaper one'} ${dearer.holds === false ? 'fails' : 'is not known to work'}: ${dearer.why}`,
        ]
      : []),
  ].join(' ');
}

/** The bays of a site as they would be pinned to a combination. */
export function pinnedTo(outlets: readonly PoolOutlet[], { choices }: Combination): PoolOutlet[] {
  return outlets.map((outlet) => {
    const supply = choices.find(({ bayId }) => bayId === outlet.id)?.supply;
    return supply === undefined ? outlet : { ...outlet, pinned: supply };
  });
}
