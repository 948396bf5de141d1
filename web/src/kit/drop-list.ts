import { css } from 'styled-components';

/** The look of a list that drops from its button, and of what is in it. */
export const dropList = css`
  max-height: 60vh;
  overflow: auto;
  background: var(--surface);
  color: var(--ink);
  border: 1.5px solid var(--strong-line);
  border-radius: var(--corner);
  box-shadow: 0 8px 28px rgb(0 0 0 / 0.28);
`;

export const dropItem = css`
  padding: 0.6rem 0.85rem;
  min-height: 44px;
  cursor: pointer;
  outline: none;
  &[data-focused] {
    background: var(--raised);
    box-shadow: inset 3px 0 0 var(--accent);
  }
  &[data-selected] {
    font-weight: 700;
  }
`;
