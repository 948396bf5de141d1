import { penceOf, type Pence } from '@keen-gauge/core/money/pence';
import { useState } from 'react';
import { TextInput } from '../kit/TextInput';

/** An amount in pounds and pence, kept as whole pence; what cannot be read yet changes nothing. */
export function MoneyInput({
  label,
  help,
  value,
  onChange,
}: {
  readonly label: string;
  readonly help?: string;
  readonly value: Pence | undefined;
  readonly onChange: (value: Pence | undefined) => void;
}) {
  const [typed, setTyped] = useState(value === undefined ? '' : (value / 100).toFixed(2));
  const read = typed.trim() === '' ? undefined : penceOf(typed);
  const isFaulty = read === null || (read ?? 0) < 0;
  return (
    <TextInput
      label={`${label} (£)`}
      inputMode="decimal"
      value={typed}
      maxLength={14}
      {...(help === undefined ? {} : { help })}
      {...(isFaulty ? { fault: 'Pounds and pence, such as 12.34.' } : {})}
      onChange={(next) => {
        setTyped(next);
        const amount = next.trim() === '' ? undefined : penceOf(next);
        if (amount !== null && (amount ?? 0) >= 0) onChange(amount);
      }}
    />
  );
}
