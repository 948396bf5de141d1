/** @jest-environment jsdom */
import { act, fireEvent, render, screen, within } from '@testing-library/react';
import { useState } from 'react';
import DayInput from './DayInput';

function Shown({ from, told }: { readonly from: string; readonly told: (day: string) => void }) {
  const [day, setDay] = useState(from);
  return (
    <DayInput
      label="On"
      value={day}
      onChange={(next) => {
        setDay(next);
        told(next);
      }}
    />
  );
}

function shown(from: string): { told: string[]; parts: () => string[]; part: (at: number) => HTMLElement } {
  const told: string[] = [];
  render(<Shown from={from} told={(day) => told.push(day)} />);
  const all = (): HTMLElement[] => within(screen.getByRole('group', { name: 'On' })).getAllByRole('spinbutton');
  return {
    told,
    parts: () => all().map((each) => each.textContent),
    part: (at) => all()[at] as HTMLElement,
  };
}

describe('a day', () => {
  it('stands day first, and is changed by the keyboard', () => {
    const { told, parts, part } = shown('2026-11-30');
    expect(parts()).toEqual(['30', '11', '2026']);
    act(() => {
      part(0).focus();
    });
    fireEvent.keyDown(part(0), { key: 'ArrowDown' });
    expect(told).toEqual(['2026-11-29']);
    fireEvent.keyDown(part(1), { key: 'ArrowUp' });
    expect(told.at(-1)).toBe('2026-12-29');
  });

  it('that is none, or no day there is, stands empty', () => {
    expect(shown('').parts()).toEqual(['dd', 'mm', 'yyyy']);
  });

  it('is not taken over where what is kept is no day', () => {
    expect(shown('yesterday').parts()).toEqual(['dd', 'mm', 'yyyy']);
  });

  it('is taken from a calendar, whose weeks begin on Monday', async () => {
    const { told } = shown('2026-11-27');
    fireEvent.click(screen.getByRole('button', { name: /^Calendar for On/ }));
    const calendar = await screen.findByRole('grid');
    expect(within(calendar).getAllByRole('columnheader', { hidden: true })[0]?.textContent).toBe('M');
    fireEvent.click(within(calendar).getByRole('button', { name: /Monday,? 2 November 2026/ }));
    expect(told).toEqual(['2026-11-02']);
  });
});
