/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { atSurvey, region, type } from '../../testing/at-survey';

const ANSWERS = {
  '/jobs/job-1/packs': { packs: [] },
  '/jobs/job-1/events': { events: [] },
  '/jobs/job-1/submissions': { conversations: [], hasLink: false },
};
const signing = (): HTMLElement => screen.getByRole('button', { name: 'Sign off and freeze' });

describe('the pack station', () => {
  it('a settled survey is a notice with nothing missing, and waits for a signature', async () => {
    await atSurvey('pack', { answers: ANSWERS });
    const will = region('What it will be');
    expect(will.textContent).toContain('a notice, to be sent after commissioning');
    expect(will.textContent).toContain('Nothing is missing.');
    expect(signing().hasAttribute('disabled')).toBe(true);
    expect(screen.queryByLabelText('Why sign it with items missing?')).toBeNull();
    type('Type your name to sign', 'Isla Tester');
    expect(signing().hasAttribute('disabled')).toBe(false);
  });

  it('what touches safety is answered for by name, each with a reason of ten letters; the rest together', async () => {
    await atSurvey('pack', {
      answers: ANSWERS,
      changes: [
        ({ intake }) => (intake.loop = { status: 'unknown' }),
        ({ place }) => delete place.customerName,
        (survey) => delete survey.intake.look,
      ],
    });
    type('Type your name to sign', 'Isla Tester');
    const safety = within(region('Safety')).getAllByRole('textbox');
    expect(safety.length).toBeGreaterThan(0);
    for (const field of safety) fireEvent.change(field, { target: { value: 'Too short' } });
    type('Why sign it with items missing?', 'The customer asked for it early.');
    expect(signing().hasAttribute('disabled')).toBe(true);
    expect(screen.getByText(/still need/)).toBeTruthy();
    for (const field of safety) fireEvent.change(field, { target: { value: 'Answered for by me.' } });
    expect(signing().hasAttribute('disabled')).toBe(false);
    type('Why sign it with items missing?', ' ');
    expect(signing().hasAttribute('disabled')).toBe(true);
  });

  it('every item that is missing leads to a station, most of them to the very field', async () => {
    await atSurvey('pack', {
      answers: ANSWERS,
      changes: [
        ({ place }) => delete place.meterPointNumber,
        ({ place }) => delete place.operatorName,
        (survey) => (survey.loads = []),
        ({ earthing }) => delete earthing.arrangement,
      ],
    });
    const links = [...region('Missing').querySelectorAll('a'), ...region('Safety').querySelectorAll('a')].map(
      (link) => link.getAttribute('href') ?? '',
    );
    expect(links.length).toBeGreaterThan(3);
    expect(links.every((href) => href.startsWith('/jobs/job-1/'))).toBe(true);
    expect(links).toContain('/jobs/job-1/place?at=place.meterPointNumber');
    expect(links.filter((href) => href.includes('?at=')).length).toBeGreaterThan(links.length / 2);
  });

  it('who may not sign is told so, and sees what is missing all the same', async () => {
    await atSurvey('pack', {
      answers: ANSWERS,
      me: { maySignOff: false },
      changes: [({ place }) => delete place.customerName],
    });
    expect(screen.getByText(/You may not sign surveys off/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Sign off and freeze' })).toBeNull();
    expect(region('Missing')).toBeTruthy();
  });

  it('packs signed before stand below, and say that the survey has changed since', async () => {
    const pack = {
      id: 'p1',
      number: 4,
      title: 'Notice',
      route: 'fit-then-notify',
      revisionSeq: 0,
      signedBy: 'Maren Tester',
      signedAt: '2026-03-01T10:00:00Z',
      fingerprint: 'abcdef0123456789abcdef',
      reason: null,
      made: true,
    };
    await atSurvey('pack', { answers: { ...ANSWERS, '/jobs/job-1/packs': { packs: [pack] } } });
    const packs = region('Packs');
    expect(packs.textContent).toContain('P-0004');
    expect(packs.textContent).toContain('the survey has changed since');
    expect(packs.textContent).toContain('abcdef0123456789');
    expect(within(packs).getByRole('link', { name: 'PDF' }).getAttribute('href')).toBe('/api/packs/p1/notice.pdf');
  });
});
