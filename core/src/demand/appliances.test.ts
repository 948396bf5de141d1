import { LOAD_CLASSES } from '../survey/words';
import { applianceLoad, APPLIANCES, findAppliances } from './appliances';
import { readPasted } from './paste';

describe('the catalogue of appliances', () => {
  it('has about 120 of them, named once each, of sane size, in every class that has appliances', () => {
    expect(APPLIANCES.length).toBeGreaterThanOrEqual(115);
    expect(new Set(APPLIANCES.map(({ name }) => name)).size).toBe(APPLIANCES.length);
    for (const { powerW, powerFactor = 1 } of APPLIANCES) {
      expect(powerW).toBeGreaterThan(0);
      expect(powerW).toBeLessThan(20_000);
      expect(powerFactor).toBeGreaterThanOrEqual(0.7);
      expect(powerFactor).toBeLessThanOrEqual(1);
    }
    const without = LOAD_CLASSES.filter((kind) => !APPLIANCES.some((each) => each.class === kind));
    expect(without).toEqual(['lighting', 'socket-circuit']);
  });

  it.each([
    ['kett', 'Kettle'],
    ['shower 9.5', 'Electric shower, 9.5 kW'],
    ['refrigerator', 'Fridge'],
    ['induction', 'Induction hob'],
  ])('finds “%s”: %s', (search, name) => {
    expect(findAppliances(search)[0]?.name).toBe(name);
  });

  it('finds nothing for nothing, and nothing for what is not there', () => {
    expect([findAppliances(''), findAppliances('zeppelin')]).toEqual([[], []]);
  });

  it('makes a load of one', () => {
    expect(applianceLoad({ name: 'Pool pump', class: 'motor', powerW: 1100, powerFactor: 0.85 }, 'x')).toEqual({
      id: 'x',
      class: 'motor',
      label: 'Pool pump',
      powerW: 1100,
      powerFactor: 0.85,
    });
  });
});

describe('pasted lines', () => {
  it.each([
    ['3 × 2.4 kW panel heater', { class: 'heating-and-power', label: 'panel heater', powerW: 2400, quantity: 3 }],
    ['2x 500W towel rails', { class: 'heating-and-power', label: 'towel rails', powerW: 500, quantity: 2 }],
    ['kettle', { class: 'socket-appliance', label: 'kettle', powerW: 3000 }],
    ['- immersion heater, 3kW', { class: 'thermostatic-water-heating', label: 'immersion heater', powerW: 3000 }],
    ['sewage pump 6.5 A', { class: 'motor', label: 'sewage pump', currentA: 6.5 }],
    ['pool pump 1,1 kW', { class: 'motor', label: 'pool pump', powerW: 1100, powerFactor: 0.85 }],
    ['Bubble machine 400 W', { class: 'socket-appliance', label: 'Bubble machine', powerW: 400 }],
    ['9.5 kW electric shower', { class: 'instantaneous-water-heating', label: 'electric shower', powerW: 9500 }],
  ])('%s', (line, load) => {
    expect(readPasted(line)).toEqual([{ line: line.replace(/^- /, ''), load }]);
  });

  it('tells which line is none, and takes the others', () => {
    expect(
      readPasted('flux capacitor\n\nkettle\n0 x 2 kW heater').map((each) =>
        'says' in each ? each.says : each.load.label,
      ),
    ).toEqual(['No size is given, and no usual appliance has that name.', 'kettle', 'There are none of it.']);
  });
});
