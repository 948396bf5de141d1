import { settledSurvey } from '../testing/settled-survey';
import { assess } from '../assess';
import { STARTING_SETS } from '../demand/starting-sets';
import { gbDefault } from '../rules/gb-default';
import { blankSurvey } from '../survey/blank';
import type { Survey } from '../survey/survey';
import { onShape } from '../tree/edit';
import { STARTING_SHAPES } from '../tree/shapes';
import { drawLineup, type Mark } from './drawing';
import { lineupOf, type Lineup } from './layout';
import { lineupSvg } from './svg';

function shaped(id: string, change: (survey: Survey) => void = () => undefined): Lineup {
  const shape = STARTING_SHAPES.find((each) => each.id === id);
  const survey = onShape(blankSurvey(), shape?.nodes ?? [], shape?.phases);
  survey.loads = STARTING_SETS[0]?.loads.map((load) => ({ ...load })) ?? [];
  change(survey);
  return lineupOf(survey, assess(survey, gbDefault));
}

describe('the line-up', () => {
  it.each(STARTING_SHAPES.map(({ id, nodes }) => [id, nodes.length] as const))(
    'of %s has a row a node',
    (id, count) => {
      const { rows } = shaped(id);
      expect(rows).toHaveLength(count);
      rows.forEach(({ parent }, at) => {
        expect(parent === null ? at : parent).toBeLessThan(parent === null ? 1 : at);
      });
    },
  );

  it('runs straight on where one thing is fed, and aside where several are', () => {
    expect(shaped('one-board').rows.map(({ lane }) => lane)).toEqual([0, 0, 0, 0, 0]);
    expect(shaped('two-boards').rows.map(({ lane }) => lane)).toEqual([0, 0, 0, 0, 0, 1, 1]);
  });

  it('marks one weakest link, and puts every rating and demand on the scale', () => {
    const lineup = shaped('outbuilding', (survey) => {
      for (const node of survey.supply.nodes) node.ratingA = node.kind === 'feeder' ? 20 : 100;
      survey.proposals = [{ id: 'car', kind: 'vehicle-charger', ratedA: 32, nodeId: 'outbuilding', limiter: {} }];
    });
    expect(lineup.rows.filter(({ weakest }) => weakest).map(({ id }) => id)).toEqual(['cut-out']);
    for (const { ratingA, afterA } of lineup.rows)
      expect(Math.max(ratingA ?? 0, afterA ?? 0)).toBeLessThan(lineup.scaleA);
    expect(lineup.rows.find(({ id }) => id === 'feeder')).toMatchObject({ over: true, headroomA: -12, afterA: 32 });
  });

  it('says what is not known rather than drawing it as nothing', () => {
    const { rows } = shaped('one-board', (survey) => {
      survey.loads = [];
    });
    expect(rows[4]).toMatchObject({ headroomA: null, ratingA: null, nowA: null });
  });

  it.each([320, 360, 520, 900])('keeps every mark within %s px', (width) => {
    const drawing = drawLineup(shaped('landlord-and-flats'), width);
    const marks = drawing.rows.flatMap((row) => row.marks);
    for (const mark of marks) expect(leftmost(mark)).toBeGreaterThanOrEqual(0);
    for (const mark of marks) expect(rightmost(mark)).toBeLessThanOrEqual(width + 0.5);
  });

  it('is written as a file of its own, with nothing in a name taken for a tag', () => {
    const svg = lineupSvg(
      shaped('one-board', (survey) => {
        for (const node of survey.supply.nodes) if (node.kind === 'board') node.label = 'A<b>"&';
      }),
      'Job <1>',
    );
    expect(svg).toContain('A&#60;b&#62;&#34;&#38;');
    expect(svg).toContain('<title>Job &#60;1&#62;</title>');
    expect(svg).not.toMatch(/NaN|undefined|Infinity/);
  });
});

function leftmost(mark: Mark): number {
  if (mark.kind === 'path') return 0;
  return mark.kind === 'text' && mark.end ? mark.x - mark.text.length * mark.size * 0.5 : mark.x;
}

function rightmost(mark: Mark): number {
  if (mark.kind === 'path') return 0;
  if (mark.kind === 'rect') return mark.x + mark.width;
  return mark.end ? mark.x : mark.x + mark.text.length * mark.size * 0.5;
}

it('is a file that XML takes, whatever came along in pasting a name', () => {
  const lineup = shaped(STARTING_SHAPES[0]?.id ?? '', ({ supply }) => {
    for (const node of supply.nodes) node.label = 'B\u0001o\u000bar\u001bd\ud83d';
  });
  const svg = lineupSvg(lineup, 'T\u0007itle');
  expect(svg).toContain('Board');
  expect(svg).toContain('Title');
  // oxlint-disable-next-line no-control-regex
  expect(svg).not.toMatch(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]|\p{Cs}/u);
});

describe('clamps in the drawing', () => {
  it('stand at the part they are on, with set-point and fail-safe', () => {
    const survey = settledSurvey((s) => {
      const [car] = s.proposals;
      if (car)
        car.limiter = {
          kind: 'clamp',
          clampNodeId: 'isolator',
          setPointA: 50,
          failSafeA: 6,
          moreClamps: [{ id: 'm', nodeId: 'board', setPointA: 30 }],
        };
    });
    const { rows } = lineupOf(survey, assess(survey, gbDefault));
    const of = (id: string) => rows.find((row) => row.id === id)?.clamps;
    expect(of('isolator')).toBe('clamp, set-point 50 A, fail-safe 6 A');
    expect(of('board')).toBe('clamp, set-point 30 A, fail-safe 6 A');
    expect(of('meter')).toBe('');
  });
});
