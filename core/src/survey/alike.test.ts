import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { settledSurvey } from '../testing/settled-survey';
import { addressOf } from './address';
import { alikeSurvey } from './alike';
import { openStored } from './opening/open-stored';

describe('a survey of a house like another', () => {
  const like = settledSurvey();
  const next = alikeSurvey(like, addressOf('9 Hollow Row, Netherby, ZZ1 1TL'));

  it('starts from its shape, loads and equipment, and can be opened', () => {
    expect(next.supply.nodes.map(({ id, kind, fedFrom }) => [id, kind, fedFrom])).toEqual(
      like.supply.nodes.map(({ id, kind, fedFrom }) => [id, kind, fedFrom]),
    );
    expect(next.loads).toHaveLength(like.loads.length);
    expect(next.proposals[0]?.ratedA).toBe(like.proposals[0]?.ratedA);
    expect(openStored(JSON.parse(JSON.stringify(next)))).toEqual(next);
  });

  it('has nothing of whose it was, and nothing that was read or photographed there', () => {
    expect(next.place).toMatchObject({ addressLine1: '9 Hollow Row', town: 'Netherby', postcode: 'ZZ1 1TL' });
    for (const field of ['customerName', 'customerPhone', 'customerEmail', 'meterPointNumber'] as const)
      expect(next.place[field]).toBeUndefined();
    expect([next.readings, next.photos, next.measurements, next.trials, next.after, next.putOff]).toEqual([
      [],
      [],
      [],
      undefined,
      undefined,
      undefined,
    ]);
    expect(next.proposals.map(({ tested, position }) => [tested, position])).toEqual(
      like.proposals.map(() => [undefined, undefined]),
    );
  });

  it('counts nothing as seen: what was settled there is asked here, and the way is to ask first', () => {
    const [before, after] = [assess(like, gbDefault), assess(next, gbDefault)];
    expect(before.route.way).toBe('fit-then-notify');
    expect(after.route.way).toBe('ask-then-fit');
    expect(after.supply.ratingEstablished).not.toBe(true);
    expect(after.findings.length).toBeGreaterThan(before.findings.length);
    // A rating nobody has read here would settle whether every part suits: no verdict on the supply may be yes.
    const settledHere = after.verdicts.filter(({ answer }) => answer === true).map(({ id }) => id);
    for (const id of ['fuse', 'loop', 'intake', 'demand', 'nodes', 'earthing', 'circuit'] as const)
      expect(settledHere).not.toContain(id);
    expect(next.supply.phases).toBeUndefined();
    expect(next.loads.every(({ assumed }) => assumed === true)).toBe(true);
  });
});
