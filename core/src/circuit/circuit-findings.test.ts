import { assess } from '../assess';
import type { Finding } from '../finding';
import { gbDefault } from '../rules/gb-default';
import type { Proposal } from '../survey/proposal';
import type { SupplyNode } from '../survey/supply';
import { settledSurvey, type Change } from '../testing/settled-survey';

function findings(...changes: Change[]): Finding[] {
  return assess(settledSurvey(...changes), gbDefault).findings.filter(({ station }) => station === 'circuit');
}

function open(...changes: Change[]): string[] {
  return findings(...changes).map(({ id, grade }) => `${id} ${grade}`);
}

/** Parts of the new equipment put over those of the settled home; undefined takes one away. */
function part<K extends 'rcd' | 'circuit' | 'surge' | 'position' | 'dataLink' | 'way' | 'limiter'>(
  name: K,
  values: { readonly [F in keyof NonNullable<Proposal[K]>]?: NonNullable<Proposal[K]>[F] | undefined } | undefined,
): Change {
  return (survey) => {
    for (const proposal of survey.proposals)
      Object.assign(proposal, { [name]: values === undefined ? undefined : { ...proposal[name], ...values } });
  };
}

function rcdBefore(values: Partial<SupplyNode>): Change {
  return (survey) => {
    survey.supply.nodes.push({ id: 'rcd', kind: 'rcd', fedFrom: 'board', ratingA: 100, ...values });
    for (const proposal of survey.proposals) proposal.nodeId = 'rcd';
  };
}

describe('the RCD of a charging point', () => {
  it.each<[string, Change, readonly string[]]>([
    ['settled', () => undefined, []],
    ['nothing said', part('rcd', undefined), ['own-rcd-not-said ask']],
    ['built in, not declared', part('rcd', { declared: 'no' }), ['own-rcd-not-declared act']],
    [
      'several things not known are one question',
      part('rcd', { declared: undefined, rcdType: undefined }),
      ['own-rcd-not-settled ask'],
    ],
    ['100 mA', part('rcd', { residualMa: 100 }), ['own-rcd-residual act']],
    ['neutral not broken', part('rcd', { breaksNeutral: 'no' }), ['own-rcd-poles act']],
    ['type AC', part('rcd', { rcdType: 'AC' }), ['own-rcd-type act']],
    ['type A without 6 mA detection', part('rcd', { dcDetection: 'no' }), ['own-rcd-type act']],
    ['type F, detection not known', part('rcd', { rcdType: 'F', dcDetection: 'unknown' }), ['own-rcd-not-settled ask']],
    ['type B needs none', part('rcd', { rcdType: 'B', dcDetection: 'no' }), []],
    ['at the board, 40 A behind B40', part('rcd', { place: 'at-board', ratedA: 40 }), []],
    ['at the board, 25 A behind B40', part('rcd', { place: 'at-board', ratedA: 25 }), ['own-rcd-rated-current act']],
    ['cable shallow in a wall, RCD behind it', part('circuit', { concealed: 'yes' }), ['concealed-without-rcd act']],
    ['not said whether it is', part('circuit', { concealed: undefined }), ['own-rcd-not-settled ask']],
    [
      'power can flow back, nothing said of the device',
      (survey) => {
        for (const proposal of survey.proposals) proposal.canExport = 'yes';
      },
      ['device-direction-not-known ask'],
    ],
  ])('%s', (_name, change, expected) => {
    expect(open(change)).toEqual(expected);
  });

  it.each<[string, Partial<SupplyNode>, Partial<NonNullable<Proposal['rcd']>>, readonly string[]]>([
    ['time-delayed type A', { rcdType: 'A', residualMa: 100, timeDelayed: true }, {}, []],
    ['type AC is blinded', { rcdType: 'AC', residualMa: 100, timeDelayed: true }, {}, ['upstream-rcd-blinded act']],
    ['type not read', { residualMa: 100, timeDelayed: true }, {}, ['upstream-rcd-type-not-known ask']],
    [
      'type A before a charger that relies on type B',
      { rcdType: 'A', residualMa: 100, timeDelayed: true },
      { rcdType: 'B', dcDetection: 'no' },
      ['upstream-rcd-blinded act'],
    ],
    ['30 mA twice do not discriminate', { rcdType: 'A', residualMa: 30 }, {}, ['rcds-in-series act']],
  ])('before it: %s', (_name, node, rcd, expected) => {
    expect(open(rcdBefore(node), part('rcd', rcd))).toEqual(expected);
  });

  it.each<[string, number | undefined, string]>([
    ['2 + 3.5 + 3.5 = 9 mA of 9 mA', 3.5, 'note'],
    ['2 + 3.5 + 4 = 9.5 mA of 9 mA', 4, 'act'],
    ['one of them not known', undefined, 'ask'],
  ])('shared with a reason: %s', (_working, leakageMa, grade) => {
    const made = assess(
      settledSurvey(rcdBefore({ rcdType: 'A', residualMa: 30, sharedReason: 'temporary board' }), (survey) => {
        survey.loads.push({ id: 'freezer', class: 'socket-appliance', powerW: 100, nodeId: 'rcd', leakageMa: 2 });
        survey.loads.push({ id: 'computer', class: 'socket-appliance', powerW: 100, nodeId: 'rcd', leakageMa: 3.5 });
        for (const proposal of survey.proposals) Object.assign(proposal, { leakageMa });
      }),
      gbDefault,
    );
    expect(made.findings.find(({ check }) => check === 'rcd-shared')?.grade).toBe(grade);
  });
});

