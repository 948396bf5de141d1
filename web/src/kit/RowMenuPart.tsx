import { useEffect, useState } from 'react';
import { MenuTrigger } from 'react-aria-components';
import { BareButton } from './Button';
import { MenuList, type MenuOption } from './MenuButton';

/** The menu of a row, come in place of the button that was pressed: it takes the focus and opens. */
export default function RowMenuPart({
  label,
  icon,
  options,
  onChoose,
}: {
  readonly label: string;
  readonly icon: React.ReactNode;
  readonly options: readonly MenuOption<string>[];
  readonly onChoose: (value: string) => void;
}) {
  const [open, setOpen] = useState(false);
  // After the button has the focus: closing gives it back to where it was.
  useEffect(() => {
    const timer = setTimeout(() => {
      setOpen(true);
    });
    return () => {
      clearTimeout(timer);
    };
  }, []);
  return (
    <MenuTrigger isOpen={open} onOpenChange={setOpen}>
      <BareButton aria-label={label} autoFocus>
        {icon}
      </BareButton>
      <MenuList label={label} options={options} onChoose={onChoose} />
    </MenuTrigger>
  );
}
