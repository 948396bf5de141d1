import { assess } from '../assess';
import { gbDefault } from '../rules/gb-default';
import { blankSurvey } from '../survey/blank';
import type { Survey } from '../survey/survey';
import { foldedLineup } from './folded';
import { lineupOf, type Lineup } from './layout';

/** So many flats on a block, each a fuse, a meter and a board. */
function building(flats: number, change: (survey: Survey) => void = () => undefined): { lineup: Lineup; at: string[] } {
  const survey = blankSurvey();
  survey.supply.nodes = [
    { id: 'head', kind: 'cut-out', ratingA: 100, evidence: 'label' },
    { id: 'block', kind: 'split-block', fedFrom: 'head' },
  ];
  const at = Array.from({ length: flats }, (_each, flat) => `fuse-${flat + 1}`);
  for (const [flat, fuse] of at.entries())
    survey.supply.nodes.push(
      { id: fuse, kind: 'switch-fuse', label: `Flat ${flat + 1}`, fedFrom: 'block', ratingA: 60, evidence: 'label' },
      { id: `meter-${flat + 1}`, kind: 'meter', fedFrom: fuse },
      { id: `board-${flat + 1}`, kind: 'board', fedFrom: `meter-${flat + 1}`, ratingA: 80 },
    );
  survey.loads = [{ id: 'h', class: 'heating-and-power', currentA: 5, nodeId: 'board-1' }];
  change(survey);
  return { lineup: lineupOf(survey, assess(survey, gbDefault)), at };
}

const names = ({ rows }: Lineup): string[] => rows.map(({ name }) => name);

describe('a long line-up folded', () => {
  it('shows a line for each supply, with how many parts are in it and what is open there', () => {
    const { lineup, at } = building(20);
    const folded = foldedLineup(lineup, { at, selected: undefined });
    // The weakest link is among the flats or at the head; whatever branch has it stays open.
    expect(folded.rows.length).toBeLessThanOrEqual(2 + 20 + 2);
    expect(names(folded)).toContain('Flat 20 +2');
    const asked = ({ rows }: Lineup): number => rows.reduce((sum, { toAsk, toDo }) => sum + toAsk + toDo, 0);
    expect(asked(folded)).toBe(asked(lineup));
  });
  it('unfolds the branch that is looked at, and finds others by their names', () => {
    const { lineup, at } = building(6);
    expect(names(foldedLineup(lineup, { at, selected: 'board-4' }))).toContain('Flat 4');
    const found = foldedLineup(lineup, { at, selected: undefined, sought: 'flat 5' });
    expect(names(found)).toEqual(expect.arrayContaining(['Flat 5']));
    expect(names(found)).not.toContain('Flat 6 +2');
  });
  it('keeps its lines: every child is under its parent, in the place it says', () => {
    const { lineup, at } = building(9);
    const { rows } = foldedLineup(lineup, { at, selected: 'fuse-3' });
    for (const [place, row] of rows.entries()) {
      for (const child of row.children) expect(rows[child]?.parent).toBe(place);
      if (row.parent !== null) expect(rows[row.parent]?.children).toContain(place);
    }
  });
  it('never folds what is over its rating, nor leaves it out', () => {
    const { lineup, at } = building(6, (survey) => {
      survey.loads.push({ id: 'big', class: 'ev-charging', currentA: 70, nodeId: 'board-2' });
    });
    expect(lineup.rows.find(({ id }) => id === 'fuse-2')?.over).toBe(true);
    const found = foldedLineup(lineup, { at, selected: undefined, sought: 'flat 5' });
    expect(names(found)).toEqual(expect.arrayContaining(['Flat 2', 'Flat 5']));
  });
});
