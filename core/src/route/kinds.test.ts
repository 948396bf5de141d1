import { fc, lawRuns } from '../testing/laws';
import { assess } from '../assess';
import { composePack } from '../pack/compose';
import { missingItems } from '../pack/missing';
import { gbDefault } from '../rules/gb-default';
import { PROPOSAL_KINDS, type ProposalKind } from '../survey/words/kinds';
import type { Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { settledSurvey } from '../testing/settled-survey';
import { options } from '../options/options';
import { exportTotal } from './export';

/** A settled home with this instead of its charger. */
function home(
  kind: ProposalKind,
  more: Partial<Proposal> = {},
  change: (survey: Survey) => void = () => undefined,
): Survey {
  return settledSurvey((survey) => {
    const [charger] = survey.proposals;
    const nodeId = charger?.nodeId;
    // Rated for the supply and for generation together.
    for (const node of survey.supply.nodes) if (node.kind === 'board') node.ratingA = 125;
    survey.proposals = [
      {
        id: 'new',
        kind,
        label: 'It',
        makeAndModel: 'Plain 4',
        ratedA: 16,
        phases: 1,
        typeTested: 'yes',
        registerReference: 'R-1',
        limiter: {},
        // The same way as the charger's, behind a device that lets power through both ways.
        circuit: { ...charger?.circuit, bothDirections: 'yes' },
        ...(charger?.rcd && (kind === 'vehicle-charger' || kind === 'vehicle-to-home') ? { rcd: charger.rcd } : {}),
        ...(nodeId === undefined ? {} : { nodeId }),
        ...more,
      },
    ];
    change(survey);
  });
}
const ids = (survey: Survey): string[] => assess(survey, gbDefault).route.triggers.map(({ id }) => id);
const demand = (survey: Survey): readonly [number, number] => {
  const { before, afterUnmanaged } = assess(survey, gbDefault).demand;
  return [before.L1?.value ?? NaN, afterUnmanaged.L1?.value ?? NaN];
};

describe('what each kind adds to the demand', () => {
  // Counted in full, whatever the premises allow elsewhere: the 16 A of its plate on top of what the house takes.
  it.each(['heat-pump', 'electric-heating', 'battery', 'vehicle-to-home', 'vehicle-charger'] as const)(
    '%s: its rating',
    (kind) => {
      const [before, after] = demand(home(kind));
      expect(after - before).toBeCloseTo(16, 9);
    },
  );
  it('PV: nothing, nor does it take anything off', () => {
    const [before, after] = demand(home('pv'));
    expect(after).toBeCloseTo(before, 9);
  });
});

describe('generation', () => {
  it('up to 16 A a phase on the register is fitted and notified', () => {
    expect(ids(home('pv'))).toEqual([]);
    expect(assess(home('pv'), gbDefault).route.way).toBe('fit-then-notify');
  });
  it('is added up with what is there already: 16 A new and 4 A there are 20 A, 4 A too much', () => {
    const survey = home('pv', {}, (s) => (s.generation = [{ id: 'old', kind: 'pv', ratedA: 4 }]));
    const [found] = assess(survey, gbDefault).route.triggers;
    expect(found).toMatchObject({
      id: 'generation-to-apply-for',
      state: 'met',
      source: gbDefault.notifyExportUpToA.source,
    });
    expect(found?.evidence).toBe('PV 4 A + It 16 A: 20 A on the fullest phase.');
    expect(found?.clearedBy).toBe('at least 4 A less generation on that phase');
  });
  it('goes by its capacity, not by what it is set to: 25 A set to 12 A is 25 A, and a limitation scheme beside', () => {
    const survey = home('battery', { ratedA: 25, exportA: 12 });
    expect(exportTotal(survey).amperes).toBe(25);
    expect(ids(survey)).toEqual(['generation-to-apply-for', 'export-limitation']);
    // 16 A set to 10 A is within the limit by its capacity, and its limit is asked for all the same.
    expect(ids(home('battery', { exportA: 10 }))).toEqual(['export-limitation']);
  });
  it('of unknown size beside 20 A that are known: what is known passes the limit, so it is met', () => {
    const survey = home('pv', { ratedA: 20 }, (s) => (s.generation = [{ id: 'old', kind: 'pv' }]));
    expect(assess(survey, gbDefault).route.triggers[0]).toMatchObject({ id: 'generation-to-apply-for', state: 'met' });
    expect(assess(survey, gbDefault).route.triggers[0]?.evidence).toMatch(/at least 20 A/);
  });
  it('on lines of its own is added up line by line', () => {
    const survey = home('pv', { phase: 'L2' }, (s) => {
      s.supply.phases = 3;
      s.generation = [{ id: 'old', kind: 'pv', ratedA: 10, phase: 'L1' }];
    });
    expect(exportTotal(survey).amperes).toBe(16);
  });
  it('there already, and nobody has said so, is not known: it is asked', () => {
    const survey = home('pv', {}, (s) => delete s.generation);
    expect(assess(survey, gbDefault).route.triggers).toMatchObject([
      { id: 'generation-to-apply-for', state: 'not-known', station: 'loads' },
    ]);
  });
  it('is asked for by a charger that can export and does not say how much', () => {
    expect(ids(home('vehicle-charger', { canExport: 'yes' }))).toEqual(['can-export']);
    expect(ids(home('vehicle-charger', { canExport: 'yes', exportA: 16 }))).toEqual([]);
    expect(ids(home('vehicle-charger', { canExport: 'yes', ratedA: 32, exportA: 32 }))).toEqual([
      'generation-to-apply-for',
    ]);
    expect(ids(home('vehicle-charger', { canExport: 'yes', ratedA: 32, exportA: 16 }))).toEqual([
      'generation-to-apply-for',
      'export-limitation',
    ]);
    expect(ids(home('vehicle-charger', { canExport: 'unknown' }))).toEqual(['can-export']);
  });
  it('law: more generation never makes the route milder', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 60 }), (some, more) => {
        const asks = (ratedA: number): boolean =>
          ids(home('battery', { ratedA: Math.max(1, ratedA) })).includes('generation-to-apply-for');
        return !asks(some) || asks(some + more);
      }),
      { numRuns: lawRuns(40) },
    );
  });
});