describe('surge protection, place and links', () => {
  it.each<[string, Change, readonly string[]]>([
    ['nothing decided', part('surge', undefined), ['surge-not-decided ask']],
    ['declined, by nobody', part('surge', { decision: 'owner-declined' }), ['surge-decision-incomplete ask']],
    [
      'declined and recorded',
      part('surge', { decision: 'owner-declined', decidedBy: 'P. Linnet', reason: 'cost' }),
      [],
    ],
    [
      'declined in a shop',
      (survey) => {
        survey.place.premises = 'small-shop-or-office';
        part('surge', { decision: 'owner-declined', decidedBy: 'P. Linnet', reason: 'cost' })(survey);
      },
      ['surge-declined-elsewhere act'],
    ],
    ['leads of 0.5 m', part('surge', { decision: 'fit', leadsM: 0.5 }), []],
    ['leads of 0.6 m', part('surge', { decision: 'fit', leadsM: 0.6 }), ['surge-leads-too-long act']],
    ['place not looked over is one question', part('position', undefined), ['position-not-settled ask']],
    ['1.3 m is outside the band', part('position', { heightM: 1.3 }), ['position-height note']],
    ['a lead of 5 m, the inlet 6 m away', part('position', { toInletM: 6 }), ['position-reach act']],
    ['in somebody’s way', part('position', { obstructs: 'yes' }), ['position-obstructs act']],
    ['the other side not looked at', part('position', { otherSideLooked: 'no' }), ['position-other-side act']],
    ['wireless network, not read', part('dataLink', { network: 'wireless' }), ['signal-not-read ask']],
    ['−67 dBm is good', part('dataLink', { network: 'wireless', signalDbm: -67 }), []],
    ['−70 dBm is worth a trial', part('dataLink', { network: 'wireless', signalDbm: -70 }), ['signal-weak note']],
    ['−80 dBm is too weak', part('dataLink', { network: 'wireless', signalDbm: -80 }), ['signal-weak act']],
  ])('%s', (_name, change, expected) => {
    expect(open(change)).toEqual(expected);
  });

  it('a managed charger needs a way for its clamp to reach it', () => {
    const clamp = part('limiter', { kind: 'clamp', setPointA: 90, failSafeA: 6, clampNodeId: 'isolator' });
    expect(open(clamp)).toEqual(['clamp-link-not-said ask']);
    expect(open(clamp, part('dataLink', { clamp: 'wired' }))).toEqual([]);
  });
});

