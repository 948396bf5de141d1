import { assess } from '../assess';
import type { Assessment } from '../assessment';
import { gbDefault } from '../rules/gb-default';
import type { SupplyNode } from '../survey/supply';
import { settledSurvey, type Change } from '../testing/settled-survey';
import type { FeederAnswerKind } from './feeder-answers';

type Recorded = { readonly [K in keyof SupplyNode]?: SupplyNode[K] | undefined };

/** A boathouse on a feeder: B16, 2.5 mm² armoured, 40 m in the ground, until told otherwise; so many amperes run there. */
function boathouse(feeder: Recorded, thereA: number | undefined, ...changes: Change[]): Assessment {
  return assess(
    settledSurvey(
      (survey) => {
        const node: SupplyNode = {
          id: 'feeder',
          kind: 'feeder',
          fedFrom: 'board',
          label: 'Boathouse feeder',
          ratingA: 16,
          deviceType: 'mcb',
          curve: 'B',
          cable: { type: 'armoured', sizeMm2: 2.5, lengthM: 40, laid: 'buried', cpc: 'core' },
        };
        survey.supply.nodes.push(Object.assign(node, feeder), {
          id: 'boathouse',
          kind: 'board',
          fedFrom: 'feeder',
          label: 'Boathouse board',
          ratingA: 63,
          spareWays: 1,
          acceptsNewDevice: 'yes',
          enclosure: 'metal',
          place: 'garage-or-shed',
        });
        if (thereA !== undefined)
          survey.loads.push({ id: 'there', class: 'motor', label: 'Winch', currentA: thereA, nodeId: 'boathouse' });
        for (const proposal of survey.proposals) {
          proposal.nodeId = 'boathouse';
          // Beside the board: its own circuit drops next to nothing.
          for (const segment of proposal.circuit?.segments ?? []) segment.lengthM = 0;
        }
      },
      ...changes,
    ),
    gbDefault,
  );
}

function answersOf(made: Assessment): Partial<Record<FeederAnswerKind, boolean | null>> {
  return Object.fromEntries(made.feeders[0]?.answers.map(({ kind, holds }) => [kind, holds]) ?? []);
}

