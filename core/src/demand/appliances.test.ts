import { LOAD_CLASSES } from '../survey/words/words';
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
      assumed: true,
      powerFactor: 0.85,
    });
  });
});

describe('pasted lines', () => {
  it.each([
    ['3 × 2.4 kW panel heater', { class: 'heating-and-power', label: 'panel heater', powerW: 2400, quantity: 3 }],
    ['2x 500W towel rails', { class: 'heating-and-power', label: 'towel rails', powerW: 500, quantity: 2 }],
    ['kettle', { class: 'socket-appliance', label: 'kettle', powerW: 3000, assumed: true }],
    ['- immersion heater, 3kW', { class: 'thermostatic-water-heating', label: 'immersion heater', powerW: 3000 }],
    ['sewage pump 6.5 A', { class: 'motor', label: 'sewage pump', currentA: 6.5 }],
    ['pool pump 1,1 kW', { class: 'motor', label: 'pool pump', powerW: 1100, powerFactor: 0.85 }],
    ['9.5 kW electric shower', { class: 'instantaneous-water-heating', label: 'electric shower', powerW: 9500 }],
  ])('%s', (line, load) => {
    expect(readPasted(line)).toMatchObject([{ line: line.replace(/^- /, ''), load, doubts: [] }]);
    const [made] = readPasted(line);
    expect(made && 'load' in made && made.load).toEqual(load);
  });

  it.each([
    ['32A ring', 'socket-circuit', { currentA: 32 }],
    ['kitchen sockets 32 amps', 'socket-circuit', { currentA: 32 }],
    ['shower 9.5 kW', 'instantaneous-water-heating', { powerW: 9500 }],
    ['shower pump 600 W', 'motor', { powerW: 600 }],
    ['6A lights', 'lighting', { currentA: 6 }],
    ['downlights 12 x 5 W', 'lighting', { powerW: 5 }],
    ['oven 3.6 kW x 2', 'cooking', { powerW: 3600, quantity: 2 }],
    ['cooker hood 200W', 'heating-and-power', { powerW: 200 }],
    ['microwave oven 1.3 kW', 'socket-appliance', { powerW: 1300 }],
    ['tumble dryer, heat pump 800 W', 'socket-appliance', { powerW: 800 }],
    ['panel heater 1.200,5 W', 'heating-and-power', { powerW: 1200.5 }],
    ['panel heater 1,200.5 W', 'heating-and-power', { powerW: 1200.5 }],
    ['EV charger 7.4kW', 'ev-charging', { powerW: 7400 }],
    ['immersion 3 kW', 'thermostatic-water-heating', { powerW: 3000 }],
    ['2 of 1.7 kW storage heater', 'storage-heating', { powerW: 1700, quantity: 2 }],
  ])('%s is %s, told by its words and not by its size', (line, kind, size) => {
    expect(readPasted(line)).toMatchObject([{ load: { class: kind, ...size }, doubts: [] }]);
  });

  it.each([
    ['Bubble machine 400 W', ['class']],
    ['heater 1,200 W', ['size']],
    ['heater 1.200 W', ['size']],
    ['Bubble machine 2,500 W', ['class', 'size']],
  ])('%s is asked about: %j', (line, doubts) => {
    expect(readPasted(line)).toMatchObject([{ doubts }]);
  });

  it('tells which line is none, and takes the others', () => {
    expect(
      readPasted('flux capacitor\n\nkettle\n0 x 2 kW heater').map((each) =>
        'says' in each ? each.says : each.load.label,
      ),
    ).toEqual(['No size is given, and no usual appliance has that name.', 'kettle', 'There are none of it.']);
  });
});