describe('the cable of the new circuit', () => {
  it.each<[string, Change, readonly string[]]>([
    ['4 mm² behind B40 carries 37 A', part('circuit', { sizeMm2: 4 }), ['cable-fails-capacity act']],
    ['5 mm² is not in the table', part('circuit', { sizeMm2: 5 }), ['cable-not-in-table act']],
    ['kind not said', part('circuit', { cableType: undefined }), ['cable-not-known ask']],
    ['a kind with no table', part('circuit', { cableType: 'split-concentric' }), ['cable-not-in-table act']],
    ['no size said: 6 mm² is found, nothing is open', part('circuit', { sizeMm2: undefined }), []],
    ['curve not said', part('circuit', { curve: undefined }), ['cable-not-judged ask']],
    ['device not chosen', part('circuit', { deviceRatingA: undefined }), ['circuit-device-not-chosen ask']],
    ['a device of 25 A for 32 A', part('circuit', { deviceRatingA: 25 }), ['circuit-device-too-small act']],
    ['route not said', part('circuit', { segments: [] }), ['cable-not-judged ask']],
    [
      'grouping and heat not said',
      part('circuit', { segments: [{ id: 's', lengthM: 10, laid: 'clipped', insulationMm: 0 }] }),
      ['route-conditions-taken ask'],
    ],
    [
      '33 °C is not in the table',
      part('circuit', {
        segments: [{ id: 's', lengthM: 10, laid: 'clipped', circuitsTogether: 1, insulationMm: 0, ambientC: 33 }],
      }),
      ['cable-not-judged ask'],
    ],
    [
      '60 m of 6 mm² drops 6.09 %',
      part('circuit', {
        segments: [{ id: 's', lengthM: 60, laid: 'clipped', circuitsTogether: 1, insulationMm: 0, ambientC: 30 }],
      }),
      ['cable-fails-volt-drop act', 'cable-fails-loop-impedance act'],
    ],
  ])('%s', (_name, change, expected) => {
    expect(open(change)).toEqual(expected);
  });

  it('60 m of 6 mm²: the finding carries its working, and names the size that passes', () => {
    const route = part('circuit', {
      curve: 'B',
      deviceRatingA: 32,
      segments: [{ id: 's', lengthM: 60, laid: 'clipped', circuitsTogether: 1, insulationMm: 0, ambientC: 30 }],
    });
    const [drop] = findings(route);
    expect(drop?.working?.[0]?.substituted).toBe('7.30 × 32 × 60 ÷ 1000 = 14.02 V; ÷ 230 = 6.09 %');
    expect(drop?.remedy).toContain('10 mm² passes');
  });

  it('on TT the RCD before the cable sets the limit; one inside the charger is behind it', () => {
    const tt: Change = (survey) => {
      Object.assign(survey.earthing, { arrangement: 'tt', electrodeOhm: 100, zeOhm: undefined });
    };
    const limit = (...changes: Change[]): number | null =>
      assess(settledSurvey(tt, ...changes), gbDefault).circuits[0]?.loopLimit.value ?? null;
    expect(limit()).toBeNull();
    expect(limit(rcdBefore({ rcdType: 'A', residualMa: 100, timeDelayed: true }))).toBeCloseTo(500, 6);
    expect(limit(part('rcd', { place: 'at-board', ratedA: 40 }))).toBeCloseTo(1666.67, 2);
  });
});

describe('a board without a spare way', () => {
  const full: Change = (survey) => {
    const board = survey.supply.nodes.find(({ id }) => id === 'board');
    if (board) board.spareWays = 0;
  };
  const lights =
    (count: number, powerW: number): Change =>
    (survey) => {
      for (let at = 1; at <= count; at += 1) {
        survey.supply.nodes.push({
          id: `lights-${at}`,
          kind: 'device',
          fedFrom: 'board',
          label: `Lights ${at}`,
          ratingA: 6,
          deviceType: 'mcb',
          curve: 'B',
          cable: { type: 'flat-twin', sizeMm2: 1.5, laid: 'insulated-wall' },
        });
        survey.loads.push({ id: `lamps-${at}`, class: 'lighting', powerW, fixedLed: true, nodeId: `lights-${at}` });
      }
    };

  it('two circuits of 300 W are 2.6 A together, within 6 A: they could share, and it is said why', () => {
    const [way] = findings(full, lights(2, 300));
    expect(way?.id).toBe('way-not-decided');
    expect(way?.remedy).toContain('1.3 + 1.3 = 2.6 A');
  });

  it('two of 800 W are 6.96 A and could not', () => {
    const [way] = findings(full, lights(2, 800));
    expect(way?.remedy).not.toContain('share');
  });

  it.each<[string, Change, readonly string[]]>([
    ['a spare way where there is none', part('way', { plan: 'spare-way' }), ['way-plan-does-not-work act']],
    ['sharing with nothing recorded to share', part('way', { plan: 'share-ways' }), ['way-plan-does-not-work act']],
    ['a small board', part('way', { plan: 'small-board' }), []],
    ['a board outdoors is the last resort', part('way', { plan: 'outdoor-board' }), ['way-outdoors note']],
  ])('%s', (_name, change, expected) => {
    expect(open(full, change)).toEqual(expected);
  });
});
