import { FileText, MoonStar, Sun } from 'lucide-react';
import { useId, useState } from 'react';
import styled from 'styled-components';
import { keepLight, LIGHT_NAMES, LIGHTS, storedLight } from './lights';

const Group = styled.div`
  display: inline-flex;
  border: 1px solid var(--line);
  border-radius: var(--corner);
`;

const Option = styled.label`
  position: relative;
  display: grid;
  place-items: center;
  min-height: 44px;
  min-width: 44px;
  padding: 0 0.6rem;
  color: var(--ink);
  font: 500 0.88rem var(--text);
  &:has(:checked) {
    background: var(--ink);
    color: var(--surface);
    font-weight: 700;
  }
  &:has(:focus-visible) {
    outline: 3px solid var(--focus);
    outline-offset: 2px;
  }
  /* Under a finger the whole of it is the radio. */
  & > input {
    position: absolute;
    inset: 0;
    margin: 0;
    opacity: 0;
    cursor: pointer;
  }
  @media (forced-colors: active) {
    &:has(:checked) {
      forced-color-adjust: none;
      background: Highlight;
      color: HighlightText;
    }
  }
`;

const SHAPES = { paper: FileText, daylight: Sun, cupboard: MoonStar } as const;

/** The word where there is room, the shape where there is not. */
const Word = styled.span`
  @media (max-width: 44rem) {
    display: none;
  }
`;
const Shape = styled.span`
  display: none;
  @media (max-width: 44rem) {
    display: inline-grid;
  }
`;

/** Paper, Daylight or Cupboard. The browser’s own radios: the first page is not to wait for more. */
export function LightSwitch() {
  const [light, setLight] = useState(storedLight);
  const name = useId();
  return (
    <Group role="radiogroup" aria-label="Light">
      {LIGHTS.map((each) => {
        const Picture = SHAPES[each];
        return (
          <Option key={each}>
            <input
              type="radio"
              name={name}
              aria-label={LIGHT_NAMES[each]}
              checked={each === light}
              onChange={() => {
                keepLight(each);
                setLight(each);
              }}
            />
            <Word aria-hidden>{LIGHT_NAMES[each]}</Word>
            <Shape>
              <Picture size={18} aria-hidden />
            </Shape>
          </Option>
        );
      })}
    </Group>
  );
}
