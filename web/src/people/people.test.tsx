/** @jest-environment jsdom */
import { render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Outlet, Route, Routes } from 'react-router';
import { SWRConfig } from 'swr';
import type { Me } from '../api/me';
import type { Team } from '../api/members';
import { fakeServer, Refusal, type Asked } from '../testing/fake-server';
import AccountPage from './AccountPage';
import LinkPage from './LinkPage';
import { PeoplePanel } from './PeoplePanel';
import SetUpPage from './SetUpPage';
import SignInPage from './SignInPage';

jest.mock('../offline/person', () => ({
  rememberPerson: () => Promise.resolve(),
  rememberedPerson: () => Promise.resolve(undefined),
  forgetCopies: () => Promise.resolve(),
}));

const ME = {
  id: 'me',
  name: 'Anna',
  email: 'anna@a.example',
  role: 'supervisor',
  firm: 'Firm A',
  registration: 'R-1',
  maySignOff: true,
} as Me;
const TEAM: Team = {
  mails: true,
  people: [
    {
      id: 'me',
      name: 'Anna',
      email: 'anna@a.example',
      role: 'supervisor',
      maySignOff: true,
      registration: 'R-1',
      endedAt: null,
    },
    {
      id: 'p2',
      name: 'Alan',
      email: 'alan@a.example',
      role: 'surveyor',
      maySignOff: false,
      registration: '',
      endedAt: null,
    },
    {
      id: 'p3',
      name: 'Olga',
      email: 'olga@a.example',
      role: 'office',
      maySignOff: false,
      registration: '',
      endedAt: '2026-11-01',
    },
  ],
  invitations: [
    { id: 'i1', email: 'fern@a.example', name: 'Fern', role: 'surveyor', madeBy: 'Anna', expiresAt: '2026-12-08' },
  ],
};
const UNKNOWN = new Refusal(401, { title: 'Not signed in', detail: 'Sign in to go on.' });

function shown(page: React.ReactNode, address = '/'): void {
  render(
    <SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0, shouldRetryOnError: false }}>
      <MemoryRouter initialEntries={[address]}>
        <Routes>
          <Route element={<Outlet context={ME} />}>
            <Route path="/here" element={<p>Signed in</p>} />
            <Route path="*" element={page} />
          </Route>
        </Routes>
      </MemoryRouter>
    </SWRConfig>,
  );
}
const sent = (asked: readonly Asked[]) =>
  asked.filter(({ method }) => method !== 'GET').map(({ method, path, body }) => [method, path, body]);

describe('People', () => {
  it('shows who is here, who is invited and who has left, and nothing to do to oneself but change', async () => {
    fakeServer(() => TEAM);
    shown(<PeoplePanel me={ME} />);
    const here = await screen.findByRole('region', { name: 'People' });
    expect(within(here).getByText(/signs surveys off · R-1/)).toBeTruthy();
    expect(within(here).queryByRole('button', { name: 'Let Anna go' })).toBeNull();
    expect(within(screen.getByRole('region', { name: 'Invited' })).getByText('Fern')).toBeTruthy();
    expect(
      within(screen.getByRole('region', { name: 'Left' })).getByRole('button', { name: 'Take Olga back' }),
    ).toBeTruthy();
  });

  it('invites somebody by a link to hand over, shown once', async () => {
    const asked = fakeServer(({ method }) => (method === 'POST' ? { ...TEAM, token: 'secret-1' } : TEAM));
    shown(<PeoplePanel me={ME} />);
    const user = userEvent.setup();
    await user.click(await screen.findByRole('button', { name: 'Invite somebody' }));
    const form = screen.getByRole('region', { name: 'Invite somebody' });
    expect(within(form).getByRole('button', { name: 'Send the invitation' }).hasAttribute('disabled')).toBe(true);
    await user.type(within(form).getByLabelText('E-mail address'), 'moss@a.example');
    await user.type(within(form).getByLabelText('Name'), 'Moss');
    await user.click(within(form).getByRole('radio', { name: /^Office/ }));
    await user.click(within(form).getByRole('button', { name: 'Make a link to hand over' }));
    expect(await screen.findByText('http://localhost/link#secret-1')).toBeTruthy();
    expect(sent(asked)).toEqual([
      [
        'POST',
        '/firm/people/invitations',
        { name: 'Moss', email: 'moss@a.example', role: 'office', maySignOff: false, registration: '', mail: false },
      ],
    ]);
  });

  it('asks twice before somebody is let go, and says what a refusal says', async () => {
    const asked = fakeServer(({ method }) =>
      method === 'POST'
        ? new Refusal(409, { title: 'The last supervisor', detail: 'The firm needs a supervisor.' })
        : TEAM,
    );
    shown(<PeoplePanel me={ME} />);
    const user = userEvent.setup();
    await user.click(await screen.findByRole('button', { name: 'Let Alan go' }));
    expect(sent(asked)).toEqual([]);
    const buttons = screen.getAllByRole('button', { name: 'Let Alan go' });
    await user.click(buttons.at(-1) as HTMLElement);
    expect(await screen.findByText('The firm needs a supervisor.')).toBeTruthy();
    expect(sent(asked)).toEqual([['POST', '/firm/people/p2/end', undefined]]);
  });

  it('is its supervisors’ alone', () => {
    const asked = fakeServer(() => TEAM);
    shown(<PeoplePanel me={{ ...ME, role: 'office' }} />);
    expect(screen.getByText(/by your firm’s supervisors/)).toBeTruthy();
    expect(asked).toEqual([]);
  });
});

