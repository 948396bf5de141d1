import { isUpgradeOnly } from '../survey/proposal';
import { overrideOf } from '../intake/condition';
import { exceeds, written } from '../worked';
import { EQUIPMENT_RULES } from './equipment-triggers';
import { trigger, type Rule, type RouteFacts, type Trigger } from './trigger';

const condition: Rule = ({ condition: verdict, pack }) => {
  if (verdict === 'make-safe')
    return trigger({
      id: 'make-safe-now',
      leadsTo: 'hold',
      title: 'Something at the intake is dangerous now',
      evidence: `Graded “make safe now”. Keep clear; phone ${pack.emergencyNumber.value}.`,
      clearedBy: 'the operator making it safe',
      station: 'cut-out',
    });
  if (verdict === 'put-right-first')
    return trigger({
      id: 'condition-first',
      title: 'A fault at the intake must be put right first',
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

const fuseKnown: Rule = ({ fuse, pack }) =>
  fuse.established
    ? null
    : trigger({
        id: 'fuse-rating-not-established',
        state: 'not-known',
        title: 'The fuse rating is not established',
        evidence: `Reckoned with ${fuse.ratingA} A in its place; evidence: ${fuse.evidence ?? 'none'}.`,
        clearedBy: 'the rating read from a label, the operator’s record, or its staff on site',
        lever: 'record',
        station: 'cut-out',
        source: pack.fallbackFuseA.source,
      });

const demandKnown: Rule = ({ unmanaged }) =>
  unmanaged.value !== null && unmanaged.bound === 'exact'
    ? null
    : trigger({
        id: 'demand-not-established',
        state: 'not-known',
        title: 'Maximum demand after the work is not established',
        evidence: unmanaged.why ?? 'Something with no size given is missing from the sum.',
        clearedBy: 'every load and the new equipment given a size',
        station: 'loads',
      });

const demandAboveThreshold: Rule = ({ unmanaged, managed, pack }) => {
  const judged = pack.triggerDemand === 'managed' ? managed : unmanaged;
  const { value: limit, source } = pack.askAboveA;
  if (judged.value === null || !exceeds(judged.value, limit)) return null;
  return trigger({
    id: 'demand-above-threshold',
    title: `Maximum demand after the work is above ${limit} A a phase`,
    evidence: `${written(judged.value)} A (${pack.triggerDemand}).`,
    clearedBy: `at least ${written(judged.value - limit)} A less demand`,
    lever: 'demand',
    lessA: judged.value - limit,
    station: 'charger',
    source,
  });
};

const demandAboveFuse: Rule = ({ unmanaged, managed, limiterHolds, pack, fuse }) => {
  const judged = limiterHolds && pack.acceptsLimiting ? managed : unmanaged;
  if (judged.value === null || !exceeds(judged.value, fuse.ratingA)) return null;
  const refused = limiterHolds && !pack.acceptsLimiting ? ' This operator does not accept limiting.' : '';
  return trigger({
    id: 'demand-above-fuse',
    title: 'Maximum demand after the work is above the fuse rating',
    evidence: `${written(judged.value)} A against ${fuse.ratingA} A${fuse.established ? '' : ' (fallback)'}.${refused}`,
    clearedBy: `at least ${written(judged.value - fuse.ratingA)} A less, a limiter that holds, or a larger fuse`,
    lever: 'demand',
    lessA: judged.value - fuse.ratingA,
    station: 'charger',
  });
};

const somethingProposed: Rule = ({ survey }) =>
  survey.proposals.length > 0 || isUpgradeOnly(survey)
    ? null
    : trigger({
        id: 'nothing-proposed',
        state: 'not-known',
        title: 'No new equipment is recorded',
        evidence: 'The route depends on what is to be connected.',
        clearedBy: 'recording the new equipment',
        station: 'charger',
      });

const supplyChange: Rule = ({ survey }) => {
  const phases = survey.supply.phases !== 3 && survey.proposals.some((proposal) => proposal.phases === 3);
  const asked = [
    survey.request.fuseUpgrade
      ? `a larger fuse${survey.request.wantedFuseA === undefined ? '' : `, ${survey.request.wantedFuseA} A`}`
      : '',
    survey.request.newPhases ? 'more phases' : '',
    phases && !survey.request.newPhases ? 'more phases, since the equipment is three-phase and the supply is not' : '',
  ].filter((text) => text !== '');
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

const exportLimitation: Rule = ({ survey }) =>
  survey.request.exportLimitation
    ? trigger({
        id: 'export-limitation',
        title: 'An export limitation scheme is to be used',
        evidence: 'Asked for in this survey.',
        clearedBy: 'no export limitation scheme',
        station: 'route',
        source: 'EREC G100',
      })
    : null;

const houseRule: Rule = ({ pack }) =>
  pack.alwaysAsk
    ? trigger({
        id: 'house-rule',
        title: 'House rule: always ask first',
        evidence: `The firm’s rule, over rule pack ${pack.id}.`,
        clearedBy: 'the firm lifting its house rule',
        station: 'route',
      })
    : null;

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
  return RULES.flatMap((rule) => rule(facts) ?? []);
}
