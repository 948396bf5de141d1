import styled from 'styled-components';

/** Lines of the sheet, ruled; close together on paper, so that it is one page. */
export const Ruled = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  & > li {
    border-top: 1px solid var(--line);
  }
`;

/** The parts of the sheet: one below the other on a phone, in two columns where there is room and on paper, so that it is one page. */
export const Parts = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--gap, 1rem);
  @media print, (min-width: 68rem) {
    display: block;
    columns: 2;
    column-gap: 1rem;
    & > section {
      break-inside: avoid;
      margin-bottom: 1rem;
    }
  }
  @media print {
    font-size: 0.84rem;
    & > section {
      margin-bottom: 0.4rem;
      padding: 0.3rem 0.5rem;
    }
    & h2 {
      font-size: 0.95rem;
    }
  }
`;

export const Photos = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.6rem;
  grid-template-columns: repeat(auto-fill, minmax(min(8rem, 100%), 1fr));
  & img {
    display: block;
    width: 100%;
    aspect-ratio: 4 / 3;
    object-fit: cover;
    border-radius: var(--corner);
  }
  & span {
    font-size: 0.85rem;
  }
`;
