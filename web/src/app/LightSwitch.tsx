import { FileText, MoonStar, Sun } from 'lucide-react';
import { useState } from 'react';
import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { keepLight, LIGHT_NAMES, LIGHTS, storedLight } from './lights';

const Group = styled(ToggleButtonGroup)`
  display: inline-flex;
  border: 1px solid var(--line);
  border-radius: var(--corner);
`;

const Option = styled(ToggleButton)`
  min-height: 44px;
  min-width: 44px;
  padding: 0 0.6rem;
  border: 0;
  background: transparent;
  color: var(--ink);
  font: 500 0.88rem var(--text);
  cursor: pointer;
  &[data-selected] {
    background: var(--ink);
    color: var(--surface);
    font-weight: 700;
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

/** Paper, Daylight or Cupboard. */
export function LightSwitch() {
  const [light, setLight] = useState(storedLight);
  return (
    <Group
      aria-label="Light"
      selectedKeys={[light]}
      disallowEmptySelection
      onSelectionChange={(keys) => {
        const chosen = LIGHTS.find((each) => keys.has(each));
        if (!chosen) return;
        keepLight(chosen);
        setLight(chosen);
      }}
    >
      {LIGHTS.map((each) => {
        const Picture = SHAPES[each];
        return (
          <Option key={each} id={each} aria-label={LIGHT_NAMES[each]}>
            <Word>{LIGHT_NAMES[each]}</Word>
            <Shape>
              <Picture size={18} aria-hidden />
            </Shape>
          </Option>
        );
      })}
    </Group>
  );
}
