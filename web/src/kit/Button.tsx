import { Button as AriaButton } from 'react-aria-components';
import styled, { css } from 'styled-components';

const shape = css`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 0.45rem;
  min-height: 44px;
  min-width: 44px;
  padding: 0.4rem 0.95rem;
  border-radius: var(--corner);
  border: 1.5px solid var(--strong-line);
  background: var(--surface);
  color: var(--ink);
  font: 600 1rem/1.2 var(--text);
  text-decoration: none;
  cursor: pointer;
  &[data-hovered],
  &:hover {
    background: var(--raised);
    border-color: var(--ink);
  }
  &[data-disabled] {
    opacity: 0.55;
    cursor: default;
  }
  /* Nobody presses paper. */
  @media print {
    display: none;
  }
`;

/** The usual button: at least 44 px for a gloved finger. */
export const Button = styled(AriaButton)`
  ${shape}
`;

/** The one thing a screen is for. */
export const MainButton = styled(AriaButton)`
  ${shape}
  background: var(--accent);
  border-color: var(--accent);
  color: var(--on-accent);
  &[data-hovered],
  &:hover {
    background: var(--accent);
    filter: brightness(1.12);
  }
`;

/** A button without a frame, for rows and bars. */
export const BareButton = styled(AriaButton)`
  ${shape}
  border-color: transparent;
  background: transparent;
  padding: 0.4rem 0.6rem;
`;

/** A button of which a page draws a dozen at once, such as a key of a pad: the browser’s own, without what the interface library adds to each. */
export const LightButton = styled.button`
  ${shape}
  padding: 0.4rem 0.6rem;
  /* Two quick taps are two keys, and do not enlarge the page. */
  touch-action: manipulation;
`;

/** An address that looks like a button. */
export const ButtonLink = styled.a`
  ${shape}
`;
