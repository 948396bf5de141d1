/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { SWRConfig } from 'swr';
import type { JobMail, JobMails } from '../api/mails';
import { fakeServer } from '../testing/fake-server';
import { MailForm } from './MailForm';
import { MailsPanel } from './MailsPanel';

const mail = (more: Partial<JobMail>): JobMail => ({
  id: 'm1',
  kind: 'to-operator',
  to: 'desk@operator.example',
  subject: 'Firm A: P-0003',
  body: 'Hello <b>there</b>.',
  packNumber: 3,
  state: 'sent',
  trouble: null,
  madeBy: 'Anna',
  madeAt: '2026-12-01T09:00:00Z',
  sentAt: '2026-12-01T09:01:00Z',
  ...more,
});
const shown = (page: React.ReactNode): void => {
  render(<SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0 }}>{page}</SWRConfig>);
};

describe('a letter by mail', () => {
  it('goes to whoever was written to before, with what was changed in it, under the firm’s choice', async () => {
    const asked = fakeServer(({ method }): JobMails => ({
      mails: [mail({ state: method === 'GET' ? 'sent' : 'waiting' })],
      sends: true,
    }));
    shown(<MailForm jobId="j" kind="to-operator" text="The letter." pack={{ id: 'p', number: 'P-0003' }} />);
    const user = userEvent.setup();
    await screen.findByDisplayValue('desk@operator.example');
    await user.type(screen.getByLabelText('What is written'), ' And a line.');
    await user.click(screen.getByRole('button', { name: 'Send it' }));
    expect((await screen.findByRole('status')).textContent).toBe('On its way: see Mails.');
    expect(asked.at(-1)).toMatchObject({
      path: '/jobs/j/mails',
      body: { kind: 'to-operator', to: 'desk@operator.example', body: 'The letter. And a line.', packId: 'p' },
    });
  });

  it('is kept as a draft where the firm, or the server, sends none', async () => {
    fakeServer((): JobMails => ({ mails: [], sends: false }));
    shown(<MailForm jobId="j" kind="to-operator" text="The letter." />);
    const button = await screen.findByRole('button', { name: 'Keep as a draft' });
    expect(button.hasAttribute('disabled')).toBe(true);
    expect(screen.getByText(/Your firm keeps letters as drafts/)).toBeTruthy();
  });
});

describe('what was mailed', () => {
  it('says what became of each, its words as text, and why one was not sent', async () => {
    fakeServer((): JobMails => ({
      mails: [
        mail({}),
        mail({ id: 'm2', state: 'given-up', trouble: 'The mail server refused it (550).' }),
        mail({ id: 'm3', state: 'draft' }),
      ],
      sends: true,
    }));
    shown(<MailsPanel jobId="j" />);
    expect(await screen.findByText('Not sent')).toBeTruthy();
    expect(screen.getByText('The mail server refused it (550).')).toBeTruthy();
    expect(screen.getAllByText('Hello <b>there</b>.')).toHaveLength(3);
    expect(screen.getAllByRole('button', { name: 'Send it' })).toHaveLength(1);
  });

  it('is not there before the first', () => {
    fakeServer((): JobMails => ({ mails: [], sends: true }));
    shown(<MailsPanel jobId="j" />);
    expect(screen.queryByRole('region', { name: 'Mails' })).toBeNull();
  });
});
