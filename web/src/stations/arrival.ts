import { useEffect } from 'react';
import { useSearchParams } from 'react-router';

const TRIES = 40;
const EVERY_MS = 80;

/** The field a link led to, as `?at=place.postcode`; null where it led to the station as a whole. */
export function useArrivalField(): string | null {
  const [search] = useSearchParams();
  return search.get('at');
}

/** The address of a station, or of one field of it. */
export function fieldUrl(jobId: string, station: string, field: string | undefined): string {
  return `/jobs/${jobId}/${station}${field === undefined ? '' : `?at=${encodeURIComponent(field)}`}`;
}

/** Brings the field a link led to into view and puts the cursor in it, once the station that has it is there. */
export function useArrival(): void {
  const field = useArrivalField();
  useEffect(() => {
    if (field === null) return undefined;
    let left = TRIES;
    const timer = setInterval(() => {
      const target = fieldElement(field);
      left -= 1;
      if (!target && left > 0) return;
      clearInterval(timer);
      const place = target ?? document.querySelector<HTMLElement>('#station-name');
      for (let at = place?.closest('details'); at; at = at.parentElement?.closest('details')) at.open = true;
      place?.scrollIntoView({ block: 'center' });
      place?.focus({ preventScroll: true });
      // What stands as a line is opened, which puts the cursor in it.
      if (place?.dataset['line'] !== undefined) place.click();
    }, EVERY_MS);
    return () => {
      clearInterval(timer);
    };
  }, [field]);
}

/** What can be typed in or chosen from at that field, or at the nearest part of the survey that has it. */
function fieldElement(field: string): HTMLElement | null {
  for (let at = field; at !== ''; at = at.slice(0, Math.max(0, at.lastIndexOf('.')))) {
    const here = document.querySelector<HTMLElement>(`[data-field="${CSS.escape(at)}"]`);
    const control = here?.querySelector<HTMLElement>(
      'input:not([type=hidden]):not([disabled]), textarea, button:not([disabled]), [tabindex="0"]',
    );
    if (control) return control;
  }
  return null;
}
