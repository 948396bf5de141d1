/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import { Meanwhile } from './Meanwhile';

const shown = (isThere: boolean, isCurrent: boolean, hasFailed = false): void => {
  render(
    <Meanwhile title="Options" isThere={isThere} isCurrent={isCurrent} hasFailed={hasFailed}>
      <p>Three of them</p>
    </Meanwhile>,
  );
};

describe('an answer reckoned beside the page', () => {
  it('is waited for, and its heading is there from the start', () => {
    shown(false, false);
    expect(screen.getByRole('heading', { name: 'Options' })).toBeTruthy();
    expect(screen.getByRole('status').textContent).toBe('Working it out …');
    expect(screen.queryByText('Three of them')).toBeNull();
  });

  it('stands while the next is reckoned, told as of before', () => {
    shown(true, false);
    expect(screen.getByRole('status').textContent).toBe('From before your last change …');
    expect(screen.getByText('Three of them').closest('[aria-busy=true]')).toBeTruthy();
  });

  it('says nothing more once it is of now', () => {
    shown(true, true);
    expect(screen.getByRole('status').textContent).toBe('');
    expect(screen.getByText('Three of them').closest('[aria-busy=false]')).toBeTruthy();
  });

  it('that failed is told, and nothing old is shown as true', () => {
    shown(true, true, true);
    expect(screen.getByText('This could not be worked out.')).toBeTruthy();
    expect(screen.queryByText('Three of them')).toBeNull();
  });
});
