/** @jest-environment jsdom */
import type { SiteApplications } from '@keen-gauge/core/rules/rules';
import { cleanup, render } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { ApplicationsNote } from './ApplicationsNote';

afterEach(cleanup);

function said(wants: SiteApplications, isWhole: boolean): string {
  const { container } = render(
    <MemoryRouter>
      <ApplicationsNote wants={wants} isWhole={isWhole} />
    </MemoryRouter>,
  );
  return container.textContent;
}

describe('which packs the operator wants of a building', () => {
  it('is to be asked where the rules do not say', () => {
    expect(said('ask', true)).toContain('Ask the operator');
    expect(said('ask', false)).toContain('You can make both here');
  });
  it('is confirmed where this is one of them', () => {
    expect(said('one', true)).toBe('By the rules the operator takes one application for the whole building.');
    expect(said('each-supply', false)).toBe('By the rules the operator takes one application for each supply.');
  });
  it('is said where this is not one of them, with which to send instead', () => {
    expect(said('one', false)).toContain('Send it the pack of the whole site');
    expect(said('each-supply', true)).toContain('Send it the packs of the supplies');
  });
});
