import type { PackChange } from '@keen-gauge/core/pack/changes';

/** What one pack, or the survey, says that another does not. */
export function ChangeLines({ lines }: { readonly lines: readonly PackChange[] }) {
  return (
    <ul style={{ margin: 0 }}>
      {lines.map(({ section, label, was, is }, index) => (
        <li key={index}>
          {section}, {label}: <strong>{is ?? 'said no more'}</strong>
          <span className="quiet">{was === undefined ? ', not recorded before' : `, was ${was}`}</span>
        </li>
      ))}
    </ul>
  );
}
