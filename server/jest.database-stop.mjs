export default function stop() {
  globalThis.stopTestDatabase?.();
}
