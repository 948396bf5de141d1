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
      {LIGHTS.map((each) => (
        <Option key={each} id={each}>
          {LIGHT_NAMES[each]}
        </Option>
      ))}
    </Group>
  );
}
