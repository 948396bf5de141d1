import styled from 'styled-components';

const Scroll = styled.div`
  overflow-x: auto;
  @media print {
    overflow: visible;
  }
`;

const Ruled = styled.table`
  border-collapse: collapse;
  min-width: 100%;
  font-variant-numeric: tabular-nums;
  & th,
  & td {
    padding: 0.35rem 0.5rem;
    border-bottom: 1px solid var(--line);
    text-align: left;
    vertical-align: top;
  }
  & th {
    font-weight: 600;
    hyphens: none;
  }
  /* What a row is about is read first, however much its cells say. */
  & tbody th {
    min-width: 9rem;
    width: 28%;
  }
`;

/** Words side by side in rows; scrolls sideways, also by the keyboard, where the screen is narrow. */
export function Table({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <Scroll tabIndex={0} role="group" aria-label={label}>
      <Ruled>{children}</Ruled>
    </Scroll>
  );
}
