import { basisOutcomes, missingKnowledge } from './demand-decision';
import { gbDefault } from './rules/gb-default';
import { blankSurvey } from './survey/blank';
import type { Survey } from './survey/survey';

function home(change: (survey: Survey) => void = () => undefined): Survey {
  const survey = blankSurvey();
  survey.place.premises = 'household';
  survey.supply.phases = 1;
  Object.assign(survey.supply.nodes[1] ?? {}, { ratingA: 80, evidence: 'label' });
  survey.loads = [
    { id: 'lights', class: 'lighting', label: 'Lights', powerW: 10, quantity: 10 },
    { id: 'cooker', class: 'cooking', label: 'Cooker', currentA: 30 },
    { id: 'ring', class: 'socket-circuit', currentA: 32 },
    { id: 'kettle', class: 'socket-appliance', currentA: 13 },
  ];
  survey.proposals = [{ id: 'car', kind: 'vehicle-charger', ratedA: 32, limiter: {} }];
  change(survey);
  return survey;
}

describe('what the decision depends on', () => {
  it('shows the headroom under each basis that has a figure: sockets at 32 A, or the kettle at 13 A', () => {
    const outcomes = basisOutcomes(home(), gbDefault);
    expect(outcomes.map(({ basis }) => basis)).toEqual(['circuits', 'appliances']);
    // Lights 10 × 100 W × 66 % = 2.87; cooker 10 + 6 + 5 = 21; 2.87 + 21 + 32 + 32 = 87.87 of 80.
    expect(outcomes[0]?.headroomA).toBeCloseTo(80 - 87.8696, 3);
    expect(outcomes[1]?.headroomA).toBeCloseTo(80 - 68.8696, 3);
  });

  it('counts a log as a basis once it suffices', () => {
    const logged = home((survey) => {
      survey.measurements = [
        { id: 'l', kind: 'logger', days: 20, coveragePercent: 100, phases: [{ id: 'L1', mean30A: 18 }] },
      ];
    });
    expect(basisOutcomes(logged, gbDefault).find(({ basis }) => basis === 'measurement')?.headroomA).toBe(80 - 18 - 32);
  });

  it('puts first what moves the headroom most: the cooker’s socket 5 A, the lamps 2.87 − 0.29 = 2.58 A', () => {
    const missing = missingKnowledge(home(), gbDefault);
    expect(missing.map(({ id, lowA, highA }) => [id, Number((highA - lowA).toFixed(2))])).toEqual([
      ['control-socket-not-known cooker', 5],
      ['lamps-not-known lights', 2.58],
    ]);
  });

  it('puts the fuse before them where nobody has read it: 40 to 100 A', () => {
    const missing = missingKnowledge(
      home((survey) => {
        Object.assign(survey.supply.nodes[1] ?? {}, { evidence: 'assumed' });
      }),
      gbDefault,
    );
    expect(missing[0]).toMatchObject({ id: 'fuse-rating-not-established cut-out' });
    expect((missing[0]?.highA ?? 0) - (missing[0]?.lowA ?? 0)).toBeCloseTo(60, 9);
  });

  it('says nothing where nothing is missing', () => {
    const known = home((survey) => {
      survey.loads = survey.loads.map((load) => ({
        ...load,
        ...(load.class === 'lighting' ? { fixedLed: true } : {}),
        ...(load.class === 'cooking' ? { controlUnitsWithSocket: 1 } : {}),
      }));
    });
    expect(missingKnowledge(known, gbDefault)).toEqual([]);
  });
});
