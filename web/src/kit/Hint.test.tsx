/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { Hint } from './Hint';

const put = (): void => {
  fireEvent.click(screen.getByRole('button', { name: 'Put the hint away' }));
};

describe('a hint', () => {
  beforeEach(() => {
    localStorage.clear();
  });

  it('is there until it is put away, and not again', () => {
    const first = render(<Hint id="jobs">Press New job.</Hint>);
    screen.getByText('Press New job.');
    put();
    expect(screen.queryByText('Press New job.')).toBeNull();
    first.unmount();
    render(<Hint id="jobs">Press New job.</Hint>);
    expect(screen.queryByText('Press New job.')).toBeNull();
  });

  it('put away leaves the others', () => {
    render(<Hint id="jobs">One</Hint>);
    put();
    render(<Hint id="station">Another</Hint>);
    screen.getByText('Another');
  });
});
