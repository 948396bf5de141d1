/** @jest-environment jsdom */
import { render, screen, within } from '@testing-library/react';
import { Table } from './Table';

it('reads as a table however it is drawn: rows by what they are about, and every cell under its column', () => {
  render(
    <Table
      label="Left"
      columns={['Node', 'Full', 'Full']}
      rows={[
        { id: 'a', about: 'Cut-out', cells: ['23.9 over', '3.1 left'] },
        { id: 'b', about: 'Meter', cells: ['3.9 over', '8.0 left'] },
      ]}
    />,
  );
  const table = screen.getByRole('table', { name: 'Left' });
  expect(within(table).getAllByRole('columnheader')).toHaveLength(3);
  expect(
    within(table)
      .getAllByRole('rowheader')
      .map(({ textContent }) => textContent),
  ).toEqual(['Cut-out', 'Meter']);
  const meter = within(table).getByRole('row', { name: /^Meter/ });
  expect(
    within(meter)
      .getAllByRole('cell')
      .map((cell) => [cell.dataset['column'], cell.textContent]),
  ).toEqual([
    ['Full', '3.9 over'],
    ['Full', '8.0 left'],
  ]);
});
