import { fc } from '../testing/laws';
import { gbDefault } from '../rules/gb-default';
import type { Load } from '../survey/load';
import { connectedLoad, SINGLE_PHASE } from './connected';
import { demandOnPhase } from './maximum-demand';

const demand = (loads: readonly Load[]): number =>
  demandOnPhase(
    loads.map((load) => connectedLoad(load, SINGLE_PHASE, gbDefault)),
    'L1',
    'household',
    gbDefault,
  ).worked.value;

const load = (id: string, currentA: number, more: Partial<Load> = {}): Load => ({
  id,
  class: 'motor',
  currentA,
  ...more,
});

describe('heating against cooling', () => {
  it('never run together: the greater season counts, 5 + 20 = 25 A, not 5 + 20 + 12', () => {
    const all = [load('base', 5), load('heat', 20, { season: 'heating' }), load('cool', 12, { season: 'cooling' })];
    expect(demand(all)).toBe(25);
    expect(demand([...all, load('cool-2', 9, { season: 'cooling' })])).toBe(26);
  });

  it('are judged by what each season’s total comes to, allowances and all', () => {
    // Winter: heating and power 10 + 50 % of (18 + 12 − 10) = 20; summer: 10 + 50 % of 2 + 9 = 20 … so 21 A of cooling decides.
    const all = [
      load('base', 12, { class: 'heating-and-power' }),
      load('heat', 18, { class: 'heating-and-power', season: 'heating' }),
      load('cool', 10, { season: 'cooling' }),
    ];
    expect(demand(all)).toBe(21);
  });

  it('leave a load of neither, and of one alone, as it was', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 6 }), (currents) => {
        const plain = currents.map((amperes, at) => load(`l${at}`, amperes));
        const winter = plain.map((each) => ({ ...each, season: 'heating' as const }));
        expect(demand(winter)).toBeCloseTo(demand(plain), 9);
      }),
    );
  });

  it('can only lower the demand, and never below either season by itself', () => {
    const season = fc.constantFrom('heating', 'cooling', undefined);
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: 1, max: 40 }), season), { maxLength: 8 }), (parts) => {
        const loads = parts.map(([amperes, when], at) => load(`l${at}`, amperes, when ? { season: when } : {}));
        const together = demand(loads.map(({ season: _season, ...rest }) => rest));
        const made = demand(loads);
        expect(made).toBeLessThanOrEqual(together + 1e-9);
        for (const out of ['heating', 'cooling'])
          expect(made).toBeGreaterThanOrEqual(demand(loads.filter(({ season: when }) => when !== out)) - 1e-9);
      }),
    );
  });
});
