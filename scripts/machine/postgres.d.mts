export interface RunningDatabase {
  readonly url: string;
  readonly stop: () => void;
}
export function startThrowaway(): Promise<RunningDatabase>;
