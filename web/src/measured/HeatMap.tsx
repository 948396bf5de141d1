const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** Hour by day: each square as full as its hour's mean current is of the week's highest; nothing logged is left empty. */
export function HeatMap({ weekA }: { readonly weekA: readonly (number | null)[] }) {
  const most = Math.max(1e-9, ...weekA.map((value) => value ?? 0));
  const [cell, left, top] = [26, 38, 4];
  return (
    <svg viewBox={`0 0 ${left + 24 * cell} ${top + 7 * cell + 20}`} width="100%" role="img" aria-label={summary(weekA)}>
      {DAYS.map((day, row) => (
        <text key={day} x={0} y={top + row * cell + 17} fontSize={12} fill="var(--quiet)">
          {day}
        </text>
      ))}
      {weekA.map((value, hour) => {
        const [x, y] = [left + (hour % 24) * cell, top + Math.floor(hour / 24) * cell];
        const size = value === null ? 0 : Math.sqrt(value / most) * (cell - 4);
        return (
          <g key={hour}>
            <rect
              x={x + 1}
              y={y + 1}
              width={cell - 2}
              height={cell - 2}
              fill="none"
              stroke="var(--line)"
              strokeWidth={0.7}
            />
            {size > 0 && (
              <rect
                x={x + (cell - size) / 2}
                y={y + (cell - size) / 2}
                width={size}
                height={size}
                rx={2}
                fill="var(--now)"
              >
                <title>{`${DAYS[Math.floor(hour / 24)] ?? ''} ${hour % 24} h: ${(value ?? 0).toFixed(1)} A`}</title>
              </rect>
            )}
          </g>
        );
      })}
      {[0, 6, 12, 18].map((hour) => (
        <text key={hour} x={left + hour * cell + 2} y={top + 7 * cell + 15} fontSize={12} fill="var(--quiet)">
          {hour} h
        </text>
      ))}
    </svg>
  );
}

function summary(weekA: readonly (number | null)[]): string {
  const best = weekA.reduce<{ hour: number; value: number }>(
    (most, value, hour) => ((value ?? -1) > most.value ? { hour, value: value ?? -1 } : most),
    { hour: 0, value: -1 },
  );
  return best.value < 0
    ? 'Nothing was logged.'
    : `Busiest hour: ${DAYS[Math.floor(best.hour / 24)] ?? ''} at ${best.hour % 24} h, ${best.value.toFixed(1)} A in the mean.`;
}