describe('a feeder to an outbuilding', () => {
  it('at its full load drops 18 × 16 × 40 ÷ 1000 = 11.52 V = 5.01 %, by its 70 °C figures', () => {
    const [feeder] = boathouse({}, 4).feeders;
    expect(feeder?.dropFull.value).toBeCloseTo(5.009, 3);
    expect(feeder?.capacity.value).toBe(29);
    // Zs = 0.4 + 1.2 × (7.41 + 7.41) × 40 ÷ 1000 = 1.111 Ω; B16 allows 2.731 Ω
    expect(feeder?.loop.value).toBeCloseTo(1.1114, 4);
    expect(feeder?.loopLimit.value).toBeCloseTo(2.731, 3);
  });

  it('2.5 mm², B16, 4 A there: the charger may have 10 A (14 A, 4.63 %); 13 A would pass the device', () => {
    const made = boathouse({}, 4);
    const [first, ...others] = made.feeders[0]?.answers ?? [];
    expect(first).toMatchObject({ kind: 'hold', setA: 10, holds: true });
    expect(first?.says).toContain('17 A against 16 A');
    // A clamp at 14 A lets in (14 + 1) ÷ 0.98 = 15.3 A at its worst: 18 × 15.3 × 40 = 11.02 V = 4.79 %.
    expect(others.find(({ kind }) => kind === 'two-clamps')).toMatchObject({ holds: true, setPointsA: [14, 97] });
    // 4 + 32 = 36 A on 40 A: 6 mm² drops 7.9 × 36 × 40 = 11.38 V = 4.95 %, and carries 53 A.
    expect(others.find(({ kind }) => kind === 'new-cable')).toMatchObject({
      title: 'A new cable: 6 mm² armoured on 40 A',
      holds: true,
    });
    expect(made.feeders[0]?.questions.map(({ id, state }) => `${id} ${state}`)).toEqual([
      'device holds',
      'cable holds',
      'what-else holds',
      'volt-drop fails',
      'charger-as-well fails',
    ]);
  });

  it('6 mm², B32, 4 A there: 25 A fixed, and two clamps hold: (30 + 1) ÷ 0.98 = 31.6 A on 32 A, (97 + 1) ÷ 0.98 = 100 A', () => {
    const made = boathouse(
      { ratingA: 32, cable: { type: 'armoured', sizeMm2: 6, lengthM: 40, laid: 'buried', cpc: 'core' } },
      4,
    );
    expect(answersOf(made)).toEqual({
      hold: true,
      'two-clamps': true,
      'new-cable': true,
      wait: null,
    });
    expect(made.feeders[0]?.answers[0]).toMatchObject({ kind: 'hold', setA: 25 });
    expect(made.feeders[0]?.answers.find(({ kind }) => kind === 'two-clamps')?.setPointsA).toEqual([30, 97]);
  });

  it('10 mm², B40, 4 A there: 36 A at 2.94 % holds at full rate, and nothing else is offered', () => {
    const made = boathouse(
      { ratingA: 40, cable: { type: 'armoured', sizeMm2: 10, lengthM: 40, laid: 'buried', cpc: 'core' } },
      4,
    );
    expect(answersOf(made)).toEqual({ 'full-rate': true });
    expect(made.findings.filter(({ station }) => station === 'circuit')).toEqual([]);
  });

  it('16 A there already: no setting holds, no clamp can, and a new cable is first', () => {
    const made = boathouse({}, 16);
    expect(answersOf(made)).toMatchObject({ hold: false, 'two-clamps': false, 'new-cable': true });
    expect(made.feeders[0]?.answers[0]?.kind).toBe('new-cable');
  });

  it('two clamps with too little left say that the fail-safe has to be 0: 32 − 28 = 4 A', () => {
    const sixMm2: Recorded = {
      ratingA: 32,
      cable: { type: 'armoured', sizeMm2: 6, lengthM: 40, laid: 'buried', cpc: 'core' },
    };
    const clamps = (thereA: number) =>
      boathouse(sixMm2, thereA).feeders[0]?.answers.find(({ kind }) => kind === 'two-clamps');
    expect(clamps(28)).toMatchObject({ holds: true, failSafeA: 0 });
    expect(clamps(28)?.says).toContain('The fail-safe has to be 0 A: only 4 A are left');
    // 32 − 20 = 12 A.
    expect(clamps(20)).toMatchObject({ holds: true, failSafeA: 12 });
  });

  it('a new cable is judged with the far board and what is beyond it', () => {
    const board =
      (ratingA: number): Change =>
      (survey) => {
        const far = survey.supply.nodes.find(({ id }) => id === 'boathouse');
        if (far) far.ratingA = ratingA;
      };
    const anew = (...changes: Change[]) =>
      boathouse({}, 4, ...changes).feeders[0]?.answers.find(({ kind }) => kind === 'new-cable');
    expect(anew()?.holds).toBe(true);
    // 4 + 32 = 36 A on a board of 32 A.
    expect(anew(board(32))).toMatchObject({ holds: false });
    expect(anew(board(32))?.says).toContain('36 A against 32 A');
    // A thin cable on from there to the charger’s own board: 4 m of 2.5 mm² carries 29 A.
    const onwards: Change = (survey) => {
      survey.supply.nodes.push(
        {
          id: 'lane',
          kind: 'feeder',
          fedFrom: 'boathouse',
          ratingA: 63,
          cable: { type: 'armoured', sizeMm2: 2.5, lengthM: 4, laid: 'buried', cpc: 'core' },
        },
        { id: 'jetty', kind: 'board', fedFrom: 'lane', ratingA: 63 },
      );
      for (const proposal of survey.proposals) proposal.nodeId = 'jetty';
    };
    expect(anew(onwards)).toMatchObject({ holds: false });
    expect(anew(onwards)?.says).toContain('in a cable that carries 29 A');
  });

  it.each<[string, Recorded, string]>([
    ['device not read', { ratingA: undefined }, 'node-rating-not-known'],
    ['size of the cable not read', { cable: { type: 'armoured', lengthM: 40, laid: 'buried' } }, 'feeder-cable'],
    ['length not measured', { cable: { type: 'armoured', sizeMm2: 6, laid: 'buried' } }, 'feeder-cable'],
  ])('%s: asked, and nothing that goes on using it is said to hold', (_name, feeder, id) => {
    const made = boathouse(feeder, 4);
    expect(made.findings.map((finding) => finding.id)).toContain(id);
    const { 'new-cable': _anew, ...others } = answersOf(made);
    expect(Object.values(others)).not.toContain(true);
  });

  it('an appliance on no recorded circuit is carried by the feeder, whatever the basis counts', () => {
    const plugged: Change = (survey) => {
      survey.loads.push({ id: 'saw', class: 'socket-appliance', label: 'Saw', currentA: 4, nodeId: 'boathouse' });
    };
    const made = boathouse({}, undefined, plugged);
    expect(made.demand.basis).toBe('circuits');
    expect(made.feeders[0]).toMatchObject({ uncountedA: 4 });
    expect(made.feeders[0]?.answers[0]).toMatchObject({ kind: 'hold', setA: 10 });
    expect(made.findings.map(({ id }) => id)).toContain('feeder-uncounted');
    const onCircuit = boathouse({}, undefined, plugged, (survey) => {
      survey.loads.push({ id: 'sockets', class: 'socket-circuit', currentA: 16, nodeId: 'boathouse' });
    });
    expect(onCircuit.feeders[0]).toMatchObject({ uncountedA: 0 });
  });

  it('a charger on a device of its own there has that device’s cable, counted once', () => {
    const cable = { type: 'flat-twin', sizeMm2: 6, lengthM: 20, laid: 'clipped' } as const;
    const made = boathouse(
      { ratingA: 40, cable: { type: 'armoured', sizeMm2: 10, lengthM: 15, laid: 'buried', cpc: 'core' } },
      4,
      (survey) => {
        survey.supply.nodes.push({ id: 'own', kind: 'device', fedFrom: 'boathouse', ratingA: 40, curve: 'B', cable });
        for (const proposal of survey.proposals) {
          proposal.nodeId = 'own';
          delete proposal.circuit;
        }
      },
    );
    // 1.033 % on the feeder at 36 A, 2.031 % beyond at 32 A.
    expect(made.circuits[0]?.recorded?.drop.value).toBeCloseTo(3.064, 3);
    expect(made.feeders[0]?.answers[0]).toMatchObject({ kind: 'full-rate' });
    expect(made.circuits[0]?.device).toEqual({ ratingA: 40, curve: 'B', taken: false });
  });

  it('nothing recorded there is a question, not an empty building', () => {
    expect(boathouse({}, undefined).findings.map(({ id }) => id)).toContain('feeder-what-else');
  });

  it.each<[string, number, Recorded, boolean | null]>([
    ['6 mm², 40 m: 32 A drop 4.40 %', 32, {}, true],
    ['6 mm², 40 m: 40 A drop 5.50 %', 40, {}, false],
    [
      '6 mm² beside two others: 53 × 0.65 = 34 A',
      40,
      { cable: { type: 'armoured', sizeMm2: 6, lengthM: 10, laid: 'buried', cpc: 'core', circuitsTogether: 3 } },
      false,
    ],
    ['curve not read: not shown', 32, { curve: undefined }, null],
  ])('“it looks thick enough” is tested: %s', (_working, claimedRatingA, feeder, holds) => {
    const cable = { type: 'armoured', sizeMm2: 6, lengthM: 40, laid: 'buried', cpc: 'core' } as const;
    const made = boathouse({ cable, ...feeder, claimedRatingA }, 4);
    expect(made.feeders[0]?.claim?.holds).toBe(holds);
    const grade = { true: 'note', false: 'act', null: 'ask' }[String(holds)];
    const told = holds === null ? 'feeder-claim-not-shown' : 'feeder-claim';
    expect(made.findings.find(({ id }) => id === told)).toMatchObject({ grade, subjectId: 'feeder' });
  });

  it('a feeder that feeds no new equipment is judged for what is known, and asked nothing', () => {
    const made = boathouse({ ratingA: undefined }, 4, (survey) => {
      for (const proposal of survey.proposals) proposal.nodeId = 'board';
    });
    expect(made.findings.filter(({ id }) => id.startsWith('feeder'))).toEqual([]);
    expect(made.feeders[0]?.answers).toEqual([]);
  });

  it('volt drop of the charger’s own circuit counts from the origin: 1.03 % on the feeder and 2.03 % beyond', () => {
    const made = boathouse(
      { ratingA: 40, cable: { type: 'armoured', sizeMm2: 10, lengthM: 15, laid: 'buried', cpc: 'core' } },
      4,
      (survey) => {
        for (const proposal of survey.proposals)
          for (const segment of proposal.circuit?.segments ?? []) segment.lengthM = 20;
      },
    );
    // 4.4 × 36 × 15 ÷ 1000 = 2.376 V = 1.033 %; 7.3 × 32 × 20 ÷ 1000 = 4.672 V = 2.031 %
    expect(made.circuits[0]?.recorded?.drop.value).toBeCloseTo(3.064, 3);
    // Zs = 0.4 + 1.2 × 3.66 × 15 ÷ 1000 + 1.2 × 10.49 × 20 ÷ 1000 = 0.7176 Ω
    expect(made.circuits[0]?.recorded?.loop.value).toBeCloseTo(0.7176, 4);
  });
});

describe('the charger’s own circuit behind a feeder', () => {
  /** The winch of 4 A and the charger held to so much, its own circuit so many metres of 6 mm². */
  const held = (lengthM: number): string => {
    const made = boathouse({}, 4, ({ proposals }) => {
      for (const segment of proposals[0]?.circuit?.segments ?? []) segment.lengthM = lengthM;
    });
    return made.feeders[0]?.answers.find(({ kind }) => kind === 'hold')?.says ?? '';
  };
  it('adds what it drops at the current it is held to: 18 × 14 × 40 = 10.08 V, 4.38 %, and 7.3 × 10 × 5 = 0.37 V, 0.16 %', () => {
    expect(held(0)).toContain('4.38 % volt drop at its end');
    expect(held(5)).toContain('4.54 % volt drop at its end');
  });
  it('too long a one lowers what it may be held to', () => {
    expect(held(5)).not.toBe(held(60));
  });
});
