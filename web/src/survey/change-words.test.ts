import { changeWords, faultPlaceWords } from './change-words';

describe('changes in words', () => {
  it.each([
    [{ kind: 'set', path: ['place', 'meterPointNumber'], to: '97' }, 'Place: meter point number: not known → 97'],
    [
      { kind: 'set', path: ['supply', 'nodes', 'cut-out', 'ratingA'], from: 60, to: 100 },
      'Supply: cut out: rating (A): 60 → 100',
    ],
    [
      { kind: 'set', path: ['loads', 'cooker-1'], to: { id: 'cooker-1', class: 'cooking' } },
      'Loads: cooker 1: added cooking',
    ],
    [{ kind: 'set', path: ['loads', 'x-1', 'powerW'], from: 5 }, 'Loads: x 1: power (W): 5 → not known'],
    [
      { kind: 'set', path: ['earthing', 'services', 'gas', 'resistanceKOhm'], to: 23 },
      'Earthing: bonding: gas: resistance (kΩ): not known → 23',
    ],
    [
      {
        kind: 'set',
        path: ['statements', '347c380d-e16e-4499-83bd-e5b39c8c3354'],
        to: { id: '347c380d-e16e-4499-83bd-e5b39c8c3354', asked: 'Is there an electric shower?', says: 'Yes, one' },
      },
      'From the customer: added Is there an electric shower? Yes, one',
    ],
    [
      { kind: 'set', path: ['photos', '347c380d-e16e-4499-83bd-e5b39c8c3354', 'caption'], from: 'a', to: 'b' },
      'Photographs: caption: a → b',
    ],
    [{ kind: 'order', path: ['loads'], from: [], to: [] }, 'Loads: put in another order'],
  ] as const)('%j', (change, words) => {
    expect(changeWords(change)).toBe(words);
  });
});

describe('the place of a fault in words', () => {
  it.each([
    ['$.place.town', 'Place: town'],
    ['$.loads[3].powerW', 'Loads: 4: power (W)'],
    ['$.supply.nodes[0].ratingA', 'Supply: 1: rating (A)'],
    ['$', 'The survey'],
  ])('%s', (path, words) => {
    expect(faultPlaceWords(path)).toBe(words);
  });
});
