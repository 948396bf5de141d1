import type { Station } from '../finding';
import type { VerdictId } from '../grounds/verdict-ids';
import { equipmentName } from '../survey/words/kinds';
import { isUpgradeOnly } from '../survey/proposal';
import { overrideOf } from '../intake/condition';
import { exceeds } from '../worked';
import { EQUIPMENT_RULES } from './equipment-triggers';
import { limitedExport } from './export';
import { trigger, verdictIn, type Rule, type RouteFacts, type Trigger } from './trigger';
import { leastShown, shown } from '../rules/rounding';

const condition: Rule = ({ condition: verdict, rules }) => {
  if (verdict === 'make-safe')
    return trigger({
      id: 'make-safe-now',
      leadsTo: 'hold',
      title: 'Something at the intake is dangerous now',
      evidence: `Graded “make safe now”. Keep clear; phone ${rules.emergencyNumber.value}.`,
      clearedBy: 'the operator making it safe',
      station: 'cut-out',
    });
  if (verdict === 'put-right-first')
    return trigger({
      id: 'condition-first',
      title: 'A fault at the intake must be repaired first',
      evidence: 'Graded “before any load is added”, or not graded.',
      clearedBy: 'the operator putting it right',
      station: 'cut-out',
    });
  if (verdict === 'not-known')
    return trigger({
      id: 'condition-first',
      state: 'not-known',
      title: 'The condition of the intake is not known',
      evidence: 'Nobody has recorded that it was looked at and fine.',
      clearedBy: 'looking at the intake and finding it fine',
      station: 'cut-out',
    });
  return null;
};

const holdOverridden: Rule = ({ survey }) => {
  const overrides = survey.intake.faults.flatMap((fault) => overrideOf(fault) ?? []);
  if (overrides.length === 0) return null;
  return trigger({
    id: 'hold-overridden',
    title: 'A hold was overridden: the danger at the intake stands',
    evidence: overrides.map(({ by, reason }) => `${by}: ${reason}`).join('; '),
    clearedBy: 'the operator making it safe',
    station: 'cut-out',
  });
};

const loop: Rule = ({ loop: verdict }) => {
  if (verdict === 'own') return null;
  const known = verdict === 'looped';
  return trigger({
    id: 'looped-or-unknown',
    state: known ? 'met' : 'not-known',
    title: known ? 'The service is looped' : 'The service may be looped',
    evidence: known ? 'One cable serves this supply and a neighbour’s.' : 'Loop status is not established.',
    clearedBy: known ? 'the operator un-looping it' : 'one service cable seen and traced, or the operator’s record',
    ...(known ? {} : { lever: 'record' as const }),
    station: 'loop',
  });
};

const fuseKnown: Rule = (facts) => {
  const verdict = verdictIn(facts, 'fuse');
  if (!verdict || verdict.answer === true) return null;
  const unsure = facts.supplies.find(({ fuse }) => fuse.established !== true)?.fuse;
  return trigger({
    id: 'fuse-rating-not-established',
    state: verdict.answer === false ? 'met' : 'not-known',
    title: verdict.answer === false ? 'The fuse rating contradicts itself' : 'The fuse rating is not confirmed',
    evidence: `${verdict.why}${unsure ? ` ${unsure.ratingA} A is used in its place.` : ''}`,
    clearedBy: 'the rating read from a label, the operator’s record, or its staff on site',
    lever: 'record',
    station: 'cut-out',
    source: facts.rules.fallbackFuseA.source,
    verdict: 'fuse',
  });
};

const demandKnown: Rule = (facts) => {
  const verdict = verdictIn(facts, 'demand');
  if (!verdict || verdict.answer === true || nothingProposed(facts)) return null;
  return trigger({
    id: 'demand-not-established',
    state: verdict.answer === false ? 'met' : 'not-known',
    title: 'Maximum demand after the work is not established',
    evidence: verdict.why,
    clearedBy: 'every question about the loads and the new equipment answered',
    station: 'loads',
    verdict: 'demand',
  });
};

const demandAboveThreshold: Rule = ({ supplies, rules }) => {
  const { value: limit, source } = rules.askAboveA;
  const judged = supplies
    .map(({ name, managed, unmanaged }) => ({ name, figure: rules.triggerDemand === 'managed' ? managed : unmanaged }))
    .find(({ figure }) => figure.value !== null && exceeds(figure.value, limit));
  if (judged?.figure.value == null) return null;
  const { value } = judged.figure;
  return trigger({
    id: 'demand-above-threshold',
    title: `Maximum demand after the work is above ${limit} A a phase`,
    evidence: `${judged.name === null ? '' : `${judged.name}: `}${shown(value)} A (${rules.triggerDemand}).`,
    clearedBy: `at least ${leastShown(value - limit)} A less demand`,
    lever: 'demand',
    lessA: value - limit,
    station: 'compare',
    source,
  });
};

