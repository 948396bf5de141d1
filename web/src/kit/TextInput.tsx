import { Input, Label, TextArea, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { FieldFoot } from './FieldFoot';
import { boxed, FieldLabel } from './fields';

const Box = styled(Input)`
  ${boxed}
  &::placeholder {
    color: var(--quiet);
    opacity: 1;
  }
`;

const Area = styled(TextArea)`
  ${boxed}
  min-height: 5rem;
  resize: vertical;
`;

export interface TextInputProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly help?: string | undefined;
  readonly fault?: string | undefined;
  readonly type?: 'text' | 'email' | 'tel' | 'password' | 'search';
  readonly isReadOnly?: boolean;
  /** How many lines are seen at once, of several. */
  readonly rows?: number;
  readonly inputMode?: 'numeric' | 'decimal' | 'text';
  readonly autoComplete?: string;
  readonly lines?: boolean;
  readonly maxLength?: number;
  readonly autoFocus?: boolean;
  readonly className?: string;
  /** The label is heard, and stands in the empty box instead of above it: for rows that say what they are. */
  readonly labelInside?: boolean;
}

/** A labelled place to type, with help and a fault under it. */
export function TextInput(props: TextInputProps) {
  const { label, value, onChange, help, fault, lines, type = 'text', maxLength, autoFocus, className } = props;
  return (
    <TextField
      value={value}
      onChange={onChange}
      type={type}
      isInvalid={fault !== undefined}
      {...(className === undefined ? {} : { className })}
      {...(props.inputMode ? { inputMode: props.inputMode } : {})}
      {...(props.autoComplete ? { autoComplete: props.autoComplete } : { autoComplete: 'off' })}
      {...(maxLength === undefined ? {} : { maxLength })}
      {...(autoFocus === undefined ? {} : { autoFocus })}
      isReadOnly={props.isReadOnly ?? false}
    >
      <Label>
        <FieldLabel {...(props.labelInside ? { className: 'unseen' } : {})}>{label}</FieldLabel>
      </Label>
      {lines ? <Area rows={props.rows ?? 3} /> : <Box {...(props.labelInside ? { placeholder: label } : {})} />}
      <FieldFoot help={help} fault={fault} />
    </TextField>
  );
}