describe('what operators ask of each kind', () => {
  const missing = (survey: Survey): string[] => missingItems(assess(survey, gbDefault)).map(({ id }) => id);
  it('heat pumps: starting current and harmonics; neither declared is asked first', () => {
    expect(missing(home('heat-pump'))).toEqual(expect.arrayContaining(['startingA-not-known', 'harmonics-not-known']));
    const told = { startingA: 20, harmonics: 'en-61000-3-2-and-3-3' } as const;
    expect(missing(home('heat-pump', told)).filter((id) => id.endsWith('-not-known'))).toEqual([]);
    expect(ids(home('heat-pump', { ...told, harmonics: 'neither' }))).toEqual(['harmonics-outside-limits']);
  });
  it('never of a charger what only a heat pump has, nor of PV where vehicles stand', () => {
    for (const kind of PROPOSAL_KINDS) {
      const found = assess(home(kind), gbDefault).findings.map(({ id }) => id);
      expect(found.includes('startingA-not-known')).toBe(kind === 'heat-pump');
      const vehicle = kind === 'vehicle-charger' || kind === 'vehicle-to-home';
      const bare = home(kind, {}, (s) => s.proposals.forEach((each) => delete each.rcd));
      expect(assess(bare, gbDefault).findings.some(({ id }) => id === 'own-rcd-not-said')).toBe(vehicle);
      expect(found.includes('export-not-known')).toBe(kind === 'vehicle-charger');
      expect(found.includes('position-not-settled')).toBe(vehicle);
    }
  });
  it('each item names the field that settles it', () => {
    const survey = home('heat-pump');
    for (const item of missingItems(assess(survey, gbDefault))) expect(item.field).toBeDefined();
    expect(missingItems(assess(survey, gbDefault)).find(({ id }) => id === 'startingA-not-known')?.field).toBe(
      'proposals.new.startingA',
    );
  });
});

