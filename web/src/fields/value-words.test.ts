import { fieldLabel, valueWords } from './value-words';

describe('what is recorded, as people read it', () => {
  it.each([
    [['supply', 'nodes', 'board', 'evidence'] as const, 'label', 'Label'],
    [['supply', 'phases'] as const, 3, 'Three-phase'],
    [['supply', 'nodes', 'board', 'spareWays'] as const, 2, '2'],
    [['supply', 'nodes', 'board', 'cable', 'sizeMm2'] as const, 25, '25 mm²'],
    [['proposals', 'car', 'position', 'reachable'] as const, 'yes', 'Yes'],
    [['proposals', 'car', 'position', 'obstructs'] as const, 'unknown', 'Not known'],
    [['request', 'newPhases'] as const, false, 'No'],
    [['place', 'town'] as const, 'Netherby', 'Netherby'],
    [['place', 'town'] as const, undefined, 'Not recorded'],
  ])('%j holding %j', (place, value, words) => {
    expect(valueWords(place, value)).toBe(words);
  });

  it('is called as its control is', () => {
    expect(fieldLabel(['proposals', 'car', 'rcd', 'place'])).toBe('Where is its own RCD?');
  });
});
