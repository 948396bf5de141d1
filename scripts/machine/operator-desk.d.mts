export interface OperatorDesk {
  readonly port: number;
  readonly url: string;
  readonly addresses: string;
  readonly stop: (signal?: 'SIGTERM' | 'SIGKILL') => Promise<number | null>;
}
export function startOperatorDesk(
  preferredPort: number,
  options?: { file?: string; secondsPerDay?: number },
): Promise<OperatorDesk>;
