import { gbDefault } from '../rules/gb-default';
import { EquipmentProfile } from '../firm/equipment';
import { settledSurvey, nodeOf, type Change } from '../testing/settled-survey';
import { judgeEquipment, judgeProfile, type EquipmentVerdict } from './judge';
import type { EquipmentRowId } from './verdict';

/** Equipment whose maker says everything, and a site where everything was asked and wants little. */
const full: EquipmentProfile = {
  ...new EquipmentProfile(),
  id: 'full',
  name: 'Full',
  ratedA: 32,
  phases: 1,
  clamps: ['wired'],
  clampIncluded: 'yes',
  failSafesA: [0, 6],
  rcdType: 'A',
  dcDetection: 'yes',
  penDetection: 'voltage-window',
  typeTested: 'yes',
  canExport: 'no',
  outlet: 'tethered',
  leadM: 5,
  talks: ['wireless', 'own-sim'],
  locks: ['lock'],
  metersForBilling: 'no',
  timesByTariff: 'yes',
  followsGeneration: 'no',
  mayHangInSun: 'yes',
  mayHangInWeather: 'yes',
  mayStandOnPost: 'no',
  fixesTo: ['brick', 'stone'],
  leastHeightM: 0.8,
  mostHeightM: 1.5,
};
const asked: Change = (survey) => {
  for (const each of survey.proposals) {
    each.needs = {
      outlet: 'tethered',
      publicReach: 'no',
      billing: 'no',
      tariff: 'vehicle',
      followsGeneration: 'no',
      bothDirections: 'no',
      hangsOn: 'brick',
      inSun: 'no',
      inWeather: 'yes',
    };
    each.dataLink = { signalDbm: -50 };
  }
};
const wants =
  (needs: object): Change =>
  (survey) => {
    for (const each of survey.proposals) each.needs = { ...each.needs, ...needs };
  };
function judged(profile: Partial<EquipmentProfile>, ...changes: Change[]): EquipmentVerdict {
  const survey = settledSurvey(asked, ...changes);
  const [proposal] = survey.proposals;
  if (!proposal) throw new Error('no charger');
  return judgeProfile(survey, proposal, { ...full, ...profile }, gbDefault);
}
const row = (verdict: EquipmentVerdict, id: EquipmentRowId) => verdict.rows.find((each) => each.id === id);

