import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const PROGRAM = join(__dirname, '../../../dist/server/assess.js');
const HEAD = { format: 'keen-gauge-survey', version: 2 };

function run(args: readonly string[], input: string | Buffer = '') {
  const made = spawnSync(process.execPath, [PROGRAM, ...args], { input, encoding: 'utf8' });
  return { status: made.status, out: made.stdout, lines: made.stderr.trim().split('\n').filter(Boolean) };
}

describe('the assess command', () => {
  const survey = {
    ...HEAD,
    supply: { phases: 1, nodes: [{ id: 'c', kind: 'cut-out', ratingA: 80, evidence: 'label' }] },
    loads: [{ id: 'heat', class: 'floor-warming', powerW: 2300 }],
    proposals: [{ id: 'car', kind: 'vehicle-charger', ratedA: 32 }],
  };

  it('prints the assessment of a file as JSON and exits 0', () => {
    const file = join(mkdtempSync(join(tmpdir(), 'kg-')), 'survey.json');
    writeFileSync(file, JSON.stringify(survey));
    const { status, out, lines } = run([file]);
    expect({ status, lines }).toEqual({ status: 0, lines: [] });
    const made = JSON.parse(out) as {
      demand: { afterUnmanaged: { L1: { value: number; unit: string; working: object[] } } };
      route: object;
    };
    expect(made.demand.afterUnmanaged.L1).toMatchObject({ value: 42, unit: 'A' });
    expect(made.demand.afterUnmanaged.L1.working.length).toBeGreaterThan(0);
    expect(made.route).toMatchObject({ way: 'ask-then-fit' });
  });

  it('reads standard input, a byte order mark forgiven, under the rules asked for', () => {
    const { status, out } = run(['-', '--rules', 'gb-always-ask'], `\uFEFF${JSON.stringify(survey)}`);
    expect(status).toBe(0);
    expect(JSON.parse(out)).toMatchObject({ rules: { id: 'gb-always-ask' } });
  });

  it('says of a building what each supply carries by itself, what it takes three ways, and which supply is to feed which bay', () => {
    const flat = (id: string, phase: string) => [
      { id, kind: 'switch-fuse', fedFrom: 'head', ratingA: 60, evidence: 'label', phase },
      { id: `${id}-meter`, kind: 'meter', fedFrom: id, ratingA: 100 },
      { id: `${id}-board`, kind: 'board', fedFrom: `${id}-meter`, ratingA: 100 },
    ];
    const heater = (at: string, currentA: number, phase?: string) => ({
      id: `${at}-heater`,
      class: 'heating-and-power',
      currentA,
      nodeId: `${at}-board`,
      ...(phase === undefined ? {} : { phase }),
    });
    const building = {
      format: 'keen-gauge-survey',
      version: 2,
      place: { premises: 'household' },
      supply: {
        phases: 3,
        nodes: [
          { id: 'head', kind: 'cut-out', ratingA: 100, evidence: 'label' },
          ...flat('one', 'L1'),
          ...flat('two', 'L2'),
          ...flat('landlord', 'L3'),
        ],
      },
      generation: [],
      loads: [heater('one', 10), heater('two', 8), heater('landlord', 5)],
      site: { supplies: [{ id: 'l', nodeId: 'landlord', whose: 'landlord' }] },
      pool: {
        outlets: [{ id: 'a', ownNodeId: 'one', ownRouteM: 10 }],
        failSafeA: 0,
        otherEveningA: 5,
        otherElseA: 5,
      },
    };
    const { status, out } = run(['-', '--site', '1'], JSON.stringify(building));
    expect(status).toBe(0);
    const { site } = JSON.parse(out) as { site: { bays: object[] } };
    expect(site).toMatchObject({
      supplies: [
        { nodeId: 'one', whose: 'dwelling', alone: { deviceId: 'one', ratingA: 60 } },
        { nodeId: 'two', alone: { deviceId: 'two' } },
        { nodeId: 'landlord', whose: 'landlord' },
      ],
      // 2 × 2 + 12; 10 A and 8 A of 230 V; 5 A.
      groupDemand: { formula: { kw: 16 }, sum: { kw: 4.14 }, landlord: { kw: 1.15 } },
      bays: [{ id: 'a', ways: { own: { supply: 'own' }, landlord: { supply: 'landlord' }, new: { holds: null } } }],
    });
  });

  it('says of a pool how many cars each policy carries and until when, with seeds to play', () => {
    const pool = {
      outlets: [1, 2, 3, 4, 5, 6].map((at) => ({ id: `bay-${at}` })),
      setPointA: 44,
      failSafeA: 0,
      otherEveningA: 8,
      otherElseA: 4,
      firstYear: 2030,
      startCars: 1,
      ceilingCars: 6,
      middleYear: 2032,
    };
    const { status, out } = run(['-', '--cars', '2'], JSON.stringify({ ...survey, pool }));
    expect(status).toBe(0);
    const made = JSON.parse(out) as { pool: { carried: { policy: string; median: number; tooFewFrom: number }[] } };
    // 23.5 A of everything else (the heating and the charger) and 44 A: nothing passes 80 A, and past the charger’s limit there is something left for the row; 80 × 0.98 − 1 = 77.4 A is the most its clamps may be held to.
    expect(made.pool).toMatchObject({
      guarantees: { mostSetPointA: 77, unknown: [] },
      years: expect.arrayContaining([
        { year: 2030, cars: 1 },
        { year: 2032, cars: 4 },
      ]) as unknown,
    });
    expect(made.pool.carried.map(({ policy }) => policy)).toEqual([
      'equal',
      'first-come',
      'soonest-departure',
      'least-energy',
    ]);
    for (const { median } of made.pool.carried) {
      expect(median).toBeGreaterThanOrEqual(1);
      expect(median).toBeLessThanOrEqual(6);
    }
    const { status: refused, lines } = run(['-', '--cars', 'many'], JSON.stringify(survey));
    expect({ refused, lines }).toEqual({
      refused: 2,
      lines: ['--cars: is "many"; expected a whole number of seeds from 0 to 100'],
    });
  });

  it.each<[string, readonly string[], string | Buffer, readonly (string | RegExp)[]]>([
    [
      'faults, a line each',
      ['-'],
      JSON.stringify({ ...HEAD, loads: [{ id: 'a', class: 'lamp', powerW: -1 }], x: 1 }),
      [
        /^\$\.loads\[0\]\.class: is "lamp"; expected one of lighting, /,
        '$.loads[0].powerW: is -1; expected a number from 0 to 1000000 W',
        '$.x: is not a known field; expected a known field',
      ],
    ],
    ['not JSON', ['-'], '{', [/^\$: is not JSON .*; expected JSON$/]],
    ['not UTF-8', ['-'], Buffer.from([0x22, 0xff, 0x22]), ['$: is not UTF-8 text; expected UTF-8 JSON']],
    ['no such file', ['/nowhere/x.json'], '', ['$: cannot be read (ENOENT); expected a file']],
    ['no such rules', ['-', '--rules', 'moon'], '{}', [/^--rules: is "moon"; expected one of gb-default, /]],
    ['no file named', [], '', [/^usage: /]],
    ['an unknown option', ['-', '--fast'], '', [/fast/, /^usage: /]],
  ])('%s: exit 2', (_name, args, input, expected) => {
    const { status, out, lines } = run(args, input);
    expect({ status, out }).toEqual({ status: 2, out: '' });
    for (const line of expected)
      expect(lines.some((found) => (typeof line === 'string' ? found === line : line.test(found))) ? line : lines).toBe(
        line,
      );
  });
});
