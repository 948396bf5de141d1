import { blankSurvey } from '../survey/blank';
import type { Load } from '../survey/load';
import { answered, readSchedule, safeCell, scheduleRows } from './schedule';
import { STARTING_SETS } from './starting-sets';

const bare = (loads: readonly Load[]): object[] =>
  loads.map(
    ({
      id: _id,
      fixedLed: _led,
      controlUnitsWithSocket: _sockets,
      backupHeaterW: _backup,
      backupWithCompressor: _with,
      mainRoom: _room,
      ...rest
    }) => rest,
  );

describe('a board schedule', () => {
  it.each(STARTING_SETS.map(({ name, loads }) => [name, loads] as const))(
    'of %s reads back as it was written',
    (_name, loads) => {
      const survey = blankSurvey();
      survey.loads = loads.map((load, at) => ({
        ...load,
        ...(at % 2 ? { nodeId: 'board', phase: 'L2' as const } : {}),
      }));
      expect(readSchedule(survey, scheduleRows(survey))).toEqual({
        loads: bare(survey.loads),
        unsure: [],
        refused: [],
      });
    },
  );

  it('is safe to open in a spreadsheet, and what made it so is taken off again', () => {
    const survey = blankSurvey();
    const labels = ['=HYPERLINK("x")', '+1', '-1', '@sum', "'quoted", 'plain'];
    survey.loads = labels.map((label, at) => ({ id: `l${at}`, class: 'motor', label }));
    const rows = scheduleRows(survey);
    for (const row of rows) for (const cell of row) expect(cell).not.toMatch(/^[=+\-@\t]/);
    expect(readSchedule(survey, rows)?.loads.map(({ label }) => label)).toEqual(labels);
    expect(safeCell('2-way switch')).toBe('2-way switch');
  });

  it('tells each row that is none, by its place, and takes the others', () => {
    const rows = [
      ['Load or circuit', 'class', 'watts', 'amperes', 'quantity', 'hangs from'],
      ['Kettle', 'Socket appliances', '3000', '', '1', 'BOARD'],
      ['Warp core', 'antimatter', '1', '', '', ''],
      ['Ring', 'socket-circuit', '', 'thirty-two', '', ''],
      ['Both', 'Motors and pumps', '100', '2', '', ''],
      ['', '', '', '', '', ''],
      ['Half', 'Motors and pumps', '100', '', '1.5', ''],
    ];
    const made = readSchedule(blankSurvey(), rows);
    expect(made?.loads).toEqual([
      { class: 'socket-appliance', label: 'Kettle', powerW: 3000, quantity: 1, nodeId: 'board' },
    ]);
    expect(made?.refused).toEqual([
      { row: 3, says: '“antimatter” is no class of load.' },
      { row: 4, says: 'Amperes: “thirty-two” is not a number from 0 to 3000.' },
      { row: 5, says: 'Give watts, amperes or volt-amperes, not two of them.' },
      { row: 7, says: 'Quantity: “1.5” is not a number from 1 to 1000.' },
    ]);
    expect(readSchedule(blankSurvey(), [['a', 'b']])).toBeNull();
  });

  it('asks about a board, a line or a season that is not known here, and drops none', () => {
    const rows = [
      ['Load or circuit', 'Class', 'Amperes', 'Hangs from', 'Phase', 'Season'],
      ['Ring', 'Socket circuits', '32', 'Garage board', '', ''],
      ['Heater', 'Motors and pumps', '10', '', 'L4', 'winter'],
      ['Hex', 'Motors and pumps', '0x20', '', '', ''],
    ];
    const made = readSchedule(blankSurvey(), rows);
    expect(made?.loads).toEqual([]);
    expect(made?.unsure.map(({ row, asks }) => [row, asks.map(({ field, says }) => `${field}: ${says}`)])).toEqual([
      [2, ['nodeId: no part of this supply is called “Garage board”']],
      [3, ['phase: “L4” is no line', 'season: “winter” is no season of use']],
    ]);
    expect(made?.refused).toEqual([{ row: 4, says: 'Amperes: “0x20” is not a number from 0 to 3000.' }]);
    const [, heater] = made?.unsure ?? [];
    expect(heater && answered(heater, { phase: 'L2', season: 'heating' })).toMatchObject({
      currentA: 10,
      phase: 'L2',
      season: 'heating',
    });
    expect(heater && answered(heater, {})).not.toHaveProperty('phase');
  });

  it('tells two boards of one name apart, out and in', () => {
    const survey = blankSurvey();
    survey.supply.nodes.push(
      { id: 'one', kind: 'board', label: 'Flat', fedFrom: 'board' },
      { id: 'two', kind: 'board', label: 'Flat', fedFrom: 'board' },
    );
    survey.loads = [{ id: 'l', class: 'motor', currentA: 3, nodeId: 'two' }];
    expect(readSchedule(survey, scheduleRows(survey))?.loads).toEqual([{ class: 'motor', currentA: 3, nodeId: 'two' }]);
    const bareName = [
      ['Load or circuit', 'Class', 'Amperes', 'Hangs from'],
      ['', 'Motors and pumps', '3', 'flat'],
    ];
    expect(readSchedule(survey, bareName)?.unsure[0]?.asks[0]?.choices.map(({ value }) => value)).toEqual([
      'one',
      'two',
    ]);
  });
});
