import styled from 'styled-components';

/** Lines under each other, ruled. */
export const Lines = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  container-type: inline-size;
  & > li {
    border-top: 1px solid var(--line);
  }
`;
