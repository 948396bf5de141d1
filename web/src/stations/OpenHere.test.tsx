/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { blankSurvey } from '@keen-gauge/core/survey/blank';
import { atSurvey, region } from '../testing/at-survey';

const rows = (): HTMLElement[] => [
  ...region('Still open here').querySelectorAll<HTMLElement>('details:has(> summary > svg)'),
];

describe('what is still open at a station', () => {
  it('is counted, a line each, the fifth and later put away', async () => {
    const { assessment } = await atSurvey('place', { survey: blankSurvey() });
    const open = assessment().findings.filter(({ station, grade }) => station === 'place' && grade !== 'note');
    expect(open.length).toBeGreaterThan(4);
    const here = region('Still open here');
    expect(within(here).getByRole('heading').textContent).toBe(`Still open here: ${open.length}`);
    expect(within(here).getByText(`${open.length - 4} more`)).toBeTruthy();
    for (const { title } of open) expect(here.textContent).toContain(title);
    expect(rows().length).toBeGreaterThan(0);
  });

  it('says with each who knows, and leads to its field', async () => {
    await atSurvey('place', { survey: blankSurvey() });
    const here = region('Still open here');
    const asked = within(here).getByText('What is the meter point number?').closest('details') as HTMLElement;
    fireEvent.click(asked.querySelector('summary') as HTMLElement);
    expect(asked.textContent).toContain('Who knows: the customer.');
    expect(within(asked).getByText('Answer it').getAttribute('href')).toBe(
      '/jobs/job-1/place?at=place.meterPointNumber',
    );
  });

  it('is not there where nothing is', async () => {
    const { assessment } = await atSurvey('loop');
    expect(assessment().findings.filter(({ station }) => station === 'loop')).toEqual([]);
    expect(screen.queryByRole('region', { name: 'Still open here' })).toBeNull();
  });
});
