import { createContext, useContext, useEffect, useRef, useState } from 'react';
import { RecordedLine } from '../kit/RecordedLine';

/** The fields something is asked of at the station at hand; null where fields do not stand as lines: on a card, in a sheet. */
export const AskedFields = createContext<ReadonlySet<string> | null>(null);
/** Of a page nothing of which is a question of the register: what is recorded there stands in a line. */
export const NOTHING_ASKED: ReadonlySet<string> = new Set();

const CONTROLS = 'input:checked, input:not([type=hidden], [type=radio]), textarea, input, button, [tabindex="0"]';

/**
 * One field of a station: a line with what is recorded, or its control where nothing is, where something is asked of it, or once it has been opened.
 * What is being worked on is never put away.
 */
export function AsLine({
  field,
  label,
  says = '',
  few = false,
  children,
}: {
  /** Its place in the survey, so that a link can lead to it. */
  readonly field: string;
  readonly label: string;
  /** What is recorded, in words; undefined where nothing is. */
  readonly says: string | undefined;
  /** Needed by few: a line even while nothing is recorded, unless it is asked for. */
  readonly few?: boolean;
  readonly children: React.ReactNode;
}) {
  const asked = useContext(AskedFields);
  const needed = asked === null || asked.has(field) || (says === '' && !few);
  const [open, setOpen] = useState(needed);
  // What is asked for once stays open when it has been answered.
  if (needed && !open) setOpen(true);
  const here = useRef<HTMLDivElement>(null);
  const pressed = useRef(false);
  useEffect(() => {
    if (!open || !pressed.current) return;
    pressed.current = false;
    here.current?.querySelector<HTMLElement>(CONTROLS)?.focus();
  }, [open]);
  return (
    // Takes no room of its own.
    <div ref={here} data-field={field} style={{ display: 'contents' }}>
      {open ? (
        children
      ) : (
        <RecordedLine
          label={label}
          says={says}
          onPress={() => {
            pressed.current = true;
            setOpen(true);
          }}
        />
      )}
    </div>
  );
}
