import { fc } from '../testing/laws';
import { adiabaticSize } from '../cable/adiabatic';
import { largestLoopForRcd } from '../cable/fault-loop';
import { gbDefault } from '../rules/gb-default';
import { given } from '../worked';
import { otherBonding, pmeBonding } from './bonding';
import { earthingConductorSize } from './conductor-size';
import { largestElectrode, touchCurve, touchVoltage } from './touch-voltage';

describe('figures of earthing, by hand', () => {
  it.each<[string, number, number]>([
    ['70 × (230 ÷ 20 = 11.5) ÷ 183 = 4.399 Ω', 20, 4.399],
    ['70 × (230 ÷ 32 = 7.1875) ÷ 183 = 2.749 Ω', 32, 2.749],
    ['70 × (230 ÷ 60 = 3.8333) ÷ 183 = 1.466 Ω', 60, 1.466],
  ])('largest electrode: %s', (_working, loadA, ohm) => {
    expect(largestElectrode(loadA, gbDefault).value).toBeCloseTo(ohm, 3);
  });

  it('touch voltage of 20 Ω at 32 A: 253 × 20 ÷ (20 + 7.1875) = 186.1 V', () => {
    expect(touchVoltage(20, 32, gbDefault)).toBeCloseTo(186.11, 2);
  });

  it.each<[string, number, number]>([
    ['50 V ÷ 30 mA = 1666.7 Ω', 30, 1666.67],
    ['50 V ÷ 100 mA = 500 Ω', 100, 500],
    ['50 V ÷ 300 mA = 166.7 Ω', 300, 166.67],
  ])('electrode an RCD allows: %s', (_working, residualMa, ohm) => {
    expect(largestLoopForRcd(gbDefault.circuit, residualMa).value).toBeCloseTo(ohm, 2);
  });

  it.each([
    [10, 10],
    [16, 16],
    [25, 16],
    [35, 16],
    [50, 25],
    [70, 35],
  ])('earthing conductor for tails of %d mm²: %d mm²', (tails, size) => {
    expect(earthingConductorSize(tails, gbDefault).value).toBe(size);
  });

  it.each([
    [16, 10],
    [35, 10],
    [50, 16],
    [70, 25],
    [95, 25],
    [120, 35],
    [150, 35],
    [185, 50],
  ])('PME bonding for a neutral of %d mm²: %d mm²', (neutral, size) => {
    expect(pmeBonding(neutral, gbDefault).value).toBe(size);
  });

  it.each<[string, number, number]>([
    ['10 ÷ 2 = 5, at least 6', 10, 6],
    ['16 ÷ 2 = 8, the next size made is 10', 16, 10],
    ['35 ÷ 2 = 17.5, the next size made is 25', 35, 25],
    ['70 ÷ 2 = 35, need not exceed 25', 70, 25],
  ])('bonding elsewhere: %s', (_working, conductor, size) => {
    expect(otherBonding(given('Earthing conductor', conductor, 'mm²'), gbDefault).value).toBe(size);
  });

  it.each<[string, number, number, number, number]>([
    ['√(1600² × 0.4) ÷ 143 = 7.08 mm²', 1600, 0.4, 143, 7.076],
    ['√(382² × 0.1) ÷ 115 = 1.05 mm²', 382, 0.1, 115, 1.05],
  ])('adiabatic: %s', (_working, faultA, seconds, k, size) => {
    expect(adiabaticSize('Least', faultA, seconds, k, 'table').value).toBeCloseTo(size, 2);
  });
});

describe('laws of the touch voltage', () => {
  const load = fc.double({ min: 1, max: 200, noNaN: true });
  const ohm = fc.double({ min: 0.01, max: 500, noNaN: true });

  it('a worse electrode, or a heavier load, never lowers it, and it stays below the supply', () => {
    fc.assert(
      fc.property(load, load, ohm, ohm, (a, b, r, s) => {
        const [light, heavy] = [Math.min(a, b), Math.max(a, b)];
        const [good, bad] = [Math.min(r, s), Math.max(r, s)];
        expect(touchVoltage(bad, light, gbDefault)).toBeGreaterThanOrEqual(touchVoltage(good, light, gbDefault) - 1e-9);
        expect(touchVoltage(good, heavy, gbDefault)).toBeGreaterThanOrEqual(
          touchVoltage(good, light, gbDefault) - 1e-9,
        );
        expect(touchVoltage(bad, heavy, gbDefault)).toBeLessThan(253);
      }),
    );
  });

  it('at the largest electrode it is just the limit', () => {
    fc.assert(
      fc.property(load, (amperes) => {
        const most = largestElectrode(amperes, gbDefault).value;
        expect(touchVoltage(most, amperes, gbDefault)).toBeCloseTo(70, 6);
      }),
    );
  });

  it('the curve to draw starts at nothing and only rises', () => {
    const points = touchCurve(32, 25, gbDefault);
    expect(points[0]).toEqual({ ohm: 0, volts: 0 });
    expect(points.at(-1)?.ohm).toBe(25);
    points.slice(1).forEach((point, at) => {
      expect(point.volts).toBeGreaterThan(points[at]?.volts ?? Infinity);
    });
  });
});