const demandAboveFuse: Rule = ({ supplies, limiterHolds, rules }) => {
  const credited = limiterHolds && rules.acceptsLimiting;
  const over = supplies
    .map(({ name, fuse, managed, unmanaged }) => ({ name, fuse, figure: credited ? managed : unmanaged }))
    .find(({ fuse, figure }) => figure.value !== null && exceeds(figure.value, fuse.ratingA));
  if (over?.figure.value == null) return null;
  const { fuse, name, figure } = over;
  const value = figure.value ?? 0;
  const refused = limiterHolds && !rules.acceptsLimiting ? ' This operator does not accept limiting.' : '';
  return trigger({
    id: 'demand-above-fuse',
    title: 'Maximum demand after the work is above the fuse rating',
    evidence: `${name === null ? '' : `${name}: `}${shown(value)} A against ${fuse.ratingA} A${fuse.established === true ? '' : ' (fallback)'}.${refused}`,
    clearedBy: `at least ${leastShown(value - fuse.ratingA)} A less, a limiter that holds, or a larger fuse`,
    lever: 'demand',
    lessA: value - fuse.ratingA,
    station: 'compare',
  });
};

function nothingProposed({ survey }: RouteFacts): boolean {
  return survey.proposals.length === 0 && !isUpgradeOnly(survey);
}

const somethingProposed: Rule = (facts) =>
  !nothingProposed(facts)
    ? null
    : trigger({
        id: 'nothing-proposed',
        state: 'not-known',
        title: 'No new equipment is recorded',
        evidence: 'The route depends on what is to be connected.',
        clearedBy: 'recording the new equipment',
        station: 'charger',
      });

/** Options that are the operator's to grant: to have chosen one is to ask for it. */
const ASKED_BY_CHOICE = {
  'fuse-upgrade': 'a larger fuse',
  'three-phase': 'more phases',
  'un-loop': 'un-looping',
} as const;

const supplyChange: Rule = ({ survey }) => {
  const chosen = survey.choice?.option;
  const byChoice =
    chosen !== undefined && chosen in ASKED_BY_CHOICE ? (chosen as keyof typeof ASKED_BY_CHOICE) : undefined;
  // Where no larger one is asked for, the fuse once wanted stands behind a field that is not shown.
  const wanted = survey.request.fuseUpgrade === false ? undefined : survey.request.wantedFuseA;
  const fuse = survey.request.fuseUpgrade === true || wanted !== undefined;
  const phases = survey.supply.phases !== 3 && survey.proposals.some((proposal) => proposal.phases === 3);
  const asked = [
    fuse ? `a larger fuse${wanted === undefined ? '' : `, ${wanted} A`}` : '',
    survey.request.newPhases ? 'more phases' : '',
    phases && !survey.request.newPhases ? 'more phases, since the equipment is three-phase and the supply is not' : '',
  ].filter((text) => text !== '');
  if (byChoice && !(byChoice === 'fuse-upgrade' && fuse) && !(byChoice === 'three-phase' && survey.request.newPhases))
    asked.push(ASKED_BY_CHOICE[byChoice]);
  if (asked.length === 0 && isUpgradeOnly(survey)) asked.push('a change of supply, and not yet said which');
  if (asked.length === 0) return null;
  return trigger({
    id: 'supply-change',
    title: 'A change to the supply is asked for',
    evidence: `Asked for: ${asked.join('; ')}.`,
    clearedBy: isUpgradeOnly(survey) ? 'not asking for it' : 'equipment that suits the supply as it is',
    station: 'route',
  });
};

const development: Rule = ({ survey }) => {
  const count = survey.request.installationsOnDevelopment ?? 1;
  if (count < 2) return null;
  return trigger({
    id: 'several-on-development',
    title: 'Several installations on one development',
    evidence: `${count} installations.`,
    clearedBy: 'a single installation',
    station: 'route',
  });
};

const importLimitation: Rule = ({ survey }) =>
  survey.request.importLimitation
    ? trigger({
        id: 'import-limitation',
        title: 'An import limitation scheme is to be used',
        evidence: 'Asked for in this survey.',
        clearedBy: 'no import limitation scheme',
        station: 'route',
        source: 'EREC G100',
      })
    : null;

const exportLimitation: Rule = ({ survey }) => {
  const limited = limitedExport(survey);
  if (limited.length === 0 && !survey.request.exportLimitation) return null;
  return trigger({
    id: 'export-limitation',
    title: 'An export limitation scheme is to be used',
    evidence:
      limited.length === 0
        ? 'Asked for in this survey.'
        : `${limited.map((each) => `${equipmentName(each)}: ${each.ratedA ?? '?'} A set to ${each.exportA ?? '?'} A`).join('; ')}.`,
    clearedBy: 'no export limitation scheme',
    station: limited.length === 0 ? 'route' : 'charger',
    source: 'EREC G100',
  });
};

const houseRule: Rule = ({ rules }) =>
  rules.alwaysAsk
    ? trigger({
        id: 'house-rule',
        title: 'House rule: always ask first',
        evidence: `The firm’s rule, over the rules ${rules.id}.`,
        clearedBy: 'the firm lifting its house rule',
        station: 'route',
      })
    : null;

