import type { RecordEntry } from '../api/record';
import { Stack } from '../kit/Panel';
import { recordWords } from './record-words';

/** Entries of a record in sentences, in the order given, each with who and when. */
export function RecordList({ entries }: { readonly entries: readonly RecordEntry[] }) {
  return (
    <Stack as="ol" style={{ '--gap': '0.3rem', listStyle: 'none', padding: 0, margin: 0 }}>
      {entries.map((entry) => (
        <li key={entry.id}>
          {recordWords(entry)}
          <span className="quiet">
            {' '}
            — {entry.by},{' '}
            {new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(entry.at))}
          </span>
        </li>
      ))}
    </Stack>
  );
}