describe('a plain upgrade', () => {
  const upgrade = settledSurvey((s) => {
    s.proposals = [];
    s.request = { upgradeOnly: true, fuseUpgrade: true, wantedFuseA: 100 };
  });
  it('connects nothing and is asked for', () => {
    const assessment = assess(upgrade, gbDefault);
    expect(assessment.route.triggers).toMatchObject([
      { id: 'supply-change', evidence: 'Asked for: a larger fuse, 100 A.' },
    ]);
    expect(assessment.findings.some(({ id }) => id === 'nothing-proposed')).toBe(false);
    const pack = composePack(upgrade, assessment, gbDefault, {
      firm: 'F',
      name: 'N',
      registration: 'R',
      at: '2026-11-25T09:00:00Z',
    });
    expect(pack.title).toBe('Request for a change of supply');
    expect(pack.sections.find(({ title }) => title === 'Asked of the operator')?.rows).toMatchObject([
      { label: 'Request' },
      { label: 'A larger cut-out fuse', value: '100 A' },
    ]);
  });
  it('is one no more once something is to be connected', () => {
    const both = structuredClone(upgrade);
    both.proposals = settledSurvey().proposals;
    const assessment = assess(both, gbDefault);
    const signedBy = { firm: 'F', name: 'N', registration: 'R', at: '2026-11-25T09:00:00Z' };
    expect(composePack(both, assessment, gbDefault, signedBy).title).toBe('Application to connect new equipment');
  });
  it('says which change, before it is complete', () => {
    const open = settledSurvey((s) => {
      s.proposals = [];
      s.request = { upgradeOnly: true };
    });
    expect(missingItems(assess(open, gbDefault)).map(({ id }) => id)).toContain('which-upgrade');
  });
});

it('options limit chargers and nothing else', () => {
  const survey = home('heat-pump', { ratedA: 20 });
  expect(options(survey, gbDefault).map(({ kind }) => kind)).not.toContain('fixed-limit');
  const both = settledSurvey((s) => s.proposals.push({ id: 'pump', kind: 'heat-pump', ratedA: 12, limiter: {} }));
  const fixed = options(both, gbDefault).find(({ kind }) => kind === 'fixed-limit');
  expect(fixed?.survey.proposals.find(({ id }) => id === 'pump')?.limiter).toEqual({});
});

describe('what single change would move the route', () => {
  const would = (change: (survey: Survey) => void): string => assess(settledSurvey(change), gbDefault).route.wouldMove;
  it('is the greater reduction where too much demand is the only reason, twice over', () => {
    // 20.52 A and 32 A on the charger, and 40 A of a kiln in full: 92.52 A against 60 A asked from and a fuse of 80 A.
    const words = would((s) => {
      s.loads.push({ id: 'kiln', class: 'hot-tub-sauna-kiln-welder', currentA: 40 });
      for (const node of s.supply.nodes) if (node.id === 'cut-out') node.ratingA = 80;
    });
    expect(words).toBe('One change would move it: at least 32.6 A less demand, which lifts 2 reasons.');
  });
  it('is other equipment where the equipment is the only reason', () => {
    const words = would((s) =>
      s.proposals.forEach((each) => {
        each.typeTested = 'no';
        each.harmonics = 'neither';
      }),
    );
    expect(words).toMatch(/^One change would move it: other equipment that is all of this: /);
  });
  it('is the operator’s record where loop and fuse are not known', () => {
    const words = would((s) => {
      s.intake.loop = { status: 'unknown' };
      for (const node of s.supply.nodes) if (node.id === 'cut-out') delete node.evidence;
    });
    expect(words).toMatch(/record of both the loop and the fuse/);
  });
  it('is none where different things stand', () => {
    const words = would((s) => {
      s.intake.loop = { status: 'unknown' };
      s.request = { importLimitation: true };
    });
    expect(words).toBe('No single change moves it: 2 reasons stand.');
  });
});
