import { CheckboxButton, CheckboxField } from 'react-aria-components';
import styled from 'styled-components';
import { useChosen } from './use-chosen';

const Whole = styled(CheckboxButton)`
  display: grid;
  grid-template-columns: 1.5rem minmax(0, 1fr) auto;
  gap: 0.2rem 0.6rem;
  align-items: start;
  min-height: 44px;
  padding: 0.4rem 0;
  cursor: pointer;
  /* A mouse hits what a thumb would miss. */
  @media (min-width: 44rem) and (pointer: fine) {
    min-height: 36px;
    padding: 0.25rem 0;
  }
  &[data-focus-visible] {
    outline: 3px solid var(--focus);
  }
  &[data-disabled] {
    opacity: 0.6;
    cursor: default;
  }
  @media print {
    min-height: 0;
    padding: 0.1rem 0;
  }
`;

const Box = styled.span`
  width: 1.4rem;
  height: 1.4rem;
  border: 2px solid var(--strong-line);
  border-radius: 4px;
  display: grid;
  place-items: center;
  & > svg {
    visibility: hidden;
  }
  [data-selected] > & {
    background: var(--ink);
    border-color: var(--ink);
    print-color-adjust: exact;
    & > svg {
      visibility: visible;
    }
  }
  @media print {
    width: 1rem;
    height: 1rem;
  }
`;

const Ticks = styled.div`
  display: grid;
  & > * + * {
    border-top: 1px solid var(--line);
  }
`;

export interface TickRowProps {
  readonly isSelected: boolean;
  readonly onChange: (isOn: boolean) => void;
  readonly isDisabled?: boolean;
  /** What stands at the end of the row, such as a sum. */
  readonly end?: React.ReactNode;
  readonly children: React.ReactNode;
}

/** A row that is ticked: the box, what is said, and what stands at its end. */
export function TickRow({ isSelected, onChange, isDisabled = false, end, children }: TickRowProps) {
  const [isTicked, tick] = useChosen(isSelected);
  return (
    <CheckboxField
      isSelected={isTicked}
      onChange={(isOn) => {
        tick(isOn);
        onChange(isOn);
      }}
      isDisabled={isDisabled}
    >
      <Whole>
        <Box aria-hidden>
          <svg width={14} height={14} viewBox="0 0 14 14">
            <path d="M2 7.500l3.500 3.500L12 3.500" fill="none" stroke="var(--surface)" strokeWidth={2.4} />
          </svg>
        </Box>
        <span>{children}</span>
        {end !== undefined && <span>{end}</span>}
      </Whole>
    </CheckboxField>
  );
}

/** Rows to be ticked, a line between one and the next. With `values`, those of `of` that are ticked, in its order. */
export function TickList<T extends string>({
  label,
  of,
  values,
  onChange,
}: {
  readonly label: string;
  readonly of: readonly { readonly value: T; readonly label: string }[];
  readonly values: readonly T[] | undefined;
  readonly onChange: (values: T[]) => void;
}) {
  const chosen = values ?? [];
  return (
    <div role="group" aria-label={label}>
      <strong>{label}</strong>
      <Ticks>
        {of.map((each) => (
          <TickRow
            key={each.value}
            isSelected={chosen.includes(each.value)}
            onChange={(isOn) => {
              onChange(
                of.map(({ value }) => value).filter((value) => (value === each.value ? isOn : chosen.includes(value))),
              );
            }}
          >
            {each.label}
          </TickRow>
        ))}
      </Ticks>
    </div>
  );
}

export { Ticks };
