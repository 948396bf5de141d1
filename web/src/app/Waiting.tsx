/** Shown while something loads; quiet, so that quick loads do not flash. */
export function Waiting({ what = 'Loading …' }: { readonly what?: string }) {
  return (
    <p role="status" aria-busy className="quiet" style={{ padding: '2rem', textAlign: 'center' }}>
      {what}
    </p>
  );
}
