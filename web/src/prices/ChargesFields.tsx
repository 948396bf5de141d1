import { OPTION_NAMES, type OptionKind } from '@keen-gauge/core/survey/words/option-words';
import { FieldGrid } from '../kit/fields';
import type { BookFormProps } from './BookForm';
import { MoneyInput } from './MoneyInput';

/** What operators charge for, where something is asked of them. */
const CHARGED: readonly OptionKind[] = ['fuse-upgrade', 'un-loop', 'three-phase', 'other-supply'];

export function ChargesFields({ book, change }: BookFormProps) {
  return (
    <FieldGrid>
      {CHARGED.map((option) => (
        <MoneyInput
          key={option}
          label={OPTION_NAMES[option]}
          help="Left empty: not known. Nothing charged: 0."
          value={book.charges.find((each) => each.option === option)?.pence}
          onChange={(pence) => {
            const rest = book.charges.filter((each) => each.option !== option);
            change({ ...book, charges: pence === undefined ? rest : [...rest, { option, pence }] });
          }}
        />
      ))}
    </FieldGrid>
  );
}
