/** @jest-environment jsdom */
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { nodeOf } from '@keen-gauge/core/testing/settled-survey';
import { fireEvent, screen, within } from '@testing-library/react';
import { atSurvey, press, region, type } from '../../testing/at-survey';

const SHAPES: readonly [string, readonly string[]][] = [
  ['One board', ['Service cable', 'Cut-out', 'Meter', 'Isolator', 'Board']],
  ['Two boards', ['Service cable', 'Cut-out', 'Meter', 'Isolator', 'Split block', 'House board', 'Second board']],
  [
    'With an outbuilding',
    ['Service cable', 'Cut-out', 'Meter', 'Isolator', 'House board', 'Outbuilding feeder', 'Outbuilding board'],
  ],
  ['Three-phase intake', ['Service cable', 'Cut-out', 'Meter', 'Isolator', 'Three-phase board']],
  ['Flat on a switch-fuse', ['Service cable', 'Head', 'Switch-fuse', 'Meter', 'Flat board']],
  [
    'With a check meter',
    ['Service cable', 'Cut-out', 'Meter', 'Isolator', 'Split block', 'House board', 'Check meter', 'Annexe board'],
  ],
];

const rows = (): string[] =>
  within(screen.getByRole('listbox', { name: 'Supply line-up, from the street' }))
    .getAllByRole('option')
    .map((row) => row.textContent);
const row = (name: string): HTMLElement => screen.getByRole('option', { name: new RegExp(`^${name},`) });

beforeAll(() => {
  // A desk: the editor stands beside the drawing.
  window.matchMedia = ((query: string) => ({
    matches: query.includes('min-width'),
    media: query,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  })) as unknown as typeof window.matchMedia;
});

describe('the line-up station', () => {
  it.each(SHAPES)('%s is drawn from the street', async (shape, names) => {
    await atSurvey('line-up', { survey: blankSurvey() });
    press(new RegExp(`^${shape}`));
    expect(rows().map((text) => text.split(',')[0])).toEqual(names);
  });

  it('six flats beside the landlord are a line each until one is looked at or looked for, and 24 nodes in all; undo brings the shape of before back', async () => {
    const { survey, undo } = await atSurvey('line-up', { survey: blankSurvey() });
    const before = survey().supply.nodes.length;
    press(/^Landlord beside flats/);
    // Three before the supplies, seven supplies, and the last of them open with its meter and board.
    expect(rows()).toHaveLength(12);
    fireEvent.click(row('Flat 2 switch-fuse \\+2'));
    expect(rows().some((text) => text.startsWith('Flat 2 board,'))).toBe(true);
    type('Search the line-up', 'flat 4');
    expect(rows().some((text) => text.startsWith('Flat 4 board,'))).toBe(true);
    expect(rows().some((text) => text.startsWith('Flat 5'))).toBe(false);
    type('Search the line-up', '');
    press('Show every part');
    expect(rows()).toHaveLength(24);
    expect(rows().some((text) => text.startsWith('Flat 6 board,'))).toBe(true);
    undo();
    expect(survey().supply.nodes).toHaveLength(before);
  });

  it('the weakest link has the least left, and is told: 63 A at the board, 52.5 A after, 10.5 A left', async () => {
    await atSurvey('line-up', { changes: [(survey) => (nodeOf(survey, 'board').ratingA = 63)] });
    expect(row('Board').textContent).toContain('now 20.5 A, after 52.5 A, 10.5 A left, weakest link');
    fireEvent.click(row('Board'));
    type('Main switch rating', '50');
    expect(row('Board').textContent).toContain('2.5 A over its rating, weakest link');
    expect(screen.getByRole('region', { name: 'Gauge' }).textContent).toContain('weakest: Board, over by 2.5 A');
    type('Main switch rating', '125');
    expect(row('Board').textContent).not.toContain('weakest');
  });

  it('a board is split, something hung below it, moved and removed; each one step of undo', async () => {
    const { survey, undo } = await atSurvey('line-up');
    fireEvent.click(row('Board'));
    press('Split the tails');
    expect(survey().supply.nodes).toHaveLength(7);
    press('Add below');
    fireEvent.click(screen.getByRole('menuitem', { name: 'Feeder' }));
    expect(row('Feeder')).toBeTruthy();
    press('Move to');
    fireEvent.click(screen.getByRole('menuitem', { name: 'Fed from Meter' }));
    const feeder = survey().supply.nodes.find(({ kind }) => kind === 'feeder');
    expect(feeder?.fedFrom).toBe('meter');
    press('Remove');
    expect(survey().supply.nodes).toHaveLength(7);
    undo();
    expect(survey().supply.nodes.find(({ kind }) => kind === 'feeder')?.fedFrom).toBe('meter');
    undo();
    undo();
    undo();
    expect(survey().supply.nodes).toHaveLength(5);
  });

  it('what the record settles of a node’s checks says so', async () => {
    await atSurvey('line-up');
    fireEvent.click(row('Isolator'));
    expect(region('Checks').textContent).toContain(
      'Does the isolator’s rating suit the fuse before it? The record says so.',
    );
  });

  it('what nobody looked at singly is taken together, and stays known as assumed', async () => {
    const { survey } = await atSurvey('line-up', {
      changes: [
        (of) => {
          const {
            spareWays: _ways,
            acceptsNewDevice: _device,
            enclosure: _box,
            place: _place,
            ...bare
          } = nodeOf(of, 'board');
          of.supply.nodes = of.supply.nodes.map((node) => (node.id === 'board' ? bare : node));
        },
      ],
    });
    fireEvent.click(row('Board'));
    press(/^Take the other \d+ as fine, not looked at singly$/, region('Checks'));
    const answers = survey().supply.nodes.find(({ kind }) => kind === 'board')?.checks ?? [];
    expect(answers.length).toBeGreaterThan(1);
    expect(answers.every(({ answer, assumed }) => answer === 'fine' && assumed === true)).toBe(true);
    expect(region('Checks').textContent).not.toContain('Take the other');
  });
});
