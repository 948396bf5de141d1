import styled from 'styled-components';

/** What a column takes of a table's width before its words break badly, rem: of words, and of figures. */
const WORDS_REM = 8.5;
const FIGURES_REM = 7;

const asCards = `
  &, & > tbody, & > tbody > tr {
    display: block;
  }
  /* Every cell says its column instead, to those who hear the page too. */
  & > thead {
    display: none;
  }
  & > tbody > tr {
    padding: 0.5rem 0;
    border-bottom: 1px solid var(--line);
  }
  & > tbody > tr > th {
    display: block;
    width: auto;
    min-width: 0;
    padding: 0 0 0.15rem;
    border: 0;
  }
  & > tbody > tr > td {
    display: grid;
    grid-template-columns: minmax(5rem, 2fr) 3fr;
    gap: 0.6rem;
    padding: 0.1rem 0;
    border: 0;
    text-align: left;
    white-space: normal;
  }
  & > tbody > tr > td::before {
    content: attr(data-column);
    color: var(--quiet);
    font: 0.92rem/1.5 var(--text);
  }
  /* Letters so large that a column's name and its figure do not fit beside each other. */
  @container (max-width: 13rem) {
    & > tbody > tr > td {
      grid-template-columns: minmax(0, 1fr);
      gap: 0;
    }
  }
`;

/** As many cells in a line as there is room for. */
const inLines = `
  & > tbody > tr {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0 0.9rem;
  }
  & > tbody > tr > th {
    min-width: 5.5rem;
  }
  & > tbody > tr > td {
    display: flex;
    align-items: baseline;
    gap: 0.4rem;
    font-size: 0.92rem;
  }
`;

const Place = styled.div`
  container-type: inline-size;
  min-width: 0;
`;

const Ruled = styled.table<{ $least: number; $figures: boolean; $inLines: boolean }>`
  border-collapse: collapse;
  width: 100%;
  font-variant-numeric: tabular-nums;
  & th,
  & td {
    padding: 0.35rem 0.5rem;
    border-bottom: 1px solid var(--line);
    text-align: ${({ $figures }) => ($figures ? 'right' : 'left')};
    vertical-align: ${({ $figures }) => ($figures ? 'middle' : 'top')};
  }
  & td {
    white-space: ${({ $figures }) => ($figures ? 'nowrap' : 'normal')};
  }
  & th {
    font-weight: 600;
    hyphens: none;
    text-align: left;
  }
  & thead th:not(:first-child) {
    text-align: ${({ $figures }) => ($figures ? 'right' : 'left')};
  }
  /* What a row is about is read first, however much its cells say. */
  & > tbody > tr > th {
    min-width: 9rem;
    width: ${({ $figures }) => ($figures ? 'auto' : '28%')};
  }
  @container (max-width: ${({ $least }) => $least}rem) {
    ${asCards}
    ${({ $inLines }) => ($inLines ? inLines : '')}
  }
`;

export interface TableRow {
  readonly id: string;
  /** What the row is about. */
  readonly about: React.ReactNode;
  /** One for each column after the first. */
  readonly cells: readonly React.ReactNode[];
}

/** A column with what is said of it once, at its head. */
export interface Column {
  readonly name: string;
  readonly note: string;
}

export interface TableProps {
  readonly label: string;
  /** The names of the columns, what a row is about first. */
  readonly columns: readonly (string | Column)[];
  readonly rows: readonly TableRow[];
  /** Whether the cells are figures, which stand under each other by their last digit. */
  readonly figures?: boolean;
  /** Whether the cells of a card are short enough to stand beside each other. */
  readonly short?: boolean;
}

/** Rows of words or figures side by side; where that would be wider than its place, as on a phone, a card for each row. */
export function Table({ label, columns, rows, figures = false, short = false }: TableProps) {
  const [first, ...others] = columns.map((column) =>
    typeof column === 'string' ? { name: column, note: '' } : column,
  );
  // Their roles are said: a table that is drawn as cards is still read as a table.
  const row = ({ id, about, cells }: TableRow): React.JSX.Element => (
    <tr key={id} role="row">
      <th scope="row" role="rowheader">
        {about}
      </th>
      {cells.map((cell, at) => (
        <td key={`${at} ${others[at]?.name ?? ''}`} role="cell" data-column={others[at]?.name}>
          <span>{cell}</span>
        </td>
      ))}
    </tr>
  );
  return (
    <Place>
      <Ruled
        role="table"
        aria-label={label}
        $least={columns.length * (figures ? FIGURES_REM : WORDS_REM)}
        $figures={figures}
        $inLines={short}
      >
        <thead role="rowgroup">
          <tr role="row">
            <th scope="col" role="columnheader">
              {first?.name}
            </th>
            {others.map(({ name, note }, at) => (
              <th key={`${at} ${name}`} scope="col" role="columnheader">
                {name} {note !== '' && <span className="quiet">{note}</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody role="rowgroup">{rows.map(row)}</tbody>
      </Ruled>
    </Place>
  );
}
