import { isValidElement, memo, useLayoutEffect, useRef, useState, type ComponentType, type RefObject } from 'react';

type Props = Readonly<Record<string, unknown>>;
type Call = (...values: readonly unknown[]) => unknown;

/**
 * A control that is drawn anew only when something it shows changes. What it calls is always the newest given, so that
 * a form of many controls costs, on each keystroke, only the one that was typed in.
 */
export function steady<P extends object>(Control: ComponentType<P>): ComponentType<P> {
  const Drawn = memo(Control as ComponentType<Props>, (before, now) => alike(before, now, 3));
  function Steady(props: P) {
    const latest = useRef(props as Props);
    useLayoutEffect(() => {
      latest.current = props as Props;
    });
    const [calls] = useState(() => new Map<string, Call>());
    return <Drawn {...withSteadyCalls(props as Props, calls, latest)} />;
  }
  return Steady;
}

/** The props with each function in it replaced by one that stays the same and calls the latest. */
function withSteadyCalls(props: Props, calls: Map<string, Call>, latest: RefObject<Props>): Props {
  return Object.fromEntries(
    Object.entries(props).map(([name, value]) => {
      if (typeof value !== 'function') return [name, value];
      const call = calls.get(name) ?? ((...values) => (latest.current[name] as Call)(...values));
      calls.set(name, call);
      return [name, call];
    }),
  );
}

/** Whether two values show the same: plain lists and objects are looked into so deep, elements are never guessed at. */
export function alike(a: unknown, b: unknown, depth: number): boolean {
  if (Object.is(a, b)) return true;
  if (depth === 0 || typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (isValidElement(a) || isValidElement(b)) return false;
  const [before, now] = [a as Props, b as Props];
  const names = Object.keys(before);
  return (
    names.length === Object.keys(now).length &&
    names.every((name) => Object.hasOwn(now, name) && alike(before[name], now[name], depth - 1))
  );
}
