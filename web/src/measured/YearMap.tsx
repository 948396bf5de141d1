import type { DayHours } from '@keen-gauge/core/demand/measured/analyse';
import { useEffect, useRef } from 'react';

const HOUR_PX = 5;

/** Every hour of every day logged, the darker the more flowed; days nothing was logged on stay empty. */
export function YearMap({ hours }: { readonly hours: readonly DayHours[] }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [first, last] = [hours[0]?.day ?? 0, hours.at(-1)?.day ?? 0];
  const days = last - first + 1;
  const dayPx = Math.max(1, Math.min(12, Math.floor(1400 / days)));
  const most = Math.max(1e-9, ...hours.flatMap(({ meanA }) => meanA.map((value) => value ?? 0)));
  useEffect(() => {
    const pen = canvas.current?.getContext('2d');
    if (!pen) return;
    const colour = getComputedStyle(document.documentElement).getPropertyValue('--now');
    pen.clearRect(0, 0, pen.canvas.width, pen.canvas.height);
    pen.fillStyle = colour;
    for (const { day, meanA } of hours)
      meanA.forEach((value, hour) => {
        if (value === null) return;
        pen.globalAlpha = 0.08 + 0.92 * Math.sqrt(value / most);
        pen.fillRect((day - first) * dayPx, (23 - hour) * HOUR_PX, dayPx, HOUR_PX);
      });
  }, [hours, first, dayPx, most]);
  const written = (day: number): string =>
    new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' }).format(
      day * 86_400_000,
    );
  return (
    <figure style={{ margin: 0 }}>
      <canvas
        ref={canvas}
        width={days * dayPx}
        height={24 * HOUR_PX}
        role="img"
        aria-label={`${hours.length} days, ${written(first)} to ${written(last)}; the fullest hour had ${most.toFixed(1)} A in the mean.`}
        style={{ width: '100%', height: 24 * HOUR_PX, imageRendering: 'pixelated', border: '1px solid var(--line)' }}
      />
      <figcaption className="quiet" style={{ display: 'flex', justifyContent: 'space-between', fontSize: '0.86rem' }}>
        <span>{written(first)}</span>
        <span>midnight at the foot, midnight at the head; darkest: {most.toFixed(1)} A</span>
        <span>{written(last)}</span>
      </figcaption>
    </figure>
  );
}
