import { fc } from '../testing/laws';
import { checkDigit, groupedMeterPoint, meterPoint } from './meter-point';

describe('meter point number', () => {
  it.each(['9700000012340', '9800123456786', '9602044177114'])('%s is good in form', (number) => {
    expect(meterPoint(number)).toEqual({ state: 'good', core: number, distributor: number.slice(0, 2) });
  });
  it('takes the spaces, the S and the top row that bills print', () => {
    expect(meterPoint('S 01 801 902 97 0000 0012 340')).toMatchObject({ state: 'good', core: '9700000012340' });
  });
  it('says which is wrong: length, digit or check', () => {
    expect(meterPoint('970000001234')).toMatchObject({ fault: 'length', says: expect.stringContaining('12 digits') });
    expect(meterPoint('97000000I2340')).toMatchObject({ fault: 'digit', says: '“I” is not a digit (place 9).' });
    expect(meterPoint('9700000012341')).toMatchObject({ fault: 'check', says: expect.stringContaining('should be 0') });
  });
  it.each(['0000000000000', '0100000000005', '000000000000000000000'])(
    '%s is no number, whatever its check digit',
    (number) => {
      expect(meterPoint(number).state).toBe('faulty');
    },
  );
  it('is missing while nothing is typed', () => {
    expect(meterPoint(undefined)).toEqual({ state: 'missing' });
    expect(meterPoint('   ')).toEqual({ state: 'missing' });
  });
  it('finds nearly every single misread digit (those whose weighted error is a multiple of 11, or 10 read as 0, escape)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 11 }), fc.integer({ min: 1, max: 9 }), (place, shift) => {
        const good = '9602044177114';
        const digit = (Number(good.charAt(place)) + shift) % 10;
        const misread = good.slice(0, place) + String(digit) + good.slice(place + 1);
        const caught = meterPoint(misread).state === 'faulty';
        expect(caught).toBe(checkDigit(misread) !== Number(good.charAt(12)));
      }),
    );
  });
  it('groups as bills do', () => {
    expect(groupedMeterPoint('9700000012340')).toBe('97 0000 0012 340');
  });
});
