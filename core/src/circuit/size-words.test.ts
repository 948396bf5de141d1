import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { nodeOf, settledSurvey, type Change } from '../testing/settled-survey';

/** The one finding of a recorded size that fails, of the settled home with these changes. */
function failing(limit: string, ...changes: Change[]) {
  const found = assess(settledSurvey(...changes), gbDefault).findings.filter(({ id }) => id === `cable-fails-${limit}`);
  expect(found).toHaveLength(1);
  return found[0];
}
const sized =
  (sizeMm2: number, lengthM = 10): Change =>
  ({ proposals }) => {
    const { circuit } = proposals[0] ?? {};
    if (!circuit) return;
    circuit.sizeMm2 = sizeMm2;
    for (const segment of circuit.segments ?? []) segment.lengthM = lengthM;
  };

describe('a recorded size that fails (docs/methods/circuit.md)', () => {
  it('by capacity: 2.5 mm² clipped carries 27 A, behind 40 A, for 32 A drawn; 6 mm² passes', () => {
    const found = failing('capacity', sized(2.5));
    expect(found?.title).toContain('carries 27.00 A as it is laid, behind a device of 40 A, for 32.00 A drawn');
    expect(found?.remedy).toBe('6 mm² passes.');
    expect(found).toMatchObject({ grade: 'act', on: 'circuit', subjectId: 'car', field: 'proposals.circuit.sizeMm2' });
    expect(found?.working?.length).toBeGreaterThan(0);
  });
  it('by volt drop: 7.3 mV × 32 A × 60 m = 14.0 V, 6.09 % of 230 V, 5 % at most', () => {
    const found = failing('volt-drop', sized(6, 60));
    expect(found?.title).toMatch(/6\.\d\d % volt drop from the origin, 5 % at most/);
    expect(found?.remedy).toMatch(/^10 mm² passes\.$/);
  });
  it('by loop impedance the working has the loop and what the device allows, and an RCD is told of where there is one', () => {
    const weak: Change = (survey) => (survey.earthing.zeOhm = 1.05);
    const made = assess(settledSurvey(weak, sized(6, 30)), gbDefault);
    const found = made.findings.find(({ id }) => id === 'cable-fails-loop-impedance');
    expect(found?.working?.length).toBeGreaterThan(2);
    expect(found?.remedy).not.toContain('RCD');
    const atBoard: Change = ({ proposals }) => {
      const [car] = proposals;
      if (car?.rcd) Object.assign(car.rcd, { place: 'at-board', ratedA: 40 });
    };
    const before: Change = (survey) => {
      survey.supply.nodes.push({
        id: 'rcd',
        kind: 'rcd',
        fedFrom: 'isolator',
        ratingA: 100,
        rcdType: 'A',
        residualMa: 30,
      });
      nodeOf(survey, 'board').fedFrom = 'rcd';
    };
    for (const change of [atBoard, before])
      expect(failing('loop-impedance', weak, sized(6, 30), change)?.remedy).toContain(
        'An RCD before it may disconnect instead',
      );
    // Of another limit it says nothing.
    expect(failing('capacity', sized(2.5), atBoard)?.remedy).not.toContain('RCD');
  });
});
