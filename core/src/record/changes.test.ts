import { fc } from '../testing/laws';
import { apply, diff, inverse, jsonPath, type Value } from './changes';

const member = fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), watts: fc.option(fc.nat(9), { nil: 0 }) });
const document: fc.Arbitrary<Value> = fc.record({
  place: fc.dictionary(fc.constantFrom('town', 'postcode', 'phone'), fc.constantFrom('x', 'y', 'z')),
  loads: fc.uniqueArray(member, { selector: ({ id }) => id }),
  plain: fc.array(fc.nat(3), { maxLength: 3 }),
});

describe('changes between documents', () => {
  it('turn the one into the other, without conflict', () => {
    fc.assert(
      fc.property(document, document, (from, to) => {
        const made = apply(from, diff(from, to));
        expect(made.conflicts).toEqual([]);
        expect(made.document).toEqual(to);
      }),
    );
  });

  it('are undone by their inverse, order included', () => {
    fc.assert(
      fc.property(document, document, (from, to) => {
        const changes = diff(from, to);
        expect(apply(to, inverse(changes)).document).toEqual(from);
      }),
    );
  });

  it('say nothing of equal documents, whatever the order of their keys', () => {
    expect(diff({ a: 1, b: { c: [1] } }, { b: { c: [1] }, a: 1 })).toEqual([]);
  });

  it('merge in either order when they touch different fields', () => {
    fc.assert(
      fc.property(document, fc.constantFrom('p', 'q'), fc.nat(9), (base, town, watts) => {
        const start = { ...(base as object), place: { town: 'old' }, loads: [{ id: 'a', watts: 1 }] } as Value;
        const mine = diff(start, { ...(start as object), place: { town } });
        const theirs = diff(start, { ...(start as object), loads: [{ id: 'a', watts }] });
        const one = apply(apply(start, mine).document, theirs);
        const other = apply(apply(start, theirs).document, mine);
        expect(one.conflicts).toEqual([]);
        expect(one.document).toEqual(other.document);
      }),
    );
  });

  it('merge two members added at the same place', () => {
    const start: Value = { loads: [] };
    const mine = diff(start, { loads: [{ id: 'a' }] });
    const theirs = diff(start, { loads: [{ id: 'b' }] });
    expect(apply(apply(start, theirs).document, mine)).toEqual({
      document: { loads: [{ id: 'a' }, { id: 'b' }] },
      conflicts: [],
    });
  });

  it('conflict when the same field was set to something else, and say what is there', () => {
    const mine = diff({ fuseA: 60 }, { fuseA: 80 });
    expect(apply({ fuseA: 100 }, mine).conflicts).toEqual([{ change: mine[0], theirs: 100 }]);
    expect(apply({ fuseA: 80 }, mine).conflicts).toEqual([]);
  });

  it('conflict when a field is set in a member that is gone, and when a member goes that was edited', () => {
    const edit = diff({ loads: [{ id: 'a', watts: 1 }] }, { loads: [{ id: 'a', watts: 2 }] });
    expect(apply({ loads: [] }, edit).conflicts).toHaveLength(1);
    const removal = diff({ loads: [{ id: 'a', watts: 1 }] }, { loads: [] });
    expect(apply({ loads: [{ id: 'a', watts: 5 }] }, removal).conflicts).toHaveLength(1);
  });

  it('are found again in faults, which count members of lists', () => {
    const survey: Value = { loads: [{ id: 'a' }, { id: 'b', powerW: 1 }], place: { town: 'x' } };
    expect(jsonPath(survey, ['loads', 'b', 'powerW'])).toBe('$.loads[1].powerW');
    expect(jsonPath(survey, ['place', 'postcode'])).toBe('$.place.postcode');
  });

  it('never reach inherited names', () => {
    const change = { kind: 'set', path: ['__proto__', 'polluted'], to: true } as const;
    expect(apply({}, [change]).conflicts).toHaveLength(1);
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });
});
