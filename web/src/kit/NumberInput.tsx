import { typedWithUnit, type TypedNumber } from '@keen-gauge/core/survey/typed-number';
import { useState } from 'react';
import { Input, Label, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { BareButton } from './Button';
import { FieldFoot } from './FieldFoot';
import { Keypad } from './Keypad';
import { keyed } from './keyed';
import { boxed, FieldLabel } from './fields';
import { SHOWS_ITSELF } from './pressed';
import { useTyped } from './use-typed';

const Row = styled.div`
  display: flex;
  align-items: stretch;
  gap: 0.35rem;
  flex-wrap: wrap;
`;

const WithUnit = styled.span`
  position: relative;
  flex: 1 1 5.25rem;
  min-width: 5.25rem;
`;

const Box = styled(Input)`
  ${boxed}
  font-family: var(--figures);
  padding-right: 2.6rem;
`;

const UnitName = styled.span`
  position: absolute;
  right: 0.7rem;
  top: 50%;
  transform: translateY(-50%);
  color: var(--quiet);
  pointer-events: none;
`;

const Usual = styled(BareButton)`
  border-color: var(--line);
  min-width: 44px;
  padding: 0.3rem 0.55rem;
  font-family: var(--figures);
  font-weight: 500;
  &[aria-pressed='true'] {
    border-color: var(--ink);
    border-width: 2px;
    background: var(--raised);
    font-weight: 700;
  }
`;

export interface NumberInputProps {
  readonly label: string;
  readonly unit: string;
  readonly value: number | undefined;
  readonly onChange: (value: number | undefined) => void;
  readonly least: number;
  readonly most: number;
  readonly whole?: boolean;
  /** Usual values, one tap each; tapping the chosen one again makes it not known. */
  readonly usual?: readonly number[];
  readonly help?: string;
  /** What somebody else, such as the server, found wrong with the value. */
  readonly fault?: string | undefined;
  /** With keys of its own, big enough for a gloved thumb, instead of the device’s. */
  readonly pad?: boolean;
}

const numberText = (value: number | undefined): string => (value === undefined ? '' : String(value));

/**
 * A number with its unit, live on every keystroke. Something that is not a number, or is out of range, stays as typed
 * with the fault beneath it; the survey goes on with what it had.
 */
export function NumberInput({
  label,
  unit,
  value,
  onChange,
  least,
  most,
  whole,
  usual,
  help,
  fault: found,
  pad = false,
}: NumberInputProps) {
  const [misread, setFault] = useState<string>();
  const [either, setEither] = useState<Extract<TypedNumber, { kind: 'either' }>>();
  const fault = misread ?? found;
  const [typed, setTyped, setTaken] = useTyped(value, numberText, () => {
    setFault(undefined);
    setEither(undefined);
  });

  const take = (next: number | undefined): void => {
    setFault(undefined);
    setTaken(next);
    onChange(next);
  };
  const type = (text: string): void => {
    setTyped(text);
    const read = typedWithUnit(text, unit);
    setEither(read?.kind === 'either' ? read : undefined);
    const kept = value === undefined ? '' : `; ${value}${unit ? ` ${unit}` : ''} is still used`;
    if (read === null) setFault(`${unit ? `In ${unit}` : 'Without a unit'}, please${kept}.`);
    else if (read.kind === 'empty') take(undefined);
    else if (read.kind === 'either')
      setFault(
        `Is that ${read.whole} or ${read.fraction}${unit ? ` ${unit}` : ''}? Nothing is taken until you say${kept}.`,
      );
    else if (read.kind === 'not-a-number' || (whole && !Number.isInteger(read.value)))
      setFault(`${whole ? 'A whole number' : 'A number'} is expected${kept}.`);
    else if (read.value < least || read.value > most)
      setFault(`From ${least} to ${most}${unit ? ` ${unit}` : ''}${kept}.`);
    else take(read.value);
  };

  return (
    <TextField
      value={typed}
      onChange={type}
      isInvalid={fault !== undefined}
      inputMode={pad ? 'none' : whole ? 'numeric' : 'decimal'}
      autoComplete="off"
      maxLength={24}
    >
      <Label>
        <FieldLabel>{label}</FieldLabel>
      </Label>
      <Row>
        <WithUnit>
          <Box />
          <UnitName aria-hidden>{unit}</UnitName>
        </WithUnit>
        {usual?.map((each) => (
          <Usual
            key={each}
            {...SHOWS_ITSELF}
            aria-label={`${label}: ${each} ${unit}`}
            aria-pressed={value === each}
            onPress={() => {
              const next = value === each ? undefined : each;
              setTyped(numberText(next));
              take(next);
            }}
          >
            {each}
          </Usual>
        ))}
      </Row>
      <FieldFoot help={help} fault={fault} />
      {pad && (
        <Keypad
          label={label}
          whole={whole ?? false}
          signed={least < 0}
          onKey={(key) => {
            type(keyed(typed, key));
          }}
        />
      )}
      {either && (
        <Row role="group" aria-label={`Which number, ${label}`}>
          {[either.whole, either.fraction].map((each) => (
            <Usual
              key={each}
              aria-label={`${label} is ${each} ${unit}`}
              onPress={() => {
                setEither(undefined);
                type(String(each));
              }}
            >
              {each}
            </Usual>
          ))}
        </Row>
      )}
    </TextField>
  );
}
