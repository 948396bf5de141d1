export interface RunningServer {
  readonly url: string;
  readonly port: number;
  readonly ended: Promise<number | null>;
  readonly stop: (signal?: 'SIGTERM' | 'SIGKILL') => Promise<number | null>;
}
export function prepareDatabase(ownerUrl: string, options: { demo: boolean }): string;
export function startServer(
  appUrl: string,
  preferredPort: number,
  logLevel?: string,
  operators?: string,
  smtpUrl?: string,
): Promise<RunningServer>;
