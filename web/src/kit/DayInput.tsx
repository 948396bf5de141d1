import { parseDate, type CalendarDate } from '@internationalized/date';
import { CalendarDays, ChevronLeft, ChevronRight } from 'lucide-react';
import {
  Button,
  Calendar,
  CalendarCell,
  CalendarGrid,
  CalendarGridBody,
  CalendarGridHeader,
  CalendarHeaderCell,
  DateInput,
  DatePicker,
  DateSegment,
  Dialog,
  Group,
  Heading,
  I18nProvider,
  Label,
  Popover,
} from 'react-aria-components';
import styled from 'styled-components';
import { FieldFoot } from './FieldFoot';
import { boxed, FieldLabel } from './fields';

const Box = styled(Group)`
  ${boxed}
  display: flex;
  align-items: center;
  padding: 0 0 0 0.7rem;
  min-width: min(11.5rem, 100%);
  &[data-focus-within] {
    outline: 3px solid var(--focus);
    outline-offset: 1px;
  }
`;

const Typed = styled(DateInput)`
  display: flex;
  flex: 1;
  font-family: var(--figures);
`;

const Segment = styled(DateSegment)`
  padding: 0.2rem 0.1rem;
  border-radius: 3px;
  outline: none;
  &[data-placeholder] {
    color: var(--quiet);
  }
  &[data-focused] {
    background: var(--ink);
    color: var(--surface);
  }
`;

const Opener = styled(Button)`
  display: grid;
  place-items: center;
  min-width: 44px;
  min-height: 44px;
  border: 0;
  background: transparent;
  color: var(--ink);
  cursor: pointer;
`;

const Drop = styled(Popover)`
  background: var(--surface);
  border: 1.5px solid var(--strong-line);
  border-radius: var(--corner);
  padding: 0.6rem;
  & header {
    display: flex;
    align-items: center;
    justify-content: space-between;
  }
  & table {
    border-collapse: collapse;
  }
  & th {
    color: var(--quiet);
    font-weight: 500;
    font-size: 0.85rem;
  }
`;

const Day = styled(CalendarCell)`
  display: grid;
  place-items: center;
  width: 44px;
  height: 44px;
  border-radius: var(--corner);
  font-variant-numeric: tabular-nums;
  cursor: pointer;
  outline: none;
  &[data-outside-month] {
    visibility: hidden;
  }
  &[data-today] {
    box-shadow: inset 0 0 0 1.5px var(--strong-line);
  }
  &[data-hovered] {
    background: var(--raised);
  }
  &[data-selected] {
    background: var(--ink);
    color: var(--surface);
    font-weight: 700;
  }
  &[data-focus-visible] {
    outline: 3px solid var(--focus);
  }
`;

/** A day as it is kept, YYYY-MM-DD, for the picker; null where there is none, or what is kept is no day. */
function dayOf(value: string): CalendarDate | null {
  try {
    return value === '' ? null : parseDate(value);
  } catch {
    return null;
  }
}

/** A day, typed day first or taken from a calendar; as YYYY-MM-DD, empty while it is not whole. */
export default function DayInput({
  label,
  value,
  onChange,
  help,
  fault,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (day: string) => void;
  readonly help?: string | undefined;
  readonly fault?: string | undefined;
}) {
  return (
    <I18nProvider locale="en-GB">
      <DatePicker
        value={dayOf(value)}
        onChange={(next) => {
          onChange(next?.toString() ?? '');
        }}
        isInvalid={fault !== undefined}
        shouldForceLeadingZeros
      >
        <Label>
          <FieldLabel>{label}</FieldLabel>
        </Label>
        <Box>
          <Typed>{(segment) => <Segment segment={segment} />}</Typed>
          <Opener aria-label={`Calendar for ${label}`}>
            <CalendarDays size={19} aria-hidden />
          </Opener>
        </Box>
        <FieldFoot help={help} fault={fault} />
        <Drop>
          <Dialog>
            <Calendar>
              <header>
                <Opener slot="previous">
                  <ChevronLeft size={20} aria-hidden />
                </Opener>
                <Heading style={{ fontSize: '1.05rem', margin: 0 }} />
                <Opener slot="next">
                  <ChevronRight size={20} aria-hidden />
                </Opener>
              </header>
              <CalendarGrid>
                <CalendarGridHeader>{(day) => <CalendarHeaderCell>{day}</CalendarHeaderCell>}</CalendarGridHeader>
                <CalendarGridBody>{(date) => <Day date={date} />}</CalendarGridBody>
              </CalendarGrid>
            </Calendar>
          </Dialog>
        </Drop>
      </DatePicker>
    </I18nProvider>
  );
}
