/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { ReadMeterPoint } from './ReadMeterPoint';
import { LOOKS, meterPointsIn } from './read-picture';

const NUMBER = '10 1234 5678 903';
const over = () => false;

describe('looking at a picture', () => {
  it('stops as soon as two looks agree', async () => {
    const looked: number[] = [];
    const found = await meterPointsIn(
      (at) => {
        looked.push(at);
        return Promise.resolve(`S\n${NUMBER}`);
      },
      () => undefined,
      over,
    );
    expect([found, looked]).toEqual([['1012345678903'], [0, 1]]);
  });

  it('offers nothing that one look alone saw', async () => {
    const shares: number[] = [];
    const found = await meterPointsIn(
      (at) => Promise.resolve(at === 1 ? NUMBER : '10 1234 5678 9O3'),
      (share) => shares.push(share),
      over,
    );
    expect(found).toEqual([]);
    expect(shares).toHaveLength(LOOKS.length);
  });

  it('stops where it is called off', async () => {
    expect(
      await meterPointsIn(
        () => Promise.reject(new Error('looked')),
        () => undefined,
        () => true,
      ),
    ).toEqual([]);
  });
});

describe('reading it off a photograph', () => {
  const show = (read: () => Promise<string[]>, onChoose = jest.fn()) => {
    render(<ReadMeterPoint picture={() => Promise.resolve(new Blob())} onChoose={onChoose} read={read} />);
    return onChoose;
  };
  const begin = () => userEvent.click(screen.getByRole('button', { name: /Read it off/ }));

  it('offers what was read, and fills in nothing before somebody presses', async () => {
    const chosen = show(() => Promise.resolve(['1012345678903']));
    await begin();
    const button = await screen.findByRole('button', { name: 'Use 10 1234 5678 903' });
    expect(chosen).not.toHaveBeenCalled();
    await userEvent.click(button);
    expect(chosen).toHaveBeenCalledWith('1012345678903');
  });

  it('says where nothing is certain, and where it cannot read at all', async () => {
    show(() => Promise.resolve([]));
    await begin();
    expect(await screen.findByText(/No number could be read for certain/)).toBeTruthy();
  });

  it('says that it needs a connection the first time', async () => {
    show(() => Promise.reject(new Error('not fetched')));
    await begin();
    expect(await screen.findByText(/could not be read here/)).toBeTruthy();
  });

  it('can be stopped', async () => {
    show(() => new Promise(() => undefined));
    await begin();
    await userEvent.click(await screen.findByRole('button', { name: 'Stop' }));
    expect(screen.getByRole('button', { name: /Read it off/ })).toBeTruthy();
  });
});
