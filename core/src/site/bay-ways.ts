import { decide } from '../assess';
import type { Decided } from '../assessment';
import type { Draft } from '../options/draft';
import { charging } from '../options/charging-current';
import { fits } from '../options/fits';
import { fixedLimit, managed, unlimited } from '../options/limits';
import type { Rules } from '../rules/rules';
import type { PoolOutlet } from '../survey/pool';
import type { Proposal } from '../survey/proposal';
import type { SiteTerms } from '../survey/site';
import type { Survey } from '../survey/survey';
import type { OptionKind } from '../survey/words/option-words';
import type { Answer } from '../survey/words/words';
import type { BaySupply } from '../survey/words/site-words';
import { outletA } from '../pool/on-supply';
import { ownEquipment, withEquipment } from './bay-survey';
import type { SharedReach } from './shared-reach';

/** A bay fed from one of the supplies it could hang from: whether that holds, by what cable, who has to agree, what it takes. */
export interface BayWay {
  readonly supply: BaySupply;
  /** Null while something that decides it is not known. */
  readonly holds: boolean | null;
  readonly why: string;
  /** What it charges at: the most its limit lets through, in amperes; of a shared supply, what its outlet may. */
  readonly mostA: number | null;
  /** What it is left with while everything else runs at its most, on an own supply; null where that is not known. */
  readonly leastA: number | null;
  readonly held: OptionKind;
  readonly cable: {
    readonly lengthM: number;
    readonly sizeMm2: number | null;
    readonly dropPercent: number | null;
  } | null;
  readonly agrees: Agreement;
  readonly weeks: readonly [number, number];
  /** For this bay alone, and what is paid once however many there are; null where no price is typed. */
  readonly pounds: number | null;
  /** Of an own supply, the survey’s new equipment for it. */
  readonly equipment?: Proposal;
}

/** Who has to agree beside the dweller, and what they said. */
export interface Agreement {
  readonly who: string | null;
  readonly answer: 'yes' | 'no' | null;
}

/**
 * A bay on its owner’s own supply: full rate where that holds, else behind a clamp, else at the largest fixed setting; judged by the same guards as any other equipment, on every part from
 * the owner’s board to the street. Source: guide sections 10 and 16.
 */
export function ownWay(survey: Survey, bay: PoolOutlet, rules: Rules): BayWay {
  const agrees = agreementOf(bay);
  const open = (why: string): BayWay => ({
    supply: 'own',
    holds: null,
    why,
    mostA: null,
    leastA: null,
    held: 'full-rate',
    cable: null,
    agrees,
    weeks: rules.optionTerms.value['full-rate'].waitWeeks,
    pounds: null,
  });
  if (bay.ownNodeId === undefined) return open('Owner’s supply not recorded.');
  const alone = withEquipment(survey, [ownEquipment(survey, bay)]);
  let first: Judged | null = null;
  let undecided: Judged | null = null;
  let holding: Judged | null = null;
  for (const limit of [fullRate, managed, fixedLimit]) {
    const found = judge(limit(alone, rules), rules);
    first ??= found;
    if (found?.holds === null) undecided ??= found;
    if (found?.holds === true) holding = found;
    if (holding) break;
  }
  const taken = holding ?? undecided ?? first;
  const equipment = taken?.draft.survey.proposals[0];
  if (!taken || !equipment) return open('Charger not recorded.');
  const { current } = charging(taken.draft.survey, equipment, taken.assessment, rules);
  const refused = agrees.answer === 'no';
  return {
    supply: 'own',
    holds: refused ? false : taken.holds,
    why: refused ? `${agrees.who ?? 'Owner'} does not agree.` : taken.holds === true ? taken.draft.title : taken.why,
    mostA: current.mostA,
    leastA: current.leastA,
    held: taken.draft.kind,
    cable: cableOf(bay, taken.assessment),
    agrees,
    weeks: rules.optionTerms.value[taken.draft.kind].waitWeeks,
    pounds: ownPounds(bay, survey.site?.own),
    equipment,
  };
}

/** A bay on a shared supply, the landlord’s or a new one, as far as that reaches. */
export function sharedWay(supply: 'landlord' | 'new', reach: SharedReach, bay: PoolOutlet): BayWay {
  const agrees: Agreement = {
    who: supply === 'new' ? 'Building manager and operator' : 'Building manager',
    answer: answerOf(reach.terms?.agreed),
  };
  return {
    supply,
    holds: agrees.answer === 'no' ? false : reach.holds,
    why: agrees.answer === 'no' ? `${agrees.who ?? ''} does not agree.` : reach.why,
    mostA: outletA(bay),
    leastA: null,
    held: 'managed',
    cable: null,
    agrees,
    weeks: reach.weeks,
    pounds: reach.terms?.eachPounds ?? null,
  };
}

interface Judged {
  readonly draft: Draft;
  readonly assessment: Decided;
  readonly holds: boolean | null;
  readonly why: string;
}

function judge(draft: Draft | null, rules: Rules): Judged | null {
  if (!draft) return null;
  const assessment = decide(draft.survey, rules);
  const { answer, why } = fits(assessment);
  const holds = draft.open !== undefined && answer === true ? null : answer;
  return { draft, assessment, holds, why: holds === null && answer === true ? (draft.open ?? why) : why };
}

function fullRate(survey: Survey): Draft {
  return { kind: 'full-rate', title: 'Full rate', survey: unlimited(survey), cautions: [] };
}

function cableOf(bay: PoolOutlet, { circuits }: Decided): BayWay['cable'] {
  if (bay.ownRouteM === undefined) return null;
  const search = circuits.find(({ proposalId }) => proposalId === bay.id)?.search;
  const sizeMm2 = search?.smallestOpenMm2 ?? null;
  const size = search?.sizes.find((each) => each.sizeMm2 === sizeMm2);
  return { lengthM: bay.ownRouteM, sizeMm2, dropPercent: size?.ownDrop.value ?? null };
}

function agreementOf({ crosses, mustAgree, agreed }: PoolOutlet): Agreement {
  const who =
    mustAgree ??
    (crosses === 'common'
      ? 'Freeholder, for the common parts'
      : crosses === 'others'
        ? 'Owner of the land crossed'
        : null);
  return { who, answer: who === null ? null : answerOf(agreed) };
}

function answerOf(answer: Answer | undefined): Agreement['answer'] {
  return answer === 'yes' || answer === 'no' ? answer : null;
}

function ownPounds({ ownRouteM }: PoolOutlet, prices: SiteTerms | undefined): number | null {
  const { eachPounds, metrePounds, helpEachPounds = 0 } = prices ?? {};
  if (eachPounds === undefined || metrePounds === undefined || ownRouteM === undefined) return null;
  return eachPounds + metrePounds * ownRouteM - helpEachPounds;
}
