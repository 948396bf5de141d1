/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { atSurvey, press, settled } from '../testing/at-survey';

/** Chooses files as the button “Choose” does. */
function chooseFiles(...files: readonly File[]): void {
  const input = [...document.querySelectorAll<HTMLInputElement>('input[type=file]')].find(({ multiple }) => multiple);
  if (!input) throw new Error('nowhere to choose files');
  fireEvent.change(input, { target: { files } });
}

const list = (): HTMLElement => screen.getByRole('region', { name: 'Pictures on their way in' });
const line = (name: string): HTMLElement => {
  const found = within(list())
    .getAllByRole('listitem')
    .find(({ textContent }) => textContent.includes(name));
  if (!found) throw new Error(`no picture ${name}`);
  return found;
};

const picture = (name: string): File => new File([new Uint8Array(1500)], name, { type: 'image/jpeg' });

describe('pictures on their way in, at a station', () => {
  it('stop where nobody answers, stay, and can be tried again or put away', async () => {
    await atSurvey('cut-out');
    chooseFiles(picture('tag.jpg'), picture('meter.jpg'));
    await waitFor(() => {
      expect(line('tag.jpg').textContent).toContain('Stopped');
    });
    expect(line('meter.jpg').textContent).toContain('it goes on by itself');
    press('Try again now');
    await settled();
    expect(line('tag.jpg').textContent).toContain('Stopped');
    press('Stop and forget tag.jpg', list());
    expect(within(list()).getAllByRole('listitem')).toHaveLength(1);
    press('Stop and forget meter.jpg', list());
    expect(screen.queryByRole('region', { name: 'Pictures on their way in' })).toBeNull();
  });

  it('that cannot be taken say why: an empty file can only be removed, a large one saved elsewhere first', async () => {
    await atSurvey('cut-out');
    const large = picture('large.jpg');
    Object.defineProperty(large, 'size', { value: 30_000_000 });
    chooseFiles(new File([], 'empty.jpg'), large);
    await waitFor(() => {
      expect(line('large.jpg').textContent).toContain('Larger than 25 MB');
    });
    expect(line('empty.jpg').textContent).toContain('The file is empty.');
    expect(within(line('empty.jpg')).queryByRole('button', { name: 'Save it on this device' })).toBeNull();
    expect(within(line('large.jpg')).getByRole('button', { name: 'Save it on this device' })).toBeTruthy();
    press('Remove empty.jpg', list());
    expect(list().textContent).not.toContain('empty.jpg');
  });

  it('show how far they have come to those who hear the page', async () => {
    await atSurvey('cut-out');
    chooseFiles(picture('tag.jpg'));
    expect(screen.getByRole('progressbar', { name: /^tag\.jpg: / })).toBeTruthy();
    await settled();
  });
});
