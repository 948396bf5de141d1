import fc from 'fast-check';
import type { Load } from '../survey/load';
import type { Measurement } from '../survey/measurement';
import type { Limiter, Proposal } from '../survey/proposal';
import type { Survey } from '../survey/survey';
import { LOAD_CLASSES, type LoadPhase, type Phase } from '../survey/words/words';
import { nodeOf, settledSurvey, WELL_PUT_ON } from './settled-survey';

/** For tests: surveys with every field filled in that an answer rests on, over supplies that suit and supplies that do not. */
export function completeSurveys(): fc.Arbitrary<Survey> {
  return fc.constantFrom<1 | 3>(1, 1, 1, 3).chain((phases) =>
    fc
      .record({
        fuseA: fc.constantFrom(60, 80, 100),
        evidence: fc.constantFrom('label' as const, 'record' as const, 'attended' as const),
        restA: fc.constantFrom(63, 80, 100),
        premises: fc.constantFrom('household' as const, 'small-shop-or-office' as const, 'guest-house' as const),
        loads: fc.array(loads(phases), { minLength: 1, maxLength: 8 }),
        chargers: fc.array(chargers(phases), { minLength: 1, maxLength: 2 }),
        export: fc.option(fc.integer({ min: 1, max: 40 }), { nil: undefined }),
        measured: fc.option(measurements(phases), { nil: undefined }),
        basis: fc.constantFrom('circuits' as const, 'appliances' as const),
      })
      .map((made) =>
        settledSurvey((survey) => {
          survey.supply.phases = phases;
          survey.place.premises = made.premises;
          Object.assign(nodeOf(survey, 'cut-out'), {
            ratingA: made.fuseA,
            evidence: made.evidence,
            holderMaximumA: 100,
          });
          nodeOf(survey, 'board').ratingA = made.restA;
          survey.loads = made.loads.map((load, at) => ({ ...load, id: `load-${at}` }));
          const [first] = survey.proposals;
          survey.proposals = made.chargers.map(
            (charger, at) => ({ ...first, ...charger, id: `car-${at}` }) as Proposal,
          );
          survey.declaration = { basis: made.basis, reason: 'Listed on site.' };
          survey.measurements = made.measured ? [made.measured] : [];
          if (made.export !== undefined)
            survey.generation = [
              {
                id: 'roof',
                kind: 'pv',
                ratedA: made.export,
                phases: 1,
                ...(phases === 3 ? { phase: 'L2' as const } : {}),
              },
            ];
          const signed = made.export !== undefined;
          for (const { limiter } of survey.proposals)
            if (limiter.fit) Object.assign(limiter.fit, { seesExport: signed ? 'yes' : 'no', signedReading: 'yes' });
        }),
      ),
  );
}

function phaseOf(phases: 1 | 3): fc.Arbitrary<{ phase?: LoadPhase }> {
  return phases === 1 ? fc.constant({}) : fc.record({ phase: fc.constantFrom<Phase>('L1', 'L2', 'L3') });
}

function loads(phases: 1 | 3): fc.Arbitrary<Omit<Load, 'id'>> {
  const size = fc.oneof(
    fc.record({ powerW: fc.integer({ min: 100, max: 9500 }), powerFactor: fc.constantFrom(0.8, 0.95, 1) }),
    fc.record({ currentA: fc.integer({ min: 1, max: 32 }) }),
    fc.record({ apparentVA: fc.integer({ min: 100, max: 9500 }) }),
  );
  return fc
    .record({
      kind: fc.constantFrom(...LOAD_CLASSES),
      size,
      quantity: fc.constantFrom(1, 1, 1, 2, 3),
      on: phaseOf(phases),
    })
    .map(({ kind, size: sized, quantity, on }) => ({
      class: kind,
      label: kind,
      // A socket circuit is sized by its device.
      ...(kind === 'socket-circuit' ? { currentA: 32 } : sized),
      quantity,
      ...on,
      ...(kind === 'lighting' ? { fixedLed: true } : {}),
      ...(kind === 'cooking' ? { controlUnitsWithSocket: 0 } : {}),
      ...(kind === 'heat-pump' ? { backupHeaterW: 3000, backupWithCompressor: 'no' as const } : {}),
    }));
}

function chargers(phases: 1 | 3): fc.Arbitrary<Partial<Proposal>> {
  return fc
    .record({ ratedA: fc.constantFrom(16, 32), limiter: limiters(phases), on: phaseOf(phases) })
    .map(({ ratedA, limiter, on }) => ({
      ratedA,
      limiter,
      stepsA: [6, 10, 16, 32],
      clampLinks: ['wired' as const],
      failSafesA: [0, 6, 10],
      dataLink: { clamp: 'wired' as const, network: 'wired' as const, lengthM: 10 },
      ...on,
    }));
}

function limiters(phases: 1 | 3): fc.Arbitrary<Limiter> {
  return fc.oneof(
    fc.constant<Limiter>({ kind: 'none' }),
    fc.record<Limiter>({ kind: fc.constant('fixed'), fixedA: fc.constantFrom(6, 10, 16) }),
    fc
      .record({
        setPointA: fc.integer({ min: 30, max: 110 }),
        failSafeA: fc.constantFrom(0, 6, 10),
        test: commissioned(),
      })
      .map(({ setPointA, failSafeA, test }): Limiter => ({
        kind: 'clamp',
        clampNodeId: 'isolator',
        setPointA,
        failSafeA,
        fit: { ...WELL_PUT_ON, ...(phases === 3 ? { phase: 'all' as const } : {}) },
        ...(test ? { test: { ...test, setPointSetA: setPointA, failSafeSetA: failSafeA, pulledA: failSafeA } } : {}),
      })),
  );
}

/** A commissioning that went as it should, or none yet. */
function commissioned(): fc.Arbitrary<Limiter['test']> {
  return fc.option(
    fc.record({
      knownLoadA: fc.constant(12),
      readingRoseA: fc.constant(12),
      heldAtA: fc.constant(29),
      chargerThenA: fc.constant(6),
    }),
    { nil: undefined },
  );
}

function measurements(phases: 1 | 3): fc.Arbitrary<Measurement> {
  const lines: readonly Phase[] = phases === 1 ? ['L1'] : ['L1', 'L2', 'L3'];
  return fc
    .record({ mean30A: fc.integer({ min: 6, max: 60 }), over: fc.integer({ min: 1, max: 20 }) })
    .map(({ mean30A, over }) => ({
      id: 'log',
      kind: 'logger' as const,
      days: 20,
      winterDays: 20,
      intervalS: 60,
      coveragePercent: 99,
      from: '2026-01-05T00:00:00.000Z',
      to: '2026-01-25T00:00:00.000Z',
      phases: lines.map((id) => ({
        id,
        mean30A,
        mean10A: mean30A + over / 2,
        mean1A: mean30A + over,
        peakA: mean30A + over,
        onceAYearA: mean30A + 1,
        onceAYearLowA: mean30A,
        onceAYearHighA: mean30A + 2,
        quantile999A: mean30A,
        baseA: 1,
      })),
    }));
}
