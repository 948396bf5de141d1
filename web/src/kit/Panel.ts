import styled from 'styled-components';

/** A sheet of paper on the bench. */
export const Panel = styled.section`
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: calc(var(--corner) + 2px);
  /* The room about words does not grow with their letters where there is little of it. */
  padding: min(1rem, 4.2vw) min(1.1rem, 4.6vw);
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.9rem;
  @media (min-width: 70rem) {
    padding: 0.75rem 1rem;
    gap: 0.75rem;
  }
  @media print {
    padding: 0.5rem 0;
    border-width: 1px 0 0;
    border-radius: 0;
  }
`;

/** Things one under the other. */
export const Stack = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--gap, 0.9rem);
`;

/** Panels two and two where a desk has room for them, one under the other elsewhere. */
export const SideBySide = styled(Stack)`
  @media (min-width: 70rem) {
    grid-template-columns: repeat(2, minmax(0, 1fr));
    & > * {
      align-content: start;
    }
  }
`;

/** Things in a row that wraps. */
export const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: var(--gap, 0.6rem);
  align-items: center;
`;