describe('equipment held against a site', () => {
  it('fits where everything was asked and everything is declared', () => {
    const found = judged({});
    expect(found.rows.filter(({ verdict }) => verdict !== 'fits')).toEqual([]);
    expect(found).toMatchObject({ verdict: 'fits', way: 'full-rate' });
  });

  it.each<[EquipmentRowId, string, Partial<EquipmentProfile>, Change, string]>([
    ['phases', 'three-phase on one line', { phases: 3 }, () => undefined, 'does-not-fit'],
    ['phases', 'nobody says of it', { phases: undefined as never }, () => undefined, 'not-known'],
    ['rcd', 'none built in', { rcdType: undefined as never }, () => undefined, 'with-addition'],
    ['direct-current', 'does not detect it', { dcDetection: 'no' }, () => undefined, 'with-addition'],
    ['direct-current', 'nobody says', { dcDetection: undefined as never }, () => undefined, 'not-known'],
    [
      'network',
      'weak for both ways',
      {},
      (s) =>
        void Object.assign(s.proposals[0] ?? {}, {
          dataLink: { signalDbm: -95 },
          needs: { ...s.proposals[0]?.needs, mobileDbm: -120 },
        }),
      'does-not-fit',
    ],
    [
      'network',
      'weak, with a mobile network',
      {},
      (s) =>
        void Object.assign(s.proposals[0] ?? {}, {
          dataLink: { signalDbm: -95 },
          needs: { ...s.proposals[0]?.needs, mobileDbm: -90 },
        }),
      'fits',
    ],
    ['network', 'by a cable that can be run', { talks: ['wired'] }, wants({ networkCable: 'yes' }), 'with-addition'],
    ['network', 'that nobody measured', {}, (s) => void delete s.proposals[0]?.dataLink, 'not-known'],
    ['network', 'that it does not need', { talks: [] }, () => undefined, 'fits'],
    ['outlet', 'a socket is wished', {}, wants({ outlet: 'socket' }), 'does-not-fit'],
    ['outlet', 'nobody asked', {}, wants({ outlet: undefined }), 'not-known'],
    [
      'reach',
      '8 m on a lead of 5 m',
      {},
      (s) => void Object.assign(s.proposals[0] ?? {}, { position: { ...s.proposals[0]?.position, toInletM: 8 } }),
      'does-not-fit',
    ],
    ['access', 'strangers, and a lock', {}, wants({ publicReach: 'yes' }), 'fits'],
    ['access', 'strangers, and nothing', { locks: [] }, wants({ publicReach: 'yes' }), 'with-addition'],
    ['access', 'strangers and a card wanted', {}, wants({ publicReach: 'yes', lock: 'card' }), 'with-addition'],
    ['billing', 'billed, and its meter does not do', {}, wants({ billing: 'yes' }), 'with-addition'],
    ['billing', 'nobody asked', {}, wants({ billing: undefined }), 'not-known'],
    ['tariff', 'by the charger, which cannot', { timesByTariff: 'no' }, wants({ tariff: 'charger' }), 'does-not-fit'],
    ['generation', 'wanted, and it cannot', {}, wants({ followsGeneration: 'yes' }), 'does-not-fit'],
    ['surface', 'timber, which its maker does not allow', {}, wants({ hangsOn: 'timber' }), 'does-not-fit'],
    ['surface', 'a post, which it has none of', {}, wants({ onPost: true }), 'does-not-fit'],
    ['surface', 'a post that its maker has', { mayStandOnPost: 'yes' }, wants({ onPost: true }), 'with-addition'],
    ['sun', 'in the sun, where it may not', { mayHangInSun: 'no' }, wants({ inSun: 'yes' }), 'does-not-fit'],
    ['weather', 'outdoors, where it may not', { mayHangInWeather: 'no' }, () => undefined, 'does-not-fit'],
    [
      'height',
      'at 2 m',
      {},
      (s) => void Object.assign(s.proposals[0] ?? {}, { position: { ...s.proposals[0]?.position, heightM: 2 } }),
      'does-not-fit',
    ],
    ['both-directions', 'wanted, and it cannot', {}, wants({ bothDirections: 'yes' }), 'does-not-fit'],
  ])('%s: %s', (id, _what, profile, change, verdict) => {
    const found = judged(profile, change);
    expect(row(found, id)?.verdict).toBe(verdict);
    // The whole is never better than its worst row.
    expect(found.verdict === 'fits').toBe(found.rows.every((each) => each.verdict === 'fits'));
  });

  it('open PEN: built in where it is shown to do, a device of its own where there is none, nothing where the earth is not the neutral’s', () => {
    const pme: Change = (survey) => {
      Object.assign(survey.earthing, { arrangement: 'tn-c-s' });
      for (const each of survey.proposals) each.pen = { declared: 'yes', secondEarthPath: 'no' };
    };
    expect(row(judged({}), 'open-pen')?.verdict).toBe('fits');
    expect(row(judged({}, pme), 'open-pen')?.verdict).toBe('fits');
    expect(row(judged({ penDetection: undefined as never }, pme), 'open-pen')).toMatchObject({
      verdict: 'with-addition',
      adds: ['open-pen-device'],
    });
  });

  it('held to a setting it has where full rate does not fit, and managed where only a clamp helps', () => {
    const tight: Change = (survey) => {
      Object.assign(nodeOf(survey, 'cut-out'), { ratingA: 60 });
      survey.loads.push({ id: 'shower', class: 'instantaneous-water-heating', powerW: 7000 });
    };
    const held = judged({ clamps: [], stepsA: [6, 10, 16, 32] }, tight);
    expect(held.way).toBe('fixed-limit');
    expect(row(held, 'rate')).toMatchObject({ verdict: 'with-addition' });
    const fixed = judged({ clamps: [], stepsA: [32] }, tight);
    expect(row(fixed, 'rate')?.verdict).toBe('does-not-fit');
    const lead = judged(
      { stepsA: [32] },
      tight,
      (s) => void Object.assign(s.proposals[0] ?? {}, { dataLink: { signalDbm: -50, lengthM: 20 } }),
    );
    expect(lead.way).toBe('managed');
    expect(row(lead, 'clamp')).toMatchObject({ verdict: 'fits' });
    expect(
      row(
        judged(
          { stepsA: [32], clampReachM: 10 },
          tight,
          (s) => void Object.assign(s.proposals[0] ?? {}, { dataLink: { lengthM: 20 } }),
        ),
        'clamp',
      )?.verdict,
    ).toBe('does-not-fit');
    expect(row(judged({ stepsA: [32], clampIncluded: 'no' }, tight), 'rate')).toMatchObject({
      verdict: 'with-addition',
      adds: ['clamp-ct'],
    });
  });

  it('unknown is never treated as fine: a profile that says nothing and a site where nobody asked', () => {
    const bare = judged(
      {
        ...new EquipmentProfile(),
        ...Object.fromEntries(Object.keys(full).map((key) => [key, undefined])),
        id: 'bare',
        name: 'Bare',
      },
      (s) => void delete s.proposals[0]?.needs,
    );
    expect(bare.verdict).toBe('not-known');
    expect(bare.rows.filter(({ verdict }) => verdict === 'fits').map(({ id }) => id)).toEqual(['open-pen']);
  });

  it('those that fit come first, retired ones not at all', () => {
    const survey = settledSurvey(asked);
    const found = judgeEquipment(
      survey,
      'car',
      [
        { ...full, id: 'no', phases: 3 },
        { ...full, id: 'box', rcdType: undefined as never },
        full,
        { ...full, id: 'old', retired: true },
      ],
      gbDefault,
    );
    expect(found.map(({ profileId }) => profileId)).toEqual(['full', 'box', 'no']);
    expect(judgeEquipment(survey, 'nobody', [full], gbDefault)).toEqual([]);
  });
});
