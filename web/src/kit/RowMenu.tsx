import { useState } from 'react';
import { BareButton } from './Button';
import { lazyPart } from './lazy-part';
import type { MenuOption } from './MenuButton';

const load = () => import('./RowMenuPart');
const RowMenuPart = lazyPart(load);

/** A button at the end of a row that opens a short list of things to do. Long lists have one in every row: what draws the menu comes when one is reached for. */
export function RowMenu<V extends string>({
  label,
  icon,
  options,
  onChoose,
}: {
  readonly label: string;
  readonly icon: React.ReactNode;
  readonly options: readonly MenuOption<V>[];
  readonly onChoose: (value: V) => void;
}) {
  const [wanted, setWanted] = useState(false);
  if (!wanted)
    return (
      <BareButton
        aria-label={label}
        aria-haspopup="menu"
        onHoverStart={() => void load()}
        onFocus={() => void load()}
        onPress={() => {
          setWanted(true);
        }}
      >
        {icon}
      </BareButton>
    );
  return (
    <RowMenuPart
      label={label}
      icon={icon}
      options={options}
      onChoose={(value) => {
        const found = options.find((option) => option.value === value);
        if (found) onChoose(found.value);
      }}
    />
  );
}