/** Verdicts that no rule above speaks for: what fails or is open there has to be settled before anything is fitted. */
const SETTLED_FIRST: readonly {
  readonly id: VerdictId;
  readonly trigger: string;
  readonly fails: string;
  readonly open: string;
  readonly station: Station;
  readonly ownWork?: boolean;
}[] = [
  {
    id: 'intake',
    trigger: 'intake-not-fit',
    fails: 'Something behind the fuse does not suit it',
    open: 'Not known whether everything behind the fuse suits it',
    station: 'line-up',
  },
  {
    id: 'nodes',
    trigger: 'node-over-rating',
    fails: 'Part of the supply would carry more than its rating',
    open: 'Not known whether every part stays within its rating',
    station: 'line-up',
  },
  {
    id: 'limiter',
    trigger: 'limiter-does-not-hold',
    fails: 'The limiter does not keep the supply within its rating',
    open: 'Not known yet whether the limiter keeps the supply within its rating',
    station: 'limit',
  },
  {
    id: 'earthing',
    trigger: 'earthing-not-right',
    fails: 'Earthing or bonding has to be corrected',
    open: 'Earthing and bonding are not known in full',
    station: 'earthing',
    ownWork: true,
  },
  {
    id: 'open-pen',
    trigger: 'open-pen-not-right',
    fails: 'Open-PEN protection does not do its work here',
    open: 'Open-PEN protection is not shown to work here',
    station: 'earthing',
    ownWork: true,
  },
  {
    id: 'circuit',
    trigger: 'circuit-not-right',
    fails: 'The new circuit is not right for the equipment',
    open: 'The new circuit is not known in full',
    station: 'circuit',
    ownWork: true,
  },
  // The reasons above speak for these in every usual case; none of them is ever passed over.
  {
    id: 'fuse',
    trigger: 'fuse-not-right',
    fails: 'The fuse is not right',
    open: 'The fuse is not known in full',
    station: 'cut-out',
  },
  {
    id: 'loop',
    trigger: 'loop-not-right',
    fails: 'The shared service is not right',
    open: 'The service is not known in full',
    station: 'loop',
  },
  {
    id: 'demand',
    trigger: 'demand-not-right',
    fails: 'The demand is not right',
    open: 'The demand is not known in full',
    station: 'loads',
  },
  {
    id: 'generation',
    trigger: 'generation-not-right',
    fails: 'Generation is not within the notify limit',
    open: 'Generation is not known in full',
    station: 'loads',
  },
  {
    id: 'registered',
    trigger: 'register-not-right',
    fails: 'The equipment is not as the register asks',
    open: 'The equipment’s register data are not known in full',
    station: 'charger',
  },
];

/** Reasons of the route that already speak for a verdict. */
const SPOKEN_FOR: Readonly<Partial<Record<VerdictId, readonly string[]>>> = {
  intake: ['make-safe-now', 'condition-first', 'hold-overridden'],
  nodes: ['demand-above-fuse', 'fuse-rating-not-established', 'demand-not-established', 'nothing-proposed'],
  limiter: ['demand-above-fuse', 'nothing-proposed'],
  loop: ['looped-or-unknown'],
  demand: ['nothing-proposed'],
  generation: ['can-export', 'generation-to-apply-for'],
  registered: ['equipment-not-registered'],
};

/** A reason for each verdict that is not yes and that no other reason speaks for. */
function toSettleFirst(facts: RouteFacts, given: readonly Trigger[]): Trigger[] {
  return SETTLED_FIRST.flatMap(({ id, trigger: name, fails, open, station, ownWork }) => {
    const verdict = verdictIn(facts, id);
    if (!verdict || verdict.answer === true) return [];
    if (given.some((each) => each.verdict === id || SPOKEN_FOR[id]?.includes(each.id))) return [];
    const standing = verdict.grounds.filter(({ state }) => state === (verdict.answer === false ? 'failed' : 'open'));
    const more = standing.length > 1 ? ` And ${standing.length - 1} more.` : '';
    return [
      trigger({
        id: name,
        state: verdict.answer === false ? 'met' : 'not-known',
        title: verdict.answer === false ? fails : open,
        evidence: `${verdict.why}${more}`,
        clearedBy: verdict.answer === false ? 'putting it right' : 'answering what is open',
        station,
        verdict: id,
        ...(ownWork ? { ownWork } : {}),
      }),
    ];
  });
}

/** The rules in the order they are read out: danger, the street, the supply, the demand, the equipment, requests. */
const RULES: readonly Rule[] = [
  condition,
  holdOverridden,
  loop,
  fuseKnown,
  demandKnown,
  demandAboveThreshold,
  demandAboveFuse,
  somethingProposed,
  ...EQUIPMENT_RULES,
  supplyChange,
  development,
  importLimitation,
  exportLimitation,
  houseRule,
];

/** Every trigger these facts set off, in reading order. */
export function triggersOf(facts: RouteFacts): Trigger[] {
  const given = RULES.flatMap((rule) => rule(facts) ?? []);
  return [...given, ...toSettleFirst(facts, given)];
}
