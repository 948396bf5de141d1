/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { LightSwitch } from './LightSwitch';

const radio = (name: string): HTMLInputElement => screen.getByRole('radio', { name });

describe('the switch of lights', () => {
  it('puts the page in the light chosen, and has it so the next time', () => {
    const { unmount } = render(<LightSwitch />);
    fireEvent.click(radio('Cupboard'));
    expect(radio('Cupboard').checked).toBe(true);
    expect(document.documentElement.dataset['light']).toBe('cupboard');
    unmount();
    render(<LightSwitch />);
    expect(radio('Cupboard').checked).toBe(true);
    expect(radio('Paper').checked).toBe(false);
  });

  it('is one of three under one name, and two of them on a page do not disturb each other', () => {
    render(
      <>
        <LightSwitch />
        <LightSwitch />
      </>,
    );
    const groups = screen.getAllByRole('radiogroup', { name: 'Light' });
    expect(groups).toHaveLength(2);
    const names = new Set(screen.getAllByRole<HTMLInputElement>('radio').map(({ name }) => name));
    expect(names.size).toBe(2);
  });
});
