/** @jest-environment jsdom */
import { verdictOf } from '@keen-gauge/core/grounds/verdict';
import { fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { SurveyProvider, type SurveyAtHand } from '../survey/SurveyContext';
import { Verdicts } from './Grounds';

const at = {
  job: { id: 'job' },
  assessment: {
    findings: [
      {
        id: 'loop-not-known',
        grade: 'ask',
        station: 'loop',
        title: '',
        remedy: '',
        on: 'loop',
        field: 'intake.loop.status',
      },
    ],
  },
} as unknown as SurveyAtHand;

describe('verdicts and their grounds', () => {
  it('says each answer in one word, and shows what it rests on when it is opened, with the way to what is open', () => {
    const verdicts = [
      verdictOf('fuse', [
        { id: 'fuse-read', says: '80 A, read off a label', state: 'met', assumed: 'the tag is this fuse’s' },
      ]),
      verdictOf('loop', [{ id: 'loop', says: 'Is the service looped?', state: 'open', findingId: 'loop-not-known' }]),
    ];
    render(
      <MemoryRouter>
        <SurveyProvider value={at}>
          <Verdicts verdicts={verdicts} />
        </SurveyProvider>
      </MemoryRouter>,
    );
    const fuse = screen.getByRole('button', { name: /^Cut-out fuse rating confirmed.*OK/ });
    expect(fuse.textContent).toContain('Rests on something assumed.');
    const loop = screen.getByRole('button', { name: /^Service not looped.*Not known yet/ });
    fireEvent.click(loop);
    expect(screen.getByRole('link', { name: 'Loop' }).getAttribute('href')).toContain('/jobs/job/loop');
  });
});
