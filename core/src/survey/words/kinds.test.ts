import { equipmentInText, equipmentName, KIND_NAMES, PROPOSAL_KINDS } from './kinds';

describe('what new equipment is called in the middle of a sentence', () => {
  it.each([
    [{ kind: 'vehicle-charger' as const }, 'the new charger'],
    [{ kind: 'vehicle-charger' as const, label: 'Vehicle charger' }, 'the vehicle charger'],
    [{ kind: 'pv' as const, label: 'PV' }, 'the PV'],
    [{ kind: 'pv' as const }, 'the new PV'],
    [{ kind: 'vehicle-charger' as const, label: 'Charger, bay 2' }, 'Charger, bay 2'],
    // Its own name, though it begins like the kind.
    [{ kind: 'battery' as const, label: 'Battery in the loft' }, 'Battery in the loft'],
  ])('%j is %s', (equipment, words) => {
    expect(equipmentInText(equipment)).toBe(words);
  });
  it('has an article for every kind without a name, and begins small', () => {
    for (const kind of PROPOSAL_KINDS) {
      expect(equipmentInText({ kind })).toMatch(/^the new /);
      expect(equipmentInText({ kind, label: KIND_NAMES[kind] })).toMatch(/^the (?:[a-z]|PV)/);
      expect(equipmentName({ kind })).toMatch(/^New /);
    }
  });
});
