/** @jest-environment jsdom */
import type { LogFaults } from '@keen-gauge/core/demand/measured/series';
import type { Measurement } from '@keen-gauge/core/survey/measurement';
import { render, screen, within } from '@testing-library/react';
import { atSurvey, press, region, type } from '../testing/at-survey';
import { FaultList } from './FaultList';
import { Readings } from './Readings';

const measured = (): HTMLElement => region('Measured demand');
const group = (name: string): HTMLElement => within(measured()).getByRole('group', { name });

const LOG: Measurement = {
  id: 'log-1',
  kind: 'logger',
  phases: [{ id: 'L1', mean1A: 31, mean10A: 28.4, mean30A: 24.6, onceAYearA: 30.2, peakA: 33.5, baseA: 1.1 }],
  days: 9,
  coveragePercent: 99.2,
  intervalS: 60,
  unusable: 3,
  fileId: 'f0000000',
  fileName: 'hall.csv',
  takenBy: 'Isla Tester',
};

describe('what was measured of the demand', () => {
  it('says what each kind is worth while there is none', async () => {
    await atSurvey('loads');
    expect(measured().textContent).toContain('a glance with a clamp shows what the demand is at least');
  });

  it('a spot reading is a bound from below, with what was running, and is taken back by undo', async () => {
    const { survey, assessment, undo } = await atSurvey('loads');
    press('Spot reading', measured());
    type('Spot reading', '18', group('Spot reading'));
    type('What was running', 'oven and washing machine', group('Spot reading'));
    expect(survey().measurements).toMatchObject([
      { kind: 'spot', phases: [{ id: 'L1', peakA: 18 }], note: 'oven and washing machine', takenBy: 'Isla Tester' },
    ]);
    // No basis is declared from it.
    expect(assessment().demand.byMeasurement.L1?.value ?? null).toBeNull();
    press('Remove the spot reading', measured());
    expect(survey().measurements).toEqual([]);
    undo();
    expect(survey().measurements).toHaveLength(1);
  });

  it('the test with everything on has a field for each phase there is', async () => {
    const { survey } = await atSurvey('loads', { changes: [({ supply }) => (supply.phases = 3)] });
    press('Full-load test', measured());
    for (const [phase, amperes] of [
      ['L1', '41'],
      ['L2', '38'],
      ['L3', '44'],
    ] as const)
      type(`Full-load test, ${phase}`, amperes, group('Full-load test'));
    expect(survey().measurements[0]?.phases).toEqual([
      { id: 'L1', peakA: 41 },
      { id: 'L2', peakA: 38 },
      { id: 'L3', peakA: 44 },
    ]);
  });

  it('a log tells its days, what is left out and its figures, and hands out its file', async () => {
    await atSurvey('loads', { changes: [(survey) => (survey.measurements = [LOG])] });
    const log = group('Log');
    expect(log.textContent).toContain('hall.csv; 9 whole days, 99.2 % covered, 3 readings left out');
    expect(log.textContent).toContain('highest half hour 24.6 A, one day in a year 30.2 A');
    expect(within(log).getByRole('link', { name: 'The file' }).getAttribute('href')).toBe(
      '/api/jobs/job-1/logs/f0000000',
    );
  });

  it('a log that may not be what it seems gives no figure until somebody says how that was settled', async () => {
    const { survey, assessment } = await atSurvey('loads', {
      changes: [(given) => (given.measurements = [{ ...LOG, doubts: ['unit'] }])],
    });
    expect(group('Log').textContent).toContain('No figure until this is settled');
    expect(group('Log').textContent).toContain('amperes, watts or kilowatts?');
    expect(assessment().demand.byMeasurement.L1?.value ?? null).toBeNull();
    type('How was that settled?', 'compared with the clamp at the meter', group('Log'));
    expect(survey().measurements[0]?.doubtsSettled).toBe('compared with the clamp at the meter');
    expect(group('Log').textContent).not.toContain('No figure until');
    expect(assessment().demand.byMeasurement.L1?.value).toBeGreaterThan(24);
  });
});

describe('what was wrong with a log', () => {
  const none = { count: 0, rows: [] };
  const clean: LogFaults = {
    noTime: none,
    noNumber: none,
    repeated: none,
    backward: none,
    negative: none,
    impossible: none,
    gaps: 0,
    gapSeconds: 0,
    stuck: 0,
    at: [],
    frozenS: 0,
    noughtS: 0,
    deadS: 0,
    reset: 0,
  };

  it('is counted with the first rows it was met in', () => {
    render(
      <FaultList
        faults={{
          ...clean,
          noNumber: { count: 5, rows: [3, 9] },
          negative: { count: 1, rows: [12] },
          gaps: 2,
          gapSeconds: 5400,
        }}
      />,
    );
    const lines = screen.getAllByRole('listitem').map(({ textContent }) => textContent);
    expect(lines).toEqual([
      '5 without a number (rows 3, 9 …)',
      '1 below nought: a reversed clamp, or export (row 12)',
      '2 gaps, 1.5 h together',
    ]);
  });

  it('is nothing where there was nothing', () => {
    render(<FaultList faults={clean} />);
    expect(screen.getByText('No fault was found in the file.')).toBeTruthy();
  });

  it('what each way of reading it would give stands beside the doubt', () => {
    render(
      <Readings
        report={
          {
            openDoubts: ['decimal'],
            readings: [
              { says: '1,234 as thousands', mean30A: null, peakA: 1234, plausible: false },
              { says: '1,234 as decimals', mean30A: 0.9, peakA: 1.234, plausible: true },
            ],
          } as unknown as Parameters<typeof Readings>[0]['report']
        }
      />,
    );
    const rows = screen.getAllByRole('row').map(({ textContent }) => textContent);
    expect(rows).toEqual([
      'Read asHighest half hourPeak',
      '1,234 as thousands (no supply has that)not known1234.0 A',
      '1,234 as decimals0.9 A1.2 A',
    ]);
  });
});
