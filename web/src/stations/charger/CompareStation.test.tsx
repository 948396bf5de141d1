/** @jest-environment jsdom */
import { options } from '@keen-gauge/core/options/options';
import { gbDefault } from '@keen-gauge/core/rules/gb-default';
import { nodeOf } from '@keen-gauge/core/testing/settled-survey';
import { screen, waitFor, within } from '@testing-library/react';
import { atSurvey, choose, press, region, type, type AtSurvey, type Given } from '../../testing/at-survey';

/** 20.52 A of loads and a 32 A charger behind 40 A: it fits only when it is held, or behind a larger fuse. */
const TIGHT: Given = { changes: [(survey) => (nodeOf(survey, 'cut-out').ratingA = 40)] };

const cards = (): HTMLElement[] =>
  [...region('Options').querySelectorAll<HTMLElement>('ol > li')].filter((item) => item.querySelector('h3'));
const titles = (): string[] =>
  cards().map((card) => (card.querySelector('h3')?.textContent ?? '').replace(/^\d+\. /, ''));
const card = (title: string | RegExp): HTMLElement => {
  const found = cards()[titles().findIndex((each) => (typeof title === 'string' ? each === title : title.test(each)))];
  if (!found) throw new Error(`no option ${String(title)} among ${titles().join(', ')}`);
  return found;
};

/** Opened, with its options come. */
async function compared(given: Given = {}): Promise<AtSurvey> {
  const opened = await atSurvey('compare', given);
  await waitFor(() => {
    expect(cards().length).toBeGreaterThan(1);
  });
  return opened;
}

describe('the comparison of options', () => {
  it('has every option the core finds, in its order, with its verdict', async () => {
    const { survey } = await compared(TIGHT);
    const found = options(survey(), gbDefault);
    expect(titles()).toEqual(found.map(({ title }) => title));
    expect(card(/Full rate/).textContent).toContain('Does not fit');
    expect(card(/Held to \d+ A$/).textContent).toContain('Fits if limited');
  });

  it('the first stands open; of the others figures and grounds are a press away on a phone', async () => {
    await compared(TIGHT);
    const [first, second] = cards();
    expect(first?.textContent).toContain('Who must agree');
    expect(first?.querySelector('details')).toBeNull();
    const details = second?.querySelector('details');
    expect(details?.open).toBe(false);
    expect(details?.querySelector('summary')?.textContent).toMatch(/^Figures and grounds \d+ of \d+ met$/);
    expect(details?.textContent).toContain('Who must agree');
  });

  it('choosing one records who chose it, is one step back, and it is then asked why', async () => {
    const { survey, undo } = await compared(TIGHT);
    const held = titles().find((title) => /^Held to \d+ A$/.test(title)) ?? '';
    press(`Choose: ${held}`, card(held));
    expect(survey().choice).toMatchObject({ option: 'fixed-limit', chosenBy: 'Isla Tester' });
    expect(survey().proposals[0]?.limiter).toMatchObject({ kind: 'fixed' });
    await waitFor(() => {
      expect(within(card(held)).getByRole('button', { name: /^Choose/ }).textContent).toBe('Chosen');
    });
    type('Why this one was chosen', 'cars are home all night');
    expect(survey().choice?.reason).toBe('cars are home all night');
    undo();
    undo();
    expect(survey().choice).toBeUndefined();
    expect(survey().proposals[0]?.limiter).toEqual({});
  });

  it('the office may read and not choose', async () => {
    await compared({ ...TIGHT, me: { role: 'office' } });
    for (const button of screen.getAllByRole('button', { name: /^Choose: / }))
      expect(button).toHaveProperty('disabled', true);
  });

  it('what the driver needs is recorded, and what few say of it is put away until it is said', async () => {
    const { survey } = await compared(TIGHT);
    const driver = region('What the driver needs');
    expect(within(driver).getByText('Cheap hours, and what the car takes').closest('details')?.open).toBe(false);
    type('Miles a day', '40', driver);
    type('Charging only from', '0.5', driver);
    choose('What matters most to the customer?', 'Having it soon');
    expect(survey().driver).toMatchObject({ milesPerDay: 40, cheapFromH: 0.5, priority: 'soonest' });
    await waitFor(() => {
      expect(titles()).toEqual(options(survey(), gbDefault).map(({ title }) => title));
    });
  });

  it('what is wrong already is said once above them all, and as wrong for none of them', async () => {
    await compared({
      changes: [
        (survey) => {
          nodeOf(survey, 'meter').ratingA = 16;
        },
      ],
    });
    const told = [...region('Options').querySelectorAll('p')].filter(({ textContent }) =>
      textContent.startsWith('There already:'),
    );
    expect(told[0]?.closest('li')).toBeNull();
    expect(told[0]?.textContent).toMatch(/Meter: 4\.5 A over its 16 A rating already/);
    expect(told.filter((each) => each.textContent.includes('Meter:'))).toHaveLength(1);
  });

  it('with nothing open, nothing would change the answer', async () => {
    await compared();
    await waitFor(() => {
      expect(region('What would change the answer').textContent).toContain('Nothing that is still open');
    });
  });

  it('with the fuse not known, its rating would change the answer', async () => {
    await compared({
      changes: [
        (survey) => {
          const cutOut = nodeOf(survey, 'cut-out');
          delete cutOut.ratingA;
          delete cutOut.evidence;
        },
      ],
    });
    await waitFor(() => {
      expect(
        within(region('What would change the answer')).getByRole('region', { name: /what is its rating\?/ }),
      ).toBeTruthy();
    });
    const outcomes = within(region('What would change the answer')).getAllByRole('listitem');
    expect(outcomes.length).toBeGreaterThan(2);
    expect(outcomes[0]?.textContent).toMatch(/what is proposed (fits|does not fit|not known yet), full rate /);
  });

  it('with no new equipment there is nothing to compare, and a way to where it is recorded', async () => {
    await atSurvey('compare', { changes: [(survey) => (survey.proposals = [])] });
    expect(screen.getByText(/nothing to compare/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'New equipment' }).getAttribute('href')).toBe('/jobs/job-1/charger');
  });
});

describe('a trial kept with the survey', () => {
  it('is told with who played it, and as out of date once the survey says something else', async () => {
    await atSurvey('compare', {
      changes: [
        (survey) => {
          survey.trials = [
            { id: 'car', seed: 7, years: 100, playedBy: 'Isla Tester', playedAt: '2026-03-02T09:00:00Z' },
          ];
        },
      ],
    });
    const trial = region(/^Trial/);
    expect(trial.textContent).toContain('100 household-years, seed 7; played by Isla Tester');
    // Nothing it was played from is kept in it, so it is of no survey that stands here.
    expect(trial.textContent).toContain('What it was played from has changed since. Play it again.');
  });
});
