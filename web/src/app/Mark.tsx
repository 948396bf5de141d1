/** The firm's mark: a scale with a post across it. */
export function Mark({ size = 26 }: { readonly size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 26 26"
      fill="none"
      stroke="currentColor"
      strokeWidth={2}
      strokeLinecap="round"
      aria-hidden
      focusable="false"
    >
      <path d="M2 20h22M2 15v5M8 17v3M14 15v5" />
      <path d="M20 4v16" stroke="var(--accent)" strokeWidth={4} />
      <path d="M3 20h9" strokeWidth={5} stroke="var(--now)" strokeLinecap="butt" />
    </svg>
  );
}
