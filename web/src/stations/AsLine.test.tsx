/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from '@testing-library/react';
import { atSurvey, choose, type } from '../testing/at-survey';
import { AsLine, AskedFields } from './AsLine';

const NOTHING: ReadonlySet<string> = new Set();

function Shown({ says, asked, few = false }: { says?: string; asked: ReadonlySet<string> | null; few?: boolean }) {
  return (
    <AskedFields value={asked}>
      <AsLine field="place.town" label="Town" says={says} few={few}>
        <input aria-label="Town" />
      </AsLine>
    </AskedFields>
  );
}
const line = () => screen.queryByRole('button', { name: /^Town/ });

describe('a field of a station', () => {
  it('is a line while something is recorded, and its control with the cursor in it once that is pressed', () => {
    render(<Shown says="Netherby" asked={NOTHING} />);
    expect(line()?.textContent).toContain('Netherby');
    expect(screen.queryByLabelText('Town')).toBeNull();
    fireEvent.click(line() as HTMLElement);
    expect(document.activeElement).toBe(screen.getByLabelText('Town'));
  });

  it('is its control where nothing is recorded, where it is asked for, and off the stations', () => {
    for (const props of [
      { asked: NOTHING },
      { says: 'Netherby', asked: new Set(['place.town']) },
      { says: 'Netherby', asked: null },
    ]) {
      const { unmount } = render(<Shown {...props} />);
      expect(line()).toBeNull();
      screen.getByLabelText('Town');
      unmount();
    }
  });

  it('is never put away while it is worked on: answered, it stays open', () => {
    const { rerender } = render(<Shown asked={new Set(['place.town'])} />);
    rerender(<Shown says="Netherby" asked={NOTHING} />);
    screen.getByLabelText('Town');
  });

  it('needed by few is a line to add to, unless it is asked for', () => {
    const { rerender } = render(<Shown asked={NOTHING} few />);
    expect(line()?.textContent).toContain('Add');
    rerender(<Shown asked={new Set(['place.town'])} few />);
    screen.getByLabelText('Town');
  });
});

describe('at a station', () => {
  it('what is recorded stands in lines, what is asked for in controls', async () => {
    await atSurvey('loop', { changes: [(survey) => (survey.intake.loop = {})] });
    expect(screen.queryByRole('radiogroup', { name: 'Loop status' })).not.toBeNull();
    choose('Loop status', 'Not looped');
    // What was answered just now is not folded under the finger.
    expect(screen.queryByRole('radiogroup', { name: 'Loop status' })).not.toBeNull();
  });

  it('a number that is withdrawn opens its field again', async () => {
    const { undo, store } = await atSurvey('cut-out');
    expect(screen.queryByLabelText('Fuse rating, each phase')).toBeNull();
    type('Fuse rating, each phase', '60');
    undo();
    act(() => {
      const device = store.get().survey.supply.nodes.find(({ kind }) => kind === 'cut-out');
      store.set(['supply', 'nodes', device?.id ?? '', 'ratingA'], undefined);
    });
    screen.getByLabelText('Fuse rating, each phase');
  });
});
