import { Button, MainButton } from '../kit/Button';

/** Starts something that takes a while, and stops it meanwhile. */
export function RunButton({
  isRunning,
  onStart,
  onStop,
  isMain = false,
  children,
}: {
  readonly isRunning: boolean;
  readonly onStart: () => void;
  readonly onStop: () => void;
  readonly isMain?: boolean;
  readonly children: React.ReactNode;
}) {
  if (isRunning) return <Button onPress={onStop}>Stop</Button>;
  const Start = isMain ? MainButton : Button;
  return <Start onPress={onStart}>{children}</Start>;
}
