export interface MailServer {
  readonly url: string;
  readonly smtpUrl: string;
  readonly stop: (signal?: 'SIGTERM' | 'SIGKILL') => Promise<number | null>;
}
export function startMailServer(preferredPort: number): Promise<MailServer>;
