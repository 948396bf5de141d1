import styled from 'styled-components';

/** A bar along a scale, drawn as a tube; what is in it is placed by its left and width. */
export const Track = styled.div`
  position: relative;
  height: var(--height, 12px);
  border: 1.5px solid var(--strong-line);
  border-radius: calc(var(--height, 12px) / 2);
  overflow: hidden;
  & > span {
    position: absolute;
    inset-block: 0;
    left: 0;
    background: var(--now);
  }
`;
