import { blankSurvey } from '../survey/blank';
import type { Load } from '../survey/load';
import { readSchedule, safeCell, scheduleRows } from './schedule';
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
      expect(readSchedule(survey, scheduleRows(survey))).toEqual({ loads: bare(survey.loads), refused: [] });
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
});
