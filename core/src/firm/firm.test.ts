import { assess } from '../assess';
import { options } from '../options/options';
import { gbDefault } from '../rules/gb-default';
import type { Proposal } from '../survey/proposal';
import { readSurvey } from '../survey/opening/read';
import { validated } from '../survey/opening/validated';
import { settledSurvey } from '../testing/settled-survey';
import { EquipmentProfile, USUAL_EQUIPMENT, withProfile } from './equipment';
import { FirmTerms, withFirmTerms } from './option-terms';

const dial = USUAL_EQUIPMENT.find(({ id }) => id === 'usual-dial');
const wireless = USUAL_EQUIPMENT.find(({ id }) => id === 'usual-wireless');
if (!dial || !wireless) throw new Error('no profiles');

function filledIn(profile: EquipmentProfile, limiter: Proposal['limiter'] = {}) {
  return settledSurvey((survey) => {
    survey.proposals = survey.proposals.map((each) => withProfile({ ...each, limiter }, profile));
  });
}
const findingIds = (profile: EquipmentProfile, limiter: Proposal['limiter']): string[] =>
  assess(filledIn(profile, limiter), gbDefault).findings.map(({ id }) => id);

describe('profiles of charging equipment', () => {
  it.each(USUAL_EQUIPMENT.map((profile) => [profile.name, profile] as const))(
    '“%s” is one that can be kept',
    (_name, profile) => {
      expect(validated(EquipmentProfile, profile)).toHaveProperty('value');
    },
  );
  it('fill new equipment in: what they say replaces what was there, what they leave open stays', () => {
    const [car] = filledIn(wireless).proposals;
    expect(car).toMatchObject({
      profile: wireless.name,
      ratedA: 32,
      failSafesA: [0, 6],
      clampLinks: ['wireless'],
      openPen: 'built-in',
      dataLink: { clamp: 'wireless' },
      rcd: { dcDetection: 'yes', residualMa: 30 },
      typeTested: 'yes',
    });
    // Steps of an earlier profile do not stay behind.
    const again = car && withProfile(withProfile(car, dial), wireless);
    expect(again?.stepsA).toBeUndefined();
    const read = readSurvey(JSON.parse(JSON.stringify(filledIn(dial))));
    expect('faults' in read ? read.faults : []).toEqual([]);
  });
  it.each<[string, Proposal['limiter'], EquipmentProfile, string]>([
    ['15 A is no step of 10, 13, 16 …', { kind: 'fixed', fixedA: 15 }, dial, 'setting-no-step'],
    ['equipment without a clamp managed by one', { kind: 'clamp' }, dial, 'cannot-manage'],
    ['a fail-safe of 10 A where there are 0 and 6', { kind: 'clamp', failSafeA: 10 }, wireless, 'fail-safe-no-step'],
  ])('%s is told', (_name, limiter, profile, id) => {
    expect(findingIds(profile, limiter)).toContain(id);
  });
  it('settings it has are not told', () => {
    expect(findingIds(dial, { kind: 'fixed', fixedA: 16 })).not.toContain('setting-no-step');
    expect(findingIds(dial, { kind: 'fixed', fixedA: 32 })).not.toContain('setting-no-step');
    expect(findingIds(wireless, { kind: 'clamp', failSafeA: 6 })).not.toContain('fail-safe-no-step');
  });
  it('the option of a fixed limit takes its own steps: 60 − 40 leave 20 A; of 8 and 12 A it is 12', () => {
    const survey = settledSurvey((s) => {
      for (const node of s.supply.nodes) if (node.kind === 'cut-out') node.ratingA = 60;
      s.loads = [{ id: 'all', class: 'storage-heating', currentA: 40 }];
      for (const each of s.proposals) each.stepsA = [8, 12];
    });
    expect(options(survey, gbDefault).find(({ kind }) => kind === 'fixed-limit')?.title).toBe('Held to 12 A');
  });
});

describe('a firm’s own terms', () => {
  const terms: FirmTerms = {
    options: [{ option: 'managed', costBand: 'high', fromWeeks: 3, toWeeks: 1 }],
    bands: [{ band: 'high', words: 'over 900' }],
  };
  it('lie over the rules’, the wait put in order; what is not set stays', () => {
    const rules = withFirmTerms(gbDefault, terms);
    expect(rules.optionTerms.value.managed).toMatchObject({ costBand: 'high', waitWeeks: [1, 3] });
    expect(rules.optionTerms.value['fuse-upgrade']).toEqual(gbDefault.optionTerms.value['fuse-upgrade']);
    expect(rules.costBandWords).toMatchObject({ high: 'over 900', low: 'low' });
    expect(withFirmTerms(gbDefault, undefined)).toBe(gbDefault);
    const managed = options(settledSurvey(), rules).find(({ kind }) => kind === 'managed');
    expect(managed).toMatchObject({ costWords: 'over 900', waitWeeks: [1, 3] });
  });
  it('are checked', () => {
    expect(validated(FirmTerms, terms)).toHaveProperty('value');
    expect(validated(FirmTerms, { options: [{ option: 'magic', costBand: 'low' }], bands: [] })).toHaveProperty(
      'faults',
    );
    expect(validated(FirmTerms, { options: [{ option: 'managed', costBand: 'cheap' }], bands: [] })).toHaveProperty(
      'faults',
    );
  });
});

describe('a different supply on the site', () => {
  it('is offered where there usually is one, not known to hold, and choosing it leaves the equipment as it is', () => {
    const home = options(settledSurvey(), gbDefault);
    expect(home.some(({ kind }) => kind === 'other-supply')).toBe(false);
    const survey = settledSurvey((s) => (s.request.installationsOnDevelopment = 12));
    const other = options(survey, gbDefault).find(({ kind }) => kind === 'other-supply');
    expect(other).toMatchObject({ holds: null, why: 'The other supply is not surveyed.', costBand: 'middle' });
    expect(other?.survey.proposals).toEqual(survey.proposals);
  });
});
