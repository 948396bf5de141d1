/** Telling the server what went wrong in this page, so that somebody looks at it: never what was typed, and not often. */

export type ReportKind = 'error' | 'rejection' | 'part-missing' | 'not-kept';

/** More than this from one page says nothing new. */
const MOST = 5;
let told = 0;

/** Tells of a failure; where even that fails there is nothing more to do. */
export function report(kind: ReportKind, error: unknown): void {
  if ((told += 1) > MOST) return;
  const { message, stack = '' } = error instanceof Error ? error : new Error(String(error));
  void fetch('/api/reports', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      kind,
      message: message.slice(0, 300),
      stack: stack.slice(0, 4000),
      page: patternOf(window.location.pathname).slice(0, 100),
    }),
    keepalive: true,
  }).catch(() => undefined);
}

/** A page as the application declares it: what stands in its places is nobody's business. */
export function patternOf(path: string): string {
  return path
    .split('/')
    .map((part) => (/^[a-z-]{0,20}$/.test(part) ? part : ':id'))
    .join('/');
}

/** Tells of whatever nobody caught. */
export function reportUncaught(): void {
  window.addEventListener('error', ({ error }) => {
    if (error) report('error', error);
  });
  window.addEventListener('unhandledrejection', ({ reason }) => {
    report('rejection', reason);
  });
}
