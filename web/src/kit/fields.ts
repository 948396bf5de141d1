import styled, { css } from 'styled-components';

/** The look that every place to type or choose shares. */
export const boxed = css`
  width: 100%;
  min-height: 46px;
  padding: 0.4rem 0.7rem;
  border: 1.5px solid var(--strong-line);
  border-radius: var(--corner);
  background: var(--surface);
  color: var(--ink);
  font: 400 1rem/1.3 var(--text);
  &[data-focused] {
    outline: 3px solid var(--focus);
    outline-offset: 1px;
  }
  &[data-invalid] {
    border-color: var(--hold);
  }
`;

export const FieldLabel = styled.span`
  display: block;
  font-weight: 600;
  margin-bottom: 0.2rem;
`;

export const FieldHelp = styled.span`
  display: block;
  color: var(--quiet);
  font-size: 0.88rem;
  margin-top: 0.2rem;
`;

export const FieldFault = styled.span`
  display: block;
  color: var(--hold);
  font-weight: 600;
  font-size: 0.92rem;
  margin-top: 0.2rem;
`;

/** Fields side by side where there is room, one under the other where not. */
export const FieldGrid = styled.div`
  display: grid;
  gap: 0.9rem 1rem;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 15rem), 1fr));
  align-items: start;
`;
