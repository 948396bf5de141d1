/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { NumberInput } from './NumberInput';

function Field({ onTaken }: { readonly onTaken: (value: number | undefined) => void }) {
  const [value, setValue] = useState<number | undefined>(undefined);
  return (
    <NumberInput
      label="Rating"
      unit="A"
      least={0}
      most={1600}
      value={value}
      onChange={(next) => {
        setValue(next);
        onTaken(next);
      }}
    />
  );
}

function typed(text: string): jest.Mock {
  const taken = jest.fn();
  render(<Field onTaken={taken} />);
  fireEvent.change(screen.getByLabelText('Rating'), { target: { value: text } });
  return taken;
}

describe('a number with its unit', () => {
  it.each<[string, number]>([
    ['80', 80],
    ['80 amps', 80],
    ['0,35', 0.35],
    ['1 200', 1200],
    ['500 mA', 0.5],
  ])('takes %s', (text, value) => {
    expect(typed(text)).toHaveBeenLastCalledWith(value);
  });

  it('takes neither reading of “1,000” until somebody says which', () => {
    const taken = typed('1,000');
    expect(taken).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole('button', { name: 'Rating is 1000 A' }));
    expect(taken).toHaveBeenLastCalledWith(1000);
  });

  it.each([
    ['3000', /From 0 to 1600 A/],
    ['80 kW', /In A, please/],
    ['sixty', /A number is expected/],
    ['1.2.3', /A number is expected/],
  ])('refuses %s and says why', (text, says) => {
    expect(typed(text)).not.toHaveBeenCalled();
    expect(screen.getByText(says)).toBeTruthy();
  });
});
