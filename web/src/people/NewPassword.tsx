import { useState } from 'react';
import { BareButton } from '../kit/Button';
import { TextInput } from '../kit/TextInput';

/** A password to be chosen: may be looked at while it is typed, which is better than typing it twice. */
export function NewPassword({
  label = 'Password',
  value,
  onChange,
}: {
  readonly label?: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
}) {
  const [isShown, setShown] = useState(false);
  return (
    <div>
      <TextInput
        label={label}
        type={isShown ? 'text' : 'password'}
        autoComplete="new-password"
        value={value}
        onChange={onChange}
        maxLength={200}
        help="At least 12 characters. Four words that have nothing to do with each other are easy to keep and hard to guess."
      />
      <BareButton
        aria-pressed={isShown}
        onPress={() => {
          setShown(!isShown);
        }}
      >
        {isShown ? 'Hide the password' : 'Show the password'}
      </BareButton>
    </div>
  );
}