describe('an account', () => {
  const SESSIONS = {
    sessions: [
      { id: 's1', device: 'Firefox on Linux', begunAt: '2026-12-01T08:00:00Z', here: true },
      { id: 's2', device: 'Chrome on a phone', begunAt: null, here: false },
    ],
  };

  it('lists where I am signed in, and signs another device out', async () => {
    const asked = fakeServer(({ method }) =>
      method === 'DELETE' ? { sessions: SESSIONS.sessions.slice(0, 1) } : SESSIONS,
    );
    shown(<AccountPage />);
    const user = userEvent.setup();
    await user.click(await screen.findByRole('button', { name: 'Sign out Chrome on a phone' }));
    await waitFor(() => {
      expect(screen.queryByText('Chrome on a phone')).toBeNull();
    });
    expect(screen.queryByRole('button', { name: 'Sign out everywhere else' })).toBeNull();
    expect(sent(asked)).toEqual([['DELETE', '/me/sessions/s2', undefined]]);
  });

  it('says why a password will not do, with what was typed still there', async () => {
    fakeServer(({ path }) =>
      path === '/me/password'
        ? new Refusal(422, {
            title: 'Not valid',
            detail: 'See the fields.',
            faults: [{ path: '$.password', wrong: 'has 5 characters', expected: 'at least 12' }],
          })
        : SESSIONS,
    );
    shown(<AccountPage />);
    const user = userEvent.setup();
    await user.type(screen.getByLabelText('Password now'), 'old one');
    await user.type(screen.getByLabelText('New password'), 'short');
    await user.click(screen.getByRole('button', { name: 'Show the password' }));
    await user.click(screen.getByRole('button', { name: 'Change the password' }));
    expect(await screen.findByText('The password has 5 characters. Expected: at least 12.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('New password').value).toBe('short');
  });
});

describe('before signing in', () => {
  it('a lost password says the same whoever asks', async () => {
    const asked = fakeServer(({ path }) =>
      path === '/access' ? { isSetUp: true, mails: true } : path === '/me' ? UNKNOWN : { asked: true },
    );
    shown(<SignInPage />);
    const user = userEvent.setup();
    await user.type(await screen.findByLabelText('E-mail address'), 'alan@a.example');
    await user.click(screen.getByRole('button', { name: 'Lost your password?' }));
    await user.click(screen.getByRole('button', { name: 'Send me a link' }));
    expect((await screen.findByRole('status')).textContent).toMatch(/^If somebody signs in as alan@a.example/);
    expect(sent(asked)).toEqual([['POST', '/access/recovery', { email: 'alan@a.example' }]]);
  });

  it('without mail it says who helps', async () => {
    fakeServer(({ path }) => (path === '/access' ? { isSetUp: true, mails: false } : UNKNOWN));
    shown(<SignInPage />);
    await waitFor(async () => {
      await userEvent.click(screen.getByRole('button', { name: 'Lost your password?' }));
    });
    expect(await screen.findByText(/A supervisor of your firm can give you a link/)).toBeTruthy();
  });

  it('a link that is used up says so, and where to go', async () => {
    fakeServer(({ path }) =>
      path === '/access/link'
        ? new Refusal(404, { title: 'x', detail: 'It works once and for a while only.' })
        : UNKNOWN,
    );
    shown(<LinkPage />, '/link#gone');
    expect(await screen.findByText('It works once and for a while only.')).toBeTruthy();
    expect(screen.getByRole('link', { name: /Sign in/ })).toBeTruthy();
  });

  it('an invitation is taken up under the name its owner gives', async () => {
    const asked = fakeServer(({ path }) =>
      path === '/access/link'
        ? { kind: 'invitation', email: 'fern@a.example', name: 'Fern', firm: 'Firm A' }
        : path === '/me'
          ? UNKNOWN
          : ME,
    );
    shown(<LinkPage />, '/link#token-1');
    const user = userEvent.setup();
    const name = await screen.findByLabelText('Your name');
    await user.clear(name);
    await user.type(name, 'Fern Hollin');
    await user.type(screen.getByLabelText('Password'), 'a gate between two larches');
    await user.click(screen.getByRole('button', { name: 'Join Firm A' }));
    await waitFor(() => {
      expect(sent(asked).at(-1)).toEqual([
        'POST',
        '/access/link/use',
        { token: 'token-1', name: 'Fern Hollin', password: 'a gate between two larches' },
      ]);
    });
  });

  it('a server nobody has used yet is set up with the code it printed', async () => {
    const asked = fakeServer(({ path }) =>
      path === '/access'
        ? { isSetUp: false, mails: false }
        : path === '/me'
          ? UNKNOWN
          : new Refusal(403, { title: 'Not the code', detail: 'The server prints a code.' }),
    );
    shown(<SetUpPage />);
    const user = userEvent.setup();
    for (const [label, text] of [
      ['Code', 'abcd'],
      ['Firm', 'Saltmarsh Electrical'],
      ['Your name', 'Wren'],
      ['E-mail address', 'wren@s.example'],
      ['Password', 'a gate between two larches'],
    ] as const)
      await user.type(await screen.findByLabelText(label), text);
    await user.click(screen.getByRole('button', { name: 'Set up the firm' }));
    expect(await screen.findByText('The server prints a code.')).toBeTruthy();
    expect(sent(asked)).toMatchObject([
      ['POST', '/access/set-up', { code: 'abcd', firm: 'Saltmarsh Electrical', name: 'Wren' }],
    ]);
  });
});
