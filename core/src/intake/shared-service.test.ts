import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { blankSurvey } from '../survey/blank';
import type { Loop } from '../survey/intake';
import type { Assessment } from '../assessment';

function looped(loop: Loop, serviceA?: number): Assessment {
  const survey = blankSurvey();
  survey.intake.loop = loop;
  survey.loads = [{ id: 'x', class: 'motor', currentA: 20 }];
  survey.proposals = [{ id: 'car', kind: 'vehicle-charger', ratedA: 16, limiter: {} }];
  const service = survey.supply.nodes[0];
  if (service && serviceA !== undefined) service.ratingA = serviceA;
  return assess(survey, gbDefault);
}

const ids = ({ findings }: Assessment): string[] => findings.map(({ id }) => id);

describe('the shared service', () => {
  it('is nobody else’s where one cable was traced', () => {
    expect(looped({ status: 'not-looped', evidence: 'cable-traced' }).supply.sharedService).toBeNull();
  });

  it('adds an assumed 60 A for the neighbour: 20 + 60 = 80 now, 36 + 60 = 96 after, against 100', () => {
    const made = looped({ status: 'feeds-next-door', sharedRatingA: 100 });
    const shared = made.supply.sharedService;
    expect(shared).toMatchObject({ known: true, neighbours: 1, neighbourAssumed: true });
    expect(shared?.before.L1?.value).toBe(80);
    expect(shared?.after.L1?.value).toBe(96);
    expect(shared?.left.L1?.value).toBe(4);
    expect(shared?.neighbour.why).toMatch(/^Assumed/);
    expect(made.nodes[0]).toMatchObject({ id: 'service', ratingA: 100, after: { L1: { value: 96 } } });
    expect(ids(made)).not.toContain('shared-service-over');
  });

  it('counts every neighbour, or the figure entered for all of them: 36 + 2 × 60 = 156; 36 + 45 = 81', () => {
    const two = looped({ status: 'fed-from-next-door', neighbours: 2, sharedRatingA: 100 });
    expect(two.supply.sharedService?.after.L1?.value).toBe(156);
    expect(ids(two)).toContain('shared-service-over');
    const entered = looped({ status: 'fed-from-next-door', neighbours: 2, neighbourDemandA: 45, sharedRatingA: 100 });
    expect(entered.supply.sharedService).toMatchObject({ neighbourAssumed: false, after: { L1: { value: 81 } } });
  });

  it('says so where nobody knows what the cable may carry, and asks the operator', () => {
    const made = looped({ status: 'feeds-next-door' });
    expect(made.supply.sharedService?.left.L1?.value).toBeNull();
    expect(ids(made)).toContain('shared-rating-not-known');
    expect(looped({ status: 'feeds-next-door' }, 100).supply.sharedService?.left.L1?.value).toBe(4);
  });

  it('shows the sum while the status is not known, without holding the service to it', () => {
    const made = looped({ status: 'unknown', sharedRatingA: 60 });
    expect(made.supply.sharedService).toMatchObject({ known: false, after: { L1: { value: 96 } } });
    expect(ids(made)).not.toContain('shared-service-over');
    expect(made.nodes[0]?.after.L1?.value).toBe(36);
  });

  it('makes the service the weakest link where it is', () => {
    expect(looped({ status: 'feeds-next-door', sharedRatingA: 80 }).weakest).toEqual({
      nodeId: 'service',
      headroomA: -16,
    });
  });

  it('asks first whatever the arithmetic says', () => {
    const made = looped({ status: 'feeds-next-door', sharedRatingA: 1000, neighbourDemandA: 0 });
    expect(made.route.triggers.map(({ id }) => id)).toContain('looped-or-unknown');
  });

  it('questions “not looped” where a sign was seen', () => {
    const loop: Loop = {
      status: 'not-looped',
      evidence: 'operator-record',
      signs: [{ id: 'two-service-cables', answer: 'not-fine' }],
    };
    expect(ids(looped(loop))).toContain('loop-signs-against');
  });
});
